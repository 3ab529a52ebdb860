import { core } from './core.js';
import { evenOut } from './evenOut.js';
import { freezer } from './freezer.js';
import { fry } from './fry.js';
import { gateFirst } from './gateFirst.js';
import { gateSecond } from './gateSecond.js';
import { intoCold } from './intoCold.js';
import { light } from './light.js';
import { meatIn } from './meatIn.js';
import { meatOn } from './meatOn.js';
import { mix } from './mix.js';
import { mixCover } from './mixCover.js';
import { mixPickle } from './mixPickle.js';
import { pack } from './pack.js';
import { pellicle } from './pellicle.js';
import { pull } from './pull.js';
import { pump } from './pump.js';
import { rack } from './rack.js';
import { raise } from './raise.js';
import { repump } from './repump.js';
import { soakIn } from './soakIn.js';
import { soakOut } from './soakOut.js';
import { turn } from './turn.js';
import { weigh } from './weigh.js';
import { isTurn, STEP_IDS, type PlannedStepId, type StepId } from '../log/stepId.js';
import type { StepDefinition, Way } from './defineStep.js';
import type { StepInput, StepTemplate } from './step.js';

/** Every step of the trade by its id. */
export const STEPS = {
  weigh,
  mix,
  'mix-pickle': mixPickle,
  'mix-cover': mixCover,
  pump,
  'meat-in': meatIn,
  turn,
  repump,
  pull,
  fry,
  'soak-in': soakIn,
  'soak-out': soakOut,
  rack,
  pellicle,
  light,
  'meat-on': meatOn,
  raise,
  core,
  'into-cold': intoCold,
  'gate-first': gateFirst,
  'gate-second': gateSecond,
  'even-out': evenOut,
  freezer,
  pack,
} as const satisfies { [Id in StepId]: StepDefinition<Id> };

/** The steps by which a recipe is worked, in the order of the work. */
export const stepsOf = (way: Way): StepTemplate[] => STEP_IDS.flatMap((id) => template(STEPS[id], way) ?? []);

function template(step: StepDefinition, way: Way): StepTemplate | null {
  const plan = step.plan(way);
  if (plan === null) return null;
  const { called, task, gates, notBeforeCureShare: early, cooling, ...rest } = plan;
  const inputs = step.inputs.map((input): StepInput => ({ ...input, ...(called as Record<string, object> | undefined)?.[input.name] }));
  return {
    id: step.id,
    inputs,
    ...rest,
    // What a batch keeps is in plain English; what is shown is said anew, by wordsOfStep.
    task: task.message,
    gates: gates.map((gate) => ({ ...gate, say: gate.say.message })),
    ...(early === undefined ? {} : { notBeforeCureShare: { ...early, say: early.say.message } }),
    ...(cooling === undefined ? {} : { cooling: { ...cooling, say: cooling.say.message } }),
  };
}

/** What a step of a batch is; null for one that is none, in a log from elsewhere. */
export const definitionOf = (id: PlannedStepId): StepDefinition | null => (STEPS as Partial<Record<string, StepDefinition>>)[isTurn(id) ? 'turn' : id] ?? null;

import type { StepId } from '../log/stepId.js';
import { asWritten } from '../say/asWritten.js';
import { stepSays } from '../say/english/steps.js';
import type { Message } from '../say/message.js';
import type { StepWords, Way } from '../steps/defineStep.js';
import { definitionOf } from '../steps/steps.js';
import type { StepSpec, StepTemplate } from '../steps/step.js';
import type { Process } from '../recipes/process.js';

/** What is said at a step of a batch: what the hands do, each gate by its place, and what is said when it is too early or a chill gate was missed. */
export interface SaidStep {
  task: Message;
  gates: readonly Message[];
  early: Message | null;
  missed: Message | null;
}

/**
 * What is said at a step, by its id and by how its recipe does it: what a batch keeps of it in plain English is only what somebody added,
 * or what is older than the words.
 *
 * @example wordsOfStep(spec, process).task.code // 'gate-first-task'
 */
export function wordsOfStep(spec: StepSpec, process: Process): SaidStep {
  const plan = definitionOf(spec.id)?.plan(wayOf(process)) ?? null;
  return {
    task: taskOf(spec, plan),
    gates: spec.gates.map(({ say }, i) => plan?.gates[i]?.say ?? keptText(say)),
    early: spec.notBeforeCureShare === undefined ? null : (plan?.notBeforeCureShare?.say ?? keptText(spec.notBeforeCureShare.say)),
    missed: spec.cooling === undefined ? null : (plan?.cooling?.say ?? keptText(spec.cooling.say)),
  };
}

/** The task by its code, and after it what the recipe, or a sealed bath, has to add. */
function taskOf({ task: kept }: StepSpec, plan: StepWords | null): Message {
  if (plan === null) return keptText(kept);
  const said = plan.task;
  if (kept === said.message) return said;
  if (!kept.startsWith(said.message)) return /°C/.test(kept) ? said : asWritten(kept);
  const more = kept.slice(said.message.length).trim();
  const sealed = stepSays('sealed').message;
  if (!more.endsWith(sealed)) return stepSays('own-task', { task: said, own: asWritten(more) });
  const own = more.slice(0, -sealed.length).trim();
  const task = own === '' ? said : stepSays('own-task', { task: said, own: asWritten(own) });
  return stepSays('own-task', { task, own: stepSays('sealed') });
}

const DEGREES = /(-?\d+(?:\.\d+)?) °C(?: \(\d+ °F\))?/;

/** A sentence that is older than the words, with its temperatures as quantities. */
function keptText(text: string): Message {
  const found = DEGREES.exec(text);
  if (found === null) return asWritten(text);
  const after = text.slice(found.index + found[0].length);
  return stepSays('kept-text', {
    before: text.slice(0, found.index),
    temperature: { value: Number(found[1]), unit: 'C' },
    after: after === '' ? stepSays('nothing-more') : keptText(after),
  });
}

/** How a recipe does it, read back off the steps that a batch keeps. */
function wayOf({ steps, program = [], coreTargetC }: Process): Way {
  const step = (id: StepId): StepTemplate | undefined => steps.find((one) => one.id === id);
  const hoursAfter = (id: StepId): number => {
    const after = step(id)?.after;
    return after !== undefined && 'h' in after ? after.h : 0;
  };
  const weighed = stepSays('weigh-task', { trim: '' }).message;
  return {
    trim: (step('weigh')?.task ?? '').split(weighed)[0]?.trim() ?? '',
    turnEveryH: step('turn')?.repeatEveryH ?? 0,
    soakH: hoursAfter('soak-out'),
    dryH: hoursAfter('pellicle'),
    program,
    cookH: hoursAfter('core'),
    restH: hoursAfter('into-cold'),
    coreTargetC,
    firstGateH: hoursAfter('gate-first'),
    secondGateH: hoursAfter('gate-second'),
    evenOutH: step('freezer') === undefined ? 0 : hoursAfter('freezer') + 0.5,
  };
}

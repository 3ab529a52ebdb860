import type { CookProgram } from '../log/cookProgram.js';
import type { HoldName } from '../log/batchDesign.js';
import type { StepId } from '../log/stepId.js';
import type { StepName } from '../say/english/names.js';
import type { Message } from '../say/message.js';
import type { Gate, StepInput, StepTemplate } from './step.js';

/** What of a recipe its steps go by. */
export interface Way {
  /** what is done before it is weighed */
  trim: string;
  turnEveryH: number;
  soakH: number;
  /** 0 where it is not dried */
  dryH: number;
  program: CookProgram;
  /** in the last phase, as planned */
  cookH: number;
  restH: number;
  coreTargetC: number;
  firstGateH: number;
  secondGateH: number;
  evenOutH: number;
}

/** What a step does in the course of the cure: meat and brine meet, are turned, part. */
export type CourseMarkKind = 'pump' | 'meatIn' | 'turn' | 'repump' | 'pull' | 'soakIn' | 'soakOut' | 'plate';

/** What a step asks for, each under a name that there are words for. */
export type NamedInput = StepInput & { label: StepName } & (
    { kind: Exclude<StepInput['kind'], 'choice'> } | { options: readonly { value: string; label: StepName }[] }
  );

/** A step of the trade. What is asked at it does not hang on the recipe; when and how it is done may. */
export interface StepDefinition<
  Id extends StepId = StepId,
  Inputs extends readonly NamedInput[] = readonly NamedInput[],
  More extends readonly NamedInput[] = readonly NamedInput[],
> {
  id: Id;
  inputs: Inputs;
  /** asked for beside them where a plan says so */
  sometimes?: More;
  /** what it marks in the course of the cure */
  marks?: CourseMarkKind;
  /** what of the house a batch begins to hold with it, and no longer holds after it */
  takes?: readonly HoldName[];
  frees?: readonly HoldName[];
  /** how a recipe does it; null where the recipe does without */
  plan: (way: Way) => StepPlan<Inputs> | null;
}

/** A gate whose sentence is said to whoever reads it. */
export type SaidGate = Omit<Gate, 'say'> & { say: Message };

/** What is said at a step: what the hands do, and what is wrong where a gate is not passed. */
export interface StepWords {
  task: Message;
  gates: readonly SaidGate[];
  notBeforeCureShare?: Omit<NonNullable<StepTemplate['notBeforeCureShare']>, 'say'> & { say: Message };
  cooling?: Omit<NonNullable<StepTemplate['cooling']>, 'say'> & { say: Message };
}

/** All else of a step: where, when, how, and what must hold. `called` names an input otherwise, or says what it is read of here. */
export interface StepPlan<Inputs extends readonly NamedInput[]> extends Omit<StepTemplate, 'id' | 'inputs' | 'title' | 'act' | keyof StepWords>, StepWords {
  title: StepName;
  act: StepName;
  called?: { [Name in Inputs[number]['name']]?: { label?: StepName; of?: Extract<StepInput, { kind: 'temperature' }>['of'] } };
}

export const defineStep = <const Id extends StepId, const Inputs extends readonly NamedInput[], const More extends readonly NamedInput[] = readonly []>(
  step: StepDefinition<Id, Inputs, More>,
): StepDefinition<Id, Inputs, More> => step;

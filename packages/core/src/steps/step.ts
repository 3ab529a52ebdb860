import type { PlannedStepId, StepId } from '../log/stepId.js';
import type { TemperatureOf } from '../safety/temperatureBounds.js';
import type { Station } from './station.js';
import type { SchoolKind } from '../log/school.js';

/** A number or a choice that a step asks for. With `each`, once for every piece: the value's name is then `name:CODE`. */
export type StepInput =
  | { kind: 'mass'; name: string; label: string; each?: 'piece'; optional?: boolean; allowZero?: boolean }
  /** `of`: what it is read of, which bounds what it can be */
  | { kind: 'temperature'; name: string; label: string; of?: TemperatureOf; each?: 'piece'; optional?: boolean }
  /** how deep something reaches from the rim of the section, mm */
  | { kind: 'depth'; name: string; label: string; each?: 'piece'; optional?: boolean }
  | { kind: 'choice'; name: string; label: string; optional?: boolean; options: readonly { value: string; label: string }[] };

/**
 * A condition on what was measured. Every named input must satisfy it.
 * `reason`: may be passed with a written reason. `again`: the reading is kept, the step stays open and comes due again after
 * `againH`; from `reasonFrom` on, a written reason closes it all the same. `stop`: never.
 */
export interface Gate {
  inputs: string[];
  max?: number;
  min?: number;
  oneOf?: string[];
  onFail: 'reason' | 'again' | 'stop';
  againH?: number;
  reasonFrom?: number;
  /** what is wrong and what to do, one or two plain sentences */
  say: string;
}

/** When a step falls due: hours after another step, or a share of the days of cure after it. */
export type Anchor = { step: PlannedStepId | 'start'; h: number } | { step: PlannedStepId; cureShare: number };

/** A cooling gate of the rule that a piece's cure asks for: the first, or the second. */
interface CoolingGate {
  /** 0 or 1; in batches that are older than it the gates stand in their order */
  gate?: 0 | 1;
  /** what to do when it was not met */
  say: string;
}

/** One step of a process, as data. */
export interface StepSpec {
  id: PlannedStepId;
  station: Station;
  /** the name on the ticket: `Turn 1` */
  title: string;
  /** the words on its button: `Log turn 1` */
  act: string;
  /** what the hands do */
  task: string;
  /** steps that must be done or skipped before */
  needs: PlannedStepId[];
  after: Anchor;
  /** how far it may stretch from what comes before it, h; rigid where not given. The pull stretches with the days of cure */
  stretch?: { leastH: number; mostH: number };
  /** how long it keeps somebody, min; a quarter of an hour when not given */
  handsMin?: number;
  /** hours past due before it is overdue */
  graceH: number;
  inputs: StepInput[];
  gates: Gate[];
  /** earlier than this share of the days of cure asks for a reason */
  notBeforeCureShare?: { step: PlannedStepId; share: number; say: string };
  cooling?: CoolingGate;
  /** a step of its kind that comes due later closes it as missed */
  missable?: boolean;
  /** may be left out with a reason */
  skippable?: boolean;
  /** is left out together with this step */
  skippedWith?: PlannedStepId;
}

/** A step as the process writes it: for one school only, or repeated through the days of cure. */
export interface StepTemplate extends Omit<StepSpec, 'id'> {
  id: StepId;
  only?: SchoolKind;
  repeatEveryH?: number;
}

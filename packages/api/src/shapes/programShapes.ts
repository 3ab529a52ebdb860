import { MEDIA, TENDING_ACTS, type ProgramPhase, type TendingAct } from '@bunkhouse/core';
import { Amount, MayBe, Parts, Text, Word, Words, YesNo, type Bounds } from './rules.js';

export const CELSIUS: Bounds = { min: -50, max: 400 };
/** Parts of a program, at most. */
export const MOST_PHASES = 12;

export class RepeatShape {
  @Word(TENDING_ACTS) act: TendingAct;
  @Amount('min', { min: 5 }) everyMin: number;
}

export class MarkShape {
  @Word(TENDING_ACTS) act: TendingAct;
  @Amount('°C', CELSIUS) atCoreC: number;
}

/** A part of how something is smoked and cooked. */
export class ProgramPhaseShape implements ProgramPhase {
  @Text(40, { least: 1 }) name: string;
  @Amount('°C', CELSIUS) chamberC: number;
  @Word(MEDIA) medium: ProgramPhase['medium'];
  @YesNo() smoke: boolean;
  @YesNo('a pan of water in the chamber') pan: boolean;
  @MayBe() @Amount('min from the meat going on', { above: 0 }) untilMin?: number;
  @MayBe() @Amount('°C', CELSIUS) untilCoreC?: number;
  @MayBe() @Words(TENDING_ACTS, 8) first?: TendingAct[];
  @Parts(() => RepeatShape, 8) repeats: RepeatShape[];
  @Parts(() => MarkShape, 8) marks: MarkShape[];
}

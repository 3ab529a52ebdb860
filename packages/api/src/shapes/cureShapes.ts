import type { CureMix, Diffusivity, RuleSet, School } from '@bunkhouse/core';
import { Amount, Count, MayBe, Text, Word, YesNo, type Bounds } from './rules.js';

export const PERCENT: Bounds = { min: 0, max: 130 };

/** A cure by its label. */
export class CureMixShape implements CureMix {
  @Text(60, { least: 1 }) name: string;
  @Amount('% NaNO2', PERCENT) nitritePercent: number;
  @Amount('% NaNO3', PERCENT) nitratePercent: number;
  @Amount('% NaCl', PERCENT) saltPercent: number;
  @MayBe() @Amount('% sugar', PERCENT) sugarPercent?: number;
  @MayBe() @YesNo('false where the label forbids pumping it') mayPump?: boolean;
}

/** A house's own limits of ingoing nitrite. */
export class RuleSetShape implements RuleSet {
  @Text(60, { least: 1 }) name: string;
  @Amount('ppm') limit: number;
  @Amount('ppm') bellyLimit: number;
  @Amount('ppm') dryLimit: number;
  @Amount('ppm') dryBellyLimit: number;
  @Amount('ppm') floor: number;
  @MayBe() @Amount('ppm') bellyFloor?: number;
  @MayBe() @Amount('ppm') curedPpm?: number;
  @Amount('ppm') usualTarget: number;
  @Text(200) source: string;
}

/** How fast brine moves in this house's meat, at 3 °C. */
export class DiffusivityShape implements Diffusivity {
  @Amount('m²/s') value: number;
  @Amount('m²/s; one piece in ten lies under it') low: number;
  @Amount('m²/s; one piece in ten lies over it') high: number;
  @Count({}, 'how many cut faces it was learnt from') cutFaces: number;
}

type SchoolOf<Kind extends School['kind']> = Extract<School, { kind: Kind }>;

const GRAMS: Bounds = { min: 0, max: 1e6 };

/** In a brine that is weighed for meat and water, or a strong pickle by the clock. */
export class EquilibriumShape implements SchoolOf<'equilibrium'> {
  @Word(['equilibrium']) kind: 'equilibrium';
  @Amount('g', GRAMS) waterG: number;
  @MayBe() @Amount('% of the brine', PERCENT) strongSaltPercent?: number;
}

/** Pumped, and covered with brine. */
export class PumpAndCoverShape implements SchoolOf<'pumpAndCover'> {
  @Word(['pumpAndCover']) kind: 'pumpAndCover';
  @Amount('g', GRAMS) waterG: number;
  @Amount('% of green weight', PERCENT) pumpPercent: number;
  @Amount('% of green weight', PERCENT) repumpPercent: number;
  @Amount('% of the pickle', PERCENT) pickleSaltPercent: number;
  @Amount('mL', { above: 0 }) syringeML: number;
  @Amount('mm', { above: 0, max: 1500 }) spacingMm: number;
}

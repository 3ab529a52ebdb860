import type { CureMix, Diffusivity, Dose, LineNames, OwnLine, RuleSet, School } from '@bunkhouse/core';
import { Amount, Count, MayBe, Text, Word, YesNo, type Bounds } from './rules.js';

export const PERCENT: Bounds = { min: 0, max: 130 };

/** A cure by its label. */
export class CureMixShape implements CureMix {
  @Text(60, { least: 1 }) name: string;
  @Amount('% NaNO2', PERCENT) nitritePercent: number;
  @Amount('% NaNO3', PERCENT) nitratePercent: number;
  @Amount('% NaCl', PERCENT) saltPercent: number;
  @MayBe() @Amount('% sugar', PERCENT) sugarPercent?: number;
  @MayBe() @Amount('% water, of a ready brine', PERCENT) waterPercent?: number;
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

/** What the needle does. */
class PumpedSchoolShape {
  @Amount('g', GRAMS) waterG: number;
  @Amount('% of green weight', PERCENT) pumpPercent: number;
  @Amount('% of green weight', PERCENT) repumpPercent: number;
  @Amount('% of the pickle', PERCENT) pickleSaltPercent: number;
  @Amount('mL', { above: 0 }) syringeML: number;
  @Amount('mm', { above: 0, max: 1500 }) spacingMm: number;
}

/** Pumped, and covered with brine. */
export class PumpAndCoverShape extends PumpedSchoolShape implements SchoolOf<'pumpAndCover'> {
  @Word(['pumpAndCover']) kind: 'pumpAndCover';
}

/** One brine for the needle and the tub. */
export class PumpSameShape extends PumpedSchoolShape implements SchoolOf<'pumpSame'> {
  @Word(['pumpSame']) kind: 'pumpSame';
}

/** Rubbed on, in a bag with its juice. */
export class DryRubShape implements SchoolOf<'dryRub'> {
  @Word(['dryRub']) kind: 'dryRub';
  @Amount('g', { min: 0, max: 0 }) waterG: 0;
}

/** So much as the label says. */
class LabelDoseShape implements Extract<Dose, { by: 'label' }> {
  @Word(['label']) by: 'label';
  @Amount('g of the cure for each kg', { above: 0, max: 3000 }) gPerKg: number;
  @Word(['meat', 'water']) per: 'meat' | 'water';
}

/** The curing salt is the whole salt. */
class WholeSaltDoseShape implements Extract<Dose, { by: 'wholeSalt' }> {
  @Word(['wholeSalt']) by: 'wholeSalt';
}

/** Every line as the cook has it written. */
class WrittenDoseShape implements Extract<Dose, { by: 'written' }> {
  @Word(['written']) by: 'written';
  @Amount('g', GRAMS) saltG: number;
  @Amount('g', GRAMS) sugarG: number;
  @Amount('g', GRAMS) cureG: number;
}

export const DOSES = () => [LabelDoseShape, WholeSaltDoseShape, WrittenDoseShape] as const;

/** What goes in beside water, salt, sugar and cure, as the cook wrote it. */
export class OwnLineShape implements OwnLine {
  @Text(60, { least: 1 }) name: string;
  @Amount('g', { above: 0, max: 500000 }) g: number;
  @MayBe() @Amount('% NaCl', PERCENT) saltPercent?: number;
  @MayBe() @Amount('% sugar', PERCENT) sugarPercent?: number;
  @MayBe() @Amount('% water', PERCENT) waterPercent?: number;
}

/** What the cook calls salt and sugar. */
export class LineNamesShape implements LineNames {
  @MayBe() @Text(60, { least: 1 }) saltG?: string;
  @MayBe() @Text(60, { least: 1 }) sugarG?: string;
}

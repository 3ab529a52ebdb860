import {
  PRODUCTS,
  SCHOOLS,
  STATIONS,
  type CureDays,
  type Dose,
  type OwnCheck,
  type Process,
  type Recipe,
  type SchoolKind,
  type Section,
  type Spice,
} from '@bunkhouse/core';
import { CureMixShape, DOSES, PERCENT } from './cureShapes.js';
import { GRAMS, SECTIONS, SIZE } from './pieceShapes.js';
import { CELSIUS, MOST_PHASES, ProgramPhaseShape } from './programShapes.js';
import { Amount, Count, Either, MayBe, Part, Parts, Text, Word, YesNo } from './rules.js';
import { HOURS, StepShape } from './stepShapes.js';

const PREFIX = /^[A-Z]{1,4}$/;
const RECIPE_ID = /^[a-z0-9-]+$/;

export class CureDaysShape implements CureDays {
  @Amount('days') shortest: number;
  @Amount('days') usual: number;
  @Amount('days') longest: number;
}

/** By the way in which the brine meets the meat. */
export class DaysBySchoolShape implements Readonly<Process['cureDays']> {
  @Part(() => CureDaysShape) equilibrium: CureDaysShape;
  @Part(() => CureDaysShape) pumpAndCover: CureDaysShape;
}

export class SpiceShape implements Spice {
  @Text(60, { least: 1 }) name: string;
  @Amount('g for each kg of meat', { above: 0, max: 100 }) gPerKg: number;
}

export class ShareShape {
  @Amount('share') low: number;
  @Amount('share') high: number;
}

export class UsualPieceShape {
  @Amount('g', GRAMS) greenG: number;
  @Either(SECTIONS, 'shape') section: Section;
  @Amount('mm', SIZE) lengthMm: number;
}

export class OwnCheckShape implements OwnCheck {
  @Word(STATIONS) station: OwnCheck['station'];
  @Text(200) say: string;
}

/** How a house makes something. */
export class RecipeShape implements Recipe {
  @Text(60, { least: 1 }) name: string;
  @Word(PRODUCTS) product: Recipe['product'];
  @Text(4, { pattern: PREFIX, description: 'first letters of a batch code' }) prefix: string;
  @Word(SCHOOLS) school: SchoolKind;
  @Part(() => UsualPieceShape) piece: UsualPieceShape;
  @Text(400) trim: string;
  @Amount('% of meat and water', PERCENT) saltPercent: number;
  @Amount('% of meat and water', PERCENT) sugarPercent: number;
  @Amount('ingoing, mg NaNO2 per kg', { min: 0, max: 700 }) nitritePpm: number;
  @MayBe() @Amount('% of the brine', { min: 6, max: 26 }) strongSaltPercent?: number;
  @Part(() => CureMixShape) cure: CureMixShape;
  @MayBe() @Either(DOSES, 'by') dose?: Dose;
  @Amount('kg for each kg of meat', { above: 0 }) waterPerMeat: number;
  @Amount('% of green weight', PERCENT) pumpPercent: number;
  @Amount('% of green weight', PERCENT) repumpPercent: number;
  @Amount('% of the pickle', PERCENT) pickleSaltPercent: number;
  @Parts(() => SpiceShape, 24) spices: SpiceShape[];
  @Part(() => DaysBySchoolShape) cureDays: DaysBySchoolShape;
  @Amount('h', HOURS) turnEveryH: number;
  @Amount('h', HOURS) soakH: number;
  @Amount('h', HOURS) dryH: number;
  @Parts(() => ProgramPhaseShape, MOST_PHASES) program: ProgramPhaseShape[];
  @Amount('h', HOURS) cookH: number;
  @Amount('h', HOURS) restH: number;
  @Amount('°C', CELSIUS) coreTargetC: number;
  @Amount('h', HOURS) firstGateH: number;
  @Amount('h', HOURS) secondGateH: number;
  @Amount('h', HOURS) evenOutH: number;
  @Part(() => ShareShape) packedPercent: ShareShape;
  @Parts(() => OwnCheckShape, 24) checks: OwnCheckShape[];
  @Text(2000) note: string;
}

/** Which recipe, and which of its versions. */
export class RecipeVersionName {
  @Text(60, { pattern: RECIPE_ID }) id: string;
  @Count({ min: 1 }) version: number;
}

/** What a process takes for usual. */
export class UsualShape {
  @Word(SCHOOLS) school: SchoolKind;
  @Amount('g', GRAMS) greenG: number;
  @Either(SECTIONS, 'shape') section: Section;
  @Amount('mm', SIZE) lengthMm: number;
  @Amount('% of meat and water', PERCENT) saltPercent: number;
  @Amount('% of meat and water', PERCENT) sugarPercent: number;
  @Amount('kg for each kg of meat') waterPerMeat: number;
  @Amount('% of green weight', PERCENT) pumpPercent: number;
  @Amount('% of green weight', PERCENT) repumpPercent: number;
  @Amount('% of the pickle', PERCENT) pickleSaltPercent: number;
  @MayBe() @Part(() => ShareShape) packedShare?: ShareShape;
  @MayBe() @Amount('ppm') nitritePpm?: number;
  @MayBe() @Amount('% of the brine', PERCENT) strongSaltPercent?: number;
  @MayBe() @Part(() => CureMixShape) cure?: CureMixShape;
  @MayBe() @Either(DOSES, 'by') dose?: Dose;
  @MayBe() @Parts(() => SpiceShape, 24) spices?: SpiceShape[];
}

/** The steps of a batch, as they were when it was started. */
export class ProcessShape implements Process {
  @Word(PRODUCTS) product: Process['product'];
  @Count({ min: 1 }) version: number;
  @Text(60, { least: 1 }) name: string;
  @Text(4, { pattern: PREFIX }) prefix: string;
  @Part(() => DaysBySchoolShape) cureDays: DaysBySchoolShape;
  @Part(() => UsualShape) usual: UsualShape;
  @Amount('°C', CELSIUS) coreTargetC: number;
  @MayBe() @Parts(() => ProgramPhaseShape, MOST_PHASES) program?: ProgramPhaseShape[];
  @YesNo('finished weight may not be more than green weight') notAboveGreen: boolean;
  @Parts(() => StepShape, 60) steps: StepShape[];
  @MayBe() @Text(2000) note?: string;
  @MayBe() @Part(() => RecipeVersionName) recipe?: RecipeVersionName;
}

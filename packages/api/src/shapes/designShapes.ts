import { PRODUCTS, RULE_SET_IDS, type BatchDesign, type DesignChanges, type Dose, type School, type StepInstants } from '@bunkhouse/core';
import {
  CureMixShape,
  DiffusivityShape,
  DryRubShape,
  EquilibriumShape,
  DOSES,
  LineNamesShape,
  OwnLineShape,
  PERCENT,
  PumpAndCoverShape,
  PumpSameShape,
  RuleSetShape,
} from './cureShapes.js';
import { PieceShape } from './pieceShapes.js';
import { VesselShape } from './vesselShape.js';
import { CELSIUS, MOST_PHASES, ProgramPhaseShape } from './programShapes.js';
import { Amount, ByName, Either, Instant, MayBe, Part, Parts, Word, YesNo, type Bounds } from './rules.js';
import type { RuleContext } from './ruleContext.js';

const DAYS: Bounds = { min: 0.5, max: 60 };
/** Instants by steps, stores by what is held in them. */
export const INSTANTS = { values: { type: 'string', format: 'date-time' }, names: '^[a-z0-9-]{1,60}$', most: 120 } as const satisfies RuleContext;
export const STORES = { values: { type: 'string', maxLength: 60, pattern: '^[a-z0-9-]+$' }, most: 10 } as const satisfies RuleContext;
type Stores = NonNullable<BatchDesign['stores']>;

/** What was decided before a batch started. */
export class DesignShape implements BatchDesign {
  @Word(PRODUCTS) product: BatchDesign['product'];
  @Parts(() => PieceShape, 12, 1) pieces: PieceShape[];
  @Either(() => [EquilibriumShape, PumpAndCoverShape, PumpSameShape, DryRubShape] as const, 'kind') school: School;
  @Amount('% of meat and water', PERCENT) saltPercent: number;
  @Amount('% of meat and water', PERCENT) sugarPercent: number;
  @Amount('ingoing, mg NaNO2 per kg', { min: 0, max: 2000 }) nitritePpm: number;
  @Part(() => CureMixShape) cure: CureMixShape;
  @MayBe() @Either(DOSES, 'by') dose?: Dose;
  @MayBe() @Parts(() => OwnLineShape, 24) ownLines?: OwnLineShape[];
  @MayBe() @YesNo('true where nothing of the recipe’s spices goes in') withoutSpices?: boolean;
  @MayBe() @Part(() => LineNamesShape) lineNames?: LineNamesShape;
  @MayBe() @Parts(() => VesselShape, 12) vessels?: VesselShape[];
  @MayBe() @Amount('ascorbate or erythorbate, mg per kg', { min: 0, max: 550 }) acceleratorPpm?: number;
  @Word(RULE_SET_IDS) ruleSet: BatchDesign['ruleSet'];
  @MayBe() @Part(() => RuleSetShape) house?: RuleSetShape;
  @Amount('days', DAYS) cureDays: number;
  @MayBe() @Amount('°C', CELSIUS) coldC?: number;
  @MayBe() @ByName<StepInstants>(INSTANTS) stepAt?: StepInstants;
  @MayBe() @Instant() readyBy?: string;
  @MayBe() @ByName<Stores>(STORES) stores?: Stores;
  @MayBe() @Parts(() => ProgramPhaseShape, MOST_PHASES) program?: ProgramPhaseShape[];
  @MayBe() @Amount('min', { min: 0 }) soakMin?: number;
  @MayBe() @Part(() => DiffusivityShape) diffusivity?: DiffusivityShape;
  @Amount('g', { above: 0 }) meatScaleStepG: number;
  @Amount('g', { above: 0 }) cureScaleStepG: number;
  @Instant() startsAt: string;
}

/** What is decided anew on the way. */
export class DesignChangesShape implements DesignChanges {
  @MayBe() @Amount('days', DAYS) cureDays?: number;
  @MayBe() @Amount('°C', CELSIUS) coldC?: number;
  @MayBe() @Amount('min', { min: 0 }) soakMin?: number;
  @MayBe() @ByName<StepInstants>(INSTANTS) stepAt?: StepInstants;
  @MayBe() @Instant() startsAt?: string;
  @MayBe() @Instant() readyBy?: string;
  @MayBe() @ByName<Stores>(STORES) stores?: Stores;
  @MayBe() @Parts(() => ProgramPhaseShape, MOST_PHASES) program?: ProgramPhaseShape[];
  @MayBe() @Amount('% of green weight', PERCENT) pumpPercent?: number;
  @MayBe() @Amount('% of the pickle', PERCENT) pickleSaltPercent?: number;
  @MayBe() @Amount('% of meat and water', PERCENT) saltPercent?: number;
  @MayBe() @Amount('share of the thickness', { above: 0, max: 2 }) thicknessShare?: number;
  @MayBe() @YesNo() skinOn?: boolean;
}

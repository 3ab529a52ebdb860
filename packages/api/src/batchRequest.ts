import {
  COLD_MOST_C,
  MOST_PIECES,
  PLANNED_PRODUCTS,
  SCHOOLS,
  RULE_SET_IDS,
  STRONG_SALT,
  VESSEL_KINDS,
  type Product,
  type RuleSetId,
  type School,
  type VesselKind,
} from '@bunkhouse/core';
import { IsInstant } from './isInstant.js';
import { CureRequest, DiffusivityRequest } from './cureRequest.js';
import { DoseRequest, LineNamesRequest, OwnLineRequest } from './doseRequest.js';
import { PieceRequest } from './pieceRequest.js';
import { RecipeOfBatch } from './recipeRequest.js';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';
import { nested, nestedList } from './nested.js';
import { INSTANTS, STORES } from './shapes/designShapes.js';
import { told, withSchema } from './say/ruleWords.js';

const cured = (request: BatchRequest) => request.nitritePpm !== 0 && request.cure !== undefined && request.cure !== null;

const pumped = (request: BatchRequest) => request.school === 'pumpAndCover' || request.school === 'pumpSame';

/** A ready brine is poured as it is; a rub has none. */
const watered = ({ school, dose, cure }: BatchRequest) => school !== 'dryRub' && !(dose?.per === 'meat' && (cure?.waterPercent ?? 0) > 0);

/** Where a label says how much, the salt follows. */
const salted = ({ dose, school, strongSaltPercent }: BatchRequest) =>
  dose?.by !== 'label' && (dose?.by !== 'written' || school === 'pumpSame' || strongSaltPercent !== undefined);

const houseRuled = (request: BatchRequest) => request.ruleSet === 'house';

/** What a cook decides before a batch starts. The rules here are those of the form and of the server. */
export class BatchRequest {
  /** made by the sender, so that sending it twice makes one batch */
  @IsUUID(undefined, told('batch-id-missing'))
  id: string;

  @IsIn(PLANNED_PRODUCTS, told('batch-product-choice'))
  product: Product;

  /** what it is made by; the starter of the product when not given */
  @IsOptional()
  @nested(RecipeOfBatch, told('recipe-name-shape'))
  recipe?: RecipeOfBatch;

  @nestedList(PieceRequest, told('piece-shape'))
  @ArrayMinSize(1, told('batch-pieces-count-least'))
  @ArrayMaxSize(MOST_PIECES, told('batch-pieces-count-most', { most: MOST_PIECES }))
  @IsArray(told('batch-pieces-count-least'))
  pieces: PieceRequest[];

  /** what the pieces lie in where they lie apart; see `vessel` of a piece */
  @IsOptional()
  @IsIn(VESSEL_KINDS, told('batch-vessel-choice'))
  vesselKind?: VesselKind;

  /** the same of the brine in each, whatever lies in it; by the weight of the meat when not given */
  @IsOptional()
  @IsBoolean(told('batch-shared-alike'))
  sharedAlike?: boolean;

  @IsIn(SCHOOLS, told('batch-school-choice'))
  school: School['kind'];

  /** % of the brine: a strong pickle that is left by the clock; weighed for meat and water when not given */
  @IsOptional()
  @Min(STRONG_SALT.min, told('batch-strong-salt-least', { least: STRONG_SALT.min }))
  @Max(STRONG_SALT.max, told('batch-strong-salt-most', { most: STRONG_SALT.max }))
  @IsNumber({}, told('batch-strong-salt-missing'))
  strongSaltPercent?: number;

  /** g; the whole water, or that of the cover brine */
  @ValidateIf(watered)
  @Min(100, told('batch-water-least'))
  @Max(500000, told('batch-water-most', { mostL: 500 }))
  @IsNumber({}, told('batch-water-missing'))
  waterG: number;

  /** % of meat + water */
  @ValidateIf(salted)
  @Min(0.5, told('batch-salt-least', { leastPercent: 0.5 }))
  @Max(8, told('batch-salt-most', { mostPercent: 8, usualPercent: 3 }))
  @IsNumber({}, told('batch-salt-missing'))
  saltPercent: number;

  /** % of meat + water; of the brine where it is a strong pickle by the clock */
  @Min(0, told('cure-sugar-least'))
  @Max(8, told('batch-sugar-most', { most: 8, low: 0.5, high: 2 }))
  @IsNumber({}, told('batch-sugar-missing'))
  sugarPercent: number;

  /** ingoing, ppm; 0 for salted meat without a cure */
  @Min(0, told('batch-nitrite-least'))
  @Max(2000, told('batch-nitrite-most', { mostPpm: 2000 }))
  @IsNumber({}, told('batch-nitrite-missing'))
  nitritePpm: number;

  /** cure #1 when not given; none where no nitrite is aimed at */
  @ValidateIf(cured)
  @nested(CureRequest, told('cure-shape'))
  cure?: CureRequest;

  /** how the cure is dosed where it is not by the nitrite aimed at: salt and nitrite then follow from it */
  @IsOptional()
  @nested(DoseRequest, told('dose-shape'))
  dose?: DoseRequest;

  /** what else lies in the brine around the meat, or in the rub, as the cook wrote it */
  @IsOptional()
  @nestedList(OwnLineRequest, told('own-line-shape'))
  @ArrayMaxSize(24, told('own-lines-most', { most: 24 }))
  @IsArray(told('own-line-shape'))
  ownLines?: OwnLineRequest[];

  /** nothing of the recipe's spices goes in */
  @IsOptional()
  @IsBoolean(told('batch-without-spices'))
  withoutSpices?: boolean;

  /** what the cook calls salt and sugar */
  @IsOptional()
  @nested(LineNamesRequest, told('own-line-shape'))
  lineNames?: LineNamesRequest;

  /** ascorbate or erythorbate, ppm; none when not given */
  @IsOptional()
  @Min(0, told('batch-accelerator-least'))
  @Max(550, told('batch-accelerator-most', { mostPpm: 550 }))
  @IsNumber({}, told('batch-accelerator-missing'))
  acceleratorPpm?: number;

  @IsIn(RULE_SET_IDS, told('batch-rule-set-choice'))
  ruleSet: RuleSetId;

  /** the house’s own limits, ppm, for the rule set `house` */
  @ValidateIf(houseRuled)
  @Min(1, told('batch-house-limit-least'))
  @Max(700, told('batch-house-limit-most'))
  @IsNumber({}, told('batch-house-limit-missing'))
  houseLimit?: number;

  @ValidateIf(houseRuled)
  @Min(1, told('batch-house-floor-least', { leastPpm: 1 }))
  @Max(700, told('batch-house-floor-most'))
  @IsNumber({}, told('batch-house-floor-missing'))
  houseFloor?: number;

  @Min(1, told('batch-cure-days-least'))
  @Max(60, told('batch-cure-days-most'))
  @IsNumber({}, told('batch-cure-days-missing'))
  cureDays: number;

  /** planned refrigerator, °C; 3 when not given */
  @IsOptional()
  @Min(-1, told('batch-cold-least', { leastC: -1 }))
  @Max(COLD_MOST_C, told('batch-cold-most', { mostC: COLD_MOST_C }))
  @IsNumber({}, told('batch-cold-missing'))
  coldC?: number;

  /** when it is wanted on the table */
  @IsOptional()
  @IsInstant(told('batch-ready-by-time'))
  readyBy?: string;

  /** instants for which the Calendar has planned jobs, by step */
  @IsOptional()
  @IsObject(withSchema(told('batch-step-at-missing'), INSTANTS))
  stepAt?: Record<string, string>;

  /** the stores of the house that it is planned for, by what is held: see `HoldName` of the core */
  @IsOptional()
  @IsObject(withSchema(told('batch-stores-missing'), STORES))
  stores?: Record<string, string>;

  /** what the cure is modelled with; the usual one when not given */
  @IsOptional()
  @nested(DiffusivityRequest, told('diffusivity-shape'))
  diffusivity?: DiffusivityRequest;

  @Min(0.01, told('batch-meat-scale-step-least'))
  @Max(500, told('batch-meat-scale-step-most'))
  @IsNumber({}, told('batch-meat-scale-step-missing'))
  meatScaleStepG: number;

  @Min(0.001, told('batch-meat-scale-step-least'))
  @Max(50, told('batch-cure-scale-step-most'))
  @IsNumber({}, told('batch-cure-scale-step-missing'))
  cureScaleStepG: number;

  @ValidateIf(pumped)
  @Min(1, told('batch-pump-least', { leastPercent: 1 }))
  @Max(30, told('batch-pump-most', { mostPercent: 30, usualPercent: 15 }))
  @IsNumber({}, told('batch-pump-missing'))
  pumpPercent?: number;

  @ValidateIf(pumped)
  @Min(0, told('batch-repump-least'))
  @Max(15, told('batch-repump-most', { mostPercent: 15, usualPercent: 4 }))
  @IsNumber({}, told('batch-repump-missing'))
  repumpPercent?: number;

  /** % w/w of the pickle */
  @ValidateIf(pumped)
  @Min(1, told('batch-pickle-salt-least', { leastPercent: 1 }))
  @Max(26, told('batch-pickle-salt-most', { most: STRONG_SALT.max }))
  @IsNumber({}, told('batch-pickle-salt-missing'))
  pickleSaltPercent?: number;

  @ValidateIf(pumped)
  @Min(5, told('batch-syringe-least', { leastML: 5 }))
  @Max(1000, told('batch-syringe-most', { mostL: 1 }))
  @IsNumber({}, told('batch-syringe-missing'))
  syringeML?: number;

  @ValidateIf(pumped)
  @Min(10, told('batch-spacing-least', { leastMm: 10 }))
  @Max(100, told('batch-spacing-most', { mostMm: 100, usualMm: 25 }))
  @IsNumber({}, told('batch-spacing-missing'))
  spacingMm?: number;

  @IsInstant(told('start-missing'))
  startsAt: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('batch-by-missing'))
  @IsString(told('batch-by-missing'))
  by: string;
}

import { MOST_PIECES, PLANNED_PRODUCTS, SCHOOLS, STRONG_SALT, type Product, type School } from '@bunkhouse/core';
import { IsInstant } from './isInstant.js';
import { RecipeOfBatch } from './recipeRequest.js';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
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

/** Rule sets that may be chosen for a batch. */
export const BATCH_RULE_SETS = ['us', 'canada', 'eu', 'uk', 'house'] as const;
export type BatchRuleSet = (typeof BATCH_RULE_SETS)[number];

/** One piece of meat: green weight in g, sizes in mm. */
export class PieceRequest {
  @Min(100, { message: 'Less than 100 g is no piece to cure. Look at the unit.' })
  @Max(60000, { message: 'More than 60 kg is no single piece. Look at the unit.' })
  @IsNumber({}, { message: 'Weigh the piece: a number is missing.' })
  greenG: number;

  @IsIn(['slab', 'round'], { message: 'Choose round or flat.' })
  shape: 'slab' | 'round';

  /** thickness of a slab, diameter of a round piece */
  @Min(5, { message: 'Thinner than 5 mm is no piece to cure. Look at the unit.' })
  @Max(400, { message: 'Thicker than 400 mm (16 in) is no piece of meat. Look at the unit.' })
  @IsNumber({}, { message: 'Measure it at its thickest: a number is missing.' })
  thicknessMm: number;

  /** the bone in the middle; none when not given */
  @IsOptional()
  @Min(0, { message: 'A bone cannot be less than nothing across.' })
  @Max(150, { message: 'No bone is 150 mm across. Look at the unit.' })
  @IsNumber({}, { message: 'How far across is the bone? Leave it empty for none.' })
  boneMm?: number;

  /** skin or silver skin left on one side: no brine passes it */
  @IsOptional()
  @IsBoolean({ message: 'Skin left on: yes or no.' })
  skinOn?: boolean;

  /** fat left on that side */
  @IsOptional()
  @Min(0, { message: 'Fat cannot be less than nothing thick.' })
  @Max(60, { message: 'More than 60 mm of fat is no cap. Look at the unit.' })
  @IsNumber({}, { message: 'How thick is the fat? Leave it empty for none.' })
  fatCapMm?: number;

  @Min(30, { message: 'Shorter than 30 mm is no piece to cure. Look at the unit.' })
  @Max(1500, { message: 'Longer than 1.5 m is no piece of meat. Look at the unit.' })
  @IsNumber({}, { message: 'Measure its length: a number is missing.' })
  lengthMm: number;
}

/** A cure mix as its label gives it, % by weight. */
export class CureRequest {
  @MaxLength(60, { message: 'A shorter name for the cure, please: 60 letters at most.' })
  @MinLength(1, { message: 'The cure needs the name on its label.' })
  @IsString({ message: 'The cure needs the name on its label.' })
  name: string;

  @Min(0.1, { message: 'Under 0.1 % nitrite it is no cure. Read the label again.' })
  @Max(20, { message: 'Over 20 % nitrite is no kitchen cure. Read the label again.' })
  @IsNumber({}, { message: 'How much nitrite does the label give? A number is missing.' })
  nitritePercent: number;

  @Min(0, { message: 'Nitrate cannot be less than nothing.' })
  @Max(20, { message: 'Over 20 % nitrate is no kitchen cure. Read the label again.' })
  @IsNumber({}, { message: 'How much nitrate does the label give? Put 0 for none.' })
  nitratePercent: number;

  @Min(0, { message: 'Salt cannot be less than nothing.' })
  @Max(100, { message: 'More than 100 % salt cannot be.' })
  @IsNumber({}, { message: 'How much salt is in the cure? Put 0 for none.' })
  saltPercent: number;

  /** sugar in a ready mix */
  @IsOptional()
  @Min(0, { message: 'Sugar cannot be less than nothing.' })
  @Max(100, { message: 'More than 100 % sugar cannot be.' })
  @IsNumber({}, { message: 'How much sugar is in the cure? Put 0 for none.' })
  sugarPercent?: number;

  @IsOptional()
  @IsBoolean({ message: 'May it be pumped: yes or no.' })
  mayPump?: boolean;
}

/** How fast brine moves in this house's meat, m²/s at 3 °C: learnt from cut faces. */
export class DiffusivityRequest {
  @Min(1e-10, { message: 'Brine moves faster than that in any meat.' })
  @Max(1e-9, { message: 'Brine moves slower than that in any meat.' })
  @IsNumber({}, { message: 'The diffusivity is missing.' })
  value: number;

  @Min(1e-11, { message: 'Brine moves faster than that in any meat.' })
  @Max(1e-9, { message: 'Brine moves slower than that in any meat.' })
  @IsNumber({}, { message: 'The low end of the diffusivity is missing.' })
  low: number;

  @Min(1e-10, { message: 'Brine moves faster than that in any meat.' })
  @Max(1e-8, { message: 'Brine moves slower than that in any meat.' })
  @IsNumber({}, { message: 'The high end of the diffusivity is missing.' })
  high: number;

  @Min(0, { message: 'Cut faces are counted from 0.' })
  @IsInt({ message: 'Cut faces are counted.' })
  cutFaces: number;
}

const cured = (request: BatchRequest) => request.nitritePpm !== 0 && request.cure !== undefined && request.cure !== null;

const pumped = (request: BatchRequest) => request.school === 'pumpAndCover';

const houseRuled = (request: BatchRequest) => request.ruleSet === 'house';

/** What a cook decides before a batch starts. The rules here are those of the form and of the server. */
export class BatchRequest {
  /** made by the sender, so that sending it twice makes one batch */
  @IsUUID(undefined, { message: 'The batch needs an id.' })
  id: string;

  @IsIn(PLANNED_PRODUCTS, { message: 'Choose what it is to be.' })
  product: Product;

  /** what it is made by; the starter of the product when not given */
  @IsOptional()
  @nested(RecipeOfBatch, 'The recipe is not named as it should be.')
  recipe?: RecipeOfBatch;

  @nestedList(PieceRequest, 'A piece is not described as it should be.')
  @ArrayMinSize(1, { message: 'Weigh at least one piece.' })
  @ArrayMaxSize(MOST_PIECES, { message: `At most ${MOST_PIECES} pieces go into one batch.` })
  @IsArray({ message: 'Weigh at least one piece.' })
  pieces: PieceRequest[];

  @IsIn(SCHOOLS, { message: 'Choose how the brine meets the meat.' })
  school: School['kind'];

  /** % of the brine: a strong pickle that is left by the clock; weighed for meat and water when not given */
  @IsOptional()
  @Min(STRONG_SALT.min, { message: `Under ${STRONG_SALT.min} % of the brine is no strong pickle: weigh it for meat and water.` })
  @Max(STRONG_SALT.max, { message: `No more than ${STRONG_SALT.max} % salt dissolves.` })
  @IsNumber({}, { message: 'How strong is the pickle? A number is missing.' })
  strongSaltPercent?: number;

  /** g; the whole water, or that of the cover brine */
  @Min(100, { message: 'That little water covers nothing.' })
  @Max(500000, { message: 'More than 500 L of water. Look at the unit.' })
  @IsNumber({}, { message: 'How much water? A number is missing.' })
  waterG: number;

  /** % of meat + water */
  @Min(0.5, { message: 'Under 0.5 % salt is no brine.' })
  @Max(8, { message: 'Over 8 % of meat and water is too salty to eat. 2 to 3 % is usual.' })
  @IsNumber({}, { message: 'How much salt? A number is missing.' })
  saltPercent: number;

  /** % of meat + water; of the brine where it is a strong pickle by the clock */
  @Min(0, { message: 'Sugar cannot be less than nothing.' })
  @Max(8, { message: 'Over 8 % sugar burns in the smoke. 0.5 to 2 % is usual.' })
  @IsNumber({}, { message: 'How much sugar? Put 0 for none.' })
  sugarPercent: number;

  /** ingoing, ppm; 0 for salted meat without a cure */
  @Min(0, { message: 'Nitrite cannot be less than nothing.' })
  @Max(2000, { message: 'Over 2000 ppm is poisonous. Look at the number.' })
  @IsNumber({}, { message: 'How much nitrite? A number is missing.' })
  nitritePpm: number;

  /** cure #1 when not given; none where no nitrite is aimed at */
  @ValidateIf(cured)
  @nested(CureRequest, 'The cure is not described as its label should.')
  cure?: CureRequest;

  /** ascorbate or erythorbate, ppm; none when not given */
  @IsOptional()
  @Min(0, { message: 'Ascorbate cannot be less than nothing.' })
  @Max(550, { message: 'More than 550 ppm ascorbate is allowed nowhere.' })
  @IsNumber({}, { message: 'How much ascorbate? A number is missing.' })
  acceleratorPpm?: number;

  @IsIn(BATCH_RULE_SETS, { message: 'Choose whose rules hold for you.' })
  ruleSet: BatchRuleSet;

  /** the house’s own limits, ppm, for the rule set `house` */
  @ValidateIf(houseRuled)
  @Min(1, { message: 'A limit of nothing lets nothing be cured.' })
  @Max(700, { message: 'No code allows so much. Look at the number.' })
  @IsNumber({}, { message: 'What is the house’s limit? A number is missing.' })
  houseLimit?: number;

  @ValidateIf(houseRuled)
  @Min(1, { message: 'Under 1 ppm is no floor.' })
  @Max(700, { message: 'No code asks for so much. Look at the number.' })
  @IsNumber({}, { message: 'What is the house’s floor? A number is missing.' })
  houseFloor?: number;

  @Min(1, { message: 'At least a day of cure.' })
  @Max(60, { message: 'More than 60 days is no wet cure.' })
  @IsNumber({}, { message: 'How many days of cure? A number is missing.' })
  cureDays: number;

  /** planned refrigerator, °C; 3 when not given */
  @IsOptional()
  @Min(-1, { message: 'Under −1 °C the brine stands still and the meat freezes.' })
  @Max(4, { message: 'Meat in brine lies at 4 °C or below.' })
  @IsNumber({}, { message: 'How cold is the refrigerator? A number is missing.' })
  coldC?: number;

  /** when it is wanted on the table */
  @IsOptional()
  @IsInstant('When it is wanted needs a date and a time.')
  readyBy?: string;

  /** instants for which the Calendar has planned jobs, by step */
  @IsOptional()
  @IsObject({ message: 'Planned jobs are given by their step.', context: INSTANTS })
  stepAt?: Record<string, string>;

  /** the stores of the house that it is planned for, by what is held: see `HoldName` of the core */
  @IsOptional()
  @IsObject({ message: 'Stores are given by what is held in them.', context: STORES })
  stores?: Record<string, string>;

  /** what the cure is modelled with; the usual one when not given */
  @IsOptional()
  @nested(DiffusivityRequest, 'The diffusivity is not given as it should be.')
  diffusivity?: DiffusivityRequest;

  @Min(0.01, { message: 'The scale’s step must be more than 0.' })
  @Max(500, { message: 'That scale is too coarse for meat.' })
  @IsNumber({}, { message: 'What does the scale for meat step by?' })
  meatScaleStepG: number;

  @Min(0.001, { message: 'The scale’s step must be more than 0.' })
  @Max(50, { message: 'That scale is too coarse for cure.' })
  @IsNumber({}, { message: 'What does the scale for cure step by?' })
  cureScaleStepG: number;

  @ValidateIf(pumped)
  @Min(1, { message: 'Under 1 % is no pump.' })
  @Max(30, { message: 'No piece holds more than 30 %. 7 to 15 % is usual.' })
  @IsNumber({}, { message: 'How much to pump? A number is missing.' })
  pumpPercent?: number;

  @ValidateIf(pumped)
  @Min(0, { message: 'Put 0 for no re-pump.' })
  @Max(15, { message: 'Over 15 % is no re-pump. 2 to 4 % is usual.' })
  @IsNumber({}, { message: 'Re-pump: put 0 for none.' })
  repumpPercent?: number;

  /** % w/w of the pickle */
  @ValidateIf(pumped)
  @Min(1, { message: 'Under 1 % salt is no pickle.' })
  @Max(26, { message: 'Water holds no more than 26.4 % salt.' })
  @IsNumber({}, { message: 'How strong a pickle? A number is missing.' })
  pickleSaltPercent?: number;

  @ValidateIf(pumped)
  @Min(5, { message: 'A syringe under 5 mL is no brine syringe.' })
  @Max(1000, { message: 'A syringe over 1 L is no syringe.' })
  @IsNumber({}, { message: 'How much does the syringe hold?' })
  syringeML?: number;

  @ValidateIf(pumped)
  @Min(10, { message: 'Closer than 10 mm tears the meat.' })
  @Max(100, { message: 'Further apart than 100 mm leaves gaps. 20 to 30 mm is usual.' })
  @IsNumber({}, { message: 'How far apart are the needle sites?' })
  spacingMm?: number;

  @IsInstant('The start needs a date and a time.')
  startsAt: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who starts it? A name is missing.' })
  @IsString({ message: 'Who starts it? A name is missing.' })
  by: string;
}

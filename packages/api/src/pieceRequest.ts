import { IsBoolean, IsIn, IsInt, IsNumber, IsOptional, Max, Min } from 'class-validator';
import { told } from './say/ruleWords.js';

/** One piece of meat: green weight in g, sizes in mm. */
export class PieceRequest {
  @Min(100, told('piece-green-least', { leastG: 100 }))
  @Max(60000, told('piece-green-most', { mostKg: 60 }))
  @IsNumber({}, told('piece-green-missing'))
  greenG: number;

  @IsIn(['slab', 'round'], told('piece-shape-choice'))
  shape: 'slab' | 'round';

  /** thickness of a slab, diameter of a round piece */
  @Min(5, told('piece-thickness-least', { leastMm: 5 }))
  @Max(400, told('piece-thickness-most', { mostMm: 400 }))
  @IsNumber({}, told('piece-thickness-missing'))
  thicknessMm: number;

  /** the bone in the middle; none when not given */
  @IsOptional()
  @Min(0, told('piece-bone-least'))
  @Max(150, told('piece-bone-most', { mostMm: 150 }))
  @IsNumber({}, told('piece-bone-missing'))
  boneMm?: number;

  /** skin or silver skin left on one side: no brine passes it */
  @IsOptional()
  @IsBoolean(told('piece-skin-on-yes-or-no'))
  skinOn?: boolean;

  /** fat left on that side */
  @IsOptional()
  @Min(0, told('piece-fat-cap-least'))
  @Max(60, told('piece-fat-cap-most', { mostMm: 60 }))
  @IsNumber({}, told('piece-fat-cap-missing'))
  fatCapMm?: number;

  @Min(30, told('piece-length-least', { leastMm: 30 }))
  @Max(1500, told('piece-length-most', { mostMm: 1500 }))
  @IsNumber({}, told('piece-length-missing'))
  lengthMm: number;

  /** in which tub or bag it is planned to lie, from 1; all in one when not given */
  @IsOptional()
  @Min(1, told('piece-vessel-choice'))
  @Max(12, told('piece-vessel-choice'))
  @IsInt(told('piece-vessel-choice'))
  vessel?: number;
}

import { IsBoolean, IsInt, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { told } from './say/ruleWords.js';

/** A cure mix as its label gives it, % by weight. */
export class CureRequest {
  @MaxLength(60, told('cure-name-longest', { most: 60 }))
  @MinLength(1, told('cure-name-missing'))
  @IsString(told('cure-name-missing'))
  name: string;

  @Min(0.01, told('cure-nitrite-least', { leastPercent: 0.01 }))
  @Max(20, told('cure-nitrite-most', { mostPercent: 20 }))
  @IsNumber({}, told('cure-nitrite-missing'))
  nitritePercent: number;

  @Min(0, told('cure-nitrate-least'))
  @Max(20, told('cure-nitrate-most', { mostPercent: 20 }))
  @IsNumber({}, told('cure-nitrate-missing'))
  nitratePercent: number;

  @Min(0, told('cure-salt-least'))
  @Max(100, told('cure-salt-most', { mostPercent: 100 }))
  @IsNumber({}, told('cure-salt-missing'))
  saltPercent: number;

  /** sugar in a ready mix */
  @IsOptional()
  @Min(0, told('cure-sugar-least'))
  @Max(100, told('cure-sugar-most', { mostPercent: 100 }))
  @IsNumber({}, told('cure-sugar-missing'))
  sugarPercent?: number;

  /** water of a brine that is bought ready */
  @IsOptional()
  @Min(0, told('cure-water-least'))
  @Max(100, told('cure-water-most', { mostPercent: 100 }))
  @IsNumber({}, told('cure-water-missing'))
  waterPercent?: number;

  @IsOptional()
  @IsBoolean(told('cure-may-pump-yes-or-no'))
  mayPump?: boolean;
}

/** How fast brine moves in this house's meat, m²/s at 3 °C: learnt from cut faces. */
export class DiffusivityRequest {
  @Min(1e-10, told('diffusivity-value-least'))
  @Max(1e-9, told('diffusivity-value-most'))
  @IsNumber({}, told('diffusivity-value-missing'))
  value: number;

  @Min(1e-11, told('diffusivity-value-least'))
  @Max(1e-9, told('diffusivity-value-most'))
  @IsNumber({}, told('diffusivity-low-missing'))
  low: number;

  @Min(1e-10, told('diffusivity-value-least'))
  @Max(1e-8, told('diffusivity-value-most'))
  @IsNumber({}, told('diffusivity-high-missing'))
  high: number;

  @Min(0, told('diffusivity-cut-faces-least'))
  @IsInt(told('diffusivity-cut-faces-missing'))
  cutFaces: number;
}

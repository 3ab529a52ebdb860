import { LABEL_G_PER_KG, type Dose } from '@bunkhouse/core';
import { IsIn, IsNumber, IsOptional, IsString, Max, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import { told } from './say/ruleWords.js';

const byLabel = ({ by }: DoseRequest) => by === 'label';
const written = ({ by }: DoseRequest) => by === 'written';

/** How much of the cure: as its label says, or as the whole salt. */
export class DoseRequest {
  @IsIn(['label', 'wholeSalt', 'written'], told('dose-by-choice'))
  by: Dose['by'];

  @ValidateIf(byLabel)
  @Min(0.1, told('dose-least'))
  @Max(LABEL_G_PER_KG.max, told('dose-most', { most: LABEL_G_PER_KG.max }))
  @IsNumber({}, told('dose-missing'))
  gPerKg?: number;

  @ValidateIf(byLabel)
  @IsIn(['meat', 'water'], told('dose-per-choice'))
  per?: 'meat' | 'water';

  @ValidateIf(written)
  @Min(0, told('dose-line-least'))
  @Max(500000, told('own-line-most'))
  @IsNumber({}, told('own-line-missing'))
  saltG?: number;

  @ValidateIf(written)
  @Min(0, told('dose-line-least'))
  @Max(500000, told('own-line-most'))
  @IsNumber({}, told('own-line-missing'))
  sugarG?: number;

  @ValidateIf(written)
  @Min(0, told('dose-line-least'))
  @Max(500000, told('own-line-most'))
  @IsNumber({}, told('own-line-missing'))
  cureG?: number;
}

/** One line of the cook's own: what it is called, what it weighs, what it is made of. */
export class OwnLineRequest {
  @MaxLength(60, told('own-line-name-longest', { most: 60 }))
  @MinLength(1, told('own-line-name-missing'))
  @IsString(told('own-line-name-missing'))
  name: string;

  @Min(0.01, told('own-line-least'))
  @Max(500000, told('own-line-most'))
  @IsNumber({}, told('own-line-missing'))
  g: number;

  @IsOptional()
  @Min(0, told('own-line-share'))
  @Max(100, told('own-line-share'))
  @IsNumber({}, told('own-line-share'))
  saltPercent?: number;

  @IsOptional()
  @Min(0, told('own-line-share'))
  @Max(100, told('own-line-share'))
  @IsNumber({}, told('own-line-share'))
  sugarPercent?: number;

  @IsOptional()
  @Min(0, told('own-line-share'))
  @Max(100, told('own-line-share'))
  @IsNumber({}, told('own-line-share'))
  waterPercent?: number;
}

/** What the cook calls salt and sugar. */
export class LineNamesRequest {
  @IsOptional()
  @MaxLength(60, told('own-line-name-longest', { most: 60 }))
  @MinLength(1, told('own-line-name-missing'))
  @IsString(told('own-line-name-missing'))
  saltG?: string;

  @IsOptional()
  @MaxLength(60, told('own-line-name-longest', { most: 60 }))
  @MinLength(1, told('own-line-name-missing'))
  @IsString(told('own-line-name-missing'))
  sugarG?: string;
}

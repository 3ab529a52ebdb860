import { LOT_KINDS, type LotKind } from '@bunkhouse/core';
import { IsBoolean, IsIn, IsNumber, IsOptional, IsString, IsUUID, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { told } from './say/ruleWords.js';

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** A delivery of cure, salt, sugar, spice, meat or wood. */
export class LotRequest {
  /** made by the sender, so that sending it twice keeps it once; the same id again changes it */
  @IsUUID(undefined, told('lot-id-missing'))
  id: string;

  @IsIn(LOT_KINDS, told('lot-kind-choice'))
  kind: LotKind;

  /** what it is, and the number that its maker gave it */
  @MaxLength(60, told('letters-longest', { most: 60 }))
  @MinLength(1, told('lot-name-missing'))
  @IsString(told('lot-name-missing'))
  name: string;

  @MaxLength(40, told('letters-longest', { most: 40 }))
  @IsString(told('lot-number-missing'))
  number: string;

  @MaxLength(60, told('letters-longest', { most: 60 }))
  @IsString(told('lot-supplier-missing'))
  supplier: string;

  @Matches(DAY, told('lot-received-on-form'))
  receivedOn: string;

  @IsOptional()
  @Matches(DAY, told('lot-best-before-form'))
  bestBefore?: string;

  /** g */
  @Min(1, told('lot-amount-least'))
  @Max(10_000_000, told('lot-amount-most'))
  @IsNumber({}, told('lot-amount-missing'))
  amountG: number;

  /** what all of it cost, in the house's money */
  @IsOptional()
  @Min(0, told('lot-price-least'))
  @Max(10_000_000, told('lot-price-most'))
  @IsNumber({}, told('lot-price-missing'))
  price?: number;

  /** not offered any more; batches keep it */
  @IsBoolean(told('person-put-away-yes-or-no'))
  putAway: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('written-by-missing'))
  @IsString(told('written-by-missing'))
  by: string;
}

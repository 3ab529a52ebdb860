import { LOT_KINDS, type LotKind } from '@bunkhouse/core';
import { IsBoolean, IsIn, IsNumber, IsOptional, IsString, IsUUID, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';

const DAY = /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/;

/** A delivery of cure, salt, sugar, spice, meat or wood. */
export class LotRequest {
  /** made by the sender, so that sending it twice keeps it once; the same id again changes it */
  @IsUUID(undefined, { message: 'The lot needs an id.' })
  id: string;

  @IsIn(LOT_KINDS, { message: 'Cure, salt, sugar, spice, meat or wood?' })
  kind: LotKind;

  /** what it is, and the number that its maker gave it */
  @MaxLength(60, { message: 'At most 60 letters.' })
  @MinLength(1, { message: 'What is it? A name is missing.' })
  @IsString({ message: 'What is it? A name is missing.' })
  name: string;

  @MaxLength(40, { message: 'At most 40 letters.' })
  @IsString({ message: 'The number on it, or nothing.' })
  number: string;

  @MaxLength(60, { message: 'At most 60 letters.' })
  @IsString({ message: 'Who sold it, or nothing.' })
  supplier: string;

  @Matches(DAY, { message: 'When did it come? A date is missing.' })
  receivedOn: string;

  @IsOptional()
  @Matches(DAY, { message: 'Best before is a date, or nothing.' })
  bestBefore?: string;

  /** g */
  @Min(1, { message: 'A lot of nothing is none.' })
  @Max(10_000_000, { message: 'More than ten tonnes. Look at the unit.' })
  @IsNumber({}, { message: 'How much came? A weight is missing.' })
  amountG: number;

  /** what all of it cost, in the house's money */
  @IsOptional()
  @Min(0, { message: 'A price is not less than nothing.' })
  @Max(10_000_000, { message: 'So much for one lot? Look at the number.' })
  @IsNumber({}, { message: 'What did all of it cost? A number, or nothing.' })
  price?: number;

  /** not offered any more; batches keep it */
  @IsBoolean({ message: 'Put away: yes or no.' })
  putAway: boolean;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who writes it? A name is missing.' })
  @IsString({ message: 'Who writes it? A name is missing.' })
  by: string;
}

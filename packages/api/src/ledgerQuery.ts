import { PRODUCTS, type Product } from '@bunkhouse/core';
import { Transform } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { fileDecimal, fileSystem, fileTemperature, type FileQuery } from './fileQuery.js';
import { IsInstant } from './isInstant.js';

/** What the Ledger is sorted by. */
export const LEDGER_SORTS = [
  'endedAt',
  'startedAt',
  'code',
  'name',
  'greenG',
  'packedG',
  'yieldPercent',
  'nitritePpm',
  'pumpPercent',
  'saltPercent',
  'cureDays',
  'deviations',
  'costPerKg',
  'by',
] as const;
export type LedgerSort = (typeof LEDGER_SORTS)[number];

/** So many lines at a time. */
export const LEDGER_PAGE = 100;

const asNumber = () => Transform(({ value }: { value: unknown }) => (typeof value === 'string' && /^\d{1,7}$/.test(value) ? Number(value) : value));

/** What is looked for in the Ledger. Each part narrows it. */
export class LedgerQuery {
  /** any word of code, recipe, verdict or name */
  @IsOptional()
  @MaxLength(80, { message: 'At most 80 letters.' })
  @IsString({ message: 'One word to find, please.' })
  find?: string;

  @IsOptional()
  @IsIn(PRODUCTS, { message: 'There is no such product.' })
  product?: Product;

  @IsOptional()
  @IsIn(['finished', 'thrownAway'], { message: 'Packed or thrown away?' })
  outcome?: 'finished' | 'thrownAway';

  @IsOptional()
  @IsIn(['bland', 'right', 'salty', 'too-salty'], { message: 'There is no such verdict.' })
  taste?: string;

  /** only those with a deviation */
  @IsOptional()
  @IsIn(['yes'], { message: 'Only those with a deviation: yes, or leave it out.' })
  deviating?: 'yes';

  @IsOptional()
  @IsInstant('From when? A date is missing.')
  from?: string;

  @IsOptional()
  @IsInstant('Until when? A date is missing.')
  to?: string;

  @IsOptional()
  @IsIn(LEDGER_SORTS, { message: 'The Ledger is not sorted by that.' })
  sort?: LedgerSort;

  @IsOptional()
  @IsIn(['up', 'down'], { message: 'Sorted up or down?' })
  order?: 'up' | 'down';

  /** how many lines to leave out from the top */
  @IsOptional()
  @asNumber()
  @Max(1_000_000, { message: 'There are not so many.' })
  @Min(0, { message: 'Lines are counted from 0.' })
  @IsInt({ message: 'Lines are counted from 0.' })
  skip?: number;
}

/** The same for a file, and how it is written. */
export class LedgerFileQuery extends LedgerQuery implements FileQuery {
  @fileSystem
  system?: 'metric' | 'us';

  @fileTemperature
  temperature?: 'C' | 'F';

  @fileDecimal
  decimal?: 'point' | 'comma';
}

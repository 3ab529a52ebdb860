import { PRODUCTS, type Product } from '@bunkhouse/core';
import { Transform } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min } from 'class-validator';
import { fileDecimal, fileSystem, fileTemperature, type FileQuery } from './fileQuery.js';
import { IsInstant } from './isInstant.js';
import { told } from './say/ruleWords.js';

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
  @MaxLength(80, told('letters-longest', { most: 80 }))
  @IsString(told('ledger-find-missing'))
  find?: string;

  @IsOptional()
  @IsIn(PRODUCTS, told('ledger-product-choice'))
  product?: Product;

  @IsOptional()
  @IsIn(['finished', 'thrownAway'], told('ledger-outcome-choice'))
  outcome?: 'finished' | 'thrownAway';

  @IsOptional()
  @IsIn(['bland', 'right', 'salty', 'too-salty'], told('ledger-taste-choice'))
  taste?: string;

  /** only those with a deviation */
  @IsOptional()
  @IsIn(['yes'], told('ledger-deviating-choice'))
  deviating?: 'yes';

  @IsOptional()
  @IsInstant(told('ledger-from-time'))
  from?: string;

  @IsOptional()
  @IsInstant(told('person-ends-at-time'))
  to?: string;

  @IsOptional()
  @IsIn(LEDGER_SORTS, told('ledger-sort-choice'))
  sort?: LedgerSort;

  @IsOptional()
  @IsIn(['up', 'down'], told('ledger-order-choice'))
  order?: 'up' | 'down';

  /** how many lines to leave out from the top */
  @IsOptional()
  @asNumber()
  @Max(1_000_000, told('ledger-skip-most'))
  @Min(0, told('ledger-skip-least'))
  @IsInt(told('ledger-skip-least'))
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

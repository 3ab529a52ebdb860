import type { LedgerRow } from '@bunkhouse/api';
import Papa from 'papaparse';

/** The columns of the file, in their order, with the units in their names. */
const COLUMNS: readonly (readonly [head: string, of: (row: LedgerRow) => string | number | null])[] = [
  ['batch', ({ code }) => code],
  ['recipe', ({ name }) => name],
  ['recipe_version', ({ recipe }) => recipe?.version ?? null],
  ['product', ({ product }) => product],
  ['cut_from', ({ cutFrom }) => cutFrom],
  ['school', ({ school }) => school],
  ['started', ({ startedAt }) => startedAt],
  ['ended', ({ endedAt }) => endedAt],
  ['outcome', ({ outcome }) => outcome],
  ['green_g', ({ greenG }) => round(greenG)],
  ['pulled_g', ({ pulledG }) => round(pulledG)],
  ['packed_g', ({ packedG }) => round(packedG)],
  ['yield_percent', ({ yieldPercent }) => round(yieldPercent)],
  ['nitrite_ppm', ({ nitritePpm }) => round(nitritePpm)],
  ['pump_percent', ({ pumpPercent }) => round(pumpPercent)],
  ['salt_percent', ({ saltPercent }) => round(saltPercent)],
  ['cure_days', ({ cureDays }) => round(cureDays)],
  ['thickness_mm', ({ thicknessMm }) => round(thicknessMm)],
  ['soak_min', ({ soakMin }) => round(soakMin)],
  ['taste', ({ taste }) => taste],
  ['core_c', ({ coreC }) => round(coreC)],
  ['deviations', ({ deviations }) => deviations],
  ['materials_per_kg', ({ costPerKg }) => round(costPerKg)],
  ['by', ({ by }) => by],
];

const round = (value: number | null): number | null => (value === null ? null : Number(value.toFixed(2)));

/** The Ledger as a file for a spreadsheet, a part at a time. A cell that a spreadsheet would take for a formula is written as text. */
export async function* ledgerCsv(parts: AsyncIterable<LedgerRow[]>): AsyncGenerator<string> {
  const lines = (rows: (string | number | null)[][]) => `${Papa.unparse(rows, { escapeFormulae: true, newline: '\r\n' })}\r\n`;
  yield lines([COLUMNS.map(([head]) => head)]);
  for await (const rows of parts) yield lines(rows.map((row) => COLUMNS.map(([, of]) => of(row))));
}

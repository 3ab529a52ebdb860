import type { FileQuery, LedgerRow } from '@bunkhouse/api';
import { writtenFile } from '../writtenFile.js';

/** The columns of the file, in their order, with the units in their names. */
function columns(written: ReturnType<typeof writtenFile>): readonly (readonly [head: string, of: (row: LedgerRow) => string | number | null])[] {
  const { number, mass, length, perMass, temperature } = written;
  return [
    ['batch', ({ code }) => code],
    ['recipe', ({ name }) => name],
    ['recipe_version', ({ recipe }) => recipe?.version ?? null],
    ['product', ({ product }) => product],
    ['cut_from', ({ cutFrom }) => cutFrom],
    ['school', ({ school }) => school],
    ['started', ({ startedAt }) => startedAt],
    ['ended', ({ endedAt }) => endedAt],
    ['outcome', ({ outcome }) => outcome],
    [`green_${mass.unit}`, ({ greenG }) => mass.of(greenG)],
    [`pulled_${mass.unit}`, ({ pulledG }) => mass.of(pulledG)],
    [`packed_${mass.unit}`, ({ packedG }) => mass.of(packedG)],
    ['yield_percent', ({ yieldPercent }) => number(yieldPercent)],
    ['nitrite_ppm', ({ nitritePpm }) => number(nitritePpm)],
    ['pump_percent', ({ pumpPercent }) => number(pumpPercent)],
    ['salt_percent', ({ saltPercent }) => number(saltPercent)],
    ['cure_days', ({ cureDays }) => number(cureDays)],
    [`thickness_${length.unit}`, ({ thicknessMm }) => length.of(thicknessMm)],
    ['soak_min', ({ soakMin }) => number(soakMin)],
    ['taste', ({ taste }) => taste],
    [`core_${temperature.unit.toLowerCase()}`, ({ coreC }) => number(coreC === null ? null : temperature.shown(coreC))],
    ['deviations', ({ deviations }) => deviations],
    [`materials_per_${perMass.unit}`, ({ costPerKg }) => perMass.of(costPerKg)],
    ['by', ({ by }) => by],
  ];
}

/** The Ledger as a file for a spreadsheet, a part at a time. A cell that a spreadsheet would take for a formula is written as text. */
export async function* ledgerCsv(parts: AsyncIterable<LedgerRow[]>, how: FileQuery = {}): AsyncGenerator<string> {
  const written = writtenFile(how);
  const all = columns(written);
  yield written.lines([all.map(([head]) => head)]);
  for await (const rows of parts) yield written.lines(rows.map((row) => all.map(([, of]) => of(row))));
}

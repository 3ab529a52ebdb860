import type { BatchState } from '../batch/batchState.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import type { StepValues } from '../log/logEntry.js';
import { checkSays } from '../say/english/check.js';
import { thicknessMm } from '../section/section.js';
import type { AnyInputName } from '../steps/values.js';
import { hasReason } from './entryDraft.js';

/** Weights, and the depth of colour, that cannot be beside what is known of the pieces. */
export function weightFaults({ facts, design }: BatchState, values: StepValues, reason?: string): EntryFault[] {
  const faults: EntryFault[] = [];
  for (const { code, section, greenG: plannedG } of design.pieces) {
    const greenG = facts.greenG[code] ?? 0;
    // After a cut what is weighed is what is left of the piece.
    const left = (facts.keptGreenG[code] ?? greenG) / (greenG || 1);
    const weight = (name: AnyInputName) => values[`${name}:${code}`];
    const after = weight('pumpedG');
    const before = weight('beforeG') ?? greenG;
    if (typeof after === 'number' && typeof before === 'number') {
      if (after < before) faults.push(faultAt(`values.pumpedG:${code}`, checkSays('lighter-after-pumping', { piece: code, beforeG: before, afterG: after })));
      else if (after > before * 1.6) faults.push(faultAt(`values.pumpedG:${code}`, checkSays('pumped-too-much', { percent: (after / before - 1) * 100 })));
    }
    faults.push(
      ...farFrom(`values.beforeG:${code}`, weight('beforeG'), greenG, 0.6, 2),
      ...farFrom(`values.pulledG:${code}`, weight('pulledG'), greenG, 0.5, 2),
      ...farFrom(`values.driedG:${code}`, weight('driedG'), (facts.pulledG[code] ?? greenG) * left, 0.6, 1.1),
    );
    const coloured = weight('colouredMm');
    const halfMm = thicknessMm(section) / 2;
    if (typeof coloured === 'number' && coloured > halfMm + 0.5) faults.push(faultAt(`values.colouredMm:${code}`, checkSays('deeper-than-middle', { halfMm })));
    // Another piece than was planned may be weighed: it is asked about, since in the other unit it would be 2.2 times as much.
    const other = hasReason(reason) ? [] : farFrom(`values.greenG:${code}`, weight('greenG'), plannedG, 0.5, 2);
    faults.push(...other, ...(other.length > 0 ? [faultAt('reason', checkSays('other-piece'))] : []));
  }
  const green = Object.values(facts.keptGreenG).reduce((a, b) => a + b, 0);
  return [...faults, ...farFrom('values.packedG', values.packedG, green, 0.05, 1.5)];
}

function farFrom(field: string, value: number | string | undefined, expected: number, low: number, high: number): EntryFault[] {
  if (typeof value !== 'number' || (value >= expected * low && value <= expected * high)) return [];
  return [faultAt(field, checkSays('far-from-before', { g: value, beforeG: expected }))];
}

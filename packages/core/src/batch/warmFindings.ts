import { HOUR_MS } from '../clock/spans.js';
import type { Finding } from '../cure/finding.js';
import type { StandingEntry } from '../log/standingEntries.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { batchSays } from '../say/english/batch.js';

/** How warm for how long: from there a warning, a decision, thrown away [M]. */
const WARM = [
  { overC: 10, moreH: 4, level: 'stop', what: 'throw-it-away' },
  { overC: 7, moreH: 6, level: 'warn', what: 'decide-by-plan' },
  { overC: LIMIT_C.cold, moreH: 24, level: 'warn', what: 'bring-it-down' },
] as const;
/** A reading speaks for as long until the next at the most, h: a cook who looks once a day reads what was, not what will be. */
const SPEAKS_H = 36;

/** Brine and refrigerator as they were read from meat in to pull: what lay warm between two readings that are both warm. */
export function warmFindings(standing: readonly StandingEntry[]): Finding[] {
  const read = standing
    .flatMap((entry) => {
      if (entry.kind !== 'done') return [];
      const C = entry.stepId === 'meat-in' ? entry.values.brineC : entry.values.coldC;
      return typeof C === 'number' ? [{ at: Date.parse(entry.at), C, entry }] : [];
    })
    .sort((a, b) => a.at - b.at);
  const hoursOver = (overC: number) =>
    read.slice(1).reduce((hours, to, i) => {
      const from = read[i];
      return from === undefined || from.C <= overC || to.C <= overC ? hours : hours + Math.min(SPEAKS_H, (to.at - from.at) / HOUR_MS);
    }, 0);
  const worst = WARM.find(({ overC, moreH }) => hoursOver(overC) > moreH);
  const into = read.find(({ entry }) => entry.stepId === 'meat-in');
  const found: Finding[] = [];
  if (worst !== undefined)
    found.push({ level: worst.level, ...batchSays('warm-cure', { overC: worst.overC, h: hoursOver(worst.overC), what: batchSays(worst.what) }) });
  if (into !== undefined && into.C > LIMIT_C.cold)
    found.push({ level: 'note', ...batchSays('warm-brine', { brineC: into.C, mostC: LIMIT_C.cold, reason: into.entry.reason ?? 'none' }) });
  return found;
}

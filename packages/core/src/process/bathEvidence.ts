import { bathCore } from '../heat/bathCore.js';
import { lethality } from '../safety/lethality.js';
import { lethalityTable } from '../safety/lethalityTarget.js';
import { doubtOf } from '../safety/thermometerDoubt.js';
import type { BatchDesign, Piece } from './batchDesign.js';
import type { StandingEntry } from './logEntry.js';
import type { StepSpec } from './step.js';

/** Whether a piece is finished in water: it may lie sealed in it, and is not pricked then. */
export const isReadByBath = ({ id, inputs }: StepSpec): boolean => id === 'core' && inputs.every((input) => input.optional === true);

/** What is known of the bath of a batch. */
export interface BathLog {
  standing: readonly StandingEntry[];
  design: Pick<BatchDesign, 'ruleSet' | 'product'>;
  /** ms; when the meat went on; null before */
  onAt: number | null;
}

/** Whether the water in which a piece lies sealed, as it was read up to an instant, ms, proves that it is done. */
export function isDoneByBath({ standing, design, onAt }: BathLog, { code, section }: Pick<Piece, 'code' | 'section'>, untilMs: number): boolean {
  if (onAt === null) return false;
  const reads = standing.flatMap((entry) => {
    const at = Date.parse(entry.at);
    if (entry.kind !== 'pit' || entry.event.act !== 'bath' || at < onAt || at > untilMs) return [];
    const { piece, waterC } = entry.event;
    return piece === undefined || piece === code ? [{ s: (at - onAt) / 1000, C: waterC, isChecked: entry.read?.isChecked === true }] : [];
  });
  reads.sort((a, b) => a.s - b.s);
  const each = reads.filter(({ s }, i) => s !== reads[i + 1]?.s);
  const doubtC = doubtOf(each.length > 0 && each.every(({ isChecked }) => isChecked));
  return lethality(bathCore({ section, reads: each }), { section, doubtC, table: lethalityTable(design.ruleSet, design.product) }).reachedAtS !== null;
}

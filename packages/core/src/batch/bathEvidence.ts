import type { SingleStepId } from '../log/stepId.js';
import { bathCore } from '../heat/bathCore.js';
import { lethality } from '../safety/lethality.js';
import { lethalityTable } from '../safety/lethalityTarget.js';
import { doubtOf } from '../safety/thermometerDoubt.js';
import type { CookProgram } from '../log/cookProgram.js';
import type { BatchDesign, Piece } from '../log/batchDesign.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { StepSpec } from '../steps/step.js';

/** Whether a piece is finished in water: it may lie sealed in it, and is not pricked then. */
export const isReadByBath = ({ id, inputs }: StepSpec): boolean => id === 'core' && inputs.every((input) => input.optional === true);

/** From when a piece can lie in the water, ms: as the meat goes on where the program begins in it, else once it was moved there. */
export const inWaterFrom = (program: CookProgram | undefined, onAt: number | null, raisedAt: number | null): number | null =>
  program?.[0]?.medium === 'water' ? onAt : raisedAt;

/** What its bath is set to, °C; undefined where it comes into no water. */
export const bathSetC = (program: CookProgram = []): number | undefined => program.findLast(({ medium }) => medium === 'water')?.chamberC;

/** What is known of the bath of a batch. */
export interface BathLog {
  standing: readonly StandingEntry[];
  design: Pick<BatchDesign, 'ruleSet' | 'product'>;
  /** ms; from when it lies in the water; null before */
  inAt: number | null;
}

/** Whether the water in which a piece lies sealed, as it was read up to an instant, ms, proves that it is done. */
export function isDoneByBath({ standing, design, inAt }: BathLog, { code, section }: Pick<Piece, 'code' | 'section'>, untilMs: number): boolean {
  if (inAt === null) return false;
  const reads = standing.flatMap((entry) => {
    const at = Date.parse(entry.at);
    if (entry.kind !== 'pit' || entry.event.act !== 'bath' || at < inAt || at > untilMs) return [];
    const { piece, waterC } = entry.event;
    return piece === undefined || piece === code ? [{ s: (at - inAt) / 1000, C: waterC, isChecked: entry.read?.isChecked === true }] : [];
  });
  reads.sort((a, b) => a.s - b.s);
  const each = reads.filter(({ s }, i) => s !== reads[i + 1]?.s);
  const doubtC = doubtOf(each.length > 0 && each.every(({ isChecked }) => isChecked));
  return lethality(bathCore({ section, reads: each }), { section, doubtC, table: lethalityTable(design.ruleSet, design.product) }).reachedAtS !== null;
}

/** The bath of a batch by its log as it stands. */
export function bathOf(
  standing: readonly StandingEntry[],
  design: BatchDesign,
  process: { program?: CookProgram },
  closingOf: (id: SingleStepId) => { at: string } | null | undefined,
): BathLog {
  const time = (id: SingleStepId) => {
    const entry = closingOf(id);
    return entry == null ? null : Date.parse(entry.at);
  };
  return { standing, design, inAt: inWaterFrom(design.program ?? process.program, time('meat-on'), time('raise')) };
}

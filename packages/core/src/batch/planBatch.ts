import { requireDesign } from './design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { replay } from './replay.js';
import type { BatchRecord, BatchState } from './batchState.js';
import type { Process } from '../recipes/process.js';
import type { Finding } from '../cure/finding.js';

/**
 * What a design would come to before anything is done: sheet, figures, findings and dated steps.
 *
 * @throws InputError at the first thing that cannot be
 */
export function planBatch(process: Process, design: BatchDesign): BatchState {
  requireDesign(design);
  const record: BatchRecord = { id: '', code: '', design, process, entries: [] };
  return replay(record, Date.parse(design.startsAt));
}

/** The reasons for which a design may not be saved: someone would be hurt. */
export function designStops(process: Process, design: BatchDesign): Finding[] {
  return planBatch(process, design).findings.filter((finding) => finding.level === 'stop');
}

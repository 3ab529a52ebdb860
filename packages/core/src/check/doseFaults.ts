import { checkSays } from '../say/english/check.js';
import { doseFindings } from '../batch/doseFindings.js';
import { isByTheClock } from '../batch/design.js';
import { brineOf } from '../steps/mixSteps.js';
import { hasReason, withDraft } from './entryDraft.js';
import { faultAt, type EntryDraft, type EntryFault } from '../log/entryFault.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { StepSpec } from '../steps/step.js';

type DoneDraft = Extract<EntryDraft, { kind: 'done' }>;

/** A brine over the limit is not for meat: it cannot be logged as mixed, and no step is logged while the figure is over, packing least of all. */
export function doseFaults(record: BatchRecord, state: BatchState, spec: StepSpec, draft: DoneDraft): EntryFault[] {
  const mixes = brineOf(spec.id) !== null;
  const pumps = spec.id === 'pump' || spec.id === 'repump';
  const after = mixes || pumps ? replay(withDraft(record, draft), Date.parse(draft.at)) : state;
  const over = doseFindings(after).find((finding) => finding.code === 'nitrite-over');
  if (over === undefined) return mixes && !hasReason(draft.reason) ? mixFaults(record, state, after, draft) : [];
  if (mixes) return [faultAt('values.cureG', checkSays('pour-away', { why: over }))];
  // What lies too long must come out, whatever becomes of it.
  if (spec.id === 'pull' && isByTheClock(state.design.school)) return [];
  if (pumps) return hasReason(draft.reason) ? [] : [faultAt('reason', checkSays('write-what-was-done', { why: over }))];
  return [faultAt('entry', over)];
}

const MIX_LINES = { waterG: 'line-water', saltG: 'line-salt', sugarG: 'line-sugar', cureG: 'line-cure' } as const;

/** A line further from the sheet than this, in share and in grams, is asked about. */
const OFF_SHEET = { share: 0.2, g: 10 };

/** A brine that is far from its sheet, or would leave the meat unprotected, asks for a reason. */
function mixFaults(record: BatchRecord, before: BatchState, after: BatchState, draft: DoneDraft): EntryFault[] {
  const planned = before.facts.brines.find((brine) => brine.id === brineOf(draft.stepId));
  if (planned === undefined) return [];
  const lines = Object.entries(MIX_LINES) as [keyof typeof MIX_LINES, (typeof MIX_LINES)[keyof typeof MIX_LINES]][];
  const off = lines.flatMap(([name, word]) => {
    if (draft.values[name] === undefined) return [];
    const weighed = Number(draft.values[name]);
    const most = name === 'cureG' ? after.design.cureScaleStepG : Math.max(OFF_SHEET.g, after.design.meatScaleStepG);
    if (Math.abs(weighed - planned[name]) <= Math.max(most, planned[name] * OFF_SHEET.share)) return [];
    return [faultAt('reason', checkSays('off-the-sheet', { line: checkSays(word), weighedG: weighed, plannedG: planned[name] }))];
  });
  if (off.length > 0) return off;
  const under = doseFindings(after).find((finding) => finding.code === 'nitrite-under' || finding.code === 'pump-under');
  const wasUnder = doseFindings(before).some((finding) => finding.code === under?.code);
  return under === undefined || wasUnder ? [] : [faultAt('reason', checkSays('add-what-is-missing', { why: under }))];
}

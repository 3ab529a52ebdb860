import { MINUTE_MS } from '../clock/spans.js';
import type { PlannedStepId } from '../log/stepId.js';
import { bathOf, bathSetC, isDoneByBath, isReadByBath } from '../batch/bathEvidence.js';
import { nameSaid } from '../say/english/names.js';
import { checkSays } from '../say/english/check.js';
import { mayBeLeftOut } from '../steps/mayBeLeftOut.js';
import { titleOf } from '../steps/titleOf.js';
import { doseFindings } from '../batch/doseFindings.js';
import type { Piece } from '../log/batchDesign.js';
import { attempt, hasReason, REASON_LENGTH, reasonFault, withDraft, withoutAct } from './entryDraft.js';
import { faultAt, type EntryDraft, type EntryFault } from '../log/entryFault.js';
import { readSoFar, pieceRead } from '../steps/gates.js';
import { ENDINGS, isEaten } from '../log/ending.js';
import type { StepValues } from '../log/logEntry.js';
import { isParting } from '../log/pieceEvent.js';
import { handActFaults } from './handActFaults.js';
import { lotDrawFaults } from './lotDrawFaults.js';
import { pieceEventFaults } from './pieceEventFaults.js';
import { piecesAt } from '../batch/pieces.js';
import { pitEventFaults } from './pitEventFaults.js';
import { replanFaults, withdrawnPlanFaults } from './replanFaults.js';
import { slowSmokeFault } from '../batch/slowSmoke.js';
import { vesselFaults } from './vesselFaults.js';
import { weightFaults } from './weightFaults.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, StepState } from '../batch/batchState.js';
import type { StepSpec } from '../steps/step.js';
import { doseFaults } from './doseFaults.js';
import { gateFaults, undecidedFaults } from './gateFaults.js';
import { valueFaults } from './valueFaults.js';

type DoneDraft = Extract<EntryDraft, { kind: 'done' }>;

const AHEAD_MS = 2 * MINUTE_MS;

/**
 * Checks an entry before it is written; an empty answer means that it may be. The form and the server ask the same question.
 *
 * @param now ms since the epoch
 */
export function checkEntry(record: BatchRecord, draft: EntryDraft, now: number): EntryFault[] {
  const state = replay(record, now);
  const at = Date.parse(draft.at);
  if (!Number.isFinite(at)) return [faultAt('at', checkSays('no-time'))];
  if (at > now + AHEAD_MS) return [faultAt('at', checkSays('still-to-come'))];
  switch (draft.kind) {
    case 'note':
      return reasonFault(draft.reason, 2, checkSays('nothing-written'));
    case 'pit':
      return [
        ...liveFault(state),
        ...pitEventFaults(draft.event, piecesAt(state, at), {
          bathSetC: bathSetC(state.design.program ?? record.process.program),
          hasReason: hasReason(draft.reason),
        }),
        ...(draft.event?.act === 'decided' ? reasonFault(draft.reason ?? '', REASON_LENGTH, checkSays('decision-missing')) : []),
      ];
    case 'pieces':
      return [...liveFault(state), ...pieceFaults(record, state, draft, at, now)];
    case 'vessels': {
      const faults = [...liveFault(state), ...vesselFaults(draft.vessels, state, at)];
      if (faults.length > 0) return faults;
      const tried = attempt(() => replay(withDraft(record, draft), now), 'vessels');
      return 'fault' in tried ? [tried.fault] : [];
    }
    case 'act':
      // Served, carved and given away is what was packed already.
      return [
        ...(state.outcome === 'thrownAway' ? liveFault(state) : []),
        ...handActFaults(
          draft.event,
          piecesAt(state, at).map(({ code }) => code),
        ),
      ];
    case 'lot':
      return [...liveFault(state), ...lotDrawFaults(draft.draw)];
    case 'ended':
      return [...liveFault(state), ...endFaults(state, draft)];
    case 'replanned':
      return [...liveFault(state), ...reasonFault(draft.reason, 2, checkSays('why-changed')), ...replanFaults(record, state, draft, now)];
    case 'withdrawn':
      return [...withdrawalFault(record, state, draft.replaces, now), ...reasonFault(draft.reason, 2, checkSays('why-taken-back'))];
    case 'skipped':
      return [...liveFault(state), ...stepFault(state, draft.stepId, (step) => skipFaults(step, state, draft, at))];
    case 'done':
      return [...liveFault(state), ...stepFault(state, draft.stepId, (step) => doneFaults(record, state, step, draft, at))];
    case 'correction':
      return correctionFaults(record, state, draft, at, now);
    default:
      return [faultAt('kind', checkSays('unknown-entry'))];
  }
}

/** What cannot be done to a piece. A piece that left has left: what that means for the others is found, and stops them later. */
function pieceFaults(record: BatchRecord, state: BatchState, draft: Extract<EntryDraft, { kind: 'pieces' }>, at: number, now: number): EntryFault[] {
  const faults = pieceEventFaults(draft.event, state, at);
  if (faults.length > 0) return faults;
  const unsaid = draft.event.act === 'dropped' ? reasonFault(draft.reason, REASON_LENGTH, checkSays('why-dropped')) : [];
  if (unsaid.length > 0) return unsaid;
  const tried = attempt(() => replay(withDraft(record, draft), now), 'entry');
  return 'fault' in tried ? [tried.fault] : [];
}

/** What is eaten without being packed: nobody asks why, unless what was read does not show that it may be. */
function endFaults(state: BatchState, { how = 'thrown-away', reason }: Extract<EntryDraft, { kind: 'ended' }>): EntryFault[] {
  if (!ENDINGS.includes(how)) return [faultAt('how', checkSays('which-ending'))];
  if (!isEaten(how)) return reasonFault(reason, REASON_LENGTH, checkSays(how === 'spoilt' ? 'why-spoilt' : 'why-thrown-away'));
  const over = doseFindings(state).find(({ code }) => code === 'nitrite-over');
  if (over !== undefined) return [faultAt('entry', over)];
  if (hasReason(reason)) return [];
  const core = state.step('core');
  const undecided = undecidedFaults(state);
  return core !== null && core.closing?.kind !== 'done' ? [faultAt('reason', checkSays('served-unread'))] : undecided;
}

function liveFault(state: BatchState): EntryFault[] {
  if (state.outcome === 'live') return [];
  return [faultAt('entry', state.outcome === 'finished' ? checkSays('log-closed') : checkSays('thrown-away'))];
}

function stepFault(state: BatchState, stepId: PlannedStepId, check: (step: StepState) => EntryFault[]): EntryFault[] {
  const step = state.step(stepId);
  return step === null ? [faultAt('stepId', checkSays('no-such-step'))] : check(step);
}

function skipFaults(step: StepState, state: BatchState, draft: { reason: string }, at: number): EntryFault[] {
  if (!mayBeLeftOut(step.spec)) return [faultAt('stepId', checkSays('not-left-out', { step: titleOf(step.spec) }))];
  return [...closedFault(step), ...orderFaults(step, state, at), ...reasonFault(draft.reason, REASON_LENGTH, checkSays('why-left-out'))];
}

function doneFaults(record: BatchRecord, state: BatchState, step: StepState, draft: DoneDraft, at: number): EntryFault[] {
  const wrong = [...closedFault(step), ...orderFaults(step, state, at), ...valueFaults(step.spec, state, record, piecesAt(state, at), draft)];
  if (wrong.length > 0) return wrong;
  const refused = smokeFaults(record, state, step.spec);
  if (refused.length > 0) return refused;
  const impossible = impossibleFaults(step.spec, state, record, draft);
  if (impossible.length > 0) return impossible;
  return [...sealedFaults(record, state, step, draft, at), ...gateFaults(record, state, step, draft, at), ...doseFaults(record, state, step.spec, draft)];
}

const inputOf = (name: string, code: string, pieces: readonly Piece[]): string => (pieces.length === 1 ? name : `${name}:${code}`);

/** A piece that lies sealed in a bath is done by its water; where that proves nothing, its core is read, or what was decided is written. */
function sealedFaults(record: BatchRecord, state: BatchState, { spec, read }: StepState, draft: DoneDraft, at: number): EntryFault[] {
  if (!isReadByBath(spec) || hasReason(draft.reason)) return [];
  const bath = bathOf(state.standing, state.design, record.process, state.closing);
  const pieces = piecesAt(state, at);
  const seen = readSoFar(spec, read, draft.values);
  const isRead = (code: string) => Object.keys(seen).some((name) => name.startsWith('instant') && pieceRead(name, pieces) === code);
  const halfRead = spec.inputs.find(
    ({ name }) => name.startsWith('instant') && pieces.some(({ code }) => isRead(code) && seen[inputOf(name, code, pieces)] === undefined),
  );
  if (halfRead !== undefined) return [faultAt('reason', checkSays('half-read', { input: nameSaid(halfRead.label) }))];
  // Several pieces stay open until each was read; one alone has nothing that keeps it open.
  const [unproven] =
    pieces.length > 1 && Object.keys(draft.values).length > 0 ? [] : pieces.filter((piece) => !isRead(piece.code) && !isDoneByBath(bath, piece, at));
  return unproven === undefined ? [] : [faultAt('reason', checkSays('not-proven', { piece: unproven.code, apartH: 12, leastC: 55 }))];
}

function impossibleFaults(spec: StepSpec, state: BatchState, record: BatchRecord, draft: { values: StepValues } & EntryDraft): EntryFault[] {
  const weights = weightFaults(state, draft.values, draft.reason);
  return weights.length > 0 ? weights : replayFaults(record, draft);
}

/** Values that contradict what is known already: more salt than the water holds, a piece lighter after pumping than before. */
function replayFaults(record: BatchRecord, draft: EntryDraft): EntryFault[] {
  const tried = attempt(() => replay(withDraft(record, draft), Date.parse(draft.at)));
  if ('value' in tried) return [];
  const { field } = tried.fault;
  const known = 'values' in draft && Object.hasOwn(draft.values, field);
  return [{ ...tried.fault, field: known ? `values.${field}` : 'entry' }];
}

function closedFault(step: StepState): EntryFault[] {
  if (step.closing === null) return [];
  return [faultAt('entry', checkSays(step.closing.kind === 'skipped' ? 'was-left-out' : 'was-logged', { step: titleOf(step.spec) }))];
}

/** Not before the steps that it needs, not after the steps that need it. */
function orderFaults(step: StepState, state: BatchState, at: number): EntryFault[] {
  const byId = new Map(state.steps.map((other) => [other.spec.id, other]));
  for (const id of step.spec.needs) {
    const needed = byId.get(id);
    if (needed === undefined) continue;
    if (needed.closing === null) return [faultAt('entry', checkSays('comes-first', { step: titleOf(needed.spec) }))];
    if (at < Date.parse(needed.closing.at))
      return [faultAt('at', checkSays('before-what-it-needs', { step: titleOf(needed.spec), at: Date.parse(needed.closing.at) }))];
  }
  // A correction opened it again: what was built on it stands, and it is done anew after them.
  if (step.closing === null && step.looks.length > 0) return [];
  const later = state.steps.find(
    (other) =>
      other.closing !== null &&
      Date.parse(other.closing.at) < at &&
      (other.spec.needs.includes(step.spec.id) || (step.spec.missable && other.spec.id === 'pull')),
  );
  return later?.closing == null ? [] : [faultAt('at', checkSays('after-what-needs-it', { step: titleOf(later.spec), at: Date.parse(later.closing.at) }))];
}

/** Meat that is not cured does not go into a slow smoke. */
function smokeFaults(record: BatchRecord, state: BatchState, spec: StepSpec): EntryFault[] {
  if (spec.id !== 'light' && spec.id !== 'meat-on') return [];
  const isCured = state.cured.length === 0 || state.cured.every((piece) => piece.isCured);
  const fault = slowSmokeFault(state.design.program ?? record.process.program ?? [], isCured, state.pieces);
  return fault === null ? [] : [faultAt('entry', checkSays('program-first', { why: fault }))];
}

function correctionFaults(record: BatchRecord, state: BatchState, draft: Extract<EntryDraft, { kind: 'correction' }>, at: number, now: number): EntryFault[] {
  const target = state.standing.find((entry) => entry.id === draft.replaces || entry.corrections.some((correction) => correction.id === draft.replaces));
  if (target === undefined || target.kind !== 'done') return [faultAt('replaces', checkSays('nothing-to-correct'))];
  const shared = sharedFault(record, target.id);
  if (shared !== null) return [shared];
  const reason = reasonFault(draft.reason, REASON_LENGTH, checkSays('what-was-wrong'));
  const without = replay(withoutAct(record, target), now);
  const [step, open] = [state.step(target.stepId), without.step(target.stepId)];
  if (step === null || open === null) return [faultAt('replaces', checkSays('no-such-step'))];
  const faults = [...reason, ...orderFaults({ ...open, closing: null }, state, at), ...valueFaults(step.spec, state, record, piecesAt(state, at), draft)];
  if (faults.length > 0) return faults;
  // What is true can always be written: it is judged anew, and opens what it must.
  return impossibleFaults(step.spec, without, record, draft);
}

/** What was written before a part was cut off stands in the log that it was cut from, and is put right there, for both. */
function sharedFault({ entries, origin }: BatchRecord, id: string): EntryFault | null {
  if (origin === undefined) return null;
  const entry = entries.find((one) => one.id === id);
  return entry !== undefined && entry.seq <= origin.sharedEntries ? faultAt('replaces', checkSays('shared-with', { code: origin.code })) : null;
}

function withdrawalFault(record: BatchRecord, state: BatchState, replaces: string, now: number): EntryFault[] {
  const target = state.standing.find((entry) => entry.id === replaces);
  const shared = sharedFault(record, replaces);
  if (shared !== null) return [shared];
  if (target === undefined) return [faultAt('replaces', checkSays('nothing-to-take-back'))];
  if (target.kind === 'ended' || target.kind === 'pit' || target.kind === 'lot' || target.kind === 'act' || target.kind === 'vessels') return [];
  if (target.kind === 'pieces') return isParting(target.event) ? [faultAt('replaces', checkSays('part-stands-alone'))] : [];
  if (target.kind === 'replanned') return withdrawnPlanFaults(record, state, target, now);
  const built = state.steps.find((other) => other.closing !== null && other.closing !== target && other.spec.needs.includes(target.stepId));
  return built === undefined ? [] : [faultAt('entry', checkSays('built-upon', { step: titleOf(built.spec) }))];
}

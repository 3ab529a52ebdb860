import { HOUR_MS } from '../clock/spans.js';
import { daysOf } from '../log/school.js';
import type { PlannedStepId } from '../log/stepId.js';
import { ticketOf } from './ticket.js';
import { bathOf, isDoneByBath, isReadByBath } from './bathEvidence.js';
import { curedPieces } from './curedPieces.js';
import type { BatchRecord, StepStatus, Urgency, StepState, BatchState } from './batchState.js';
import { repumps } from './design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { batchFacts } from './batchFacts.js';
import { batchFigures } from './batchFigures.js';
import { batchFindings } from './batchFindings.js';
import { coolingStates, handReadings } from './coreEvidence.js';
import { isEaten } from '../log/ending.js';
import { closesStep, readSoFar } from '../steps/gates.js';
import { standingEntries, type StandingEntry } from '../log/standingEntries.js';
import type { StepValues } from '../log/logEntry.js';
import { currentDesign } from './replan.js';
import { planSteps } from './planSteps.js';
import { pieceFacts, piecesAt, type PieceFact, type PieceNow } from './pieces.js';
import { judgedByVessel, lyings, vesselStates } from './vessels.js';
import type { Process } from '../recipes/process.js';
import type { StepSpec } from '../steps/step.js';
import { plannedTimes, stepTimes, type CalendarWord, type StepFact } from './stepTimes.js';

/**
 * Derives the state of a batch at an instant from its record: the reducer of the log.
 *
 * @param now ms since the epoch
 * @throws InputError when the design contradicts itself
 */
export function replay(record: BatchRecord, now: number): BatchState {
  const { process } = record;
  const standing = standingEntries(record.entries);
  const design = currentDesign(record.design, process, standing, record.origin?.sharedEntries);
  const specs = planSteps(process, design);
  const startsWith = { design, firstGreenG: firstWeights(design, standing), pieceFacts: pieceFacts([record.id, ...(record.origin?.line ?? [])], standing) };
  const { closings, read } = closingEntries(specs, standing, (at) => piecesAt(startsWith, at), design, process);
  const end = standing.find((entry) => entry.kind === 'ended');
  const records = new Map([...closings].flatMap(([id, entry]): [PlannedStepId, StepValues][] => (entry.kind === 'done' ? [[id, entry.values]] : [])));
  const happened = greenOnly(startsWith.pieceFacts, closings.get('pump'));
  const metAt = closings.get('meat-in') ?? closings.get('pump');
  const facts = batchFacts(design, records, repumps(design.school) && !closings.has('repump') && !closings.has('pull'), {
    facts: happened,
    // What happens to a piece before it lies in the brine changes what the brine is for.
    untilMs: metAt === undefined ? Infinity : Date.parse(metAt.at),
    ...pulledAt(closings.get('pull')),
    lyingH: lyingH(design.cureDays, closings, end === undefined ? now : Date.parse(end.at)),
  });
  const vessels = vesselStates(lyings(design, standing, metAt === undefined ? null : Date.parse(metAt.at)), design, facts);
  const figures = judgedByVessel(batchFigures(design, facts), vessels);
  const startsAt = Date.parse(design.startsAt);
  const clock = end === undefined ? now : Date.parse(end.at);
  const calendar: CalendarWord = {
    ...(design.stepAt === undefined ? {} : { stepAt: design.stepAt }),
    leastCureDays: Math.min(design.cureDays, daysOf(process.cureDays, design.school.kind).shortest),
  };
  const due = stepTimes(specs, startsAt, design.cureDays, stepFacts(specs, closings, standing), clock, calendar);
  const planned = plannedTimes(specs, startsAt, design.cureDays, calendar);
  const steps = withNext(
    specs.map((spec): StepState => {
      const closing = closings.get(spec.id) ?? null;
      const dueAt = due.get(spec.id) ?? startsAt;
      return {
        spec,
        closing,
        dueAt,
        plannedAt: planned.get(spec.id) ?? startsAt,
        looks: looksAt(spec, standing, closing),
        read: read.get(spec.id) ?? {},
        status: closing === null ? missedOrComing(spec, specs, closings, due, clock) : closing.kind === 'skipped' ? 'skipped' : 'done',
        urgency: closing === null ? urgency(dueAt, spec.graceH, clock) : 'waiting',
      };
    }),
    end !== undefined,
  );
  const ticket = ticketOf(steps);
  const next = steps.find((step) => step.status === 'open') ?? null;
  const last = steps.at(-1)?.closing;
  const ended = end?.kind === 'ended' ? (end.how ?? 'thrown-away') : null;
  const ending = ended ?? (next === null ? 'packed' : null);
  const outcome = ending === null ? 'live' : ending === 'packed' || isEaten(ending) ? 'finished' : 'thrownAway';
  const here = { design, pieceFacts: happened, firstGreenG: facts.firstGreenG };
  const core = closings.get('core');
  const coreRead = handReadings({ standing, specs, pieces: here });
  const pieces = piecesAt(here, clock);
  const cured = once(() => curedPieces(record, { design, facts, figures, vessels, ...ticket }));
  const cooling = once(() =>
    coolingStates(coolingGatesOf(specs), pieces, coreRead, core === undefined ? null : Date.parse(core.at), (code) => {
      const isCured = cured().find((piece) => piece.code === code)?.isCured === true;
      return { rule: isCured ? 'cured' : 'notCured', saltPercent: figures.salt.value, nitritePpm: isCured ? figures.nitrite.applies.value : 0 };
    }),
  );
  const findings = once(() =>
    batchFindings({ design, process, facts, figures, vessels, standing, closing: ticket.closing, cured: cured(), cooling: cooling() }),
  );
  return {
    design,
    ...ticket,
    next,
    station: next?.spec.station ?? null,
    outcome,
    ending,
    endedAt: end !== undefined ? Date.parse(end.at) : next === null && last ? Date.parse(last.at) : null,
    standing,
    pieceFacts: happened,
    firstGreenG: facts.firstGreenG,
    pieces,
    facts,
    figures,
    vessels,
    coreRead,
    // Worked out when it is asked for: what is listed is replayed by the hundred.
    get findings() {
      return findings();
    },
    get cured() {
      return cured();
    },
    get cooling() {
      return cooling();
    },
  };
}

/** A weight after the needle is never a green weight, whatever was done meanwhile. */
function greenOnly(facts: readonly PieceFact[], pump: StandingEntry | undefined): PieceFact[] {
  const pumpedAt = pump === undefined ? Infinity : Date.parse(pump.at);
  return facts.map((fact) => {
    if (fact.at < pumpedAt || !('weighsG' in fact.event)) return fact;
    const { weighsG: _pumpedWeight, ...event } = fact.event;
    return { ...fact, event };
  });
}

/** Work that is done once, when it is first asked for. */
function once<T>(work: () => T): () => T {
  let done: { value: T } | null = null;
  return () => (done ??= { value: work() }).value;
}

/** Which step is which gate: as it says, else in their order. */
const coolingGatesOf = (specs: readonly StepSpec[]): { stepId: PlannedStepId; gate: 0 | 1 }[] =>
  specs
    .filter(({ cooling }) => cooling !== undefined)
    .slice(0, 2)
    .map(({ id, cooling }, i) => ({ stepId: id, gate: cooling?.gate ?? (i === 0 ? 0 : 1) }));

/** What each piece weighed at first, as far as the log says, else as planned. */
function firstWeights(design: BatchDesign, standing: readonly StandingEntry[]): Record<string, number> {
  const weigh = standing.find((entry) => entry.kind === 'done' && entry.stepId === 'weigh');
  return Object.fromEntries(
    design.pieces.map(({ code, greenG }) => {
      const weighed = weigh?.kind === 'done' ? weigh.values[`greenG:${code}`] : undefined;
      return [code, typeof weighed === 'number' ? weighed : greenG];
    }),
  );
}

const pulledAt = (pull: StandingEntry | undefined): { pulledMs?: number } => (pull === undefined ? {} : { pulledMs: Date.parse(pull.at) });

/** How long it lay in the brine by the log, or will have by the plan; longer where the pull is late. */
function lyingH(cureDays: number, closings: ReadonlyMap<PlannedStepId, StandingEntry>, now: number): number {
  const [from, pull] = [closings.get('meat-in'), closings.get('pull')];
  if (from === undefined) return cureDays * 24;
  const lain = (Date.parse(pull?.at ?? new Date(now).toISOString()) - Date.parse(from.at)) / HOUR_MS;
  return pull === undefined ? Math.max(cureDays * 24, lain) : Math.max(0, lain);
}

/**
 * The entry that closes each step, and what was read up to then of the pieces: one look may read some, the next the others. A step left out
 * takes those that go with it along.
 */
function closingEntries(
  specs: StepSpec[],
  standing: StandingEntry[],
  piecesThen: (at: number) => PieceNow[],
  design: BatchDesign,
  process: Process,
): { closings: Map<PlannedStepId, StandingEntry>; read: Map<PlannedStepId, StepValues> } {
  const closings = new Map<PlannedStepId, StandingEntry>();
  const read = new Map<PlannedStepId, StepValues>();
  for (const spec of specs) {
    const skippedWith = spec.skippedWith === undefined ? undefined : closings.get(spec.skippedWith);
    let soFar: StepValues = {};
    const closes = (entry: StandingEntry): boolean => {
      if (!('stepId' in entry) || entry.stepId !== spec.id) return false;
      if (entry.kind === 'skipped') return true;
      soFar = readSoFar(spec, soFar, entry.values);
      const at = Date.parse(entry.at);
      const then = piecesThen(at);
      const bath = bathOf(standing, design, process, (id) => closings.get(id));
      const isProven = (code: string) => isReadByBath(spec) && then.some((piece) => piece.code === code && isDoneByBath(bath, piece, at));
      return closesStep(spec, soFar, entry.reason, then, isProven);
    };
    const closing = skippedWith?.kind === 'skipped' ? skippedWith : standing.find(closes);
    if (closing !== undefined) closings.set(spec.id, closing);
    read.set(spec.id, soFar);
  }
  return { closings, read };
}

function looksAt(spec: StepSpec, standing: StandingEntry[], closing: StandingEntry | null): StandingEntry[] {
  return standing.filter((entry) => entry.kind === 'done' && entry.stepId === spec.id && entry !== closing);
}

function stepFacts(specs: StepSpec[], closings: ReadonlyMap<PlannedStepId, StandingEntry>, standing: StandingEntry[]): Map<PlannedStepId, StepFact> {
  return new Map(
    specs.map((spec): [PlannedStepId, StepFact] => {
      const closing = closings.get(spec.id);
      if (closing !== undefined) return [spec.id, { closedAt: Date.parse(closing.at) }];
      const look = looksAt(spec, standing, null).at(-1);
      const againH = spec.gates.find((gate) => gate.onFail === 'again')?.againH;
      return [spec.id, look === undefined || againH === undefined ? {} : { againAt: Date.parse(look.at) + againH * HOUR_MS }];
    }),
  );
}

/** A missable step is missed once the next of its kind is due, or what comes after all of them is done. */
function missedOrComing(
  spec: StepSpec,
  specs: StepSpec[],
  closings: ReadonlyMap<PlannedStepId, StandingEntry>,
  due: ReadonlyMap<PlannedStepId, number>,
  now: number,
): StepStatus {
  if (!spec.missable) return 'coming';
  const later = specs.slice(specs.indexOf(spec) + 1);
  const sibling = later.find((other) => other.missable);
  const followed = later.some(
    (other) => !other.missable && other.needs.some((id) => spec.needs.includes(id)) && closings.has(other.id) && other.id !== 'repump',
  );
  return followed || (sibling !== undefined && closings.has(sibling.id)) || (sibling !== undefined && (due.get(sibling.id) ?? Infinity) <= now)
    ? 'missed'
    : 'coming';
}

/** Marks the step that is next: of those whose needs are met, the one that falls due first. */
function withNext(steps: StepState[], ended: boolean): StepState[] {
  if (ended) return steps;
  const closed = new Set(steps.filter((step) => step.closing !== null).map((step) => step.spec.id));
  const ready = steps.filter((step) => step.status === 'coming' && step.spec.needs.every((id) => closed.has(id)));
  // What a correction opened again comes before what was built on it.
  const reopened = ready.find((step) => steps.some(({ spec, closing }) => closing !== null && spec.needs.includes(step.spec.id)));
  const next = reopened ?? ready.reduce<StepState | null>((first, step) => (first === null || step.dueAt < first.dueAt ? step : first), null);
  return steps.map((step) => (step === next ? { ...step, status: 'open' } : step));
}

function urgency(dueAt: number, graceH: number, now: number): Urgency {
  if (now < dueAt) return 'waiting';
  return now > dueAt + graceH * HOUR_MS ? 'overdue' : 'due';
}

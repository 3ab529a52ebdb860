import { crossingTime, type CoreReading } from '../safety/crossingTime.js';
import { repumps, type BatchDesign } from './batchDesign.js';
import { batchFacts, type BatchFacts } from './batchFacts.js';
import { batchFigures, type BatchFigures } from './batchFigures.js';
import type { Finding } from '../cure/finding.js';
import { batchFindings } from './batchFindings.js';
import { closesStep } from './gates.js';
import { standingEntries, type LogEntry, type StandingEntry, type StepValues } from './logEntry.js';
import { currentDesign } from './replan.js';
import { planSteps } from './planSteps.js';
import { pieceFacts, piecesAt, type Origin, type PieceFact, type PieceNow } from './pieces.js';
import type { Process } from './process.js';
import type { Station } from './station.js';
import type { StepSpec } from './step.js';
import { plannedTimes, stepTimes, type CalendarWord, type StepFact } from './stepTimes.js';

/** A batch as it is kept: what was decided, the process it was made by, and what happened. */
export interface BatchRecord {
  id: string;
  code: string;
  design: BatchDesign;
  process: Process;
  entries: LogEntry[];
  /** where it comes from, when it is a part of another batch */
  origin?: Origin;
}

export type StepStatus = 'done' | 'skipped' | 'missed' | 'open' | 'coming';
export type Urgency = 'waiting' | 'due' | 'overdue';

export interface StepState {
  spec: StepSpec;
  status: StepStatus;
  /** ms; the plan as it was made */
  plannedAt: number;
  /** ms; as things stand now */
  dueAt: number;
  urgency: Urgency;
  /** the entry that closed it */
  closing: StandingEntry | null;
  /** entries that left it open, in order */
  looks: StandingEntry[];
}

/** Everything that follows from a record at an instant. Nothing of it is stored. */
export interface BatchState {
  /** what was decided, with every change of the plan that stands */
  design: BatchDesign;
  steps: StepState[];
  /** the next thing the cook's hands do */
  next: StepState | null;
  station: Station | null;
  outcome: 'live' | 'finished' | 'thrownAway';
  /** ms */
  endedAt: number | null;
  standing: StandingEntry[];
  /** what happened to pieces beside the steps */
  pieceFacts: PieceFact[];
  /** what each piece weighed at first, g green */
  firstGreenG: Record<string, number>;
  /** the pieces that are here now */
  pieces: PieceNow[];
  facts: BatchFacts;
  figures: BatchFigures;
  findings: Finding[];
  /** what the last readings say of the chill gates */
  cooling: CoolingState[];
}

export interface CoolingState {
  stepId: string;
  fromC: number;
  toC: number;
  limitH: number;
  /** ms; when the gate's clock began, null before */
  startedAt: number | null;
  /** hours, null while running */
  tookH: number | null;
  /** the last reading above the temperature at which the clock begins */
  lastAbove: CoreReading | null;
}

/** Ingoing nitrite from which the longer chill gates hold, ppm [FSIS Appendix B, value from memory]. */
export const CURED_PPM = 100;

const HOUR_MS = 3_600_000;

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
  const closings = closingEntries(specs, standing);
  const end = standing.find((entry) => entry.kind === 'ended');
  const records = new Map([...closings].flatMap(([id, entry]): [string, StepValues][] => (entry.kind === 'done' ? [[id, entry.values]] : [])));
  const happened = pieceFacts([record.id, ...(record.origin?.line ?? [])], standing);
  const metAt = closings.get('meat-in') ?? closings.get('pump');
  const facts = batchFacts(design, records, repumps(design.school) && !closings.has('repump') && !closings.has('pull'), {
    facts: happened,
    // What happens to a piece before it lies in the brine changes what the brine is for.
    untilMs: metAt === undefined ? Infinity : Date.parse(metAt.at),
    lyingH: lyingH(design.cureDays, closings, end === undefined ? now : Date.parse(end.at)),
  });
  const figures = batchFigures(design, facts);
  const startsAt = Date.parse(design.startsAt);
  const clock = end === undefined ? now : Date.parse(end.at);
  const calendar: CalendarWord = {
    ...(design.stepAt === undefined ? {} : { stepAt: design.stepAt }),
    leastCureDays: Math.min(design.cureDays, process.cureDays[design.school.kind].shortest),
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
        status: closing === null ? missedOrComing(spec, specs, closings, due, clock) : closing.kind === 'skipped' ? 'skipped' : 'done',
        urgency: closing === null ? urgency(dueAt, spec.graceH, clock) : 'waiting',
      };
    }),
    end !== undefined,
  );
  const next = steps.find((step) => step.status === 'open') ?? null;
  const last = steps.at(-1)?.closing;
  const outcome = end !== undefined ? 'thrownAway' : next === null ? 'finished' : 'live';
  const here = { design, pieceFacts: happened, firstGreenG: facts.firstGreenG };
  const cooling = coolingStates(specs, standing, leastPpm(figures.nitrite) >= CURED_PPM);
  return {
    design,
    steps,
    next,
    station: next?.spec.station ?? null,
    outcome,
    endedAt: end !== undefined ? Date.parse(end.at) : next === null && last ? Date.parse(last.at) : null,
    standing,
    pieceFacts: happened,
    firstGreenG: facts.firstGreenG,
    pieces: piecesAt(here, clock),
    facts,
    figures,
    findings: batchFindings(design, process, facts, figures, standing),
    cooling,
  };
}

/** How long it lay in the brine by the log, or will have by the plan; longer where the pull is late. */
function lyingH(cureDays: number, closings: ReadonlyMap<string, StandingEntry>, now: number): number {
  const [from, pull] = [closings.get('meat-in'), closings.get('pull')];
  if (from === undefined) return cureDays * 24;
  const lain = (Date.parse(pull?.at ?? new Date(now).toISOString()) - Date.parse(from.at)) / HOUR_MS;
  return pull === undefined ? Math.max(cureDays * 24, lain) : Math.max(0, lain);
}

/** What surely went in: where the most that the model allows is judged, the pick-up. The longer chill gates go by it. */
function leastPpm({ applies, others }: BatchFigures['nitrite']): number {
  return applies.id === 'nitrite-at-pull'
    ? Math.min(applies.value, ...others.filter(({ id }) => id === 'nitrite-pick-up').map(({ value }) => value))
    : applies.value;
}

/** The entry that closes each step. A step left out takes those that go with it along. */
function closingEntries(specs: StepSpec[], standing: StandingEntry[]): Map<string, StandingEntry> {
  const closings = new Map<string, StandingEntry>();
  for (const spec of specs) {
    const skippedWith = spec.skippedWith === undefined ? undefined : closings.get(spec.skippedWith);
    const closing =
      skippedWith?.kind === 'skipped'
        ? skippedWith
        : standing.find((entry) => 'stepId' in entry && entry.stepId === spec.id && (entry.kind === 'skipped' || closesStep(spec, entry.values, entry.reason)));
    if (closing !== undefined) closings.set(spec.id, closing);
  }
  return closings;
}

function looksAt(spec: StepSpec, standing: StandingEntry[], closing: StandingEntry | null): StandingEntry[] {
  return standing.filter((entry) => entry.kind === 'done' && entry.stepId === spec.id && entry !== closing);
}

function stepFacts(specs: StepSpec[], closings: Map<string, StandingEntry>, standing: StandingEntry[]): Map<string, StepFact> {
  return new Map(
    specs.map((spec): [string, StepFact] => {
      const closing = closings.get(spec.id);
      if (closing !== undefined) return [spec.id, { closedAt: Date.parse(closing.at) }];
      const look = looksAt(spec, standing, null).at(-1);
      const againH = spec.gates.find((gate) => gate.onFail === 'again')?.againH;
      return [spec.id, look === undefined || againH === undefined ? {} : { againAt: Date.parse(look.at) + againH * HOUR_MS }];
    }),
  );
}

/** A missable step is missed once the next of its kind is due, or what comes after all of them is done. */
function missedOrComing(spec: StepSpec, specs: StepSpec[], closings: Map<string, StandingEntry>, due: Map<string, number>, now: number): StepStatus {
  if (!spec.missable) return 'coming';
  const later = specs.slice(specs.indexOf(spec) + 1);
  const sibling = later.find((other) => other.missable);
  const followed = later.some(
    (other) => !other.missable && other.needs.some((id) => spec.needs.includes(id)) && closings.has(other.id) && other.id !== 'repump',
  );
  return followed || closings.has(sibling?.id ?? '') || (sibling !== undefined && (due.get(sibling.id) ?? Infinity) <= now) ? 'missed' : 'coming';
}

/** Marks the step that is next: of those whose needs are met, the one that falls due first. */
function withNext(steps: StepState[], ended: boolean): StepState[] {
  if (ended) return steps;
  const closed = new Set(steps.filter((step) => step.closing !== null).map((step) => step.spec.id));
  const ready = steps.filter((step) => step.status === 'coming' && step.spec.needs.every((id) => closed.has(id)));
  const next = ready.reduce<StepState | null>((first, step) => (first === null || step.dueAt < first.dueAt ? step : first), null);
  return steps.map((step) => (step === next ? { ...step, status: 'open' } : step));
}

function urgency(dueAt: number, graceH: number, now: number): Urgency {
  if (now < dueAt) return 'waiting';
  return now > dueAt + graceH * HOUR_MS ? 'overdue' : 'due';
}

/** Core readings of a cooling piece: the highest of the last check on the fire, then every one in the cold. */
export function coolingReadings(specs: readonly StepSpec[], standing: readonly StandingEntry[]): CoreReading[] {
  const chilling = new Set(specs.filter((spec) => spec.station === 'chill' || spec.id === 'core').map((spec) => spec.id));
  return standing
    .flatMap((entry): CoreReading[] => {
      if (entry.kind !== 'done' || !chilling.has(entry.stepId)) return [];
      const readings = Object.entries(entry.values).flatMap(([name, value]) => (typeof value === 'number' && /^(coreC|instant\dC)$/.test(name) ? [value] : []));
      return readings.length === 0 ? [] : [{ at: Date.parse(entry.at), C: Math.max(...readings) }];
    })
    .sort((a, b) => a.at - b.at);
}

/** The end of a gate is a reading, never reckoned: what was not read in time was not shown to be there. */
function readAtOrBelow(readings: readonly CoreReading[], C: number): number | null {
  const first = readings.findIndex((reading, i) => reading.C <= C && i > 0 && (readings[i - 1]?.C ?? C) > C);
  return readings[first]?.at ?? null;
}

function coolingStates(specs: StepSpec[], standing: StandingEntry[], cured: boolean): CoolingState[] {
  const readings = coolingReadings(specs, standing);
  return specs.flatMap((spec): CoolingState[] => {
    if (spec.cooling === undefined) return [];
    const { fromC, toC, limitH } = spec.cooling;
    const to = cured ? toC.cured : toC.uncured;
    const startedAt = crossingTime(readings, fromC);
    const reachedAt = readAtOrBelow(readings, to);
    const tookH = startedAt === null || reachedAt === null ? null : (reachedAt - startedAt) / HOUR_MS;
    return [
      {
        stepId: spec.id,
        fromC,
        toC: to,
        limitH: cured ? limitH.cured : limitH.uncured,
        startedAt,
        tookH,
        lastAbove: readings.findLast((reading) => reading.C > fromC) ?? null,
      },
    ];
  });
}

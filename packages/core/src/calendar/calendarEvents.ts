import { MINUTE_MS } from '../clock/spans.js';
import { wordsOfStep } from '../batch/wordsOfStep.js';
import type { Message } from '../say/message.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord, BatchState, StepState } from '../batch/batchState.js';
import type { Station } from '../steps/station.js';
import { addDays, instantOf, localDay, localMinute } from '../clock/localTime.js';

/** A job as a calendar outside keeps it. */
export interface CalendarEvent {
  /** the same for as long as the batch is kept */
  uid: string;
  batchId: string;
  code: string;
  stepId: string;
  title: string;
  task: Message;
  station: Station;
  /** ms */
  at: number;
  minutes: number;
  status: 'planned' | 'done' | 'cancelled';
  /** grows with every entry of the log */
  sequence: number;
  /** ms; when the log last changed */
  changedAt: number;
  /** jobs that come again, by the clocks of the house */
  series?: EventSeries;
}

interface EventSeries {
  everyDays: number;
  count: number;
  /** ms; those of the series that do not take place */
  without: number[];
  /** ms; those that take place at another time */
  moved: { of: number; at: number }[];
}

const USUAL_MINUTES = 15;

/**
 * The jobs of a batch for a calendar outside: a function of its log alone, so that it only changes, and its sequence only grows, when
 * something is logged. Jobs that were planned once and are no more, left out, or of a batch that was thrown away, are cancelled.
 *
 * @param createdAt ms; when the batch was started
 */
export function calendarEvents(record: BatchRecord, createdAt: number, timeZone: string): CalendarEvent[] {
  const last = record.entries.at(-1);
  const changedAt = last === undefined ? createdAt : Date.parse(last.recordedAt);
  const state = replay(record, changedAt);
  const written = { batchId: record.id, code: record.code, sequence: record.entries.length, changedAt };
  const single = (step: StepState, status: CalendarEvent['status']): CalendarEvent => ({
    uid: `${record.id}-${step.spec.id}`,
    ...written,
    stepId: step.spec.id,
    title: step.spec.title,
    task: wordsOfStep(step.spec, record.process).task,
    station: step.spec.station,
    at: step.closing === null ? step.dueAt : Date.parse(step.closing.at),
    minutes: step.spec.handsMin ?? USUAL_MINUTES,
    status,
  });
  const jobs = state.steps.filter((step) => step.spec.missable !== true);
  const turns = state.steps.filter((step) => step.spec.missable === true);
  return [
    ...jobs.map((step) => single(step, statusOf(step, state))),
    ...(turns[0] === undefined ? [] : [turnSeries(single(turns[0], statusOf(turns[0], state)), turns, state, timeZone)]),
    ...noLongerPlanned(record, state).map((step) => single(step, 'cancelled')),
  ];
}

function statusOf(step: StepState, { outcome }: BatchState): CalendarEvent['status'] {
  if (step.status === 'done') return 'done';
  return step.status === 'skipped' || step.status === 'missed' || outcome !== 'live' ? 'cancelled' : 'planned';
}

/** The turns as one job that comes again; those that lie elsewhere, were missed or are not wanted any more stand out. */
function turnSeries(first: CalendarEvent, turns: readonly StepState[], state: BatchState, timeZone: string): CalendarEvent {
  const [start = first.at, second] = turns.map((turn) => turn.dueAt);
  const everyDays = second === undefined ? 1 : Math.max(1, Math.round((second - start) / (24 * 60 * MINUTE_MS)));
  const { date } = localDay(start, timeZone);
  const minute = localMinute(start, timeZone);
  const series: EventSeries = { everyDays, count: turns.length, without: [], moved: [] };
  turns.forEach((turn, i) => {
    const expected = instantOf(addDays(date, i * everyDays), minute, timeZone);
    if (statusOf(turn, state) === 'cancelled') series.without.push(expected);
    else if (Math.abs(turn.dueAt - expected) >= MINUTE_MS) series.moved.push({ of: expected, at: turn.dueAt });
  });
  return {
    ...first,
    uid: `${first.batchId}-turn`,
    stepId: 'turn',
    title: 'Turn',
    at: instantOf(date, minute, timeZone),
    status: series.without.length === turns.length ? 'cancelled' : 'planned',
    series,
  };
}

/** Jobs of the line that an earlier plan of this batch had and the present one has not. */
function noLongerPlanned(record: BatchRecord, now: BatchState): StepState[] {
  const there = new Set(now.steps.map((step) => step.spec.id));
  const gone = new Map<string, StepState>();
  record.entries.forEach((entry, i) => {
    if (entry.kind !== 'replanned' && entry.kind !== 'withdrawn') return;
    const before = replay({ ...record, entries: record.entries.slice(0, i) }, Date.parse(entry.recordedAt));
    for (const step of before.steps) if (!there.has(step.spec.id) && step.spec.missable !== true) gone.set(step.spec.id, step);
  });
  return [...gone.values()];
}

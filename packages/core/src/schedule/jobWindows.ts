import { MINUTE_MS } from '../clock/spans.js';
import type { SchedulableBatch, SchedulableStep, Wish } from './scheduleTypes.js';
import { propagate, type Between } from './temporalNetwork.js';
import { handsSlots, SLOT_MIN, type Timeline, type Times } from './timeline.js';

const SLOTS_PER_HOUR = 60 / SLOT_MIN;

/** Slots within which each job may lie. */
export type JobWindows = { windows: Map<string, { from: number; to: number }> } | { conflict: Wish[] };

export const inSlots = (hours: number): number => Math.round(hours * SLOTS_PER_HOUR);

/** Jobs that follow each other; those beside them hold nothing up. */
export const lineOf = (batch: SchedulableBatch): SchedulableStep[] => batch.steps.filter((step) => step.beside === undefined);

/** The slot at which the last job must begin so that it is over when the batch is wanted; Infinity where it is not. */
export function readySlot(batch: SchedulableBatch, timeline: Timeline): number {
  const last = lineOf(batch).at(-1);
  return batch.readyBy === undefined || last === undefined
    ? Infinity
    : Math.floor((Date.parse(batch.readyBy) - timeline.from) / (SLOT_MIN * MINUTE_MS)) - handsSlots(last);
}

/** Earliest and latest slot of every job of the line, by what lies between them and what is done. */
export function jobWindows(batch: SchedulableBatch, timeline: Timeline): JobWindows {
  const line = lineOf(batch);
  const answer = propagate(line.length + 1, constraintsOf(line, timeline));
  if ('conflict' in answer) return answer;
  const windows = new Map(
    line.map((step, i): [string, { from: number; to: number }] => [
      step.id,
      { from: answer.earliest[i + 1] ?? 0, to: Math.min(answer.latest[i + 1] ?? Infinity, Math.max(timeline.slots - 1, answer.earliest[i + 1] ?? 0)) },
    ]),
  );
  return { windows };
}

/** Why a batch cannot be ready when it is wanted, whatever its hours: the wishes that contradict each other; null where it can. */
export function contradiction(batch: SchedulableBatch, timeline: Timeline): Wish[] | null {
  const line = lineOf(batch);
  const ready = readySlot(batch, timeline);
  const table: Between<Wish>[] =
    batch.readyBy === undefined ? [] : [{ from: 0, to: line.length, least: -Infinity, most: ready, wish: { kind: 'readyBy', at: batch.readyBy } }];
  const answer = propagate(line.length + 1, [...constraintsOf(line, timeline), ...table]);
  return 'conflict' in answer ? answer.conflict : null;
}

function constraintsOf(line: readonly SchedulableStep[], timeline: Timeline): Between<Wish>[] {
  return line.flatMap((step, i): Between<Wish>[] => {
    const { id, title } = step;
    const before = line[i - 1];
    if (step.doneAt !== undefined) {
      const slot = timeline.slotOf(Date.parse(step.doneAt));
      return [{ from: 0, to: i + 1, least: slot, most: slot, wish: { kind: 'done', step: id, title } }];
    }
    const found: Between<Wish>[] = [{ from: 0, to: i + 1, least: 0, most: Infinity, wish: { kind: 'notBeforeNow' } }];
    if (before !== undefined && step.after !== undefined) {
      const { leastH, mostH } = step.after;
      found.push({
        from: i,
        to: i + 1,
        least: inSlots(leastH),
        most: isOverdue(before, mostH, timeline) ? Infinity : inSlots(mostH),
        wish: { kind: 'gap', step: id, title, before: before.title, leastH, mostH },
      });
    }
    if (step.earliest !== undefined)
      found.push({
        from: 0,
        to: i + 1,
        least: Math.max(0, timeline.slotOf(Date.parse(step.earliest))),
        most: Infinity,
        wish: { kind: 'notBefore', step: id, title, at: step.earliest },
      });
    if (step.latest !== undefined)
      found.push({
        from: 0,
        to: i + 1,
        least: -Infinity,
        most: timeline.slotOf(Date.parse(step.latest)),
        wish: { kind: 'notAfter', step: id, title, at: step.latest },
      });
    return found;
  });
}

/** What is late already cannot be within its most: then it is due now. */
export const isOverdue = (before: SchedulableStep, mostH: number, timeline: Timeline): boolean =>
  before.doneAt !== undefined && timeline.slotOf(Date.parse(before.doneAt)) + inSlots(mostH) < 0;

/** Instants are planned to the slot: so far may a gap be off by rounding. */
const ROUNDING = 1;

/** Whether every open job of a line lies where its limits let it. */
export function isWithinLimits({ batch, times }: { batch: SchedulableBatch; times: Times }, timeline: Timeline): boolean {
  const line = lineOf(batch);
  return line.every((step, i) => {
    const at = times.get(step.id);
    if (step.doneAt !== undefined) return true;
    if (at === undefined || at < 0 || at >= timeline.slots) return false;
    const [earliest, latest] = [step.earliest, step.latest].map((when) => (when === undefined ? null : timeline.slotOf(Date.parse(when))));
    if ((earliest !== null && earliest !== undefined && at < earliest - ROUNDING) || (latest !== null && latest !== undefined && at > latest + ROUNDING))
      return false;
    const before = line[i - 1];
    const from = before === undefined ? undefined : times.get(before.id);
    if (before === undefined || step.after === undefined || from === undefined) return true;
    const gap = at - from;
    return gap >= inSlots(step.after.leastH) - ROUNDING && (isOverdue(before, step.after.mostH, timeline) || gap <= inSlots(step.after.mostH) + ROUNDING);
  });
}

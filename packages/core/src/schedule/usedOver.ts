import type { ScheduleParams } from './schedule.js';
import { handsSlots, SLOT_MS } from './timeline.js';

/** How much of something is used from an instant on, ms. */
export interface UseFrom {
  at: number;
  amount: number;
}

/** How many batches want somebody over a time, as the plans stand: steps in order of time, the first at its beginning, the last at its end. */
export function handsOver({ batches }: Pick<ScheduleParams, 'batches'>, time: { from: number; to: number }): UseFrom[] {
  const changes = batches.flatMap(({ steps }) => {
    const jobs = steps
      .filter(({ doneAt, plannedAt }) => doneAt === undefined && plannedAt !== undefined)
      .map((step) => ({ from: Date.parse(step.plannedAt ?? ''), long: handsSlots(step) * SLOT_MS }))
      .sort((a, b) => a.from - b.from);
    // One pair of hands does all the jobs of a batch.
    let until = -Infinity;
    return jobs.flatMap(({ from, long }) => {
      const [begins, ends] = [Math.max(from, until), from + long];
      if (ends <= until) return [];
      until = ends;
      return [
        { at: begins, by: 1 },
        { at: ends, by: -1 },
      ];
    });
  });
  return summed(changes, time);
}

/** How full everything is over a time, as the plans stand: steps in order of time, the first at its beginning, the last at its end. */
export function usedOver({ batches, resources }: Pick<ScheduleParams, 'batches' | 'resources'>, time: { from: number; to: number }): Map<string, UseFrom[]> {
  return new Map(
    resources.map(({ id }): [string, UseFrom[]] => {
      const changes = batches.flatMap((batch) => {
        const at = new Map(batch.steps.map((step) => [step.id, Date.parse(step.doneAt ?? step.plannedAt ?? '')]));
        return batch.holds.flatMap(({ resource, amount, from, until }) => {
          const [begins, ends] = [at.get(from) ?? Number.NaN, at.get(until) ?? Number.NaN];
          return resource !== id || !(ends > begins)
            ? []
            : [
                { at: begins, by: amount },
                { at: ends, by: -amount },
              ];
        });
      });
      return [id, summed(changes, time)];
    }),
  );
}

/** What changes come to, step by step within a time. */
function summed(changes: readonly { at: number; by: number }[], time: { from: number; to: number }): UseFrom[] {
  let amount = changes.reduce((sum, change) => (change.at <= time.from ? sum + change.by : sum), 0);
  const steps: UseFrom[] = [{ at: time.from, amount }];
  for (const change of [...changes].sort((a, b) => a.at - b.at)) {
    if (change.at <= time.from || change.at >= time.to) continue;
    amount = Math.max(0, amount + change.by);
    steps.push({ at: change.at, amount });
  }
  return [...steps, { at: time.to, amount }];
}

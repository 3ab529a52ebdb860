import type { ScheduleParams } from './schedule.js';

/** How much of something is used from an instant on, ms. */
export interface UseFrom {
  at: number;
  amount: number;
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
      const steps: UseFrom[] = [];
      let amount = changes.reduce((sum, change) => (change.at <= time.from ? sum + change.by : sum), 0);
      steps.push({ at: time.from, amount });
      for (const change of changes.sort((a, b) => a.at - b.at)) {
        if (change.at <= time.from || change.at >= time.to) continue;
        amount = Math.max(0, amount + change.by);
        steps.push({ at: change.at, amount });
      }
      steps.push({ at: time.to, amount });
      return [id, steps];
    }),
  );
}

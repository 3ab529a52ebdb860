import { HOUR_MS } from '../clock/spans.js';
import type { Resource, SchedulableBatch, SchedulableStep, ScheduledStep } from '../schedule/scheduleTypes.js';
import type { WorkingHours } from '../schedule/workingHours.js';

/** A Monday at six in the morning. */
export const NOW = '2026-10-05T06:00:00.000Z';
export const at = (hours: number): string => new Date(Date.parse(NOW) + hours * HOUR_MS).toISOString();

/** One pair of hands, Monday to Saturday, chill gates at night, too. */
export const hours: WorkingHours = {
  timeZone: 'UTC',
  week: Array.from({ length: 7 }, (_, day) => (day === 0 ? [] : [{ fromMin: 7 * 60, toMin: 18 * 60 }])),
  daysOff: [],
  hands: 1,
  nightWatch: ['chill'],
};

export const FRIDGE: Resource = { id: 'fridge', name: 'Refrigerator', kind: 'refrigerator', capacity: 40 };
export const SMOKER: Resource = { id: 'smoker', name: 'Smoker', kind: 'smoker', capacity: 2 };

export const step = (id: string, after?: [number, number, number], more: Partial<SchedulableStep> = {}): SchedulableStep => ({
  id,
  title: id,
  station: 'cure',
  handsMin: 15,
  ...(after === undefined ? {} : { after: { leastH: after[0], usualH: after[1], mostH: after[2] } }),
  ...more,
});

/** In, pull, light, off: the cure and the drying stretch, the smoke does not. */
export const batch = (id: string, more: Partial<SchedulableBatch> = {}, first: Partial<SchedulableStep> = {}): SchedulableBatch => ({
  id,
  code: id,
  steps: [step('in', undefined, first), step('pull', [48, 72, 120]), step('light', [4, 12, 36]), step('off', [6, 6, 6.5])],
  holds: [
    { id: 'cure', resource: 'fridge', amount: 15, from: 'in', until: 'light' },
    { id: 'smoke', resource: 'smoker', amount: 1, from: 'light', until: 'off', program: 'hot' },
  ],
  ...more,
});

/** A batch whose jobs stand at given hours after now. */
export function standing(id: string, times: readonly number[], first: Partial<SchedulableStep> = {}): SchedulableBatch {
  const made = batch(id, {}, first);
  return { ...made, steps: made.steps.map((one, i) => ({ ...one, plannedAt: at(times[i] ?? 0) })) };
}

/** Every rule of a plan, looked at again by other means: limits between jobs, nothing before now, the done left alone. */
export function faultsOf(batches: readonly SchedulableBatch[], steps: readonly ScheduledStep[]): string[] {
  const when = new Map(steps.map((planned) => [`${planned.batch} ${planned.step}`, Date.parse(planned.at)]));
  return batches.flatMap((one) => {
    const line = one.steps.filter((s) => s.beside === undefined);
    return line.flatMap((job, i) => {
      const own = when.get(`${one.id} ${job.id}`);
      if (own === undefined) return [`${one.id} ${job.id} has no time`];
      if (job.doneAt !== undefined) return own === Date.parse(job.doneAt) ? [] : [`${job.id} was moved`];
      const faults = own < Date.parse(NOW) ? [`${job.id} before now`] : [];
      const before = line[i - 1];
      if (before === undefined || job.after === undefined) return faults;
      const gap = (own - (when.get(`${one.id} ${before.id}`) ?? 0)) / HOUR_MS;
      if (gap < job.after.leastH - 0.13 || gap > job.after.mostH + 0.13) faults.push(`${one.id} ${job.id}: ${gap} h`);
      return faults;
    });
  });
}

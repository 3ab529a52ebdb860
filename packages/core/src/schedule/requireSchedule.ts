import { InputError } from '../inputError.js';
import type { SchedulableBatch } from './scheduleTypes.js';
import { nameSaid } from '../say/english/names.js';
import { inputSays } from '../say/english/inputs.js';

const MOST_BATCHES = 1000;
const MOST_STEPS = 200;
const MOST_H = 24 * 366;

/** @throws InputError for batches that no plan can be made of */
export function requireSchedule(batches: readonly SchedulableBatch[]): void {
  if (batches.length > MOST_BATCHES) throw new InputError('batches', inputSays('too-many-batches', { most: MOST_BATCHES }));
  const ids = new Set<string>();
  for (const batch of batches) {
    if (ids.has(batch.id)) throw new InputError('batches', inputSays('batch-named-twice', { code: batch.id }));
    ids.add(batch.id);
    requireBatch(batch);
  }
}

function requireBatch({ code, steps, holds, readyBy }: SchedulableBatch): void {
  if (steps.length === 0 || steps.length > MOST_STEPS) throw new InputError('steps', inputSays('no-jobs', { code }));
  const ids = new Set(steps.map((step) => step.id));
  if (ids.size !== steps.length) throw new InputError('steps', inputSays('job-named-twice', { code }));
  for (const step of steps) {
    for (const gap of [step.after, step.beside]) {
      if (gap === undefined) continue;
      if (!(gap.leastH <= gap.usualH && gap.usualH <= gap.mostH))
        throw new InputError('steps', inputSays('gap-upside-down', { title: nameSaid(step.title), code }));
      if (gap.leastH > MOST_H) throw new InputError('steps', inputSays('gap-over-a-year', { title: nameSaid(step.title), code }));
    }
    for (const when of [step.earliest, step.latest, step.doneAt, step.plannedAt, readyBy])
      if (when !== undefined && !Number.isFinite(Date.parse(when)))
        throw new InputError('steps', inputSays('job-time-none', { title: nameSaid(step.title), code }));
    if (step.beside !== undefined && !ids.has(step.beside.step))
      throw new InputError('steps', inputSays('beside-no-job', { title: nameSaid(step.title), code }));
  }
  for (const hold of holds) if (!ids.has(hold.from) || !ids.has(hold.until)) throw new InputError('holds', inputSays('holds-no-job', { code }));
}

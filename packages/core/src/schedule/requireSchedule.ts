import { InputError } from '../inputError.js';
import type { SchedulableBatch } from './scheduleTypes.js';

const MOST_BATCHES = 1000;
const MOST_STEPS = 200;
const MOST_H = 24 * 366;

/** @throws InputError for batches that no plan can be made of */
export function requireSchedule(batches: readonly SchedulableBatch[]): void {
  if (batches.length > MOST_BATCHES) throw new InputError('batches', `More than ${MOST_BATCHES} batches at once are not planned.`);
  const ids = new Set<string>();
  for (const batch of batches) {
    if (ids.has(batch.id)) throw new InputError('batches', `Two batches are called ${batch.id}.`);
    ids.add(batch.id);
    requireBatch(batch);
  }
}

function requireBatch({ code, steps, holds, readyBy }: SchedulableBatch): void {
  if (steps.length === 0 || steps.length > MOST_STEPS) throw new InputError('steps', `${code} has no jobs, or too many.`);
  const ids = new Set(steps.map((step) => step.id));
  if (ids.size !== steps.length) throw new InputError('steps', `${code} has two jobs of one name.`);
  for (const step of steps) {
    for (const gap of [step.after, step.beside]) {
      if (gap === undefined) continue;
      if (!(gap.leastH <= gap.usualH && gap.usualH <= gap.mostH))
        throw new InputError('steps', `${step.title} of ${code}: at least, usually and at most are upside down.`);
      if (gap.leastH > MOST_H) throw new InputError('steps', `${step.title} of ${code} takes longer than a year.`);
    }
    for (const when of [step.earliest, step.latest, step.doneAt, step.plannedAt, readyBy])
      if (when !== undefined && !Number.isFinite(Date.parse(when))) throw new InputError('steps', `${step.title} of ${code} has a time that is none.`);
    if (step.beside !== undefined && !ids.has(step.beside.step))
      throw new InputError('steps', `${step.title} of ${code} stands beside a job that is not there.`);
  }
  for (const hold of holds)
    if (!ids.has(hold.from) || !ids.has(hold.until)) throw new InputError('holds', `${code} holds something from or until a job that is not there.`);
}

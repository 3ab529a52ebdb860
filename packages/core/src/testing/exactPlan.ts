import { DAY_MS } from '../clock/spans.js';
import { inSlots, jobWindows, lineOf, readySlot } from '../schedule/jobWindows.js';
import { endCost, jobCosts, usualWeight } from '../schedule/placeCost.js';
import type { Resource, SchedulableBatch } from '../schedule/scheduleTypes.js';
import { handsSlots, Timeline } from '../schedule/timeline.js';
import type { WorkingHours } from '../schedule/workingHours.js';

/** What a plan is made of; batches of a line only, one program in each chamber. */
export interface ExactParams {
  batches: readonly SchedulableBatch[];
  resources: readonly Resource[];
  hours: WorkingHours;
  now: string;
}

/**
 * The same question as `schedule` asks, as a mixed-integer program in the LP format: for every job and quarter of an hour whether it
 * begins then. Stores and hands are never overfull, all else is weighed as there. Null where a batch has no time at all.
 */
export function exactProgram({ batches, resources, hours, now }: ExactParams): string | null {
  const until = Math.max(...batches.flatMap(({ steps }) => steps.map(({ latest, earliest }) => Date.parse(latest ?? earliest ?? now)))) + 14 * DAY_MS;
  const timeline = new Timeline(resources, hours, Date.parse(now), until);
  const costs: string[] = [];
  const rules: string[] = [];
  const binaries: string[] = [];
  /** what is added to each slot's use of each store, and of the hands */
  const uses = new Map<string, string[]>();
  const use = (what: string, slot: number, term: string) => uses.set(`${what} ${slot}`, [...(uses.get(`${what} ${slot}`) ?? []), term]);
  for (const [b, batch] of batches.entries()) {
    const found = jobWindows(batch, timeline);
    if ('conflict' in found) return null;
    const line = lineOf(batch);
    const slotsOf = (id: string) => {
      const { from, to } = found.windows.get(id) ?? { from: 0, to: -1 };
      return Array.from({ length: to - from + 1 }, (_, i) => from + i);
    };
    const name = (k: number, slot: number) => `x_${b}_${k}_${slot - Math.min(0, ...slotsOf(line[0]?.id ?? ''))}`;
    const timeOf = (k: number, sign: string) => slotsOf(line[k]?.id ?? '').map((slot) => `${sign}${slot} ${name(k, slot)}`);
    line.forEach((step, k) => {
      const slots = slotsOf(step.id);
      const own = jobCosts(step, slots[0] ?? 0, slots.length, timeline);
      slots.forEach((slot, i) => {
        const end = k === line.length - 1 ? endCost(slot, readySlot(batch, timeline)) : 0;
        costs.push(`${((own[i] as number) + end).toFixed(9)} ${name(k, slot)}`);
        binaries.push(name(k, slot));
        if (step.doneAt === undefined) for (let s = slot; s < slot + handsSlots(step); s += 1) use('hands', s, `+ 1 ${name(k, slot)}`);
      });
      rules.push(`${slots.map((slot) => `+ 1 ${name(k, slot)}`).join(' ')} = 1`);
      if (k === 0 || step.after === undefined) return;
      const gap = `${timeOf(k, '+ ').join(' ')} ${timeOf(k - 1, '- ').join(' ')}`.replaceAll('+ -', '- ').replaceAll('- -', '+ ');
      const [least, usual, most] = [step.after.leastH, step.after.usualH, step.after.mostH].map(inSlots) as [number, number, number];
      if (step.doneAt === undefined) rules.push(`${gap} >= ${least}`, `${gap} <= ${most}`);
      rules.push(`${gap} - d_${b}_${k} <= ${usual}`, `${gap} + d_${b}_${k} >= ${usual}`);
      if (step.doneAt === undefined) costs.push(`${usualWeight(usual).toFixed(9)} d_${b}_${k}`);
    });
    for (const hold of batch.holds) {
      const [first, last] = [line.findIndex(({ id }) => id === hold.from), line.findIndex(({ id }) => id === hold.until)];
      const [begins, ends] = [slotsOf(hold.from), slotsOf(hold.until)];
      for (let slot = Math.max(0, begins[0] ?? 0); slot < (ends.at(-1) ?? 0); slot += 1) {
        for (const t of begins) if (t <= slot) use(hold.resource, slot, `+ ${hold.amount} ${name(first, t)}`);
        for (const t of ends) if (t <= slot) use(hold.resource, slot, `- ${hold.amount} ${name(last, t)}`);
      }
    }
  }
  for (const [key, terms] of uses) {
    const what = key.split(' ')[0] ?? '';
    const most = what === 'hands' ? hours.hands : (resources.find(({ id }) => id === what)?.capacity ?? 0);
    rules.push(`${terms.join(' ')} <= ${most}`);
  }
  const lines = (terms: readonly string[]) => terms.map((term) => ` + ${term}`).join('\n');
  return `Minimize\n obj:\n${lines(costs)}\nSubject To\n${rules.map((rule, i) => ` r${i}: ${rule.split(' + ').join('\n + ')}`).join('\n')}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

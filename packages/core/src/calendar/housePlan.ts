import { InputError } from '../inputError.js';
import type { Resource } from '../schedule/scheduleTypes.js';
import { requireHours, type WorkingHours } from '../schedule/workingHours.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** What a house has and when it works: what the Calendar plans with. */
export interface HousePlan {
  hours: WorkingHours;
  resources: Resource[];
}

/** Monday to Saturday from seven to six, chill gates at any hour, one refrigerator, one smoker. */
export const usualHousePlan = (timeZone: string): HousePlan => ({
  hours: {
    timeZone,
    week: Array.from({ length: 7 }, (_, day) => (day === 0 ? [] : [{ fromMin: 7 * 60, toMin: 18 * 60 }])),
    daysOff: [],
    hands: 2,
    nightWatch: ['chill'],
  },
  resources: [
    { id: 'refrigerator', name: 'Refrigerator', kind: 'refrigerator', capacity: 110 },
    { id: 'smoker', name: 'Smoker', kind: 'smoker', capacity: 4 },
  ],
});

const MOST_RESOURCES = 40;

/** @throws InputError where something of it cannot be */
export function requireHousePlan(plan: HousePlan): HousePlan {
  requireHours(plan.hours);
  if (plan.resources.length > MOST_RESOURCES) throw new InputError('resources', inputSays('too-many-stores', { most: MOST_RESOURCES }));
  const ids = new Set<string>();
  for (const [i, { id, name, capacity, closed = [] }] of plan.resources.entries()) {
    if (ids.has(id)) throw new InputError(`resources.${i}.name`, inputSays('store-named-twice', { name }));
    ids.add(id);
    requireNumber('resources.capacity', capacity, { above: 0, max: 100_000 });
    for (const [k, { from, to }] of closed.entries())
      if (!(Date.parse(to) > Date.parse(from))) throw new InputError(`resources.${i}.closed.${k}.to`, inputSays('out-of-order-backwards', { name }));
  }
  return plan;
}

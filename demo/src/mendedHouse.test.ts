import { toDesign } from '@bunkhouse/api';
import { checkEntry, movedPlan, replay, schedulable, schedule, type BatchRecord, type LogEntry, MINUTE_MS, DAY_MS } from '@bunkhouse/core';
import { demoHouse } from './demoHouse.js';
import { processOfRequest } from './demoRecipes.js';

// At noon and at night, some hours late, with the smoker and without it.
test.each([
  ['2026-11-27T12:10:00Z', 95, 0],
  ['2026-11-28T03:40:00Z', 400, 12],
])('the house of %s, mended %d minutes later, the smoker away for %d days: no log refuses its part of the plan', (today, later, days) => {
  const from = Date.parse(today);
  const { batches, plan } = demoHouse(from, 'UTC');
  const now = from + later * MINUTE_MS;
  const at = new Date(now).toISOString();
  const live = batches
    .map(({ request, entries }) => {
      const log = entries.map((entry, i) => ({ ...entry, seq: i + 1, recordedAt: entry.at }) as LogEntry);
      const record: BatchRecord = { id: request.id, code: '', design: toDesign(request), process: processOfRequest(request), entries: log };
      return { record, state: replay(record, now) };
    })
    .filter(({ state }) => state.outcome === 'live');
  const closed = days === 0 ? [] : [{ from: at, to: new Date(now + days * DAY_MS).toISOString(), why: 'Fan broken' }];
  const resources = plan.resources.map((store) => (store.id === 'smoker' ? { ...store, closed } : store));
  const asked = live.map(({ record, state }) => schedulable(record, state, resources));
  const { moved } = schedule({ batches: asked, resources, hours: plan.hours, now: at, mend: true });
  for (const { batch, at: times, stores } of moved) {
    const one = live.find(({ record }) => record.id === batch);
    if (one === undefined) throw new Error('a batch of the house');
    const changes = { ...movedPlan(one.state, times), ...(Object.keys(stores).length === 0 ? {} : { stores }) };
    expect(checkEntry(one.record, { id: 'x', kind: 'replanned', changes, reason: 'Mended', by: 'Juno', at }, now)).toEqual([]);
  }
  expect(moved.length).toBeGreaterThan(2);
});

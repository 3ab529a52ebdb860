// The scheduler: sixty live batches over twelve weeks, first plan and settled plan; growth to five hundred.
//   node bench/schedule.mjs
import { processFor, replay, schedulable, schedule, usualDesign, usualHousePlan } from '@bunkhouse/core';

const NOW = Date.parse('2026-10-05T12:00:00Z');
const DAY_MS = 86_400_000;
const PRODUCTS = ['canadian-bacon', 'pastrami', 'ham-bone-in'];
const { hours, resources } = usualHousePlan('America/Denver');
const house = [
  ...resources.map((resource) => ({ ...resource, capacity: resource.kind === 'smoker' ? 8 : 700 })),
  { id: 'tubs', name: 'Tubs', kind: 'tub', capacity: 30 },
];

/** A third of them running, the others coming over twelve weeks. */
function batches(count) {
  return Array.from({ length: count }, (_, i) => {
    const product = PRODUCTS[i % 3];
    const startsAt = new Date(NOW + (i / count) * 84 * DAY_MS - 6 * DAY_MS).toISOString();
    const record = { id: `b${i}`, code: `B-${i}`, design: usualDesign(product, startsAt), process: processFor(product), entries: [] };
    const made = schedulable(record, replay(record, Math.min(NOW, Date.parse(startsAt))), house);
    const steps = made.steps.map((step) => {
      const due = step.plannedAt;
      return due !== undefined && Date.parse(due) < NOW ? { ...step, doneAt: due, plannedAt: undefined } : step;
    });
    return {
      ...made,
      steps,
      holds: [...made.holds, { resource: 'tubs', amount: 1, from: 'meat-in', until: 'pull' }],
      ...(i % 4 === 0 ? { readyBy: new Date(Date.parse(startsAt) + 24 * DAY_MS).toISOString() } : {}),
    };
  });
}

const asked = (count, rounds) => ({ batches: batches(count), resources: house, hours, now: new Date(NOW).toISOString(), rounds });
const timed = (work) => {
  const from = performance.now();
  const answer = work();
  return { ms: performance.now() - from, answer };
};

timed(() => schedule(asked(10, 1)));
let smallest;
for (const count of [30, 60, 120]) {
  const first = timed(() => schedule(asked(count, 0)));
  const settled = timed(() => schedule(asked(count)));
  smallest ??= settled.ms / count;
  console.log(
    `${count} batches: first plan ${first.ms.toFixed(0)} ms (cost ${first.answer.cost.toFixed(0)}), settled ${settled.ms.toFixed(0)} ms (cost ${settled.answer.cost.toFixed(0)}, ${settled.answer.clashes.length} clashes), ${(settled.ms / count / smallest).toFixed(2)} times as long for each batch as of thirty`,
  );
}

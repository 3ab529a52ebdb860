// The scheduler: sixty live batches over twelve weeks, first plan and settled plan; growth to five hundred; beside a mixed-integer solver.
//   node benchmarks/schedule.mjs
import loadHighs from 'highs';
import { exactProgram } from '../packages/core/dist/testing/exactPlan.js';
import { processFor, replay, schedulable, schedule, usualDesign, usualHousePlan } from '@bunkhouse/core';

const NOW = Date.parse('2026-10-05T12:00:00Z');
const DAY_MS = 86_400_000;
const PRODUCTS = ['canadian-bacon', 'pastrami', 'ham-bone-in'];
const { hours, resources } = usualHousePlan('America/Denver');
/** Stores that grow with the batches: what grows beside them is the work, not the crowd. */
const houseOf = (count) => [
  ...resources.map((resource) => ({ ...resource, capacity: ((resource.kind === 'smoker' ? 8 : 700) * count) / 60 })),
  { id: 'tubs', name: 'Tubs', kind: 'tub', capacity: count / 2 },
];

/** A third of them running, the others coming over twelve weeks. */
function batches(count, house) {
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

const asked = (count) => {
  const house = houseOf(count);
  return { batches: batches(count, house), resources: house, hours: { ...hours, hands: Math.ceil(count / 30) }, now: new Date(NOW).toISOString() };
};
const askedOf = new Map();
/** Made once: what is timed is the planning. */
const ask = (count, rounds) => {
  const made = askedOf.get(count) ?? asked(count);
  askedOf.set(count, made);
  return { ...made, rounds };
};
const timed = (work) => {
  const from = performance.now();
  const answer = work();
  return { ms: performance.now() - from, answer };
};

timed(() => schedule(ask(30, 1)));
let smallest;
for (const count of [30, 60, 120, 250, 500]) {
  ask(count);
  const first = timed(() => schedule(ask(count, 0)));
  const settled = timed(() => schedule(ask(count)));
  smallest ??= settled.ms / count;
  console.log(
    `${count} batches: first plan ${first.ms.toFixed(0)} ms (cost ${first.answer.cost.toFixed(0)}), settled ${settled.ms.toFixed(0)} ms (cost ${settled.answer.cost.toFixed(0)}, ${settled.answer.clashes.length} clashes), ${(settled.ms / count / smallest).toFixed(2)} times as long for each batch as of thirty`,
  );
}

// Small houses that the mixed-integer solver HiGHS can finish: the same question, time and objective side by side.
const HOUR_MS = 3_600_000;
const at = (h) => new Date(NOW + h * HOUR_MS).toISOString();
const SMALL = [
  { id: 'cold', name: 'Cold', kind: 'refrigerator', capacity: 40 },
  { id: 'hot', name: 'Hot', kind: 'smoker', capacity: 1 },
];
const small = (i, startH, cureH, amount) => ({
  id: `s${i}`,
  code: `S-${i}`,
  steps: [
    { id: 'in', earliest: at(startH), latest: at(startH + 4) },
    { id: 'pull', after: { leastH: cureH - 2, usualH: cureH, mostH: cureH + 6 } },
    { id: 'light', after: { leastH: 0.5, usualH: 2, mostH: 6 } },
    { id: 'off', after: { leastH: 2, usualH: 2, mostH: 2.5 } },
  ].map((step) => ({ title: step.id, station: 'cure', handsMin: 15, ...step })),
  holds: [
    { resource: 'cold', amount, from: 'in', until: 'light' },
    { resource: 'hot', amount: 1, from: 'light', until: 'off', program: 'hot' },
  ],
});
const highs = await loadHighs();
for (const count of [1, 2, 3, 4]) {
  const question = {
    batches: Array.from({ length: count }, (_, i) => small(i, 1 + 2 * i, 4 + (i % 3), 15 + 5 * (i % 2))),
    resources: SMALL,
    hours: { ...hours, timeZone: 'UTC', hands: 2 },
    now: new Date(NOW).toISOString(),
  };
  const own = timed(() => schedule(question));
  const exact = timed(() => highs.solve(exactProgram(question), { time_limit: 60, output_flag: false }));
  console.log(
    `${count} short batches: by turns ${own.ms.toFixed(0)} ms, cost ${own.answer.cost.toFixed(3)}; HiGHS ${exact.ms.toFixed(0)} ms, cost ${exact.answer.ObjectiveValue?.toFixed(3)} (${exact.answer.Status}); ${(exact.ms / own.ms).toFixed(1)} times as long`,
  );
}

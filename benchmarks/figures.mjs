// How much it costs to derive every figure of a batch from its log, against the same arithmetic written out by hand.
import { CURE_1, planBatch, processFor, replay, usualDesign } from '../packages/core/dist/index.js';

const START = '2026-10-05T07:00:00.000Z';
const HOUR_MS = 3_600_000;
const design = usualDesign('ham-bone-in', START);
const process_ = processFor('ham-bone-in');

const entry = (seq, stepId, hours, values) => ({
  id: `e${seq}`,
  seq,
  kind: 'done',
  stepId,
  values,
  by: 'Bench',
  at: new Date(Date.parse(START) + hours * HOUR_MS).toISOString(),
  recordedAt: START,
});

/** A ham in its fifth day of cure: twelve entries. */
const record = {
  id: 'b',
  code: 'HB-001',
  design,
  process: process_,
  entries: [
    entry(1, 'weigh', 0, { 'greenG:A': 7600 }),
    entry(2, 'mix-pickle', 1, { waterG: 845, saltG: 125, sugarG: 55, cureG: 21 }),
    entry(3, 'mix-cover', 1.5, { waterG: 4100, saltG: 160, sugarG: 65, cureG: 12.7 }),
    entry(4, 'pump', 4, { pickleC: 3, 'pumpedG:A': 8360 }),
    entry(5, 'meat-in', 5, { brineC: 3 }),
    ...[1, 2, 3, 4].map((n) => entry(5 + n, `turn-${n}`, 5 + 24 * n, { coldC: 3 })),
    entry(10, 'repump', 89, { 'beforeG:A': 8400, 'pumpedG:A': 8560 }),
    { ...entry(11, 'x', 0, {}), kind: 'note', reason: 'Tub two' },
    { ...entry(12, 'x', 0, { 'greenG:A': 7600 }), kind: 'correction', replaces: 'e1', reason: 'The same again' },
  ],
};
const now = Date.parse(START) + 100 * HOUR_MS;

/** Pump %, pumped ppm, even ppm, three strengths and the salt: nothing else. */
function bareArithmetic(w) {
  const pump = (w.pumped - w.green + w.repumped - w.before) / w.green;
  const pickle = w.pWater + w.pSalt + w.pSugar + w.pCure;
  const cover = w.cWater + w.cSalt + w.cSugar + w.cCure;
  const share = CURE_1.nitritePercent / 100;
  const carried = CURE_1.saltPercent / 100;
  const injected = pump * w.green;
  const ppm = ((w.pCure * share) / pickle) * pump * 1e6;
  const even = (((w.pCure * share) / pickle) * injected + w.cCure * share) / (w.green + injected + cover);
  const salt = ((w.pSalt + w.pCure * carried) / pickle) * injected + w.cSalt + w.cCure * carried;
  return (
    ppm + even + salt / (w.green + w.cWater + (injected / pickle) * w.pWater) + (w.pSalt + w.pCure * carried) / pickle + (w.cSalt + w.cCure * carried) / cover
  );
}
const weights = {
  green: 7600,
  pumped: 8360,
  before: 8400,
  repumped: 8560,
  pWater: 845,
  pSalt: 125,
  pSugar: 55,
  pCure: 21,
  cWater: 4100,
  cSalt: 160,
  cSugar: 65,
  cCure: 12.7,
};

/** Seconds for one call, the best of several rounds. */
function perCall(work, calls) {
  let best = Infinity;
  for (let round = 0; round < 7; round += 1) {
    const from = performance.now();
    for (let i = 0; i < calls; i += 1) work(i);
    best = Math.min(best, (performance.now() - from) / calls / 1000);
  }
  return best;
}

let sink = 0;
const bare = perCall((i) => (sink += bareArithmetic({ ...weights, green: 7600 + (i % 7) })), 200_000);
const plan = perCall((i) => (sink += planBatch(process_, { ...design, nitritePpm: 140 + (i % 20) }).figures.nitrite.applies.value), 400);
const derived = perCall((i) => (sink += replay(record, now + i).figures.nitrite.applies.value), 400);
if (!Number.isFinite(sink)) throw new Error('the benchmark computed nothing');

const us = (seconds) => `${(seconds * 1e6).toFixed(1)} µs`;
console.log('Figures of a batch');
console.log(`  bare arithmetic                 ${us(bare)}   1 x`);
console.log(`  a keystroke in New batch        ${us(plan)}   ${(plan / bare).toFixed(0)} x   (sheet, figures with doubt and working, findings, all dates)`);
console.log(`  replaying a log of 12 entries   ${us(derived)}   ${(derived / bare).toFixed(0)} x`);
console.log(`  a frame of 16 ms holds          ${Math.floor(0.016 / plan)} keystrokes`);

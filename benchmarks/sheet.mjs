// What a key on the Bench costs, against the same arithmetic written out by hand; and a unit conversion beside a general unit library.
import Qty from 'js-quantities';
import { convert, CURE_1, readRecipe, usualSheet, workOut } from '../packages/core/dist/index.js';

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

/** The figures that a cook reads off an even cure, and nothing else: grams, strengths, ppm three ways, ice, litres, pump. */
function bareArithmetic(meat, water, salt, sugar, ppm) {
  const share = CURE_1.nitritePercent / 100;
  const carried = CURE_1.saltPercent / 100;
  const per = ppm / 1e6 / share;
  const brine = (water + (salt + sugar) * (meat + water) + per * (1 - carried) * meat) / (1 - per * (1 - carried));
  const cure = per * (meat + brine);
  const saltG = salt * (meat + water) - carried * cure;
  const all = saltG + carried * cure;
  const percent = (all / brine) * 100;
  const density = 0.9982 + 0.0073 * percent;
  const hot = 0.3 * water;
  const ice = (hot * 4.186 * 92 + (water - hot) * 4.186 * 9) / (334 + 4.186 * 12);
  const pick = ((cure * share) / brine) * 0.1 * 1e6;
  const dry = ((cure * share) / meat) * 1e6;
  const down = (meat / 1.05) * (density - 1.05) * 1.3;
  return cure + saltG + percent + percent / 0.26395 + (all / water) * 100 + ice + pick + dry + brine / density + down + 145 - 145 / (density / 0.999);
}

const loin = usualSheet('canadian-bacon');
const ham = { ...usualSheet('ham-bone-in'), tub: 'rectangular', floatReading: 58, floatC: 20, floatSugarPercent: 3 };
const text = '2 1/2 cups coarse salt, 1 gal water\n4 tsp pink cure #1\n1 cup brown sugar, packed\n1-2 tbsp peppercorns\n5 bay leaves\n3 cloves garlic';
const have = { ...loin, door: 'have', text };

let sink = 0;
const read = (worked) => {
  if (!('value' in worked.recipe)) throw new Error('the benchmark computed nothing');
  sink += worked.recipe.value.audit.nitrite.applies.value;
};
const bare = perCall((i) => (sink += bareArithmetic(2600 + (i % 9), 1300, 0.023, 0.01, 150)), 200_000);
const key = perCall((i) => read(workOut({ ...loin, greenG: 2600 + (i % 9) })), 200);
const full = perCall((i) => read(workOut({ ...ham, greenG: 7400 + (i % 9) })), 200);
const paste = perCall((i) => read(workOut({ ...have, greenG: 2600 + (i % 9) })), 200);
const parse = perCall(() => (sink += readRecipe(text).lines.length), 400);

const pairs = [
  ['galUS', 'mL', 'gallon', 'ml'],
  ['lb', 'g', 'lb', 'g'],
  ['F', 'C', 'tempF', 'tempC'],
  ['tsp', 'cup', 'tsp', 'cup'],
];
const ours = perCall((i) => (sink += convert(2 + (i % 5), ...pairs[i % 4].slice(0, 2))), 20_000);
const theirs = perCall((i) => (sink += Qty(2 + (i % 5), pairs[i % 4][2]).to(pairs[i % 4][3]).scalar), 20_000);
if (!Number.isFinite(sink)) throw new Error('the benchmark computed nothing');

const us = (seconds) => `${(seconds * 1e6).toFixed(1)} µs`.padEnd(11);
const row = (what, seconds, of) => console.log(`  ${what.padEnd(44)}${us(seconds)} ${(seconds / of).toFixed(1)} x`);
console.log('A key on the Bench');
row('bare arithmetic of an even cure', bare, bare);
row('an even cure, whole sheet', key, bare);
row('pump and cover in a tub with a float reading', full, bare);
row('a pasted recipe with open questions', paste, bare);
row('of which reading the text', parse, bare);
console.log(`  4 ms hold ${Math.floor(0.004 / Math.max(key, full, paste))} of the slowest`);
console.log('A unit conversion');
row('here', ours, ours);
row('a general unit library (js-quantities)', theirs, ours);

// The section model against a general ODE integrator on the same cells (method of lines), at the same error; and how it grows.
import ode45 from 'ode45-cash-karp';
import { sectionGrid, simulateSection } from '../packages/core/dist/index.js';

const DIFFUSIVITY_MM2 = 3e-4;
const HAM = { shape: 'round', diameterMm: 200, bone: { diameterMm: 42 } };
const DAYS = 14;
const SALT = 5;

const timed = (work) => {
  let [best, answer] = [Infinity, null];
  for (let round = 0; round < 3; round += 1) {
    const from = performance.now();
    answer = work();
    best = Math.min(best, performance.now() - from);
  }
  return [best, answer];
};

const ours = (cellMm, sampleHours) =>
  simulateSection({
    section: HAM,
    meatG: 7400,
    cellMm,
    stages: [{ kind: 'bath', hours: DAYS * 24, bathG: 'infinite', saltPercent: SALT }],
    sampleHours,
  }).mean.at(-1);

/** The same flows between the same cells, handed to the integrator. */
function theirs(cellMm, tolerance) {
  const { cells, right, below, rim, area, areaMm2, width } = sectionGrid(HAM, cellMm);
  const place = new Map(Array.from(cells, (i, k) => [i, k]));
  const pairs = Array.from(cells).flatMap((i, k) => [
    ...(right[i] > 0 ? [[k, place.get(i + 1), right[i]]] : []),
    ...(below[i] > 0 ? [[k, place.get(i + width), below[i]]] : []),
  ]);
  const areas = Array.from(cells, (i) => area[i]);
  const rims = Array.from(cells, (i) => rim[i]);
  const flow = (change, salt) => {
    for (let k = 0; k < salt.length; k += 1) change[k] = rims[k] * (SALT - salt[k]);
    for (const [a, b, conductance] of pairs) {
      const moved = conductance * (salt[b] - salt[a]);
      change[a] += moved;
      change[b] -= moved;
    }
    for (let k = 0; k < salt.length; k += 1) change[k] *= DIFFUSIVITY_MM2 / areas[k];
  };
  const integrator = ode45(new Float64Array(cells.length), flow, 0, 60, { tol: tolerance });
  integrator.steps(Infinity, DAYS * 86400);
  const { y } = integrator;
  return y.reduce((sum, salt, k) => sum + salt * areas[k], 0) / areaMm2;
}

console.log('Fourteen days of a ham 20 cm through');
const [fine, mean] = timed(() => ours(2, 1.68));
console.log(`  cells of 2 mm, 200 samples kept            ${fine.toFixed(0)} ms   mean ${mean.toFixed(4)} %`);
const truth = ours(4, 0.07);
const [here, near] = timed(() => ours(4, 1.68));
console.log(
  `  cells of 4 mm                              ${here.toFixed(0)} ms   off the same cells at tiny steps by ${Math.abs(near - truth).toExponential(1)} %`,
);
for (const tolerance of [1e-4, 1e-7]) {
  const [there, far] = timed(() => theirs(4, tolerance));
  console.log(
    `  a general integrator (ode45), tolerance ${tolerance}  ${there.toFixed(0)} ms   off by ${Math.abs(far - truth).toExponential(1)} %   ${(there / here).toFixed(1)} x the time`,
  );
}
console.log('Growth: time against cells × plain steps, each as a multiple of the first row');
let first = null;
for (const cellMm of [8, 6, 4, 3, 2]) {
  const cells = sectionGrid(HAM, cellMm).cells.length;
  const [ms] = timed(() => ours(cellMm, 1.68));
  const work = cells / cellMm ** 2;
  first ??= { ms, work };
  console.log(
    `  ${cellMm} mm, ${String(cells).padStart(5)} cells   ${ms.toFixed(0).padStart(4)} ms   time ${(ms / first.ms).toFixed(0)} x   work ${(work / first.work).toFixed(0)} x`,
  );
}

// How far the forecast of a core is off on simulated cooks that are made by other equations than its own: stalls, wind, wood fires, a
// shallow probe. Beside it the straight line through the last hour, as a cook would draw it.
import { forecastCore } from '../packages/core/dist/index.js';
import { SimulatedCook } from '../apps/devices/dist/index.js';

const KINDS = [
  {
    name: 'ham, 180 mm, 95 then 120 °C',
    diameterMm: 180,
    massG: 7400,
    targetC: 66,
    settings: [
      { fromS: 0, C: 95 },
      { fromS: 21_600, C: 120 },
    ],
  },
  {
    name: 'loin, 85 mm, 80 then 105 °C',
    diameterMm: 85,
    massG: 2600,
    targetC: 64,
    settings: [
      { fromS: 0, C: 80 },
      { fromS: 9000, C: 105 },
    ],
  },
  { name: 'brisket as a roll, 110 mm, 125 °C, to 88 °C', diameterMm: 110, massG: 4300, targetC: 88, settings: [{ fromS: 0, C: 125 }] },
];
const SEEDS = Number(process.env.SEEDS ?? 24);
const PARTS = [0.25, 0.5, 0.75, 0.9];
const EVERY_S = 60;

function cooked(kind, seed, shallow) {
  const cook = new SimulatedCook({
    seed,
    diameterMm: kind.diameterMm,
    coreC: 5,
    startC: kind.settings[0].C - 5,
    settings: kind.settings,
    doorsS: [5000, 12_000],
    shallow,
  });
  const [chamber, core] = [[], []];
  for (let s = 0; s < 40 * 3600; s += EVERY_S) {
    const reading = cook.next(EVERY_S);
    if (reading.C[0] !== null) chamber.push({ s: reading.s, C: reading.C[0] });
    if (reading.C[1] !== null) core.push({ s: reading.s, C: reading.C[1] });
    if (cook.trueCoreC() >= kind.targetC) break;
  }
  return { chamber, core, doneS: core.at(-1).s };
}

const phasesOf = ({ settings }) => settings.map(({ C }, i) => ({ chamberC: C, ...(settings[i + 1] === undefined ? {} : { untilS: settings[i + 1].fromS }) }));

function straight(core, targetC) {
  const last = core.at(-1);
  const before = core.findLast(({ s }) => s <= last.s - 3600) ?? core[0];
  const rate = (last.C - before.C) / (last.s - before.s);
  return rate <= 0 ? Infinity : last.s + (targetC - last.C) / rate;
}

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
let spent = 0;
let asked = 0;
for (const kind of KINDS) {
  console.log(kind.name);
  for (const part of PARTS) {
    const [off, line] = [[], []];
    let inside = 0;
    let width = 0;
    for (let seed = 1; seed <= SEEDS; seed += 1) {
      const { chamber, core, doneS } = cooked(kind, seed, 0);
      const nowS = doneS * part;
      const readings = core.filter(({ s }) => s <= nowS);
      const began = performance.now();
      const forecast = forecastCore({
        section: { shape: 'round', diameterMm: kind.diameterMm },
        massG: kind.massG,
        startC: 5,
        phases: phasesOf(kind),
        readings,
        chamber: chamber.filter(({ s }) => s <= nowS),
        targetC: kind.targetC,
      });
      spent += performance.now() - began;
      asked += 1;
      off.push(Math.abs(forecast.etaS - doneS) / 60);
      line.push(Math.abs(straight(readings, kind.targetC) - doneS) / 60);
      if (doneS >= forecast.lowS && doneS <= forecast.highS) inside += 1;
      width += Math.min(48 * 60, (forecast.highS - forecast.lowS) / 60) / SEEDS;
    }
    console.log(
      `  after ${part * 100} % of the time: off by ${middle(off).toFixed(0)} min (the straight line ${middle(line).toFixed(0)} min, ratio ${(middle(off) / middle(line)).toFixed(2)}); ` +
        `${Math.round((inside / SEEDS) * 100)} % inside the range of ${width.toFixed(0)} min (four in five are meant to be)`,
    );
  }
}
console.log(`a forecast takes ${(spent / asked).toFixed(0)} ms`);

import { requestBy, type BatchRequest, type LogEntryRequest, type LotRequest, type RecipeRequest } from '@bunkhouse/api';
import { processFor, replay, usualHousePlan, usualWaterG, type HousePlan, type School, HOUR_MS, DAY_MS, MINUTE_MS } from '@bunkhouse/core';
import { demoRecipes, processOfRequest } from './demoRecipes.js';
import { playBatch, type PlayedBatch } from './playBatch.js';
import { demoLots, fromLots } from './demoLots.js';
import { demoTools, type DemoTool } from './demoTools.js';
import { planHouse } from './planHouse.js';
import { idFrom } from './random.js';

/** A simulated device of the house. */
export interface DemoDevice {
  id: string;
  name: string;
  kind: 'thermometer' | 'refrigerator';
  /** the refrigerator that a logger hangs in */
  store?: string;
  channels: { channel: number; name: string }[];
}

export interface DemoHouse {
  name: string;
  cooks: readonly string[];
  plan: HousePlan;
  devices: readonly DemoDevice[];
  recipes: RecipeRequest[];
  tools: DemoTool[];
  lots: LotRequest[];
  batches: PlayedBatch[];
}

export const DEMO_NAME = 'Tamarack Fork';

const COOKS = ['Wren', 'Juno', 'Abel'] as const;

const THERMOMETER: DemoDevice = {
  id: idFrom('four-channel thermometer'),
  name: 'Four-channel thermometer',
  kind: 'thermometer',
  channels: [
    { channel: 1, name: 'Grate' },
    { channel: 2, name: 'Core, thick end' },
    { channel: 3, name: 'Core, thin end' },
    { channel: 4, name: 'Spare' },
  ],
};

const LOGGER: DemoDevice = {
  id: idFrom('refrigerator logger'),
  name: 'Cold room logger',
  kind: 'refrigerator',
  store: 'refrigerator',
  channels: [{ channel: 1, name: 'Air, middle shelf' }],
};

type DemoProduct = BatchRequest['product'];

interface Wanted {
  name: string;
  product: DemoProduct;
  /** a version of a recipe; the first of the product's starter when not given */
  recipe?: { id: string; version: number };
  school?: School['kind'];
  greenG: number[];
  /** the step that is next, and how many minutes from now it falls due */
  next?: { step: string; inMin: number };
  /** which of the smokers, where it is not the large one */
  smoker?: string;
  /** the fire is tended; and the thermometer hangs in it */
  watched?: 'tended' | 'probed';
  /** thicker and shorter than usual, to see how far the cure comes */
  trial?: { thicknessMm: number; cureDays: number };
  /** or: days ago that it was started, at seven in the morning, and worked on ever since */
  startedDaysAgo?: number;
}

/** On the rail: a batch at every station, one job due, one overdue. */
const LIVE: readonly Wanted[] = [
  { name: 'chill', product: 'canadian-bacon', greenG: [2840], next: { step: 'gate-first', inMin: -31 } },
  { name: 'pack', product: 'pastrami', greenG: [4370], next: { step: 'freezer', inMin: 400 } },
  { name: 'cook', product: 'ham-bone-in', greenG: [7180], watched: 'probed', next: { step: 'core', inMin: 35 } },
  { name: 'smoke', product: 'pastrami', greenG: [3920], smoker: 'small-smoker', next: { step: 'raise', inMin: 72 }, watched: 'tended' },
  { name: 'dry', product: 'ham-bone-in', greenG: [6840], next: { step: 'pellicle', inMin: 310 } },
  { name: 'soak', product: 'canadian-bacon', school: 'pumpAndCover', greenG: [2310], next: { step: 'soak-out', inMin: 22 } },
  { name: 'cure-due', product: 'ham-bone-in', greenG: [7760], next: { step: 'turn-5', inMin: -12 } },
  { name: 'cure-pieces', product: 'pastrami', greenG: [2180, 2460], startedDaysAgo: 6 },
  { name: 'prep', product: 'canadian-bacon', greenG: [2690], next: { step: 'mix', inMin: 25 } },
];

const LAST_SEASON_DAYS = 365;

/** The Ledger: this autumn and the one before. */
function finished(): Wanted[] {
  const products: DemoProduct[] = ['canadian-bacon', 'pastrami', 'ham-bone-in', 'pastrami', 'canadian-bacon', 'ham-bone-in', 'canadian-bacon', 'pastrami'];
  return [0, LAST_SEASON_DAYS - 20].flatMap((ago, season) =>
    products.map((product, i) => ({
      name: `finished-${season}-${i}`,
      product,
      greenG: [processFor(product).usual.greenG + ((i * 137 + season * 211) % 640) - 300],
      ...(product === 'canadian-bacon' && i > 0 ? { trial: { thicknessMm: 98 + 6 * season, cureDays: 7 } } : {}),
      startedDaysAgo: ago + 26 + (products.length - i) * 6,
    })),
  );
}

/** Tamarack Fork, a made-up cook-house, as it stands at an instant. The same instant gives the same house. */
export function demoHouse(now: number, timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone): DemoHouse {
  const plan = demoPlan(timeZone);
  const ended = finished().map((batch, i) => play(batch, now, i + 1, timeZone));
  const live = LIVE.map((batch, i) => {
    const played = play(batch, now, ended.length + i + 1, timeZone);
    return batch.watched === undefined ? played : tended(played, now, batch.watched === 'probed');
  });
  const planned = planHouse(live, plan, now, COOKS[0]);
  const batches = [...ended, ...planned].sort((a, b) => a.request.startsAt.localeCompare(b.request.startsAt));
  return {
    name: DEMO_NAME,
    cooks: COOKS,
    plan,
    devices: [THERMOMETER, LOGGER],
    recipes: demoRecipes(),
    lots: demoLots(now),
    tools: demoTools(now),
    batches: batches.map((batch) => fromLots(batch, now)),
  };
}

/** What the usual house has, a colder drawer, a small smoker for trials, and tubs. */
function demoPlan(timeZone: string): HousePlan {
  const { hours, resources } = usualHousePlan(timeZone);
  return {
    hours,
    resources: [
      ...resources,
      { id: 'reach-in', name: 'Reach-in', kind: 'refrigerator', capacity: 45 },
      { id: 'small-smoker', name: 'Small smoker', kind: 'smoker', capacity: 2 },
      { id: 'tubs', name: 'Tubs', kind: 'tub', capacity: 6 },
    ],
  };
}

function play(wanted: Wanted, now: number, seed: number, timeZone: string): PlayedBatch {
  const options = { seed, timeZone, cooks: COOKS, idOf: (n: number) => idFrom(`${wanted.name}-${n}`) };
  if (wanted.next === undefined) {
    const startsAt = sevenOClock(now - (wanted.startedDaysAgo ?? 0) * DAY_MS);
    return playBatch(request(wanted, startsAt), { ...options, until: now - 0.2 * HOUR_MS });
  }
  // Played once to see when the step falls due, then again so many hours later or earlier.
  const { step, inMin } = wanted.next;
  const trial = playBatch(request(wanted, now - 30 * DAY_MS), { ...options, stopBefore: step, until: now });
  const last = trial.record.entries.at(-1);
  const due = replay(trial.record, Date.parse(last?.at ?? trial.request.startsAt)).steps.find((state) => state.spec.id === step)?.dueAt ?? now;
  const startsAt = now - 30 * DAY_MS + (now + inMin * MINUTE_MS - due);
  return playBatch(request(wanted, startsAt), { ...options, stopBefore: step, until: now });
}

function sevenOClock(at: number): number {
  const date = new Date(at);
  date.setHours(7, 0, 0, 0);
  return date.getTime();
}

function request(wanted: Wanted, startsAt: number): BatchRequest {
  const by = COOKS[(wanted.greenG[0] ?? 0) % COOKS.length] ?? COOKS[0];
  const process = processOfRequest(wanted);
  const usual = requestBy(process, {
    id: idFrom(wanted.name),
    by,
    startsAt: new Date(startsAt).toISOString(),
    ...(wanted.school === undefined ? {} : { school: wanted.school }),
  });
  const { trial } = wanted;
  const greenG = wanted.greenG.reduce((a, b) => a + b, 0);
  return {
    ...usual,
    pieces: wanted.greenG.flatMap((g) =>
      usual.pieces.map((piece) => ({ ...piece, greenG: g, ...(trial === undefined ? {} : { thicknessMm: trial.thicknessMm }) })),
    ),
    ...(trial === undefined ? {} : { cureDays: trial.cureDays }),
    waterG: usualWaterG(process, greenG),
    ...(wanted.smoker === undefined ? {} : { stores: { smoke: wanted.smoker } }),
  };
}

/** Fuel and spritz as a cook taps them, so many minutes apart. */
const TENDED = [
  { act: 'fuel', everyMin: 52 },
  { act: 'spritz', everyMin: 47 },
] as const;
const TENDED_UNTIL_MIN = 20;

/** The batch with its fire tended since the meat went on, and, where it is probed, its thermometer hung. */
function tended(played: PlayedBatch, now: number, isProbed: boolean): PlayedBatch {
  const on = played.entries.find((entry) => entry.stepId === 'meat-on');
  if (on === undefined) return played;
  const onMs = Date.parse(on.at);
  const own = (n: number, at: number, event: NonNullable<LogEntryRequest['event']>): LogEntryRequest => ({
    id: idFrom(`${played.request.id} pit ${n}`),
    kind: 'pit',
    event,
    at: new Date(at).toISOString(),
    by: on.by,
  });
  const { id } = THERMOMETER;
  const hung = own(0, onMs + 60_000, {
    act: 'probes',
    probes: [
      { device: id, channel: 1, reads: 'chamber' },
      { device: id, channel: 2, reads: 'A' },
    ],
  });
  const taps = TENDED.flatMap(({ act, everyMin }, k) =>
    Array.from({ length: Math.floor((now - TENDED_UNTIL_MIN * MINUTE_MS - onMs) / (everyMin * MINUTE_MS)) }, (_, i) =>
      own(100 * (k + 1) + i, onMs + (i + 1) * everyMin * MINUTE_MS, { act }),
    ),
  );
  const entries = [...played.entries, ...(isProbed ? [hung] : []), ...taps].sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
  return { ...played, entries };
}

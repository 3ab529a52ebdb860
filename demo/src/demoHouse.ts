import { usualRequest, type BatchRequest } from '@bunkhouse/api';
import { processFor, replay, usualWaterG, type School } from '@bunkhouse/core';
import { playBatch, type PlayedBatch } from './playBatch.js';
import { idFrom } from './random.js';

export interface DemoHouse {
  name: string;
  cooks: readonly string[];
  batches: PlayedBatch[];
}

export const DEMO_NAME = 'Tamarack Fork';

const COOKS = ['Wren', 'Juno', 'Abel'] as const;

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

type DemoProduct = BatchRequest['product'];

interface Wanted {
  name: string;
  product: DemoProduct;
  school?: School['kind'];
  greenG: number[];
  /** the step that is next, and how many minutes from now it falls due */
  next?: { step: string; inMin: number };
  /** thicker and shorter than usual, to see how far the cure comes */
  trial?: { thicknessMm: number; cureDays: number };
  /** or: days ago that it was started, at seven in the morning, and worked on ever since */
  startedDaysAgo?: number;
}

/** On the rail: a batch at every station, one job due, one overdue. */
const LIVE: readonly Wanted[] = [
  { name: 'chill', product: 'canadian-bacon', greenG: [2840], next: { step: 'gate-first', inMin: -31 } },
  { name: 'pack', product: 'pastrami', greenG: [4370], next: { step: 'pack', inMin: 400 } },
  { name: 'cook', product: 'ham-bone-in', greenG: [7180], next: { step: 'core', inMin: 35 } },
  { name: 'smoke', product: 'pastrami', greenG: [3920], next: { step: 'raise', inMin: 72 } },
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
export function demoHouse(now: number): DemoHouse {
  const wanted = [...finished(), ...LIVE];
  const batches = wanted.map((batch, i) => play(batch, now, i + 1)).sort((a, b) => a.request.startsAt.localeCompare(b.request.startsAt));
  return { name: DEMO_NAME, cooks: COOKS, batches };
}

function play(wanted: Wanted, now: number, seed: number): PlayedBatch {
  const options = { seed, cooks: COOKS, idOf: (n: number) => idFrom(`${wanted.name}-${n}`) };
  if (wanted.next === undefined) {
    const startsAt = sevenOClock(now - (wanted.startedDaysAgo ?? 0) * DAY_MS);
    return playBatch(request(wanted, startsAt), { ...options, until: now - 0.2 * HOUR_MS });
  }
  // Played once to see when the step falls due, then again so many hours later or earlier.
  const { step, inMin } = wanted.next;
  const trial = playBatch(request(wanted, now - 30 * DAY_MS), { ...options, stopBefore: step, until: now });
  const last = trial.record.entries.at(-1);
  const due = replay(trial.record, Date.parse(last?.at ?? trial.request.startsAt)).steps.find((state) => state.spec.id === step)?.dueAt ?? now;
  const startsAt = now - 30 * DAY_MS + (now + inMin * 60_000 - due);
  return playBatch(request(wanted, startsAt), { ...options, stopBefore: step, until: now });
}

function sevenOClock(at: number): number {
  const date = new Date(at);
  date.setHours(7, 0, 0, 0);
  return date.getTime();
}

function request(wanted: Wanted, startsAt: number): BatchRequest {
  const by = COOKS[(wanted.greenG[0] ?? 0) % COOKS.length] ?? COOKS[0];
  const usual = usualRequest(wanted.product, {
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
    waterG: usualWaterG(wanted.product, greenG),
  };
}

import { DAY_MS } from '@bunkhouse/core';
import type { LogEntryRequest, LotRequest } from '@bunkhouse/api';
import type { LotKind } from '@bunkhouse/core';
import type { PlayedBatch } from './playBatch.js';
import { idFrom } from './random.js';

interface DemoLot {
  kind: LotKind;
  name: string;
  number: string;
  supplier: string;
  /** days ago that it came, and that it may still be used */
  cameAgo: number;
  goodFor?: number;
  amountG: number;
  /** what all of it cost */
  price?: number;
}

/** What stands on the shelves of Tamarack Fork: a bag of cure from last season that is past its date, and this season's. */
const LOTS: readonly DemoLot[] = [
  { kind: 'cure', name: 'Cure #1', number: 'K 2207', supplier: 'Ridge provisions', cameAgo: 430, goodFor: -20, amountG: 400, price: 6.4 },
  { kind: 'cure', name: 'Cure #1', number: 'K 2431', supplier: 'Ridge provisions', cameAgo: 120, goodFor: 500, amountG: 1000, price: 14.6 },
  { kind: 'salt', name: 'Fine sea salt', number: '', supplier: 'Ridge provisions', cameAgo: 430, amountG: 25_000, price: 17.5 },
  { kind: 'meat', name: 'Last season’s meat', number: 'L 61', supplier: 'Hollis place', cameAgo: 500, amountG: 90_000, price: 441 },
  { kind: 'meat', name: 'This season’s meat', number: 'L 88', supplier: 'Hollis place', cameAgo: 110, amountG: 120_000, price: 648 },
  { kind: 'wood', name: 'Apple, split', number: '', supplier: 'own orchard', cameAgo: 200, amountG: 90_000 },
];

const idOf = ({ kind, number }: DemoLot): string => idFrom(`lot ${kind} ${number}`);
const day = (ms: number): string => new Date(ms).toISOString().slice(0, 10);

export const demoLots = (now: number): LotRequest[] =>
  LOTS.map((lot) => ({
    id: idOf(lot),
    kind: lot.kind,
    name: lot.name,
    number: lot.number,
    supplier: lot.supplier,
    receivedOn: day(now - lot.cameAgo * DAY_MS),
    ...(lot.goodFor === undefined ? {} : { bestBefore: day(now + lot.goodFor * DAY_MS) }),
    amountG: lot.amountG,
    ...(lot.price === undefined ? {} : { price: lot.price }),
    putAway: false,
    by: 'Wren',
  }));

/** The batch with the lots of its cure, its salt and its meat written down as they were weighed: the newest that was there then. */
export function fromLots(played: PlayedBatch, now: number): PlayedBatch {
  const mixed = played.entries.filter(({ stepId }) => stepId?.startsWith('mix') === true);
  const last = mixed.at(-1);
  if (last === undefined) return played;
  const at = Date.parse(last.at);
  const greenG = played.request.pieces.reduce((all, piece) => all + piece.greenG, 0);
  const entries = (['cure', 'salt', 'meat'] as const).flatMap((of): LogEntryRequest[] => {
    const g = of === 'meat' ? greenG : mixed.reduce((all, { values }) => all + Number(values?.[`${of}G`] ?? 0), 0);
    const lot = LOTS.filter((one) => one.kind === of && now - one.cameAgo * DAY_MS <= at).sort((a, b) => a.cameAgo - b.cameAgo)[0];
    if (lot === undefined || g <= 0) return [];
    return [
      {
        id: idFrom(`${played.request.id} lot ${of}`),
        kind: 'lot',
        draw: { of, lot: idOf(lot), g: Number(g.toFixed(1)) },
        at: last.at,
        by: last.by,
      },
    ];
  });
  const place = played.entries.indexOf(last) + 1;
  return { ...played, entries: [...played.entries.slice(0, place), ...entries, ...played.entries.slice(place)] };
}

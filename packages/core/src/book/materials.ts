import { greenAt } from '../batch/pieces.js';
import { isParting } from '../log/pieceEvent.js';
import { LOT_KINDS, type LotKind } from '../log/lotDraw.js';
import type { BatchState } from '../batch/batchState.js';

/** What a batch bears of a lot, g: of what was taken before a cut, its own part. */
export interface Borne {
  of: LotKind;
  lot: string;
  g: number;
}

/**
 * What a batch bears of the lots that were taken for it. What was taken before something was cut off goes with the green weight of the
 * two parts; what is dropped or trimmed is borne by what is left.
 */
export function borneLots({ standing, pieceFacts, firstGreenG }: Pick<BatchState, 'standing' | 'pieceFacts' | 'firstGreenG'>): Borne[] {
  const shareAfter = (takenAt: number): number =>
    pieceFacts.reduce((share, { at, event, isOurs }) => {
      if (!isParting(event) || at < takenAt) return share;
      const before = greenAt(firstGreenG, pieceFacts, at - 1);
      const all = Object.values(before).reduce((a, b) => a + b, 0);
      const went =
        event.act === 'parted'
          ? event.pieces.reduce((g, code) => g + (before[code] ?? 0), 0)
          : ((before[event.piece] ?? 0) * event.goesG) / (event.staysG + event.goesG);
      return all > 0 ? share * (isOurs ? went / all : 1 - went / all) : share;
    }, 1);
  const byLot = new Map<string, Borne>();
  for (const entry of standing) {
    if (entry.kind !== 'lot') continue;
    const { of, lot, g } = entry.draw;
    const borne = byLot.get(lot)?.g ?? 0;
    byLot.set(lot, { of, lot, g: borne + g * shareAfter(Date.parse(entry.at)) });
  }
  return [...byLot.values()];
}

/** What a lot cost, and how much of it that was. */
export interface PricedLot {
  id: string;
  amountG: number;
  /** in the house's money; null where nobody wrote it down */
  price: number | null;
}

export interface MaterialsCost {
  /** in the house's money */
  cost: number;
  /** what has no price, or no lot at all: the true cost is more */
  without: LotKind[];
}

/** Without these two a cost says nothing. */
const NEEDED: readonly LotKind[] = ['meat', 'cure'];

/**
 * What the materials of a batch cost, as far as its lots have prices. Null where the meat has none: the rest is small change beside it.
 *
 * @example materialsCost([{ of: 'meat', lot: 'a', g: 4000 }], [{ id: 'a', amountG: 10_000, price: 62 }]) // { cost: 24.8, without: ['cure'] }
 */
export function materialsCost(borne: readonly Borne[], lots: readonly PricedLot[]): MaterialsCost | null {
  const byId = new Map(lots.map((lot) => [lot.id, lot]));
  let cost = 0;
  const priced = new Set<LotKind>();
  const unpriced = new Set<LotKind>();
  for (const { of, lot, g } of borne) {
    const own = byId.get(lot);
    if (own === undefined || own.price === null) unpriced.add(of);
    else {
      cost += (g * own.price) / own.amountG;
      priced.add(of);
    }
  }
  if (!priced.has('meat') || unpriced.has('meat')) return null;
  return { cost, without: LOT_KINDS.filter((kind) => unpriced.has(kind) || (NEEDED.includes(kind) && !priced.has(kind))) };
}

import { HOUR_MS } from '../clock/spans.js';
import { borneLots, materialsCost } from './materials.js';
import type { PieceFact } from '../batch/pieces.js';
import type { StandingEntry } from '../log/standingEntries.js';

const taken = (of: 'meat' | 'cure' | 'wood', lot: string, g: number, hour: number): StandingEntry => ({
  id: `${lot}${hour}`,
  seq: 1,
  by: 'Wren',
  at: new Date(hour * HOUR_MS).toISOString(),
  recordedAt: new Date(hour * HOUR_MS).toISOString(),
  kind: 'lot',
  draw: { of, lot, g },
  corrections: [],
});
const split = (hour: number, staysG: number, goesG: number, isOurs: boolean): PieceFact => ({
  at: hour * HOUR_MS,
  event: { act: 'split', piece: 'A', staysG, goesG, to: 'b' },
  isOurs,
});

describe('what a batch bears of a lot', () => {
  const standing = [taken('meat', 'm', 4000, 1), taken('cure', 'c', 10, 2), taken('wood', 'w', 900, 9)];

  it('is all that was taken where nothing was cut off', () => {
    expect(borneLots({ standing: [...standing, taken('cure', 'c', 2, 3)], pieceFacts: [], firstGreenG: { A: 4000 } })).toEqual([
      { of: 'meat', lot: 'm', g: 4000 },
      { of: 'cure', lot: 'c', g: 12 },
      { of: 'wood', lot: 'w', g: 900 },
    ]);
  });

  it('is shared by green weight for what was taken before a cut, whole after it; the two parts bear all of it together', () => {
    const firstGreenG = { A: 3000, B: 1000 };
    const [stays, goes] = [false, true].map((isOurs) => borneLots({ standing, pieceFacts: [split(5, 1, 2, isOurs)], firstGreenG }));
    expect(stays?.map(({ g }) => g)).toEqual([2000, 5, 900]);
    expect(goes?.map(({ g }) => g)).toEqual([2000, 5, 900]);
    expect((stays?.[0]?.g ?? 0) + (goes?.[0]?.g ?? 0)).toBeCloseTo(4000, 9);
  });

  it('is not less because a piece was thrown out', () => {
    const dropped: PieceFact = { at: 5 * HOUR_MS, event: { act: 'dropped', piece: 'B' }, isOurs: false };
    expect(borneLots({ standing, pieceFacts: [dropped], firstGreenG: { A: 3000, B: 1000 } })[0]?.g).toBe(4000);
  });
});

describe('what materials cost', () => {
  const lots = [
    { id: 'm', amountG: 10_000, price: 62 },
    { id: 'c', amountG: 1000, price: 9 },
    { id: 'w', amountG: 5000, price: null },
  ];

  it('4 kg of a lot of 10 kg for 62 and 10 g of a kilogram for 9 cost 24.89', () => {
    const cost = materialsCost(
      [
        { of: 'meat', lot: 'm', g: 4000 },
        { of: 'cure', lot: 'c', g: 10 },
      ],
      lots,
    );
    expect(cost?.cost).toBeCloseTo(24.89, 9);
    expect(cost?.without).toEqual([]);
  });

  it('says what has no price, and says nothing where the meat has none', () => {
    expect(
      materialsCost(
        [
          { of: 'meat', lot: 'm', g: 1000 },
          { of: 'wood', lot: 'w', g: 500 },
        ],
        lots,
      ),
    ).toEqual({ cost: 6.2, without: ['cure', 'wood'] });
    expect(materialsCost([{ of: 'cure', lot: 'c', g: 10 }], lots)).toBeNull();
    expect(materialsCost([{ of: 'meat', lot: 'gone', g: 10 }], lots)).toBeNull();
  });
});

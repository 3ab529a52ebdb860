import { isOfTheFire, TENDING_ACTS } from '../log/pitEvent.js';
import type { CookProgram, ProgramPhase } from '../log/cookProgram.js';
import type { HandAct } from '../log/handAct.js';
import type { StandingEntry } from '../log/standingEntries.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { isOverFire, sameFire } from './sameFire.js';

const resources = [
  { id: 'cold', name: 'Refrigerator', kind: 'refrigerator' as const, capacity: 110 },
  { id: 'big', name: 'Smoker', kind: 'smoker' as const, capacity: 4 },
  { id: 'small', name: 'Small smoker', kind: 'smoker' as const, capacity: 2 },
];
const at = (smoke?: string) => ({ design: smoke === undefined ? {} : { stores: { smoke } } });

test('the planned smoker, else the house’s first; one that is gone is none; in a house without a smoker none do', () => {
  expect(sameFire(at(), at('big'), resources)).toBe(true);
  expect(sameFire(at('sold'), at('big'), resources)).toBe(true);
  expect(sameFire(at('cold'), at('big'), resources)).toBe(true);
  expect(sameFire(at('small'), at('big'), resources)).toBe(false);
  expect(sameFire(at(), at(), [])).toBe(false);
});

describe('whether it is known to be over the fire', () => {
  const process = processFor('pastrami');
  const START = Date.parse('2026-10-05T07:00:00.000Z');
  const phase = (more: Partial<ProgramPhase>): ProgramPhase => ({
    name: 'Smoke',
    chamberC: 100,
    medium: 'smoker',
    smoke: true,
    pan: false,
    repeats: [],
    marks: [],
    ...more,
  });
  const bath = phase({ name: 'Bath', medium: 'water', smoke: false });
  /** Its meat is on for so many minutes, with what was done since. */
  const over = (program: CookProgram, minutes: number, more: { core?: number; acts?: HandAct[] } = {}): boolean => {
    const closedAt = (id: string) => (id === 'meat-on' ? START : id === 'core' ? (more.core ?? null) : null);
    const standing = (more.acts ?? []).map((event, i) => ({
      id: `a${i}`,
      kind: 'act',
      event,
      at: new Date(START + 60_000).toISOString(),
    })) as unknown as StandingEntry[];
    return isOverFire({ design: { ...usualDesign('pastrami', '2026-10-05T07:00:00Z'), program }, closedAt, standing }, process, START + minutes * 60_000);
  };

  test('smoked to its end it is, until its core is read or it is taken off, into an oven or a pot', () => {
    expect(over([phase({})], 300)).toBe(true);
    expect(over([phase({})], 300, { core: START + 1 })).toBe(false);
    for (const act of ['oven', 'pot', 'off'] as const) expect(over([phase({})], 300, { acts: [{ act }] })).toBe(false);
    // One of its pieces is not all of it.
    expect(over([phase({})], 300, { acts: [{ act: 'oven', pieces: ['A'] }] })).toBe(true);
  });

  test('what is boiled, or baked in an oven, gets no wood', () => {
    expect(over([bath], 30)).toBe(false);
    expect(over([phase({ medium: 'oven' })], 30)).toBe(false);
  });

  test('where water follows the smoke it is by the clock; by a core that may have been reached it is not known', () => {
    expect([119, 121].map((minutes) => over([phase({ untilMin: 120 }), bath], minutes))).toEqual([true, false]);
    expect(over([phase({ untilMin: 120, untilCoreC: 50 }), bath], 60)).toBe(false);
    expect(over([phase({ untilCoreC: 50 }), bath], 60)).toBe(false);
  });
});

test('wood and the water pan are of the fire; what is done to a piece is not', () => {
  expect(TENDING_ACTS.filter(isOfTheFire)).toEqual(['fuel', 'pan']);
  expect(isOfTheFire('probes')).toBe(false);
});

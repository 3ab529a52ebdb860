import { usualRequest, type BatchRequest } from '@bunkhouse/api';
import { planOf, stopOf } from './planOf';

const loin = usualRequest('canadian-bacon', { id: '3b241101-e2bb-4255-8caf-4136c566a962', by: 'Juno', startsAt: '2026-10-05T07:00:00Z' });
const [piece] = loin.pieces;
if (piece === undefined) throw new Error('a loin is a piece');

describe('what the form comes to', () => {
  test('a whole form is a plan without a stop', () => {
    const plan = planOf(loin);
    expect('state' in plan && plan.state.figures.nitrite.applies.value).toBeCloseTo(150, 6);
    expect(stopOf(plan)).toBeNull();
  });

  const missing: [string, Partial<BatchRequest>][] = [
    ['a weight that is no number', { pieces: [{ ...piece, greenG: Number.NaN }] }],
    ['a weight that is empty', { pieces: [{ ...piece, greenG: undefined as unknown as number }] }],
    ['water that is empty', { waterG: undefined }],
    ['a start that is empty', { startsAt: '' }],
    ['a table that is being typed', { readyBy: '' }],
    ['a table in no year', { readyBy: 'in a week' }],
    ['a pump that is empty', { school: 'pumpAndCover', pumpPercent: undefined }],
  ];
  test.each(missing)('%s is incomplete, not a fault', (_what, part) => {
    const plan = planOf({ ...loin, ...part });
    expect(plan).toEqual({ incomplete: true });
    expect(stopOf(plan)).toBeNull();
  });

  test('an empty pump does not matter where nothing is pumped', () => {
    expect('state' in planOf({ ...loin, pumpPercent: undefined })).toBe(true);
  });

  test('a contradiction and an overdose both stop, in a sentence', () => {
    expect(stopOf(planOf({ ...loin, waterG: 150, saltPercent: 6 }))?.message).toMatch(/holds at most/);
    expect(stopOf(planOf({ ...loin, nitritePpm: 250 }))?.message).toMatch(/over the limit of 200 ppm/);
  });

  test('no pieces, or a piece of nothing, stop', () => {
    expect(stopOf(planOf({ ...loin, pieces: [] }))?.message).toMatch(/at least one piece/);
    expect(stopOf(planOf({ ...loin, pieces: [{ ...piece, greenG: 1 }] }))?.message).toMatch(/at least 100 g/);
  });
});

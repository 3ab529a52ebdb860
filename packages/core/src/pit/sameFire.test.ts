import { isOfTheFire, TENDING_ACTS } from '../log/pitEvent.js';
import { sameFire, smokerOf } from './sameFire.js';

const resources = [
  { id: 'cold', name: 'Refrigerator', kind: 'refrigerator' as const, capacity: 110 },
  { id: 'big', name: 'Smoker', kind: 'smoker' as const, capacity: 4 },
  { id: 'small', name: 'Small smoker', kind: 'smoker' as const, capacity: 2 },
];
const at = (smoke?: string) => ({ design: smoke === undefined ? {} : { stores: { smoke } } });

test('the planned smoker, else the house’s first; one that is gone is none', () => {
  expect(smokerOf(at('small'), resources)).toBe('small');
  expect(smokerOf(at(), resources)).toBe('big');
  expect(smokerOf(at('sold'), resources)).toBe('big');
  expect(smokerOf(at('cold'), resources)).toBe('big');
  expect(smokerOf(at(), [])).toBeNull();
});

test('two stand over one fire where their smoker is one; in a house without a smoker none do', () => {
  expect(sameFire(at(), at('big'), resources)).toBe(true);
  expect(sameFire(at('small'), at('big'), resources)).toBe(false);
  expect(sameFire(at(), at(), [])).toBe(false);
});

test('wood and the water pan are of the fire; what is done to a piece is not', () => {
  expect(TENDING_ACTS.filter(isOfTheFire)).toEqual(['fuel', 'pan']);
  expect(isOfTheFire('probes')).toBe(false);
});

import { lotFault, lotName } from './lotWords';

const lot = { bestBefore: '2026-12-01', amountG: 1000, takenG: 200 };

test('a lot is in order until its date and its end', () => {
  expect(lotFault(lot, '2026-12-01')).toBeNull();
  expect(lotFault(lot, '2026-12-02')).toBe('past its date');
  expect(lotFault({ ...lot, bestBefore: null }, '2030-01-01')).toBeNull();
  expect(lotFault({ ...lot, takenG: 999 }, '2026-11-01')).toBe('used up');
});

test('a lot goes by its name, with the number on it where there is one', () => {
  expect([lotName({ name: 'Salt', number: '' }), lotName({ name: 'Salt', number: '7' })]).toEqual(['Salt', 'Salt, no. 7']);
});

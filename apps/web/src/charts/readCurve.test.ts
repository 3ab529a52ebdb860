import { rowsOf, thinned, valueAt, type ReadCurve } from './readCurve';

const core: ReadCurve = {
  name: 'Core',
  points: [
    { at: 0, value: 4 },
    { at: 600, value: 10 },
    { at: 4200, value: 40 },
  ],
  say: String,
};

describe('a curve that is read at a time', () => {
  test('at a point it is what was read, between two points what the line shows', () => {
    expect(valueAt(core, 600)).toBe(10);
    expect(valueAt(core, 300)).toBe(7);
  });

  test('before it begins and after it ends nothing is read', () => {
    expect(valueAt(core, -1)).toBeNull();
    expect(valueAt(core, 4201)).toBeNull();
    expect(valueAt({ ...core, points: [] }, 5)).toBeNull();
  });

  test('a gap stays a gap', () => {
    expect(valueAt({ ...core, apart: 1800 }, 2000)).toBeNull();
    expect(valueAt({ ...core, apart: 3600 }, 2400)).toBe(25);
  });

  test('what is set stays until it is set anew, and after', () => {
    expect(valueAt({ ...core, steps: true }, 599)).toBe(4);
    expect(valueAt({ ...core, steps: true }, 9000)).toBe(40);
  });
});

test('a row for every time that a curve has a point at; what another does not have then stays empty', () => {
  const chamber: ReadCurve = {
    name: 'Chamber',
    points: [
      { at: 600, value: 95 },
      { at: 900, value: 97 },
    ],
    say: String,
  };
  expect(rowsOf([core, chamber])).toEqual([
    { at: 0, values: [4, null] },
    { at: 600, values: [10, 95] },
    { at: 900, values: [null, 97] },
    { at: 4200, values: [40, null] },
  ]);
});

test('many rows are thinned evenly, with the first and the last', () => {
  const rows = Array.from({ length: 1000 }, (_, i) => i);
  const shown = thinned(rows, 60);
  expect(shown).toHaveLength(60);
  expect([shown[0], shown.at(-1)]).toEqual([0, 999]);
  expect(thinned([1, 2], 60)).toEqual([1, 2]);
});

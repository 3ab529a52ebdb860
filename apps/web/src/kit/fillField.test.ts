import { filled, fillPlan } from './fillField';

const SIDE = 41;
const MIDDLE = (SIDE - 1) / 2;
const RADIUS = 16.3;
const depth = (column: number, row: number) => RADIUS - Math.hypot(column - MIDDLE, row - MIDDLE);
const depthOf = (i: number) => depth(i % SIDE, Math.floor(i / SIDE));
/** A round piece whose salt depends on the depth under its rim. */
const disc = (value: (under: number) => number) => Float32Array.from({ length: SIDE * SIDE }, (_, i) => (depthOf(i) >= 0 ? value(depthOf(i)) : Number.NaN));
const shown = (field: Float32Array) => Array.from(filled(field, fillPlan(field, SIDE, SIDE, depth)));

test('what rises or falls straight towards the rim goes on so beyond it: its contours keep their distance from the rim', () => {
  for (const value of [(under: number) => 2 - under / 10, (under: number) => 1 + under / 8]) {
    shown(disc(value)).forEach((there, i) => {
      if (Math.abs(depthOf(i)) < 1) expect(Math.abs(there - value(depthOf(i)))).toBeLessThan(0.03);
    });
  }
});

test('a thin rim of fresh water is one ring: places of one depth are shown alike, wherever the cells lie', () => {
  const values = shown(disc((under) => 2.4 * (1 - Math.exp(-under))));
  const ring = values.filter((_, i) => Math.abs(depthOf(i) - 0.5) < 0.08);
  expect(ring.length).toBeGreaterThan(8);
  expect(Math.max(...ring) - Math.min(...ring)).toBeLessThan(0.25);
});

test('an even piece stays even to the frame, nothing falls under nothing, deep meat is left as it is', () => {
  shown(disc(() => 2.3)).forEach((value) => expect(value).toBeCloseTo(2.3, 5));
  expect(Math.min(...shown(disc((under) => Math.max(0, under - 2) * 3)))).toBeGreaterThanOrEqual(0);
  const field = disc((under) => under);
  shown(field).forEach((value, i) => {
    if (depthOf(i) > 3) expect(value).toBe(field[i]);
  });
});

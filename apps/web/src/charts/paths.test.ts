import { areaUnder, bandBetween, curveThrough, ringThrough, stepsThrough } from './paths';

const x = (s: number) => s / 10;
const y = (C: number) => 100 - C;

test('a curve goes through what was read, to a tenth, and is broken where nothing was for long', () => {
  const readings = [0, 10, 20, 4000].map((s) => ({ s, C: s / 100 }));
  expect(curveThrough(readings, x, y)).toBe('M0,100L1,99.9L2,99.8L400,60');
  expect(curveThrough(readings, x, y, 1800)).toBe('M0,100L1,99.9L2,99.8M400,60Z');
  expect(curveThrough([], x, y)).toBe('');
});

test('a setting holds until the next one, the last until the end', () => {
  const settings = [
    { fromS: 0, C: 60 },
    { fromS: 100, C: 80 },
  ];
  expect(stepsThrough(settings, 300, x, y)).toBe('M0,40L10,40L10,20L30,20L30,20');
  expect(stepsThrough([], 300, x, y)).toBe('');
});

test('a band closes round its low and its high end; an area stands on its floor, and needs two points', () => {
  const curve = [
    { s: 0, lowC: 10, highC: 20 },
    { s: 100, lowC: 20, highC: 40 },
  ];
  expect(bandBetween(curve, x, y)).toBe('M0,80L10,60L10,80L0,90Z');
  const points: [number, number][] = [
    [0, 5],
    [10, 7],
  ];
  const under = (some: typeof points) =>
    areaUnder(
      some,
      ([at]) => at,
      ([, up]) => up,
      50,
    );
  expect(under(points)).toBe('M0,5L10,7L10,50L0,50Z');
  expect(under(points.slice(0, 1))).toBe('');
});

test('a ring comes back to where it began', () => {
  expect(
    ringThrough([
      [0, 0],
      [10, 0],
      [10, 5.04],
    ]),
  ).toBe('M0,0L10,0L10,5Z');
});

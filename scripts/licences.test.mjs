import { mayShip, shippedLicences } from './licences.mjs';

test('every package that is shipped is under a licence that allows it', () => {
  const all = shippedLicences();
  expect(all.length).toBeGreaterThan(200);
  expect(all.filter((one) => !mayShip(one))).toEqual([]);
});

test.each(['GPL-3.0', 'AGPL-3.0-only', 'SSPL-1.0', 'UNLICENSED', 'none', 'MIT AND GPL-3.0'])('%s may not', (licence) => {
  expect(mayShip({ licence })).toBe(false);
});

test.each(['MIT', '(MIT AND Zlib)', '(MIT OR CC0-1.0)', 'Apache-2.0'])('%s may', (licence) => {
  expect(mayShip({ licence })).toBe(true);
});

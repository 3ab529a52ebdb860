import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './places.mjs';

/** Licences under which a part may be shipped with this program, which is under MIT itself. */
const MAY_SHIP = new Set([
  'MIT',
  'ISC',
  '0BSD',
  'Zlib',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'Apache-2.0',
  'BlueOak-1.0.0',
  'OFL-1.1',
  'Python-2.0',
  'CC0-1.0',
  'Unlicense',
]);
/** Read in the package itself: its package file does not say. */
const READ = { 'exif-parser': 'MIT' };

/** Every package that is shipped, with its licence as its own package file says; what only builds and tests is left out. */
export function shippedLicences() {
  const { packages } = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8'));
  return Object.entries(packages).flatMap(([place, { dev, link, optional }]) => {
    if (!place.includes('node_modules/') || dev === true || link === true) return [];
    const file = join(ROOT, place, 'package.json');
    // For another kind of machine.
    if (!existsSync(file) && optional === true) return [];
    const { name, version, license, licenses } = JSON.parse(readFileSync(file, 'utf8'));
    return [{ name, version, licence: (typeof license === 'string' ? license : license?.type) ?? licenses?.[0]?.type ?? READ[name] ?? 'none' }];
  });
}

export const mayShip = ({ licence }) =>
  licence
    .replace(/[()]/g, '')
    .split(/ (?:AND|OR) /)
    .every((one) => MAY_SHIP.has(one));

if (process.argv[1] === import.meta.filename) {
  const all = shippedLicences();
  const by = Map.groupBy?.(all, ({ licence }) => licence) ?? all.reduce((map, one) => map.set(one.licence, [...(map.get(one.licence) ?? []), one]), new Map());
  for (const [licence, own] of by) console.log(`${licence}: ${own.map(({ name, version }) => `${name} ${version}`).join(', ')}`);
  const wrong = all.filter((one) => !mayShip(one));
  console.log(
    wrong.length === 0
      ? `\n${all.length} packages are shipped, each under a licence that allows it.`
      : `\nNot to be shipped: ${wrong.map(({ name }) => name).join(', ')}`,
  );
  process.exitCode = wrong.length === 0 ? 0 : 1;
}

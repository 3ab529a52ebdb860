import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './places.mjs';

const PACKAGES = ['.', 'packages/core', 'packages/words', 'packages/api', 'apps/devices', 'demo', 'apps/server', 'apps/web'];

/** Every direct dependency but our own packages and bare types. */
const used = new Set(
  PACKAGES.flatMap((folder) => {
    const { dependencies = {}, devDependencies = {} } = JSON.parse(readFileSync(join(ROOT, folder, 'package.json'), 'utf8'));
    return Object.keys({ ...dependencies, ...devDependencies }).filter((name) => !/^@(bunkhouse|types)\//.test(name));
  }),
);

/** What the first column of docs/decisions/dependencies.md names: `@nestjs/*` stands for all of its kind. */
const listed = readFileSync(join(ROOT, 'docs/decisions/dependencies.md'), 'utf8')
  .split('\n')
  .flatMap((line) => /^\| ((?:[@a-z]).*?) \|/.exec(line)?.[1].split(', ') ?? [])
  .filter((name) => name !== 'package');

const means = (word, name) => (word.endsWith('/*') ? name.startsWith(word.slice(0, -1)) : word === name);

test('each direct dependency has a line that says what it is for', () => {
  expect([...used].filter((name) => !listed.some((word) => means(word, name))).sort()).toEqual([]);
});

test('no line is about a package that is gone', () => {
  expect(listed.filter((word) => ![...used].some((name) => means(word, name)))).toEqual([]);
});

test('one place holds the version', () => {
  const versions = PACKAGES.map((folder) => JSON.parse(readFileSync(join(ROOT, folder, 'package.json'), 'utf8')).version);
  expect(versions.slice(1).filter((version) => version !== undefined)).toEqual([]);
  expect(readFileSync(join(ROOT, 'CHANGELOG.md'), 'utf8')).toContain(`## ${versions[0]}`);
});

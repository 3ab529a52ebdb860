import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.mjs';

/** The lint rule sees circles of values alone. */
test.each(['packages/core/src', 'packages/words/src', 'packages/api/src', 'demo/src', 'apps/devices/src', 'apps/server/src', 'apps/web/src'])(
  'no file of %s imports itself by way of others, not for a type either',
  (folder) => {
    expect(circles(importsIn(join(ROOT, folder))).map((circle) => circle.map((file) => relative(ROOT, file)).sort())).toEqual([]);
  },
);

test('a circle is found, and what only leads into it is not of it', () => {
  const imports = new Map([
    ['a', ['b']],
    ['b', ['c']],
    ['c', ['b', 'd']],
    ['d', []],
  ]);
  expect(circles(imports).map((circle) => circle.sort())).toEqual([['b', 'c']]);
});

/** Which file of a folder imports which, for a type or a value. */
function importsIn(folder) {
  const files = readdirSync(folder, { recursive: true })
    .filter((file) => /\.tsx?$/.test(file))
    .map((file) => join(folder, file));
  const known = new Set(files);
  const found = (from, name) => {
    const to = resolve(dirname(from), name).replace(/\.js$/, '');
    return [`${to}.ts`, `${to}.tsx`].find((file) => known.has(file)) ?? [];
  };
  return new Map(files.map((file) => [file, ts.preProcessFile(readFileSync(file, 'utf8')).importedFiles.flatMap(({ fileName }) => found(file, fileName))]));
}

/** Groups of more than one that reach each other [Tarjan 1972, strongly connected components]. */
function circles(imports) {
  const index = new Map();
  const low = new Map();
  const stack = [];
  const groups = [];
  const visit = (file) => {
    index.set(file, index.size);
    low.set(file, index.get(file));
    stack.push(file);
    for (const next of imports.get(file)) {
      if (!index.has(next)) visit(next);
      if (stack.includes(next)) low.set(file, Math.min(low.get(file), low.get(next)));
    }
    if (low.get(file) !== index.get(file)) return;
    const group = stack.splice(stack.indexOf(file));
    if (group.length > 1) groups.push(group);
  };
  for (const file of imports.keys()) if (!index.has(file)) visit(file);
  return groups;
}

import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CORE_FILES, faultsOf, programWith } from './compiled.mjs';
import { ROOT } from './places.mjs';

const textOf = (file) => readFileSync(join(ROOT, file), 'utf8');

// What a step is called, and what is asked at it, the compiler knows: whoever renames one is led to every place that means it.
test.each([
  { what: 'a step', word: 'pellicle', becomes: 'tacky-skin', where: ['packages/core/src/log/stepId.ts', 'packages/core/src/steps/pellicle.ts'] },
  { what: 'what is asked at a step', word: 'driedG', becomes: 'racked', where: ['packages/core/src/steps/pellicle.ts'] },
])('$what that is renamed does not compile where it is meant', ({ word, becomes, where }) => {
  const renamed = Object.fromEntries(where.map((file) => [file, textOf(file).replaceAll(`'${word}'`, `'${becomes}'`)]));
  // A line that is part of a wrong expression counts with the whole.
  const wrong = new Set(faultsOf(programWith(renamed)).flatMap(({ file, from, to }) => Array.from({ length: to - from + 1 }, (_, i) => `${file}:${from + i}`)));
  const meant = CORE_FILES.filter((file) => !where.includes(file)).flatMap((file) =>
    textOf(file)
      .split('\n')
      .flatMap((line, i) => (line.includes(`'${word}'`) ? [`${file}:${i + 1}`] : [])),
  );
  expect(meant.length).toBeGreaterThan(0);
  expect(meant.filter((line) => !wrong.has(line))).toEqual([]);
});

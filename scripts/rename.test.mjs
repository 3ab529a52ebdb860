import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.mjs';

const CORE = join(ROOT, 'packages/core/src');

// What a step is called, and what is asked at it, the compiler knows: whoever renames one is led to every place that means it.
test.each([
  { what: 'a step', word: 'pellicle', becomes: 'tacky-skin', where: ['log/stepId.ts', 'steps/pellicle.ts'] },
  { what: 'what is asked at a step', word: 'driedG', becomes: 'racked', where: ['steps/pellicle.ts'] },
])('$what that is renamed does not compile where it is meant', ({ word, becomes, where }) => {
  const { files, program } = withRenamed(word, becomes, where);
  const wrong = new Set(faultyLines(program));
  const meant = files.flatMap((file) =>
    where.includes(file)
      ? []
      : program
          .getSourceFile(join(CORE, file))
          .text.split('\n')
          .flatMap((line, i) => (line.includes(`'${word}'`) ? [`${file}:${i + 1}`] : [])),
  );
  expect(meant.length).toBeGreaterThan(0);
  expect(meant.filter((line) => !wrong.has(line))).toEqual([]);
});

/** Core as it would be with a word renamed where it is defined, and nowhere else. */
function withRenamed(word, becomes, where) {
  const config = ts.readConfigFile(join(ROOT, 'packages/core/tsconfig.json'), ts.sys.readFile).config;
  const { options, fileNames } = ts.parseJsonConfigFileContent(config, ts.sys, join(ROOT, 'packages/core'));
  const names = fileNames.filter((name) => !name.endsWith('.test.ts') && !name.includes('/testing/'));
  const host = ts.createCompilerHost(options);
  const { readFile } = host;
  const renamed = new Set(where.map((file) => join(CORE, file)));
  host.readFile = (name) => (renamed.has(name) ? readFileSync(name, 'utf8').replaceAll(`'${word}'`, `'${becomes}'`) : readFile(name));
  host.getSourceFile = (name, version) => {
    const text = host.readFile(name);
    return text === undefined ? undefined : ts.createSourceFile(name, text, version);
  };
  return { files: names.map((name) => name.slice(CORE.length + 1)), program: ts.createProgram(names, { ...options, types: [] }, host) };
}

/** The lines on which an error stands; a line that is part of a wrong expression counts with the whole. */
const faultyLines = (program) =>
  program.getSemanticDiagnostics().flatMap(({ file, start, length }) => {
    const [from, to] = [start, start + length].map((at) => file.getLineAndCharacterOfPosition(at).line + 1);
    return Array.from({ length: to - from + 1 }, (_, i) => `${file.fileName.slice(CORE.length + 1)}:${from + i}`);
  });

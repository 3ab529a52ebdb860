import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.mjs';

/** What reads core's source: the web's own way to it. */
const { options } = ts.parseJsonConfigFileContent(
  { ...ts.readConfigFile(join(ROOT, 'apps/web/tsconfig.json'), ts.sys.readFile).config, include: [], files: [] },
  ts.sys,
  join(ROOT, 'apps/web'),
);

/** Every file of core but its tests, as seen from the root. */
export const CORE_FILES = ts.sys
  .readDirectory(join(ROOT, 'packages/core/src'), ['.ts'])
  .filter((name) => !name.endsWith('.test.ts') && !name.includes('/testing/'))
  .map((name) => name.slice(ROOT.length + 1));

/** Files as they were read once, for programs that differ from each other in a few. */
const read = new Map();

/**
 * A program of core, and of whatever else is named, as it would be with some files written otherwise.
 *
 * @param written texts by file, as seen from the root; a file may be new
 */
export function programWith(written, more = []) {
  const texts = new Map(Object.entries(written).map(([file, text]) => [join(ROOT, file), text]));
  const host = ts.createCompilerHost(options);
  const { fileExists, readFile, directoryExists } = host;
  host.fileExists = (name) => texts.has(name) || fileExists(name);
  host.readFile = (name) => texts.get(name) ?? readFile(name);
  host.directoryExists = (name) => [...texts.keys()].some((file) => dirname(file) === name) || (directoryExists?.(name) ?? existsSync(name));
  host.getSourceFile = (name, version) => {
    const text = texts.get(name);
    if (text !== undefined) return ts.createSourceFile(name, text, version);
    if (!read.has(name)) read.set(name, fileExists(name) ? ts.createSourceFile(name, readFile(name), version) : undefined);
    return read.get(name);
  };
  const files = [...new Set([...CORE_FILES, ...more, ...Object.keys(written)])];
  return ts.createProgram(
    files.map((file) => join(ROOT, file)),
    { ...options, noEmit: true, types: ['node'] },
    host,
  );
}

/** Each error as file, first and last line of it, and what is wrong. */
export const faultsOf = (program) =>
  [...program.getGlobalDiagnostics(), ...program.getSemanticDiagnostics()].map(({ file, start, length, messageText }) => {
    const message = ts.flattenDiagnosticMessageText(messageText, ' ');
    if (file === undefined) return { file: '', from: 0, to: 0, message };
    const [from, to] = [start, start + length].map((at) => file.getLineAndCharacterOfPosition(at).line + 1);
    return { file: file.fileName.slice(ROOT.length + 1), from, to, message };
  });

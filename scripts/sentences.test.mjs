import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import ts from 'typescript';
import { ROOT } from './places.mjs';

/** A whole sentence: a capital or a place in front, several words, a full stop or a question mark behind. */
const SENTENCE = /^[“"A-Z…][^\n]* [^\n]*[.?!]$/;

/** Where sentences are at home: the words, the made-up recipes of a house, what is told to whoever runs the server. */
const AT_HOME = [
  /^packages\/core\/src\/say\/english\//,
  /^packages\/api\/src\/say\//,
  /^packages\/core\/src\/recipes\/(starterRecipes|cookPrograms)\.ts$/,
  /^apps\/server\/src\/(main|settings)\.ts$/,
  /^apps\/server\/src\/describe\//,
  /^apps\/server\/src\/database\//,
  /^apps\/server\/src\/testing\//,
];

/** What a published source is called, a description in the schema, an error that a programmer made, a line for the server's own log. */
const TOLD_OTHERS = (node) =>
  (ts.isPropertyAssignment(node) && /^(source|description|summary)$/.test(node.name.getText())) ||
  (ts.isNewExpression(node) && node.expression.getText() === 'Error') ||
  (ts.isCallExpression(node) && /(^|\.)logger\./.test(node.expression.getText())) ||
  (ts.isVariableDeclaration(node) && /SOURCE$/.test(node.name.getText()));

/** The sentences of a file that no words are kept for. */
function sentencesIn(file, text) {
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const found = [];
  const visit = (node) => {
    if (TOLD_OTHERS(node)) return;
    const written =
      ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)
        ? node.text
        : ts.isTemplateExpression(node)
          ? node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('')
          : '';
    if (SENTENCE.test(written)) found.push(`${file}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1} ${written}`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

test.each(['packages/core/src', 'packages/words/src', 'packages/api/src', 'apps/server/src'])('%s writes no sentence that has no code', (folder) => {
  const files = readdirSync(join(ROOT, folder), { recursive: true })
    .filter((file) => file.endsWith('.ts') && !file.endsWith('.test.ts'))
    .map((file) => relative(ROOT, join(ROOT, folder, file)))
    .filter((file) => !AT_HOME.some((home) => home.test(file)));
  expect(files.length).toBeGreaterThan(3);
  expect(files.flatMap((file) => sentencesIn(file, readFileSync(join(ROOT, file), 'utf8')))).toEqual([]);
});

test('a sentence is found, however it is put together; a name, a path and a source are none', () => {
  const text =
    "const a = `${name} is too warm.`; fault('Weigh it again.'); const b = 'Core'; const c = './a.js'; const d = { source: 'A table. Values from memory.' };";
  expect(sentencesIn('a.ts', text)).toEqual(['a.ts:1 … is too warm.', 'a.ts:1 Weigh it again.']);
});

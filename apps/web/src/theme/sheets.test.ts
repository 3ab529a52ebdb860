/** @jest-environment node */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const SRC = join(__dirname, '..');
const files = (of: RegExp) =>
  readdirSync(SRC, { recursive: true, encoding: 'utf8' })
    .filter((file) => of.test(file))
    .map((file) => readFileSync(join(SRC, file), 'utf8'));

/* What a screen looks like stands beside it, by the theme (docs/decisions/0020): what is left in sheets is the rail's picture and what is printed. */
const MOST_LINES = 120;
/** So much stands on the longest line of a sheet: lines are not joined to be fewer. */
const MOST_LETTERS = 260;

test('the style sheets stay as small as the rail and the paper are', () => {
  const lines = files(/\.css$/).flatMap((text) => text.trimEnd().split('\n'));
  expect(lines.length).toBeLessThanOrEqual(MOST_LINES);
  expect(lines.filter((line) => line.length > MOST_LETTERS)).toEqual([]);
});

// The browser tests on the days on which things go wrong: `npm run odd-days`, or some of them by name. Each run has houses of its own.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './places.mjs';

/** By the clocks of the tests' browsers, in Denver. */
export const ODD_DAYS = {
  'a Friday afternoon': '2026-11-27T22:40:00Z',
  'a Sunday': '2026-11-29T17:10:00Z',
  'the last day of the year': '2026-12-31T19:30:00Z',
  'the twenty-ninth of February': '2028-02-29T18:00:00Z',
  'the night in which clocks go forward': '2027-03-14T08:30:00Z',
  'the night in which clocks go back': '2026-11-01T07:20:00Z',
};

if (process.argv[1]?.endsWith('oddDays.mjs')) {
  const named = process.argv.slice(2);
  const failed = Object.entries(ODD_DAYS)
    .filter(([name]) => named.length === 0 || named.some((word) => name.includes(word)))
    .filter(([name, now]) => {
      console.log(`\n== ${name}, ${now}`);
      return spawnSync(process.execPath, [join(ROOT, 'scripts/test.mjs'), '--browser', `--now=${now}`], { stdio: 'inherit' }).status !== 0;
    });
  console.log(failed.length === 0 ? '\nEvery day was like another.' : `\nNot on ${failed.map(([name]) => name).join(', ')}.`);
  process.exit(failed.length === 0 ? 0 : 1);
}

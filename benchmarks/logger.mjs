// A hundred megabytes of somebody's logger: read, checked and counted line by line, beside the bare splitting into cells.
import { createReadStream, mkdtempSync, rmSync, statSync, writeFileSync, appendFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Papa from 'papaparse';
import { guessLoggerFormat, loggerReader, newTally, tallied } from '../packages/core/dist/index.js';

const MEGABYTES = Number(process.env.MEGABYTES ?? 100);
const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-logger-'));
const file = join(folder, 'logger.csv');
const two = (n) => String(n).padStart(2, '0');
writeFileSync(file, 'Time,Pit °F,Meat °F\n');
let at = Date.UTC(2026, 0, 1);
while (statSync(file).size < MEGABYTES * 1e6) {
  const lines = Array.from({ length: 50_000 }, (_, i) => {
    at += 1000;
    const day = new Date(at);
    return `${two(day.getUTCMonth() + 1)}/${two(day.getUTCDate())}/${day.getUTCFullYear()} ${two(day.getUTCHours())}:${two(day.getUTCMinutes())}:${two(day.getUTCSeconds())},${225 + (i % 9)}.5,${41 + (i % 90)}.25`;
  });
  appendFileSync(file, `${lines.join('\n')}\n`);
}

const read = (each) =>
  new Promise((resolve, reject) => {
    const before = performance.now();
    Papa.parse(createReadStream(file, { encoding: 'utf8' }), {
      skipEmptyLines: 'greedy',
      chunk: ({ data }) => each(data),
      complete: () => resolve((performance.now() - before) / 1000),
      error: reject,
    });
  });

try {
  let cells = 0;
  const bareS = await read((rows) => (cells += rows.length));
  let reader = null;
  let format = null;
  let line = 0;
  let lastAt = null;
  let tally = newTally();
  const ourS = await read((rows) => {
    if (reader === null) {
      format = guessLoggerFormat(rows.slice(0, 60), 'America/Denver').format;
      reader = loggerReader(format);
    }
    for (const row of rows) {
      line += 1;
      if (line <= format.headLines) continue;
      const own = reader(row);
      tally = tallied(tally, line, own, lastAt);
      lastAt = own.readings[0]?.at ?? lastAt;
    }
  });
  if (tally.lines !== cells - 1) throw new Error('A line was lost.');
  console.log(
    `A logger's file of ${MEGABYTES} MB, ${tally.lines} lines in °F by a wall clock: read, checked and counted in ${ourS.toFixed(1)} s; split into cells alone in ${bareS.toFixed(1)} s; ratio ${(ourS / bareS).toFixed(1)}; ${Math.round(process.memoryUsage().rss / 1e6)} MB of memory`,
  );
} finally {
  rmSync(folder, { recursive: true, force: true });
}

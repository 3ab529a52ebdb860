import { loggerReader, newTally, tallied, type LoggerFormat, type LoggerReading, type LoggerTally } from '@bunkhouse/core';
import { expose } from 'comlink';
import Papa from 'papaparse';

/** What a file holds so far, and how much of it was read, 0 to 1. */
export interface Counted {
  tally: LoggerTally;
  share: number;
}

/** Takes a part of the readings; the next is handed on when it was taken, and none where it throws. */
export type TakePart = (readings: LoggerReading[], share: number) => Promise<void>;

const PART = 2000;
const CHUNK_BYTES = 1 << 20;

const answers = {
  /** A look at a whole file; what is known so far is told on the way. */
  count: async (file: File, format: LoggerFormat, soFar: (counted: Counted) => void): Promise<Counted> => {
    let counted: Counted = { tally: newTally(), share: 0 };
    await read(file, format, (_readings, tally, share) => {
      counted = { tally, share };
      soFar(counted);
    });
    return { ...counted, share: 1 };
  },
  /** Its readings handed on in parts, one after the other. */
  bring: async (file: File, format: LoggerFormat, take: TakePart): Promise<void> => {
    let waiting: LoggerReading[] = [];
    const handOn = async (least: number, share: number) => {
      while (waiting.length >= least && waiting.length > 0) {
        const part = waiting.slice(0, PART);
        waiting = waiting.slice(PART);
        await take(part, share);
      }
    };
    await read(file, format, async (readings, _tally, share) => {
      waiting.push(...readings);
      await handOn(PART, share);
    });
    await handOn(1, 1);
  },
};
export type LoggerWorker = typeof answers;
expose(answers);

/** Reads a file piece by piece, each when the one before it was dealt with: one of a hundred megabytes is never in memory as a whole. */
async function read(
  file: File,
  format: LoggerFormat,
  deal: (readings: LoggerReading[], tally: LoggerTally, share: number) => void | Promise<void>,
): Promise<void> {
  let line = 0;
  let bytes = 0;
  let lastAt: number | null = null;
  let tally = newTally();
  const readLine = loggerReader(format);
  await new Promise<void>((resolve, reject) => {
    Papa.parse<string[]>(file, {
      skipEmptyLines: 'greedy',
      chunkSize: CHUNK_BYTES,
      chunk: ({ data }, parser) => {
        const readings: LoggerReading[] = [];
        for (const cells of data) {
          line += 1;
          bytes += cells.reduce((all, cell) => all + cell.length + 1, 0);
          if (line <= format.headLines) continue;
          const own = readLine(cells);
          tally = tallied(tally, line, own, lastAt);
          lastAt = own.readings[0]?.at ?? lastAt;
          readings.push(...own.readings);
        }
        parser.pause();
        Promise.resolve(deal(readings, tally, Math.min(1, bytes / Math.max(1, file.size)))).then(
          () => parser.resume(),
          (error: unknown) => {
            parser.abort();
            reject(error instanceof Error ? error : new Error(String(error)));
          },
        );
      },
      complete: () => resolve(),
      error: () => reject(new Error('This file could not be read to its end.')),
    });
  });
}

import { loggerReader, newTally, tallied, type LoggerFormat, type LoggerReading, type LoggerTally } from '@bunkhouse/core';
import Papa from 'papaparse';

/** What is asked of the worker: a look at a whole file, or its readings handed on in parts, each waited for. */
export type LoggerAsked = { kind: 'count'; file: File; format: LoggerFormat } | { kind: 'bring'; file: File; format: LoggerFormat } | { kind: 'go-on' };

export type LoggerSaid =
  | { kind: 'counted'; tally: LoggerTally; share: number; isWhole: boolean }
  | { kind: 'part'; readings: LoggerReading[]; share: number }
  | { kind: 'brought' }
  | { kind: 'fault'; message: string };

const PART = 2000;
const CHUNK_BYTES = 1 << 20;

let goOn: (() => void) | null = null;

addEventListener('message', ({ data }: MessageEvent<LoggerAsked>) => {
  if (data.kind === 'go-on') {
    const waiting = goOn;
    goOn = null;
    waiting?.();
  } else read(data);
});

const say = (said: LoggerSaid) => postMessage(said);

/** Reads a file piece by piece: one of a hundred megabytes is never in memory as a whole. */
function read({ kind, file, format }: Exclude<LoggerAsked, { kind: 'go-on' }>): void {
  let line = 0;
  let lastAt: number | null = null;
  let tally = newTally();
  let readings: LoggerReading[] = [];
  const readLine = loggerReader(format);
  Papa.parse<string[]>(file, {
    skipEmptyLines: 'greedy',
    chunkSize: CHUNK_BYTES,
    chunk: ({ data }, parser) => {
      for (const cells of data) {
        line += 1;
        if (line <= format.headLines) continue;
        const own = readLine(cells);
        tally = tallied(tally, line, own, lastAt);
        lastAt = own.readings[0]?.at ?? lastAt;
        if (kind === 'bring') readings.push(...own.readings);
      }
      const share = Math.min(1, (line === 0 ? 0 : bytesSoFar(data)) / Math.max(1, file.size));
      if (kind === 'count') {
        say({ kind: 'counted', tally, share, isWhole: false });
        return;
      }
      if (readings.length < PART) return;
      parser.pause();
      handOn(share, () => parser.resume());
    },
    complete: () => {
      if (kind === 'count') say({ kind: 'counted', tally, share: 1, isWhole: true });
      else handOn(1, () => say({ kind: 'brought' }));
    },
    error: () => say({ kind: 'fault', message: 'This file could not be read to its end.' }),
  });

  let bytes = 0;
  function bytesSoFar(data: string[][]): number {
    bytes += data.reduce((sum, cells) => sum + cells.reduce((all, cell) => all + cell.length + 1, 0), 0);
    return bytes;
  }

  /** Hands parts on one by one, each when the one before it was taken. */
  function handOn(share: number, then: () => void): void {
    const part = readings.slice(0, PART);
    readings = readings.slice(PART);
    if (part.length === 0) {
      then();
      return;
    }
    goOn = () => handOn(share, then);
    say({ kind: 'part', readings: part, share });
  }
}

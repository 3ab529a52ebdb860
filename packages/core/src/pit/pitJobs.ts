import { MINUTE_MS } from '../clock/spans.js';
import type { TendingAct } from '../log/pitEvent.js';
import type { TimedReading } from '../safety/coreReadings.js';
import type { PitLog } from './pitLog.js';

/** A job at the pit that comes back, or waits for a core temperature. */
export interface PitJob {
  act: TendingAct;
  /** ms; when it falls due; null while its core temperature is not there */
  dueAt: number | null;
  atCoreC: number | null;
  lastAt: number | null;
}

/** A piece by what counts of its core. */
interface CountedPiece {
  counted: readonly TimedReading[];
}

/** Repeated jobs of the phase that holds, and the marks of the program that are still to come. */
export function pitJobs(log: PitLog, { phase, sinceS }: { phase: number; sinceS: number }, pieces: readonly CountedPiece[], onAt: number): PitJob[] {
  const lastOf = (act: TendingAct) => log.tended.findLast((tended) => tended.act === act)?.at ?? null;
  const beganAt = onAt + sinceS * 1000;
  const atStart = (log.program[phase]?.first ?? []).flatMap((act): PitJob[] => {
    const lastAt = lastOf(act);
    return lastAt !== null && lastAt >= beganAt ? [] : [{ act, dueAt: beganAt, atCoreC: null, lastAt }];
  });
  const repeated = (log.program[phase]?.repeats ?? []).map(({ act, everyMin }): PitJob => {
    const lastAt = lastOf(act);
    return { act, dueAt: (lastAt ?? onAt) + everyMin * MINUTE_MS, atCoreC: null, lastAt };
  });
  const marks = log.program.flatMap(({ marks: list }) =>
    list.flatMap(({ act, atCoreC }): PitJob[] => {
      const lastAt = lastOf(act);
      if (lastAt !== null) return [];
      return [{ act, dueAt: allAt(pieces, atCoreC, onAt), atCoreC, lastAt }];
    }),
  );
  return [...atStart, ...repeated, ...marks].sort((a, b) => (a.dueAt ?? Infinity) - (b.dueAt ?? Infinity));
}

/** When the last of the pieces that are read came to a temperature, ms; null until all of them did. */
function allAt(pieces: readonly CountedPiece[], C: number, onAt: number): number | null {
  const reached = pieces.filter(({ counted }) => counted.length > 0).map(({ counted }) => counted.find((reading) => reading.C >= C)?.s ?? Infinity);
  const last = Math.max(...reached);
  return reached.length === 0 || !Number.isFinite(last) ? null : onAt + last * 1000;
}

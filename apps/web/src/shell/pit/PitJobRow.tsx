import type { PitJob } from '@bunkhouse/core';
import { Glyph } from '../glyphs';
import { usePreferences } from '../preferences';
import { inWords } from '../quantities';
import { clockTime, span } from '../times';
import { TENDING_WORDS } from './words';
import { Only } from '../Only';

const GLYPHS = {
  fuel: 'fuel',
  spritz: 'spritz',
  glaze: 'glaze',
  wrap: 'wrap',
  turn: 'turn',
  pan: 'soak',
  water: 'soak',
  reseat: 'probe',
  bare: 'wrap',
} as const;

/** A job at the pit with its tap. */
export function PitJobRow({ job, now, first, busy, onDone }: { job: PitJob; now: number; first: boolean; busy: boolean; onDone: () => void }) {
  const preferences = usePreferences();
  const isDue = job.dueAt !== null && job.dueAt <= now;
  return (
    <li className={`at-pit${first ? ' first' : ''}${isDue ? ' due' : ''}`}>
      <Glyph name={GLYPHS[job.act]} size={26} />
      <div>
        <b>{TENDING_WORDS[job.act].todo}</b>
        <span className={isDue ? 'late' : undefined}>
          {job.dueAt === null ? `at ${inWords(job.atCoreC ?? 0, 'temperature', preferences, 0)} core` : pitWhen(job.dueAt, now)}
          {job.lastAt !== null && <small> last {clockTime(job.lastAt)}</small>}
        </span>
      </div>
      <Only right="record">
        <button type="button" className={`btn${first ? ' go' : ''}`} aria-disabled={busy} onClick={onDone}>
          {TENDING_WORDS[job.act].act}
        </button>
      </Only>
    </li>
  );
}

/** When a job falls due: in minutes once it is near. */
export const pitWhen = (at: number, now: number): string =>
  at <= now ? (now - at < 60_000 ? 'now' : `${span(now - at)} late`) : `${clockTime(at)}, in ${span(at - now)}`;

import Button from '@mui/material/Button';
import { MINUTE_MS, type PitJob } from '@bunkhouse/core';
import { Glyph } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { clockTime, span } from '../../reader/times';
import { TENDING_WORDS } from '../../reader/words/words';
import { Only } from '../../kit/Only';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  atPitFirst: { background: t.sunk },
  atPitDue: { boxShadow: `inset 5px 0 0 ${t.ink}` },
  late: { '&&&': { color: t.ink, fontWeight: 600 } },
} as const;

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
    <Box component="li" sx={[looks.atPit, first && styles.atPitFirst, isDue && styles.atPitDue]}>
      <Glyph name={GLYPHS[job.act]} size={26} />
      <div>
        <b>{TENDING_WORDS[job.act].todo}</b>
        <Box component="span" sx={isDue ? styles.late : {}}>
          {job.dueAt === null ? `at ${inWords(job.atCoreC ?? 0, 'temperature', preferences, 0)} core` : pitWhen(job.dueAt, now)}
          {job.lastAt !== null && <small> last {clockTime(job.lastAt)}</small>}
        </Box>
      </div>
      <Only right="record">
        <Button variant={first ? 'contained' : 'outlined'} aria-disabled={busy} onClick={onDone}>
          {TENDING_WORDS[job.act].act}
        </Button>
      </Only>
    </Box>
  );
}

/** When a job falls due: in minutes once it is near. */
export function pitWhen(at: number, now: number): string {
  if (Math.abs(at - now) < MINUTE_MS) return 'now';
  return at < now ? `${span(now - at)} late` : `${clockTime(at)}, in ${span(at - now)}`;
}

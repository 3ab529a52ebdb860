import Typography from '@mui/material/Typography';
import { cureCourse, HOUR_MS } from '@bunkhouse/core';
import { useMemo } from 'react';
import type { Batch } from '../../../data/batches';
import { digits } from '../../../reader/quantities';
import { useSection } from '../../../workers/useSection';
import Box from '@mui/material/Box';
import { t } from '../../../theme/tokens';

const styles = {
  pullCheck: {
    padding: '8px 12px',
    borderLeft: `3px solid ${t.hair2}`,
    marginBottom: '12px',
    '& dl > div': { display: 'grid', gridTemplateColumns: '96px 1fr', gap: '10px', padding: '3px 0' },
    '& dt': { color: t.ink2 },
  },
} as const;

/** Core ÷ mean from which a piece is stiff all through [M: firmness follows the salt]. */
const FIRM_FROM = 0.6;

/** What the model expects of each sign of a finished cure, now: the hand, the nose and the eye decide. */
export function PullCheck({ batch, now }: { batch: Batch; now: number }) {
  const { record, state } = batch;
  const code = state.pieces[0]?.code ?? 'A';
  const course = useMemo(() => cureCourse(record, state, code), [record, state, code]);
  const { answer } = useSection(course);
  if (answer === null) return <Typography variant="note">Working out what to expect...</Typography>;
  const { salt, nitrite, windows } = answer;
  const nowH = (now - course.startsAt) / HOUR_MS;
  const found = salt.timesH.findIndex((h) => h >= Math.min(nowH, course.pullH));
  const at = found < 0 ? salt.timesH.length - 1 : found;
  const [core, mean, edge] = [salt.core[at] ?? 0, salt.mean[at] ?? 0, salt.edge[at] ?? 0];
  const { earliestH, bestH } = windows.likely;
  const pieces = state.pieces.length > 1 ? `, piece ${code}` : '';
  return (
    <Box component="aside" sx={styles.pullCheck} aria-label="What to expect at the pull">
      <Typography variant="label" component="h3">
        What the model expects now{pieces}
      </Typography>
      <dl>
        <div>
          <dt>To the hand</dt>
          <dd>{core >= FIRM_FROM * mean ? 'firm and stiff all over' : 'firm outside, springy in the middle'}</dd>
        </div>
        <div>
          <dt>Smell</dt>
          <dd>fresh; no model smells: a bad smell ends the batch</dd>
        </div>
        <div>
          <dt>Cut face</dt>
          <dd>
            {earliestH !== null && nowH >= earliestH
              ? `one colour to the middle, ${digits((nitrite.core[at] ?? 0) * 1e4, 0)} ppm there`
              : `grey in the middle${earliestH === null ? '' : ` until day ${digits(earliestH / 24, 1)}`}`}
          </dd>
        </div>
        <div>
          <dt>Salt</dt>
          <dd>
            core {digits(core, 2)} %, mean {digits(mean, 2)}, edge {digits(edge, 2)}
            {bestH === null ? '' : `; even ${nowH >= bestH ? 'since' : 'from'} day ${digits(bestH / 24, 1)}`}
          </dd>
        </div>
      </dl>
    </Box>
  );
}

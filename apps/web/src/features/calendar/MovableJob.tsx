import { draggedPlan } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import { dayAndTime, writtenTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import type { Job, Row } from './bands';
import { QUARTER_MS, useLifted } from './useLifted';
import type { PlanMoves } from './usePlanMoves';
import Box from '@mui/material/Box';
import { t } from '../../theme/tokens';

const styles = {
  tick: { stroke: t.ink, strokeWidth: 2, fill: 'none' },
  lifted: { strokeWidth: 4 },
  tickDone: { stroke: t.ink3, strokeWidth: 1 },
  job: {
    cursor: 'ew-resize',
    touchAction: 'none',
    '& > rect': { fill: 'transparent' },
    '&:focus-visible': { outline: 'none' },
    '&:focus-visible > rect + rect': { stroke: t.focusOut, strokeWidth: 2.5 },
  },
  axis: { fontSize: '14px', fontWeight: 500, fill: t.ink2 },
  now: { fill: t.ink, fontWeight: 600 },
} as const;

const HIT_HEIGHT = 28;

/** A job as a tick on its row. Where several crowd, the pointer takes the first and the others follow it; keys reach each. One that is still to come can be moved. */
export function MovableJob({
  row,
  job,
  x,
  y,
  small,
  crowded,
  moves,
}: {
  row: Row;
  job: Job;
  x: ScaleTime<number, number>;
  y: number;
  small: boolean;
  crowded: boolean;
  moves: PlanMoves;
}) {
  const now = useNow();
  const { to, grip, lies } = useLifted(`${row.id} ${job.id}`, job.at, x, (where) => {
    const when = Math.max(now, Math.round(where / QUARTER_MS) * QUARTER_MS);
    const changes = draggedPlan(row.batch.state, job.id, new Date(when).toISOString());
    void moves.move([{ batch: row.batch, changes, why: `${job.title} to ${writtenTime(when, 'ddd D, HH:mm')}` }]);
  });
  const at = to ?? job.at;
  if (job.done || small) {
    const top = y + (small ? 12 : 9);
    return <line x1={x(job.at)} x2={x(job.at)} y1={top} y2={top + (small ? 3 : 6)} {...styles.tick} {...(job.done && styles.tickDone)} />;
  }
  return (
    <Box
      component="g"
      sx={styles.job}
      aria-label={`${job.title}, ${row.code}`}
      aria-valuenow={Math.round(at / QUARTER_MS)}
      aria-valuetext={`${dayAndTime(at, now)}${to === null ? '' : ', Enter sets it down'}`}
      {...grip}
    >
      <rect ref={lies} pointerEvents="none" x={x(job.at)} y={y + 3} width={1} height={HIT_HEIGHT} />
      <rect x={x(at) - 5} y={y + 3} width={10} height={HIT_HEIGHT} pointerEvents={crowded ? 'none' : 'all'} />
      <line x1={x(at)} x2={x(at)} y1={y + 6} y2={y + 15} {...styles.tick} {...(to !== null && styles.lifted)} />
      {to !== null && (
        <text x={x(at) + 6} y={y + 12} {...styles.axis} {...styles.now}>
          {`${job.title} ${writtenTime(at, 'ddd D, HH:mm')}`}
        </text>
      )}
    </Box>
  );
}

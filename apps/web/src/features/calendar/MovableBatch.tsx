import { shiftedPlan } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import { span, writtenTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import type { Row } from './bands';
import { QUARTER_MS, useLifted } from './useLifted';
import type { PlanMoves } from './usePlanMoves';
import Box from '@mui/material/Box';
import { t } from '../../theme/tokens';

const styles = {
  whole: {
    cursor: 'ew-resize',
    touchAction: 'none',
    '& > rect': { fill: 'transparent' },
    '&:hover > rect + rect': { stroke: t.ink, strokeWidth: 1 },
    '&:focus-visible > rect + rect': { stroke: t.focusOut, strokeWidth: 2.5 },
  },
  lifted: { '&& > rect + rect': { fill: t.ink, fillOpacity: 0.16, stroke: t.ink, strokeWidth: 2 } },
  axis: { fontSize: '14px', fontWeight: 500, fill: t.ink2 },
  now: { fill: t.ink, fontWeight: 600 },
} as const;

/** The band of a batch from its next job on: all that is still to come is moved together. */
export function MovableBatch({
  row,
  x,
  y,
  height,
  left,
  right,
  moves,
}: {
  row: Row;
  x: ScaleTime<number, number>;
  y: number;
  height: number;
  left: number;
  right: number;
  moves: PlanMoves;
}) {
  const now = useNow();
  const next = row.jobs.find((job) => !job.done && !job.beside);
  const { to, grip, lies } = useLifted(row.id, next?.at ?? 0, x, (where) => {
    if (next === undefined) return;
    // Nothing is put back before now.
    const by = Math.round((Math.max(where, Math.min(now, next.at)) - next.at) / QUARTER_MS) * QUARTER_MS;
    if (by === 0) return;
    const why = `all that is to come ${span(by)} ${by > 0 ? 'later' : 'earlier'}`;
    void moves.move([{ batch: row.batch, changes: shiftedPlan(row.batch.state, by), why }]);
  });
  if (next === undefined) return null;
  const at = to ?? next.at;
  const end = Math.max(...row.jobs.map((job) => job.at)) + (at - next.at);
  const clip = (px: number) => Math.min(right, Math.max(left, px));
  const [from, width] = [clip(x(at)), Math.max(0, clip(x(end)) - clip(x(at)))];
  if (width === 0 && to === null) return null;
  return (
    <Box
      component="g"
      sx={[styles.whole, to !== null && styles.lifted]}
      aria-label={`All that is to come of ${row.code}`}
      aria-valuenow={Math.round(at / QUARTER_MS)}
      aria-valuetext={`from ${writtenTime(at, 'ddd D, HH:mm')}${to === null ? '' : ', Enter sets it down'}`}
      {...grip}
    >
      <rect ref={lies} pointerEvents="none" x={x(next.at)} y={y} width={1} height={height} />
      <rect x={from} y={y} width={width} height={height} />
      {to !== null && (
        <text x={from + 6} y={y - 3} {...styles.axis} {...styles.now}>
          {`${row.code} ${span(at - next.at)} ${at > next.at ? 'later' : 'earlier'}`}
        </text>
      )}
    </Box>
  );
}

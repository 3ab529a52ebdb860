import { draggedPlan } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import { dayAndTime, writtenTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import type { Job, Row } from './bands';
import { QUARTER_MS, useLifted } from './useLifted';
import type { PlanMoves } from './usePlanMoves';

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
  const { to, handlers } = useLifted(job.at, x, (where) => {
    const when = Math.max(now, Math.round(where / QUARTER_MS) * QUARTER_MS);
    const changes = draggedPlan(row.batch.state, job.id, new Date(when).toISOString());
    void moves.move([{ batch: row.batch, changes, why: `${job.title} to ${writtenTime(when, 'ddd D, HH:mm')}` }]);
  });
  const at = to ?? job.at;
  if (job.done || small) {
    const top = y + (small ? 12 : 9);
    return <line x1={x(job.at)} x2={x(job.at)} y1={top} y2={top + (small ? 3 : 6)} className={`tick${job.done ? ' done' : ''}`} />;
  }
  return (
    <g
      className={`job${to === null ? '' : ' lifted'}`}
      tabIndex={0}
      role="slider"
      aria-label={`${job.title}, ${row.code}`}
      aria-valuenow={Math.round(at / QUARTER_MS)}
      aria-valuetext={`${dayAndTime(at, now)}${to === null ? '' : ', Enter sets it down'}`}
      {...handlers}
    >
      <rect x={x(at) - 5} y={y + 3} width={10} height={HIT_HEIGHT} className="hit" pointerEvents={crowded ? 'none' : 'all'} />
      <line x1={x(at)} x2={x(at)} y1={y + 6} y2={y + 15} className="tick" />
      {to !== null && (
        <text x={x(at) + 6} y={y + 12} className="axis now">
          {`${job.title} ${writtenTime(at, 'ddd D, HH:mm')}`}
        </text>
      )}
    </g>
  );
}

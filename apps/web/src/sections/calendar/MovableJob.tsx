import { movedPlan } from '@bunkhouse/core';
import type { ScaleTime } from 'd3-scale';
import dayjs from 'dayjs';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useReplan } from '../../shell/useReplan';
import { dayAndTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import type { Job, Row } from './bands';

const HOUR_MS = 3_600_000;
const QUARTER_MS = 900_000;
const STEPS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1, PageUp: 24, PageDown: -24 };

/** A job as a tick on its row. Where several crowd, the pointer takes the first and the others follow it; keys reach each. One that is still to come is dragged, or moved with the arrow keys and set down with Enter. */
export function MovableJob({
  row,
  job,
  x,
  y,
  small,
  crowded,
}: {
  row: Row;
  job: Job;
  x: ScaleTime<number, number>;
  y: number;
  small: boolean;
  crowded: boolean;
}) {
  const { replan, fault } = useReplan(row.batch);
  const now = useNow();
  const [to, setTo] = useState<number | null>(null);
  const grip = useRef(0);
  const at = to ?? job.at;
  const setDown = () => {
    if (to === null) return;
    const when = Math.max(now, Math.round(to / QUARTER_MS) * QUARTER_MS);
    setTo(null);
    if (Math.abs(when - job.at) < QUARTER_MS) return;
    void replan(movedPlan(row.batch.state, { [job.id]: new Date(when).toISOString() }), `${job.title} to ${dayjs(when).format('ddd D, HH:mm')}`);
  };
  if (job.done || small) return <path d={`M${x(job.at)} ${y + (small ? 12 : 9)}v${small ? 3 : 6}`} className={`tick${job.done ? ' done' : ''}`} />;
  const onPointer = (event: PointerEvent<SVGGElement>) => {
    if (event.type === 'pointerdown') {
      event.currentTarget.setPointerCapture(event.pointerId);
      grip.current = event.clientX - x(job.at);
    } else if (event.type === 'pointermove' && event.buttons === 1) setTo(x.invert(event.clientX - grip.current).getTime());
    else if (event.type === 'pointerup') setDown();
  };
  const onKey = (event: KeyboardEvent<SVGGElement>) => {
    const hours = STEPS[event.key];
    if (hours !== undefined) {
      event.preventDefault();
      setTo(at + hours * HOUR_MS);
    } else if (event.key === 'Enter') setDown();
    else if (event.key === 'Escape') setTo(null);
  };
  return (
    <g
      className={`job${to === null ? '' : ' lifted'}`}
      tabIndex={0}
      role="slider"
      aria-label={`${job.title}, ${row.code}`}
      aria-valuenow={Math.round(at / QUARTER_MS)}
      aria-valuetext={`${dayAndTime(at, now)}${to === null ? '' : ', Enter sets it down'}${fault === null ? '' : `. ${fault}`}`}
      onPointerDown={onPointer}
      onPointerMove={onPointer}
      onPointerUp={onPointer}
      onKeyDown={onKey}
    >
      <rect x={x(at) - 5} y={y + 4} width={10} height={ROW_HIT} className="hit" pointerEvents={crowded ? 'none' : 'all'} />
      <path d={`M${x(at)} ${y + 6}v9`} className="tick" />
      {to !== null && (
        <text x={x(at) + 6} y={y + 12} className="axis now">
          {`${job.title} ${dayjs(at).format('ddd D, HH:mm')}`}
        </text>
      )}
      {fault !== null && (
        <text x={x(job.at) + 6} y={y + 12} className="axis over">
          {fault}
        </text>
      )}
    </g>
  );
}

const ROW_HIT = 28;

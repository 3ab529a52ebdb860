import { handsOver, usedOver, workSpans, type HousePlan, type Schedule, type ScheduleParams } from '@bunkhouse/core';
import { scaleTime } from 'd3-scale';
import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useWidth } from '../../instruments/useWidth';
import { usePreferences } from '../../shell/preferences';
import { tagWeight } from '../../shell/quantities';
import type { Row } from './bands';
import { MovableBatch } from './MovableBatch';
import { MovableJob } from './MovableJob';
import type { PlanMoves } from './usePlanMoves';
import { usePanning } from './usePanning';
import { endOf, type View } from './useView';
import { STORE_UNITS, ofStore } from '../../shell/clashWords';
import { writtenTime } from '../../shell/times';
import { stepsUnder } from '../../instruments/paths';

const HEAD = 34;
const ROW = 34;
const LANE = 56;
const LABELS = 200;
const USUAL_WIDTH = 1180;
const BAND = 13;

/** Where a job would come to lie, ms. */
export interface Ghost {
  batch: string;
  at: number;
}

/** A week, three or a season: a row for each batch, lanes for what is full, the now line through all of them. */
export function WeeksPicture({
  rows,
  view,
  now,
  plan,
  params,
  look,
  ghosts,
  moves,
}: {
  rows: readonly Row[];
  view: View;
  now: number;
  plan: HousePlan;
  params: ScheduleParams;
  look: Schedule | null;
  ghosts: readonly Ghost[] | null;
  moves: PlanMoves;
}) {
  const { from, days } = view;
  const [svg, width] = useWidth<SVGSVGElement>(USUAL_WIDTH);
  const navigate = useNavigate();
  const preferences = usePreferences();
  const to = endOf(view);
  const x = useMemo(() => scaleTime([from, to], [LABELS, width]), [from, to, width]);
  const place = (at: number) => Math.min(width, Math.max(LABELS, x(at)));
  const work = useMemo(() => workSpans(plan.hours, from, to), [plan.hours, from, to]);
  const panning = usePanning(svg, view, (width - LABELS) / days);
  const uses = useMemo(() => usedOver(params, { from, to }), [params, from, to]);
  const hands = useMemo(() => handsOver(params, { from, to }), [params, from, to]);
  const full: LaneOf[] = [
    ...plan.resources.map(({ id, name, kind, capacity }) => ({
      id,
      name,
      unit: STORE_UNITS[kind],
      tint: kind === 'smoker' ? 'smoke' : 'chill',
      capacity,
      use: uses.get(id) ?? [],
    })),
    { id: 'hands', name: 'Hands', unit: 'at once', tint: 'hands', capacity: plan.hours.hands, use: hands },
  ];
  const lanes = HEAD + rows.length * ROW;
  const height = lanes + full.length * LANE + 4;
  const clashing = new Set(
    (look?.clashes ?? []).flatMap((clash) => (clash.kind === 'night' || clash.kind === 'hands' ? [] : 'batches' in clash ? clash.batches : [clash.batch])),
  );
  return (
    <div className="panel weeks">
      <svg ref={svg} viewBox={`0 0 ${width} ${height}`} style={{ height }} role="group" aria-label="Batches over the days" {...panning}>
        <rect x={LABELS} y={HEAD} width={width - LABELS} height={height - HEAD} className="night" />
        {work.map((span) => (
          <rect key={span.from} x={place(span.from)} y={HEAD} width={Math.max(0, place(span.to) - place(span.from))} height={height - HEAD} className="work" />
        ))}
        {Array.from({ length: days }, (_, i) => dayjs(from).add(i, 'day')).map((day) => (
          <g key={day.valueOf()}>
            <line
              x1={x(day.valueOf())}
              x2={x(day.valueOf())}
              y1={day.day() === 1 ? 0 : HEAD - 12}
              y2={height}
              className={day.day() === 1 ? 'week-line' : 'day-line'}
            />
            {(days <= 21 || day.day() === 1) && (
              <text x={x(day.valueOf()) + 4} y={21} className={`axis${day.isSame(now, 'day') ? ' now' : ''}`}>
                {days <= 21 ? writtenTime(day, width < 1000 ? 'D' : 'ddd D') : writtenTime(day, 'D MMM')}
              </text>
            )}
          </g>
        ))}
        {rows.map((row, i) => {
          const y = HEAD + i * ROW;
          return (
            <g key={row.id}>
              <line x1={0} x2={width} y1={y} y2={y} className="row-line" />
              <a
                href={`/batches/${row.id}`}
                onClick={(event) => {
                  event.preventDefault();
                  void navigate(`/batches/${row.id}`);
                }}
              >
                <rect x={0} y={y} width={LABELS} height={ROW} className="row-label" />
                <text x={10} y={y + 21}>
                  <tspan className="code">{row.code}</tspan> <tspan className="what">{`${row.what} ${tagWeight(row.greenG, preferences)}`}</tspan>
                </text>
              </a>
              {row.bands.map((band) =>
                band.to < from || band.from > to ? null : (
                  <rect
                    key={band.station}
                    x={place(band.from)}
                    y={y + 15}
                    width={Math.max(1, place(band.to) - place(band.from))}
                    height={BAND}
                    className={`stay is-${band.station}`}
                  />
                ),
              )}
              {clashing.has(row.id) && row.bands.length > 0 && (
                <rect
                  x={place(row.bands[0]?.from ?? 0) - 2}
                  y={y + 13}
                  width={Math.max(4, place(row.bands.at(-1)?.to ?? 0) - place(row.bands[0]?.from ?? 0) + 4)}
                  height={BAND + 4}
                  className="clashing"
                />
              )}
              {place(now) > LABELS && (
                <rect
                  x={place(row.bands[0]?.from ?? now)}
                  y={y + 15}
                  width={Math.max(0, place(Math.min(now, row.bands.at(-1)?.to ?? now)) - place(row.bands[0]?.from ?? now))}
                  height={BAND}
                  className="past"
                />
              )}
              <MovableBatch row={row} x={x} y={y + 14} height={BAND + 4} left={LABELS} right={width} moves={moves} />
              {row.jobs.map((job, k) =>
                job.at < from || job.at > to ? null : (
                  <MovableJob key={job.id} row={row} job={job} x={x} y={y} small={job.beside || days > 21} crowded={isCrowded(row, k, x)} moves={moves} />
                ),
              )}
              {ghosts
                ?.filter((ghost) => ghost.batch === row.id && ghost.at >= from && ghost.at <= to)
                .map((ghost) => (
                  <line key={ghost.at} x1={x(ghost.at)} x2={x(ghost.at)} y1={y + 9} y2={y + 31} className="moved" />
                ))}
            </g>
          );
        })}
        {full.map((lane, i) => (
          <Lane key={lane.id} {...lane} y={lanes + i * LANE} width={width} place={place} />
        ))}
        {now > from && now < to && <line x1={x(now)} x2={x(now)} y1={0} y2={height} className="now-line" />}
      </svg>
    </div>
  );
}

/** A job so near behind another one that is still to come cannot be told from it with a finger. */
function isCrowded({ jobs }: Row, k: number, x: (at: number) => number): boolean {
  const job = jobs[k];
  const before = jobs.slice(0, k).findLast((other) => !other.done && !other.beside);
  return job !== undefined && before !== undefined && x(job.at) - x(before.at) < HANDLE_PX;
}

const HANDLE_PX = 10;

/** Something that is used up to its capacity. */
interface LaneOf {
  id: string;
  name: string;
  unit: string;
  tint: string;
  capacity: number;
  use: readonly { at: number; amount: number }[];
}

/** How full something is, step by step, under its capacity. */
function Lane({ name, unit, tint, capacity, use, y, width, place }: LaneOf & { y: number; width: number; place: (at: number) => number }) {
  const preferences = usePreferences();
  const most = Math.max(0, ...use.map(({ amount }) => amount));
  const scale = (LANE - 20) / Math.max(capacity, most, 1);
  const floor = y + LANE - 4;
  const path = stepsUnder(
    use,
    ({ at }) => place(at),
    ({ amount }) => floor - amount * scale,
    floor,
  );
  const over = most > capacity;
  return (
    <g>
      <line x1={0} x2={width} y1={y} y2={y} className="week-line" />
      <rect x={0} y={y} width={LABELS} height={LANE} className="row-label" />
      <text x={10} y={y + 20} className="code">
        {name}
      </text>
      <text x={10} y={y + 42} className={over ? 'over' : 'what'}>
        {`${ofStore(most, unit, preferences)} at most, of ${ofStore(capacity, unit, preferences)}${over ? (unit === 'at once' ? ': too few hands' : ': overfull') : ''}`}
      </text>
      <path d={path} className={`use is-${tint}`} />
      <line x1={LABELS} x2={width} y1={floor - capacity * scale} y2={floor - capacity * scale} className="capacity" />
    </g>
  );
}

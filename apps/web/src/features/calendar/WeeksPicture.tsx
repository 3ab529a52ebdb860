import { handsOver, usedOver, workSpans, type HousePlan, type Schedule, type ScheduleParams, type Station } from '@bunkhouse/core';
import { scaleTime } from 'd3-scale';
import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { useWidth } from '../../kit/useWidth';
import { usePreferences } from '../../reader/preferences';
import { tagWeight } from '../../reader/quantities';
import type { Row } from './bands';
import { Lifting } from './Lifting';
import { MovableBatch } from './MovableBatch';
import { MovableJob } from './MovableJob';
import type { PlanMoves } from './usePlanMoves';
import { usePanning } from './usePanning';
import { endOf, type View } from './useView';
import { STORE_UNITS, ofStore } from '../../reader/words/clashWords';
import { writtenTime } from '../../reader/times';
import { stepsUnder } from '../../charts/paths';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  weeks: {
    overflow: 'hidden',
    '& svg': { width: '100%', display: 'block', touchAction: 'pan-y', cursor: 'grab' },
    '& g[role="slider"]:focus, & g[role="slider"]:focus-visible': { outline: 'none' },
    '& a:hover tspan:first-of-type': { textDecoration: 'underline' },
    [fold.narrow]: { display: 'none' },
  },
  night: { fill: t.sunk },
  work: { fill: t.panel },
  weekLine: { stroke: t.hair2, strokeWidth: 1.5, fill: 'none' },
  dayLine: { stroke: t.hair },
  axis: { fontSize: '14px', fontWeight: 500, fill: t.ink2 },
  axisNow: { fill: t.ink, fontWeight: 600 },
  rowLine: { stroke: t.hair },
  rowLabel: { fill: t.panel },
  code: { fontSize: '16px', fontWeight: 600, fill: t.ink },
  what: { fontSize: '14px', fontWeight: 500, fill: t.ink2 },
  stay: { fill: 'var(--st)' },
  clashing: { fill: 'none', stroke: t.amber.main, strokeWidth: 2 },
  past: { fill: t.panel, opacity: 0.42 },
  moved: { stroke: t.amber.ink, strokeWidth: 2.5, strokeDasharray: '3 2' },
  nowLine: { stroke: t.ink, strokeWidth: 2 },
  over: { fontSize: '14px', fontWeight: 600, fill: t.amber.ink },
  hands: { fill: t.ink, opacity: 0.85 },
  capacity: { stroke: t.ink, strokeWidth: 1.5 },
} as const;

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
    ...plan.resources.map(({ id, name, kind, capacity }): LaneOf => ({
      id,
      name,
      unit: STORE_UNITS[kind],
      tint: kind === 'smoker' ? 'smoke' : 'chill',
      capacity,
      use: uses.get(id) ?? [],
    })),
    { id: 'hands', name: 'Hands', unit: 'at once', tint: null, capacity: plan.hours.hands, use: hands },
  ];
  const lanes = HEAD + rows.length * ROW;
  const height = lanes + full.length * LANE + 4;
  const clashing = new Set(
    (look?.clashes ?? []).flatMap((clash) => (clash.kind === 'night' || clash.kind === 'hands' ? [] : 'batches' in clash ? clash.batches : [clash.batch])),
  );
  return (
    <Box sx={[looks.panel, styles.weeks]}>
      <Lifting>
        <svg ref={svg} viewBox={`0 0 ${width} ${height}`} style={{ height }} role="group" aria-label="Batches over the days" {...panning}>
          <rect x={LABELS} y={HEAD} width={width - LABELS} height={height - HEAD} {...styles.night} />
          {work.map((span) => (
            <rect
              key={span.from}
              x={place(span.from)}
              y={HEAD}
              width={Math.max(0, place(span.to) - place(span.from))}
              height={height - HEAD}
              {...styles.work}
            />
          ))}
          {Array.from({ length: days }, (_, i) => dayjs(from).add(i, 'day')).map((day) => (
            <g key={day.valueOf()}>
              <line
                x1={x(day.valueOf())}
                x2={x(day.valueOf())}
                y1={day.day() === 1 ? 0 : HEAD - 12}
                y2={height}
                {...(day.day() === 1 ? styles.weekLine : styles.dayLine)}
              />
              {(days <= 21 || day.day() === 1) && (
                <text x={x(day.valueOf()) + 4} y={21} {...styles.axis} {...(day.isSame(now, 'day') && styles.axisNow)}>
                  {days <= 21 ? writtenTime(day, width < 1000 ? 'D' : 'ddd D') : writtenTime(day, 'D MMM')}
                </text>
              )}
            </g>
          ))}
          {rows.map((row, i) => {
            const y = HEAD + i * ROW;
            return (
              <g key={row.id}>
                <line x1={0} x2={width} y1={y} y2={y} {...styles.rowLine} />
                <a
                  href={`/batches/${row.id}`}
                  onClick={(event) => {
                    event.preventDefault();
                    void navigate(`/batches/${row.id}`);
                  }}
                >
                  <rect x={0} y={y} width={LABELS} height={ROW} {...styles.rowLabel} />
                  <text x={10} y={y + 21}>
                    <tspan {...styles.code}>{row.code}</tspan> <tspan {...styles.what}>{`${row.what} ${tagWeight(row.greenG, preferences)}`}</tspan>
                  </text>
                </a>
                {row.bands.map((band) =>
                  band.to < from || band.from > to ? null : (
                    <Box
                      component="rect"
                      key={band.station}
                      x={place(band.from)}
                      y={y + 15}
                      width={Math.max(1, place(band.to) - place(band.from))}
                      height={BAND}
                      sx={[styles.stay, stationed(band.station)]}
                    />
                  ),
                )}
                {clashing.has(row.id) && row.bands.length > 0 && (
                  <rect
                    x={place(row.bands[0]?.from ?? 0) - 2}
                    y={y + 13}
                    width={Math.max(4, place(row.bands.at(-1)?.to ?? 0) - place(row.bands[0]?.from ?? 0) + 4)}
                    height={BAND + 4}
                    {...styles.clashing}
                  />
                )}
                {place(now) > LABELS && (
                  <rect
                    x={place(row.bands[0]?.from ?? now)}
                    y={y + 15}
                    width={Math.max(0, place(Math.min(now, row.bands.at(-1)?.to ?? now)) - place(row.bands[0]?.from ?? now))}
                    height={BAND}
                    {...styles.past}
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
                    <line key={ghost.at} x1={x(ghost.at)} x2={x(ghost.at)} y1={y + 9} y2={y + 31} {...styles.moved} />
                  ))}
              </g>
            );
          })}
          {full.map((lane, i) => (
            <Lane key={lane.id} {...lane} y={lanes + i * LANE} width={width} place={place} />
          ))}
          {now > from && now < to && <line x1={x(now)} x2={x(now)} y1={0} y2={height} {...styles.nowLine} />}
        </svg>
      </Lifting>
    </Box>
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
  /** the station whose colour it has; none where it is hands */
  tint: Station | null;
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
      <line x1={0} x2={width} y1={y} y2={y} {...styles.weekLine} />
      <rect x={0} y={y} width={LABELS} height={LANE} {...styles.rowLabel} />
      <text x={10} y={y + 20} {...styles.code}>
        {name}
      </text>
      <text x={10} y={y + 42} {...(over ? styles.over : styles.what)}>
        {`${ofStore(most, unit, preferences)} at most, of ${ofStore(capacity, unit, preferences)}${over ? (unit === 'at once' ? ': too few hands' : ': overfull') : ''}`}
      </text>
      <path d={path} {...(tint === null ? styles.hands : { fill: t.station[tint].main, opacity: 0.7 })} />
      <line x1={LABELS} x2={width} y1={floor - capacity * scale} y2={floor - capacity * scale} {...styles.capacity} />
    </g>
  );
}

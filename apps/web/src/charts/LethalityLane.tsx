import { lethality, type CoreForecast, type TimedReading } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { clockTime } from '../reader/times';
import { areaUnder } from './paths';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  lethalFrame: { fill: 'none', stroke: t.hair },
  lethalDone: { stroke: t.ink, strokeWidth: 2 },
} as const;

export const LETHALITY_HEIGHT = 74;
/** A little more than done is shown, and no more. */
const MOST = 1.15;

interface LethalityLaneProps {
  /** the core that is furthest from its target; null where none is read */
  core: { piece: string; counted: readonly TimedReading[]; forecast: CoreForecast | null } | null;
  isOver: boolean;
  /** whether there are several pieces, so that it must be named */
  many: boolean;
  onAt: number;
  x: (s: number) => number;
  /** the last second of the chart */
  untilS: number;
  top: number;
  left: number;
  right: number;
  /** the pattern of what is forecast */
  hatch: string;
}

/** The lethality sum of the slowest core, as counted and as forecast, up to 1. */
export function LethalityLane({ core, isOver, many, onAt, x, untilS, top, left, right, hatch }: LethalityLaneProps) {
  const floor = top + LETHALITY_HEIGHT;
  const y = scaleLinear([0, MOST], [floor, top]).clamp(true);
  const courses = core === null ? null : coursesOf(core.counted, isOver ? null : core.forecast);
  const reached = courses?.reachedAtS ?? null;
  const under = (course: readonly { s: number; sum: number }[]) =>
    areaUnder(
      course,
      ({ s }) => x(s),
      ({ sum }) => y(sum),
      floor,
    );
  const isRight = reached !== null && x(reached) > right - 134;
  return (
    <g>
      <rect x={left} y={top} width={right - left} height={LETHALITY_HEIGHT} {...styles.lethalFrame} />
      <line x1={left} x2={right} y1={y(1)} y2={y(1)} {...styles.lethalDone} />
      <text x={left - 6} y={y(1) + 4} textAnchor="end" {...ink.axis} {...ink.over}>
        1
      </text>
      <text x={left - 6} y={floor + 4} textAnchor="end" {...ink.axis}>
        0
      </text>
      <text x={left + 6} y={top + 30} {...ink.axis} {...ink.over}>
        Lethality sum{many && core !== null ? `, piece ${core.piece}` : ''}
      </text>
      {courses !== null && (
        <>
          <path d={under(courses.counted)} {...ink.taken} />
          {courses.coming.length > 1 && <path d={under(courses.coming)} fill={`url(#${hatch})`} />}
        </>
      )}
      {courses !== null && reached !== null && reached <= untilS && (
        <g>
          <circle cx={x(reached)} cy={y(1)} r={5} {...ink.ring} {...(!courses.isForecast && ink.ink)} />
          <text x={x(reached) + (isRight ? -10 : 10)} y={y(1) + 20} textAnchor={isRight ? 'end' : 'start'} {...ink.axis} {...ink.over}>
            {courses.isForecast ? 'about ' : 'done by time '}
            {clockTime(onAt + reached * 1000)}
          </text>
        </g>
      )}
    </g>
  );
}

/** The sum as counted, and as it goes on if the forecast is right. */
function coursesOf(counted: readonly TimedReading[], forecast: CoreForecast | null) {
  const now = lethality(counted);
  const curve = forecast === null ? [] : forecast.curve.filter(({ s }) => s > (counted.at(-1)?.s ?? 0)).map(({ s, C }) => ({ s, C }));
  const later = now.reachedAtS === null && curve.length > 0 ? lethality([...counted, ...curve]) : null;
  return {
    counted: now.course,
    coming: later === null ? [] : later.course.slice(now.course.length - 1).filter(({ sum }, i, all) => sum <= MOST || (all[i - 1]?.sum ?? 0) <= MOST),
    reachedAtS: now.reachedAtS ?? later?.reachedAtS ?? null,
    isForecast: now.reachedAtS === null,
  };
}

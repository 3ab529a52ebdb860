import { COLD_MOST_C, type ColdLying, DAY_S, HOUR_S } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import dayjs from 'dayjs';
import { usePreferences } from '../shell/preferences';
import { inWords } from '../shell/quantities';
import { TemperatureAxis } from './TemperatureAxis';
import { useWidth } from './useWidth';
import { writtenTime } from '../shell/times';
import { curveThrough } from './paths';

const HEIGHT = 130;
const INSET = { top: 12, right: 14, bottom: 22, left: 36 };
/** A day's word needs so much room, px. */
const DAY_ROOM = 58;
/** Readings further apart are not joined by a line, s. */
const APART_S = 1800;

/** Air of the refrigerators against 4 °C, place by place. */
export function ColdChart({ startMs, places }: { startMs: number; places: ColdLying['places'] }) {
  const preferences = usePreferences();
  const [svg, width] = useWidth<SVGSVGElement>(760);
  const all = places.flatMap(({ readings }) => readings);
  const last = all.at(-1);
  if (last === undefined) return null;
  const firstS = all[0]?.s ?? 0;
  const x = scaleLinear([firstS, Math.max(last.s, firstS + HOUR_S)], [INSET.left, width - INSET.right]);
  const y = scaleLinear([Math.min(0, ...all.map(({ C }) => C)), Math.max(8, ...all.map(({ C }) => C + 0.5))], [HEIGHT - INSET.bottom, INSET.top]);
  const midnight = dayjs(startMs + firstS * 1000)
    .startOf('day')
    .add(1, 'day');
  const every = Math.max(1, Math.ceil((((last.s - firstS) / DAY_S) * DAY_ROOM) / width));
  const days = Array.from({ length: Math.ceil((last.s - firstS) / DAY_S / every) }, (_, i) => midnight.add(i * every, 'day')).filter(
    (day) => (day.valueOf() - startMs) / 1000 < last.s,
  );
  return (
    <svg
      ref={svg}
      className="cold-chart"
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Air of the refrigerator since ${writtenTime(startMs + firstS * 1000, 'ddd D MMM, HH:mm')}: last ${inWords(last.C, 'temperature', preferences)}`}
    >
      <rect x={INSET.left} y={INSET.top} width={width - INSET.left - INSET.right} height={Math.max(0, y(COLD_MOST_C) - INSET.top)} className="warm-zone" />
      <TemperatureAxis y={y} ticks={y.ticks(3)} left={INSET.left} right={width - INSET.right} />
      {days.map((day) => (
        <g key={day.valueOf()}>
          <line
            x1={x((day.valueOf() - startMs) / 1000)}
            x2={x((day.valueOf() - startMs) / 1000)}
            y1={INSET.top}
            y2={HEIGHT - INSET.bottom}
            className="grid-line"
          />
          <text x={x((day.valueOf() - startMs) / 1000)} y={HEIGHT - 6} textAnchor="middle" className="axis">
            {writtenTime(day, 'ddd D')}
          </text>
        </g>
      ))}
      <line x1={INSET.left} x2={width - INSET.right} y1={y(COLD_MOST_C)} y2={y(COLD_MOST_C)} className="limit" />
      <text x={width - INSET.right} y={y(COLD_MOST_C) - 5} textAnchor="end" className="axis strong">
        at most {inWords(COLD_MOST_C, 'temperature', preferences, 0)}
      </text>
      {places.map(({ hold, readings }) => (
        <path key={hold} d={curveThrough(readings, x, y, APART_S)} className="air" />
      ))}
    </svg>
  );
}

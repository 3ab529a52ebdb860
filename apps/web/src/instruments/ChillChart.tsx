import { HOUR_S } from '@bunkhouse/core';
import type { CoreForecast, GatePassage, TimedReading } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { usePreferences } from '../shell/preferences';
import { inWords } from '../shell/quantities';
import { clockTime } from '../shell/times';
import { TemperatureAxis } from './TemperatureAxis';
import { useWidth } from './useWidth';
import { bandBetween, curveThrough } from './paths';

const HEIGHT = 230;
const INSET = { top: 18, right: 18, bottom: 24, left: 40 };

/** A core on its way down, with each gate as a post that it must have passed under; forecast with its range. Times in s after it came off the fire. */
export function ChillChart({
  offAt,
  nowS,
  readings,
  gates,
  sureBy,
  forecast,
  iceBath,
}: {
  offAt: number;
  nowS: number;
  readings: readonly TimedReading[];
  gates: readonly GatePassage[];
  /** where the clock of a gate is not known to run: by when its end must be read to be sure */
  sureBy: { s: number; C: number } | null;
  forecast: CoreForecast | null;
  iceBath: CoreForecast | null;
}) {
  const preferences = usePreferences();
  const hatch = useId();
  const [svg, width] = useWidth<SVGSVGElement>(760);
  const posts = [
    ...gates.flatMap(({ startS, limitS, to, state }) => (startS === null ? [] : [{ s: startS + limitS, C: to, state }])),
    ...(sureBy === null ? [] : [{ ...sureBy, state: 'notStarted' as const }]),
  ];
  const endS = Math.max(HOUR_S, nowS + HOUR_S / 2, ...posts.map(({ s }) => s + HOUR_S / 3));
  const x = scaleLinear([0, endS], [INSET.left, width - INSET.right]).clamp(true);
  const y = scaleLinear([0, Math.max(70, ...readings.map(({ C }) => C + 4))], [HEIGHT - INSET.bottom, INSET.top]);
  const until = <T extends { s: number }>(course: readonly T[]) => course.filter(({ s }) => s <= endS);
  const line = (course: readonly TimedReading[]) => curveThrough(until(course), x, y);
  const last = readings.at(-1);
  const hours = Math.floor(endS / HOUR_S);
  const every = Math.max(1, Math.ceil((hours * 62) / width));
  const said = posts.map(({ s, C }) => `at most ${inWords(C, 'temperature', preferences, 0)} by ${clockTime(offAt + s * 1000)}`).join(', ');
  return (
    <svg
      ref={svg}
      className="chill-chart"
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Core since ${clockTime(offAt)}: ${last === undefined ? 'not read' : `${inWords(last.C, 'temperature', preferences)} at ${clockTime(offAt + last.s * 1000)}`}${said === '' ? '' : `; ${said}`}`}
    >
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" className="fan-hatch" />
        </pattern>
      </defs>
      <TemperatureAxis y={y} ticks={y.ticks(4)} left={INSET.left} right={width - INSET.right} />
      {Array.from({ length: Math.floor(hours / every) + 1 }, (_, i) => i * every).map((h) => (
        <text key={h} x={x(h * HOUR_S)} y={HEIGHT - 6} textAnchor="middle" className="axis">
          {clockTime(offAt + h * HOUR_S * 1000)}
        </text>
      ))}
      {forecast !== null && forecast.curve.length > 1 && (
        <>
          <path d={bandBetween(until(forecast.curve), x, y)} fill={`url(#${hatch})`} />
          <path d={line(forecast.curve)} className="curve forecast" />
        </>
      )}
      {iceBath !== null && iceBath.curve.length > 1 && <path d={line(iceBath.curve)} className="curve ice" />}
      {posts.map(({ s, C, state }) => (
        <g key={C} className={`gate-post ${state}`}>
          <line x1={x(s)} x2={x(s)} y1={INSET.top} y2={y(C)} />
          <line x1={x(s) - 9} x2={x(s) + 9} y1={y(C)} y2={y(C)} />
          <text x={x(s) - 6} y={y(C) - 8} textAnchor="end" className="axis strong">
            {inWords(C, 'temperature', preferences, 0)} by {clockTime(offAt + s * 1000)}
          </text>
        </g>
      ))}
      <path d={line(readings)} className="curve chill-core" />
      {readings.length < 20 && readings.map(({ s, C }) => <circle key={s} cx={x(s)} cy={y(C)} r={4} className="dot chill-core" />)}
      <line x1={x(nowS)} x2={x(nowS)} y1={INSET.top} y2={HEIGHT - INSET.bottom} className="now-line" />
    </svg>
  );
}

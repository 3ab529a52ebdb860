import { HOUR_S } from '@bunkhouse/core';
import type { CoreForecast, GatePassage, TimedReading } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';
import { clockTime } from '../reader/times';
import { ChartFrame, type Across } from './ChartFrame';
import { TemperatureAxis } from './TemperatureAxis';
import { bandBetween, curveThrough } from './paths';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  fanHatch: { stroke: t.station.chill.ink, strokeWidth: 1.6, opacity: 0.5 },
  forecast: { stroke: t.station.chill.ink, strokeWidth: 2.2, strokeDasharray: '3 4' },
  ice: { stroke: t.station.soak.ink, strokeWidth: 2.2, strokeDasharray: '8 4' },
  chillCore: { stroke: t.station.chill.ink, strokeWidth: 3.2 },
  dot: { fill: t.panel, stroke: t.station.chill.ink, strokeWidth: 2.5 },
} as const;

const HEIGHT = 230;
const INSET = { top: 18, right: 18, bottom: 24, left: 40 };
/** An arrow key goes so far, s. */
const STEP_S = 300;
/** An hour's word needs so much room, px. */
const HOUR_ROOM = 62;

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
  const posts = [
    ...gates.flatMap(({ startS, limitS, to, state }) => (startS === null ? [] : [{ s: startS + limitS, C: to, state }])),
    ...(sureBy === null ? [] : [{ ...sureBy, state: 'notStarted' as const }]),
  ];
  const endS = Math.max(HOUR_S, nowS + HOUR_S / 2, ...posts.map(({ s }) => s + HOUR_S / 3));
  const y = scaleLinear([0, Math.max(70, ...readings.map(({ C }) => C + 4))], [HEIGHT - INSET.bottom, INSET.top]);
  const until = <T extends { s: number }>(course: readonly T[]) => course.filter(({ s }) => s <= endS);
  const line = (course: readonly TimedReading[], x: Across) => curveThrough(until(course), x, y);
  const last = readings.at(-1);
  const temperature = (C: number) => inWords(C, 'temperature', preferences, 1);
  const course = (points: readonly TimedReading[]) => until(points).map(({ s, C }) => ({ at: s, value: C }));
  const curves = [
    { name: 'Core', points: course(readings), say: temperature, y },
    ...(forecast === null || forecast.curve.length < 2 ? [] : [{ name: 'Expected', points: course(forecast.curve), say: temperature, y }]),
    ...(iceBath === null || iceBath.curve.length < 2 ? [] : [{ name: 'In an ice bath', points: course(iceBath.curve), say: temperature, y }]),
  ];
  const said = posts.map(({ s, C }) => `at most ${inWords(C, 'temperature', preferences, 0)} by ${clockTime(offAt + s * 1000)}`).join(', ');
  return (
    <ChartFrame
      height={HEIGHT}
      usualWidth={760}
      inset={INSET}
      span={[0, endS]}
      label={`Core since ${clockTime(offAt)}: ${last === undefined ? 'not read' : `${inWords(last.C, 'temperature', preferences)} at ${clockTime(offAt + last.s * 1000)}`}${said === '' ? '' : `; ${said}`}`}
      cursor="Read the chill at a time"
      curves={curves}
      sayAt={(s) => clockTime(offAt + s * 1000)}
      step={STEP_S}
      at={last?.s ?? nowS}
      axes={(x, width) => (
        <>
          <TemperatureAxis y={y} ticks={y.ticks(4)} left={INSET.left} right={width - INSET.right} />
          {hoursIn(x, width).map((h) => (
            <text key={h} x={x(h * HOUR_S)} y={HEIGHT - 6} textAnchor="middle" {...ink.axis}>
              {clockTime(offAt + h * HOUR_S * 1000)}
            </text>
          ))}
        </>
      )}
    >
      {(x) => (
        <>
          <defs>
            <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <path d="M0 0V6" {...styles.fanHatch} />
            </pattern>
          </defs>
          {forecast !== null && forecast.curve.length > 1 && (
            <>
              <path d={bandBetween(until(forecast.curve), x, y)} fill={`url(#${hatch})`} />
              <path d={line(forecast.curve, x)} {...ink.curve} {...styles.forecast} />
            </>
          )}
          {iceBath !== null && iceBath.curve.length > 1 && <path d={line(iceBath.curve, x)} {...ink.curve} {...styles.ice} />}
          {posts.map(({ s, C, state }) => (
            <g key={C} stroke={state === 'fail' ? t.danger.main : t.ink} strokeWidth={2.4}>
              <line x1={x(s)} x2={x(s)} y1={INSET.top} y2={y(C)} />
              <line x1={x(s) - 9} x2={x(s) + 9} y1={y(C)} y2={y(C)} />
              <text x={x(s) - 6} y={y(C) - 8} textAnchor="end" {...ink.axis} {...ink.over}>
                {inWords(C, 'temperature', preferences, 0)} by {clockTime(offAt + s * 1000)}
              </text>
            </g>
          ))}
          <path d={line(readings, x)} {...ink.curve} {...styles.chillCore} />
          {readings.length < 20 && readings.map(({ s, C }) => <circle key={s} cx={x(s)} cy={y(C)} r={4} {...styles.dot} />)}
          <line x1={x(nowS)} x2={x(nowS)} y1={INSET.top} y2={HEIGHT - INSET.bottom} {...ink.nowLine} />
        </>
      )}
    </ChartFrame>
  );
}

/** Hours after it came off that have room for their words. */
function hoursIn(x: Across, width: number): number[] {
  const [fromS = 0, toS = 0] = x.domain();
  const every = Math.max(1, Math.ceil((((toS - fromS) / HOUR_S) * HOUR_ROOM) / width));
  const first = Math.ceil(fromS / HOUR_S / every) * every;
  return Array.from({ length: Math.max(0, Math.floor((toS / HOUR_S - first) / every) + 1) }, (_, i) => first + i * every);
}

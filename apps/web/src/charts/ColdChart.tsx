import { COLD_MOST_C, type ColdLying, DAY_S, HOUR_S } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import dayjs from 'dayjs';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';
import { ChartFrame, type Across } from './ChartFrame';
import { TemperatureAxis } from './TemperatureAxis';
import { writtenTime } from '../reader/times';
import { curveThrough } from './paths';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  limit: { stroke: t.ink, strokeWidth: 1.6, strokeDasharray: '2 3' },
  gridLine: { stroke: t.hair, fill: 'none' },
  air: { fill: 'none', stroke: t.station.chill.ink, strokeWidth: 2.2 },
} as const;

const HEIGHT = 130;
const INSET = { top: 12, right: 14, bottom: 22, left: 36 };
/** An arrow key goes so far, s. */
const STEP_S = 900;
/** A day's word needs so much room, px. */
const DAY_ROOM = 58;
/** Readings further apart are not joined by a line, s. */
const APART_S = 1800;

/** Air of the refrigerators against 4 °C, place by place. */
export function ColdChart({ startMs, places }: { startMs: number; places: ColdLying['places'] }) {
  const preferences = usePreferences();
  const all = places.flatMap(({ readings }) => readings);
  const last = all.at(-1);
  if (last === undefined) return null;
  const firstS = all[0]?.s ?? 0;
  const endS = Math.max(last.s, firstS + HOUR_S);
  const y = scaleLinear([Math.min(0, ...all.map(({ C }) => C)), Math.max(8, ...all.map(({ C }) => C + 0.5))], [HEIGHT - INSET.bottom, INSET.top]);
  const temperature = (C: number) => inWords(C, 'temperature', preferences, 1);
  return (
    <ChartFrame
      height={HEIGHT}
      usualWidth={760}
      inset={INSET}
      span={[firstS, endS]}
      label={`Air of the refrigerator since ${writtenTime(startMs + firstS * 1000, 'ddd D MMM, HH:mm')}: last ${inWords(last.C, 'temperature', preferences)}`}
      cursor="Read the refrigerator at a time"
      curves={places.map(({ hold, readings }, i) => ({
        name: places.length === 1 ? 'Air' : `Place ${i + 1}, ${hold}`,
        points: readings.map(({ s, C }) => ({ at: s, value: C })),
        say: temperature,
        y,
        apart: APART_S,
      }))}
      sayAt={(s) => writtenTime(startMs + s * 1000, 'ddd D MMM, HH:mm')}
      step={STEP_S}
      at={last.s}
      axes={(x, width) => (
        <>
          {daysIn(x, startMs, width).map((day) => (
            <text key={day.valueOf()} x={x((day.valueOf() - startMs) / 1000)} y={HEIGHT - 6} textAnchor="middle" {...ink.axis}>
              {writtenTime(day, 'ddd D')}
            </text>
          ))}
          <rect x={INSET.left} y={INSET.top} width={width - INSET.left - INSET.right} height={Math.max(0, y(COLD_MOST_C) - INSET.top)} {...ink.sunk} />
          <TemperatureAxis y={y} ticks={y.ticks(3)} left={INSET.left} right={width - INSET.right} />
          <line x1={INSET.left} x2={width - INSET.right} y1={y(COLD_MOST_C)} y2={y(COLD_MOST_C)} {...styles.limit} />
          <text x={width - INSET.right} y={y(COLD_MOST_C) - 5} textAnchor="end" {...ink.axis} {...ink.strong}>
            at most {inWords(COLD_MOST_C, 'temperature', preferences, 0)}
          </text>
        </>
      )}
    >
      {(x, width) => (
        <>
          {daysIn(x, startMs, width).map((day) => (
            <g key={day.valueOf()}>
              <line
                x1={x((day.valueOf() - startMs) / 1000)}
                x2={x((day.valueOf() - startMs) / 1000)}
                y1={INSET.top}
                y2={HEIGHT - INSET.bottom}
                {...styles.gridLine}
              />
            </g>
          ))}
          {places.map(({ hold, readings }) => (
            <path key={hold} d={curveThrough(readings, x, y, APART_S)} {...styles.air} />
          ))}
        </>
      )}
    </ChartFrame>
  );
}

/** Midnights in what is shown, no nearer than their words have room. */
function daysIn(x: Across, startMs: number, width: number) {
  const [fromS = 0, toS = 0] = x.domain();
  const every = Math.max(1, Math.ceil((((toS - fromS) / DAY_S) * DAY_ROOM) / width));
  const midnight = dayjs(startMs + fromS * 1000)
    .startOf('day')
    .add(1, 'day');
  return Array.from({ length: Math.ceil((toS - fromS) / DAY_S / every) }, (_, i) => midnight.add(i * every, 'day')).filter(
    (day) => (day.valueOf() - startMs) / 1000 < toS,
  );
}

import type { CourseMark } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { digits } from '../reader/quantities';
import type { PullWindows } from '../workers/sectionMessages';
import { windowWords } from './PullDays';
import { ChartFrame, type Across } from './ChartFrame';
import { lineThrough } from './paths';
import { t } from '../theme/tokens';
import { ink } from './ink';

const styles = {
  axisLine: { stroke: t.line },
  bestSpan: { fill: t.station.cure.wash },
  pullLine: { stroke: t.station.cure.main, strokeDasharray: '1 3' },
  curve: { fill: 'none', strokeWidth: 2.6 },
  ghost: { opacity: 0.45, strokeDasharray: '7 4', strokeWidth: 2 },
  mean: { stroke: t.station.cure.main },
  core: { stroke: t.ink },
  edge: { stroke: t.station.cure.main, strokeWidth: 1.4, strokeDasharray: '3 4' },
  markLine: { stroke: t.hair2, strokeDasharray: '2 4' },
  markLineDone: { strokeDasharray: 'none', stroke: t.hair },
  ruleMark: { stroke: t.ink3, strokeWidth: 2 },
  atLine: { stroke: t.ink, strokeDasharray: '5 4' },
  dot: { stroke: t.panel, strokeWidth: 2 },
  mean2: { fill: t.station.cure.main },
  ofCure: { fill: t.station.cure.ink },
} as const;

interface CureCurveProps {
  timesH: readonly number[];
  core: readonly number[];
  mean: readonly number[];
  edge: readonly number[];
  unit: string;
  marks: readonly CourseMark[];
  windows: PullWindows;
  /** cured by the needle: it does not wait until it is even */
  isPumped: boolean;
  /** days of the trade's rules, as marks on the same axis */
  rules: readonly { days: number; name: string }[];
  pullH: number;
  nowH: number;
  /** where it is read; with `onAt` moved by its cursor */
  atH: number;
  onAt?: (atH: number) => void;
  /** another course to compare with, drawn pale */
  ghost?: Ghost | undefined;
}

/** A course that was held. */
export interface Ghost {
  timesH: readonly number[];
  core: readonly number[];
  mean: readonly number[];
}

const USUAL_WIDTH = 520;
const HEIGHT = 250;
/** An arrow key goes so far, h. */
const STEP_H = 6;
/** Each rule of the trade has a row of its own under the days, px. */
const RULE_ROW = 14;
/** Room for the number of a day, px. */
const DAY_ROOM = 40;
const INSET = { left: 34, right: 44, top: 16, bottom: 72 };

/** Core, mean and edge against the days, with what was done and when it may be pulled. */
export function CureCurve({ timesH, core, mean, edge, unit, marks, windows, isPumped, rules, pullH, nowH, atH, onAt, ghost }: CureCurveProps) {
  const end = Math.max(timesH.at(-1) ?? 1, ghost?.timesH.at(-1) ?? 1, 1);
  const most = Math.max(1e-9, ...mean, ...core, ...edge, ...(ghost?.mean ?? [])) * 1.06;
  const y = scaleLinear([0, most], [HEIGHT - INSET.bottom, INSET.top]).clamp(true);
  const floor = HEIGHT - INSET.bottom;
  const path = (values: readonly number[], x: Across, at: readonly number[] = timesH) => lineThrough(values.map((value, k) => [x(at[k] ?? 0), y(value)]));
  const near = timesH.findIndex((h) => h >= atH);
  const sample = near < 0 ? timesH.length - 1 : near;
  const window = windows.likely;
  const span = windowWords(window, pullH, isPumped);
  const points = (values: readonly number[]) => values.map((value, k) => ({ at: timesH[k] ?? 0, value }));
  const said = (value: number) => `${digits(value, most < 4 ? 2 : 0)} ${unit}`;
  return (
    <ChartFrame
      height={HEIGHT}
      usualWidth={USUAL_WIDTH}
      inset={INSET}
      span={[0, end]}
      label={`Against time, in ${unit}: at day ${digits(atH / 24, 1)} core ${digits(core[sample] ?? 0, 2)}, mean ${digits(mean[sample] ?? 0, 2)}, edge ${digits(edge[sample] ?? 0, 2)}. ${span}`}
      cursor="Read the cure at a time"
      curves={[
        { name: 'Core', points: points(core), say: said, y },
        { name: 'Mean', points: points(mean), say: said, y },
        { name: 'Edge', points: points(edge), say: said, y },
      ]}
      sayAt={(h) => `day ${digits(h / 24, 1)}`}
      step={STEP_H}
      at={atH}
      {...(onAt === undefined ? {} : { onAt })}
      axes={(x, width) => (
        <>
          {dayTicks(x, width).map((day) => (
            <text key={day} x={x(day * 24)} y={floor + 15} textAnchor="middle" {...ink.axisSmall}>
              {day}
            </text>
          ))}
          {y.ticks(4).map((value) => (
            <g key={value}>
              <line x1={INSET.left} x2={width - INSET.right} y1={y(value)} y2={y(value)} {...ink.gridLine} />
              <text x={INSET.left - 5} y={y(value) + 4} textAnchor="end" {...ink.axisSmall}>
                {digits(value, most < 4 ? 1 : 0)}
              </text>
            </g>
          ))}
          <line x1={INSET.left} x2={width - INSET.right} y1={floor} y2={floor} {...styles.axisLine} />
          {named({ core: y(core.at(-1) ?? 0), mean: y(mean.at(-1) ?? 0), edge: y(edge.at(-1) ?? 0) }).map(([name, at]) => (
            <text key={name} x={width - INSET.right + 5} y={at + 4} {...ink.axisSmall} {...(name === 'core' ? ink.strong : styles.ofCure)}>
              {name}
            </text>
          ))}
          <text x={width - INSET.right} y={HEIGHT - 2} textAnchor="end" {...ink.axisSmall} {...ink.faint}>
            days
          </text>
        </>
      )}
    >
      {(x) => (
        <>
          {window.bestH !== null && window.bestH < end && (
            <rect
              x={x(window.bestH)}
              y={INSET.top}
              width={Math.max(0, x(Math.min(end, pullH, window.latestH ?? Infinity)) - x(window.bestH))}
              height={floor - INSET.top}
              {...styles.bestSpan}
            />
          )}
          {[
            { atH: window.earliestH, word: 'earliest' },
            { atH: window.bestH, word: 'best' },
            { atH: window.latestH, word: 'latest' },
          ].map(({ atH: markH, word }) =>
            markH === null || markH > end ? null : (
              <g key={word}>
                <polygon
                  points={`${x(markH)},${floor} ${x(markH) - 5},${floor + 8} ${x(markH) + 5},${floor + 8}`}
                  fill={word === 'latest' ? t.amber.ink : t.station.cure.ink}
                />
                <line x1={x(markH)} x2={x(markH)} y1={INSET.top} y2={floor} {...styles.pullLine} />
              </g>
            ),
          )}
          {ghost !== undefined && (
            <>
              <path d={path(ghost.mean, x, ghost.timesH)} {...styles.curve} {...styles.ghost} {...styles.mean} />
              <path d={path(ghost.core, x, ghost.timesH)} {...styles.curve} {...styles.ghost} {...styles.core} />
            </>
          )}
          <path d={path(edge, x)} {...styles.curve} {...styles.edge} />
          <path d={path(mean, x)} {...styles.curve} {...styles.mean} />
          <path d={path(core, x)} {...styles.curve} {...styles.core} />
          {marks
            .filter((mark) => mark.kind !== 'turn' && mark.kind !== 'plate' && mark.kind !== 'soakOut')
            .map((mark) => (
              <g key={`${mark.kind}${mark.atH}`}>
                <line x1={x(mark.atH)} x2={x(mark.atH)} y1={INSET.top} y2={floor} {...styles.markLine} {...(mark.done && styles.markLineDone)} />
              </g>
            ))}
          {rules.map((rule, i) => (
            <g key={rule.name}>
              <line
                x1={x(Math.min(end, rule.days * 24))}
                x2={x(Math.min(end, rule.days * 24))}
                y1={floor + 20 + i * RULE_ROW}
                y2={floor + 30 + i * RULE_ROW}
                {...styles.ruleMark}
              />
              <text
                x={x(Math.min(end, rule.days * 24)) + (rule.days * 24 > end * 0.8 ? -4 : 4)}
                y={floor + 30 + i * RULE_ROW}
                textAnchor={rule.days * 24 > end * 0.8 ? 'end' : 'start'}
                {...ink.axisSmall}
                {...ink.faint}
              >
                {rule.name} {digits(rule.days, 0)} d{rule.days * 24 > end ? ' (later)' : ''}
              </text>
            </g>
          ))}
          {nowH > 0 && nowH < end && (
            <>
              <line x1={x(nowH)} x2={x(nowH)} y1={6} y2={floor} {...ink.nowLine} />
              <text x={x(nowH) + 4} y={13} {...ink.axisSmall} {...ink.strong}>
                now
              </text>
            </>
          )}
          <line x1={x(atH)} x2={x(atH)} y1={INSET.top} y2={floor} {...styles.atLine} />
          <circle cx={x(atH)} cy={y(mean[sample] ?? 0)} r={4.5} {...styles.dot} {...styles.mean2} />
          <circle cx={x(atH)} cy={y(core[sample] ?? 0)} r={4.5} {...styles.dot} {...ink.ink} />
        </>
      )}
    </ChartFrame>
  );
}

/** The curves’ names at their ends, no nearer than a line of text. */
function named(ends: Readonly<Record<'core' | 'mean' | 'edge', number>>): [string, number][] {
  const sorted = Object.entries(ends).sort((a, b) => a[1] - b[1]);
  let free = -Infinity;
  return sorted.map(([name, at]) => {
    free = Math.max(at, free + 14);
    return [name, free];
  });
}

/** Days in what is shown, no nearer than their numbers have room. */
function dayTicks(x: Across, width: number): number[] {
  const [fromH = 0, toH = 0] = x.domain();
  const every = Math.max(1, Math.ceil(((toH - fromH) / 24) * (DAY_ROOM / width)));
  const first = Math.ceil(fromH / 24 / every) * every;
  return Array.from({ length: Math.max(0, Math.floor((toH / 24 - first) / every) + 1) }, (_, i) => first + i * every);
}

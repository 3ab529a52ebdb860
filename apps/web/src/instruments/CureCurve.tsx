import type { CourseMark } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useMemo } from 'react';
import { digits } from '../shell/quantities';
import type { PullWindows } from '../workers/sectionMessages';
import { windowWords } from './PullDays';
import { useWidth } from './useWidth';
import { lineThrough } from './paths';

interface CureCurveProps {
  timesH: readonly number[];
  core: readonly number[];
  mean: readonly number[];
  edge: readonly number[];
  unit: string;
  marks: readonly CourseMark[];
  windows: PullWindows;
  /** days of the trade's rules, as marks on the same axis */
  rules: readonly { days: number; name: string }[];
  pullH: number;
  nowH: number;
  atH: number;
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
/** Room for the number of a day, px. */
const DAY_ROOM = 40;
const INSET = { left: 34, right: 44, top: 16, bottom: 72 };

/** Core, mean and edge against the days, with what was done and when it may be pulled. */
export function CureCurve({ timesH, core, mean, edge, unit, marks, windows, rules, pullH, nowH, atH, ghost }: CureCurveProps) {
  const [svg, width] = useWidth<SVGSVGElement>(USUAL_WIDTH);
  const end = Math.max(timesH.at(-1) ?? 1, ghost?.timesH.at(-1) ?? 1, 1);
  const most = Math.max(1e-9, ...mean, ...core, ...edge, ...(ghost?.mean ?? [])) * 1.06;
  const x = scaleLinear([0, end], [INSET.left, width - INSET.right]);
  const y = scaleLinear([0, most], [HEIGHT - INSET.bottom, INSET.top]).clamp(true);
  const floor = HEIGHT - INSET.bottom;
  const lines = useMemo(() => {
    const path = (values: readonly number[], at: readonly number[] = timesH) => lineThrough(values.map((value, i) => [x(at[i] ?? 0), y(value)]));
    const held = ghost === undefined ? null : { core: path(ghost.core, ghost.timesH), mean: path(ghost.mean, ghost.timesH) };
    return { core: path(core), mean: path(mean), edge: path(edge), held };
    // The scales follow from the same values.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [timesH, core, mean, edge, ghost, width]);
  const every = Math.max(1, Math.ceil((end / 24) * (DAY_ROOM / width)));
  const dayTicks = Array.from({ length: Math.floor(end / 24 / every) + 1 }, (_, i) => i * every);
  const near = timesH.findIndex((h) => h >= atH);
  const sample = near < 0 ? timesH.length - 1 : near;
  const window = windows.likely;
  const span = windowWords(window, pullH);
  return (
    <svg
      ref={svg}
      className="cure-curve"
      viewBox={`0 0 ${width} ${HEIGHT}`}
      role="img"
      aria-label={`Against time, in ${unit}: at day ${digits(atH / 24, 1)} core ${digits(core[sample] ?? 0, 2)}, mean ${digits(mean[sample] ?? 0, 2)}, edge ${digits(edge[sample] ?? 0, 2)}. ${span}`}
    >
      {window.bestH !== null && window.bestH < end && (
        <rect
          x={x(window.bestH)}
          y={INSET.top}
          width={Math.max(0, x(Math.min(end, pullH, window.latestH ?? Infinity)) - x(window.bestH))}
          height={floor - INSET.top}
          className="best-span"
        />
      )}
      {[
        { atH: window.earliestH, word: 'earliest' },
        { atH: window.bestH, word: 'best' },
        { atH: window.latestH, word: 'latest' },
      ].map(({ atH: markH, word }) =>
        markH === null || markH > end ? null : (
          <g key={word} className={`pull-mark ${word}`}>
            <polygon points={`${x(markH)},${floor} ${x(markH) - 5},${floor + 8} ${x(markH) + 5},${floor + 8}`} />
            <line x1={x(markH)} x2={x(markH)} y1={INSET.top} y2={floor} className="pull-line" />
          </g>
        ),
      )}
      {y.ticks(4).map((value) => (
        <g key={value}>
          <line x1={INSET.left} x2={width - INSET.right} y1={y(value)} y2={y(value)} className="grid-line" />
          <text x={INSET.left - 5} y={y(value) + 4} textAnchor="end" className="axis">
            {digits(value, most < 4 ? 1 : 0)}
          </text>
        </g>
      ))}
      {lines.held !== null && (
        <>
          <path d={lines.held.mean} className="curve ghost mean" />
          <path d={lines.held.core} className="curve ghost core" />
        </>
      )}
      <path d={lines.edge} className="curve edge" />
      <path d={lines.mean} className="curve mean" />
      <path d={lines.core} className="curve core" />
      {named({ core: y(core.at(-1) ?? 0), mean: y(mean.at(-1) ?? 0), edge: y(edge.at(-1) ?? 0) }).map(([name, at]) => (
        <text key={name} x={width - INSET.right + 5} y={at + 4} className={`axis ${name}`}>
          {name}
        </text>
      ))}
      <line x1={INSET.left} x2={width - INSET.right} y1={floor} y2={floor} className="axis-line" />
      {dayTicks.map((day) => (
        <text key={day} x={x(day * 24)} y={floor + 15} textAnchor="middle" className="axis">
          {day}
        </text>
      ))}
      {marks
        .filter((mark) => mark.kind !== 'turn' && mark.kind !== 'plate' && mark.kind !== 'soakOut')
        .map((mark) => (
          <g key={`${mark.kind}${mark.atH}`}>
            <line x1={x(mark.atH)} x2={x(mark.atH)} y1={INSET.top} y2={floor} className={`mark-line${mark.done ? ' done' : ''}`} />
          </g>
        ))}
      {rules.map((rule, i) => (
        <g key={rule.name}>
          <line x1={x(Math.min(end, rule.days * 24))} x2={x(Math.min(end, rule.days * 24))} y1={floor + 20} y2={floor + 28} className="rule-mark" />
          <text
            x={x(Math.min(end, rule.days * 24)) + (rule.days * 24 > end * 0.8 ? -4 : 4)}
            y={floor + 30 + i * 14}
            textAnchor={rule.days * 24 > end * 0.8 ? 'end' : 'start'}
            className="axis faint"
          >
            {rule.name} {digits(rule.days, 0)} d{rule.days * 24 > end ? ' (later)' : ''}
          </text>
        </g>
      ))}
      {nowH > 0 && nowH < end && (
        <>
          <line x1={x(nowH)} x2={x(nowH)} y1={6} y2={floor} className="now-line" />
          <text x={x(nowH) + 4} y={13} className="axis now">
            now
          </text>
        </>
      )}
      <line x1={x(atH)} x2={x(atH)} y1={INSET.top} y2={floor} className="at-line" />
      <circle cx={x(atH)} cy={y(mean[sample] ?? 0)} r={4.5} className="dot mean" />
      <circle cx={x(atH)} cy={y(core[sample] ?? 0)} r={4.5} className="dot core" />
      <text x={width - INSET.right} y={HEIGHT - 2} textAnchor="end" className="axis faint">
        days
      </text>
    </svg>
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

import { DAY_MS } from '@bunkhouse/core';
import type { Product } from '@bunkhouse/core';
import { scaleLinear, scaleTime } from 'd3-scale';
import { useNavigate } from 'react-router';
import { PRODUCT_NAMES } from '../reader/words/tradeWords';
import { useWidth } from '../kit/useWidth';
import { decimalSign } from '../reader/language';
import { lineThrough } from './paths';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { ink } from './ink';
import { worded } from '../theme/type';

const styles = {
  scatter: {
    '& > svg': { display: 'block', width: '100%' },
    '& a:focus-visible': { outline: 'none' },
    '& a:focus-visible > circle': { stroke: t.focusIn, strokeWidth: 3 },
    '& figcaption': { display: 'flex', flexWrap: 'wrap', gap: '4px 18px', padding: '0 12px 10px', font: worded(14, 18, 400) },
    '& figcaption span': { display: 'inline-flex', gap: '6px', alignItems: 'center' },
  },
  mean: { fill: 'none', stroke: t.ink, strokeWidth: 2 },
  mark: { stroke: t.ink, strokeWidth: 2 },
} as const;

export interface ScatterPoint {
  id: string;
  x: number;
  y: number;
  kind: Product;
  /** what it is, in words */
  says: string;
}

type Axis = { kind: 'time' } | { kind: 'number'; label: string } | { kind: 'words'; words: readonly (readonly [string, string])[] };

const HEIGHT = 250;
const INSET = { top: 16, right: 18, bottom: 30, left: 66 };
const TICKS = 6;

/** What hides the mark that it lies over. */
const SOLID: readonly Product[] = ['ham-bone-in', 'pastrami', 'canadian-bacon'];

/** A mark for each product: shape before colour. */
const SHAPES: Readonly<Record<Product, string>> = {
  'canadian-bacon': 'M0-5A5 5 0 1 1 0 5A5 5 0 1 1 0-5Z',
  'belly-bacon': 'M-6-3H6V3H-6Z',
  'ham-bone-in': 'M0-6L6 0L0 6L-6 0Z',
  'ham-boned': 'M0-6L5.500 4.500H-5.500Z',
  picnic: 'M0 6L5.500-4.500H-5.500Z',
  'shoulder-bacon': 'M-2-6H2V-2H6V2H2V6H-2V2H-6V-2H-2Z',
  pastrami: 'M-5-5H5V5H-5Z',
  'cured-beef': 'M-5.500-2L0-6L5.500-2L3.500 5H-3.500Z',
};

/** Batches as marks over two measures: each can be tapped. `mean`: for each product a line through the mean of so many neighbours. */
export function ScatterChart({
  title,
  aside,
  x,
  y,
  points,
  mean,
}: {
  title: string;
  aside: string;
  x: Axis;
  y: Axis;
  points: readonly ScatterPoint[];
  mean?: number;
}) {
  const [svg, width] = useWidth<SVGSVGElement>(900);
  const navigate = useNavigate();
  const across = scaleOf(
    x,
    points.map((point) => point.x),
    [INSET.left, width - INSET.right],
  );
  const up = scaleOf(
    y,
    points.map((point) => point.y),
    [HEIGHT - INSET.bottom, INSET.top],
  );
  const kinds = [...new Set(points.map(({ kind }) => kind))].sort();
  const lines =
    mean === undefined
      ? []
      : kinds.map((kind) =>
          linePath(
            points.filter((point) => point.kind === kind),
            mean,
            across,
            up,
          ),
        );
  return (
    <Box component="figure" sx={[looks.panel, styles.scatter]} aria-label={title}>
      <Box sx={looks.ph}>
        <h2>{title}</h2>
        <Box component="span" sx={looks.aside}>
          {aside}
        </Box>
      </Box>
      <svg ref={svg} viewBox={`0 0 ${width} ${HEIGHT}`} height={HEIGHT} role="group" aria-label={`${title}, ${points.length} batches`}>
        {up.ticks.map(({ at, word }) => (
          <g key={`y${at}`}>
            <line {...ink.gridLine} x1={INSET.left} x2={width - INSET.right} y1={up.at(at)} y2={up.at(at)} />
            <text {...ink.axisSmall} x={INSET.left - 8} y={up.at(at) + 4} textAnchor="end">
              {word}
            </text>
          </g>
        ))}
        {across.ticks.map(({ at, word }) => (
          <text key={`x${at}`} {...ink.axisSmall} x={across.at(at)} y={HEIGHT - 8} textAnchor="middle">
            {word}
          </text>
        ))}
        {x.kind === 'number' && (
          <text {...ink.axisSmall} x={width - INSET.right} y={HEIGHT - INSET.bottom - 6} textAnchor="end">
            {x.label}
          </text>
        )}
        {y.kind === 'number' && (
          <text {...ink.axisSmall} x={INSET.left + 4} y={INSET.top - 3}>
            {y.label}
          </text>
        )}
        {lines.map((path, i) => (
          <path key={kinds[i]} {...styles.mean} d={path} />
        ))}
        {points.map((point) => (
          <a
            key={point.id}
            href={`/batches/${point.id}`}
            aria-label={`${PRODUCT_NAMES[point.kind]} ${point.says}`}
            onClick={(event) => {
              event.preventDefault();
              void navigate(`/batches/${point.id}`);
            }}
          >
            <title>{point.says}</title>
            <circle fill="transparent" cx={across.at(point.x)} cy={up.at(point.y)} r={12} />
            <path
              {...styles.mark}
              fill={SOLID.includes(point.kind) ? t.panel : 'none'}
              d={SHAPES[point.kind]}
              transform={`translate(${across.at(point.x)} ${up.at(point.y)})`}
            />
          </a>
        ))}
      </svg>
      <figcaption>
        {kinds.map((kind) => (
          <span key={kind}>
            <svg width="16" height="16" viewBox="-8 -8 16 16" aria-hidden="true">
              <path {...styles.mark} fill={SOLID.includes(kind) ? t.panel : 'none'} d={SHAPES[kind]} />
            </svg>
            {PRODUCT_NAMES[kind]}
          </span>
        ))}
      </figcaption>
    </Box>
  );
}

/** A line through the means of the points of one kind; none where there are too few. */
function linePath(points: readonly ScatterPoint[], mean: number, across: Scale, up: Scale): string {
  const sorted = [...points].sort((a, b) => a.x - b.x);
  if (sorted.length < mean) return '';
  const middle = sorted.map((_, i) => meanAt(sorted, i, mean));
  return lineThrough(middle.map((point) => [across.at(point.x), up.at(point.y)]));
}

/** The mean of the neighbours of a point, itself in the middle. */
export function meanAt(points: readonly { x: number; y: number }[], i: number, count: number): { x: number; y: number } {
  const from = Math.max(0, Math.min(points.length - count, i - Math.floor(count / 2)));
  const near = points.slice(from, from + count);
  return { x: points[i]?.x ?? 0, y: near.reduce((sum, point) => sum + point.y, 0) / Math.max(1, near.length) };
}

interface Scale {
  at: (value: number) => number;
  ticks: { at: number; word: string }[];
}

function scaleOf(axis: Axis, values: readonly number[], range: [number, number]): Scale {
  const [low, high] = values.reduce(([least, most], value) => [Math.min(least, value), Math.max(most, value)], [Infinity, -Infinity]);
  if (!Number.isFinite(low)) return { at: () => range[0], ticks: [] };
  if (axis.kind === 'words') {
    const scale = scaleLinear([-0.5, axis.words.length - 0.5], range);
    return { at: scale, ticks: axis.words.map(([, word], i) => ({ at: i, word })) };
  }
  if (axis.kind === 'time') {
    const scale = scaleTime([new Date(low), new Date(Math.max(high, low + DAY_MS))], range);
    const format = scale.tickFormat(TICKS);
    return { at: (value) => scale(value), ticks: scale.ticks(TICKS).map((date) => ({ at: date.getTime(), word: format(date) })) };
  }
  const room = Math.max((high - low) * 0.08, Math.abs(high) * 0.02, 0.1);
  const scale = scaleLinear([low - room, high + room], range).nice(TICKS);
  const format = scale.tickFormat(TICKS);
  return { at: scale, ticks: scale.ticks(TICKS).map((value) => ({ at: value, word: format(value).replace('.', decimalSign()) })) };
}

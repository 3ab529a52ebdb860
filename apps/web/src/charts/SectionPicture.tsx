import { pumpMap, thicknessMm, widthMm, type Section } from '@bunkhouse/core';
import { contours, type ContourMultiPolygon } from 'd3-contour';
import { useId, useMemo } from 'react';
import { filled, fillPlan, type Depth } from '../kit/fillField';
import { fewDigits } from '../reader/quantities';
import { ringThrough } from './paths';
import { t } from '../theme/tokens';

const styles = {
  picture: { width: '100%', maxHeight: '320px' },
  band: { stroke: t.ink, strokeOpacity: 0.18, strokeWidth: 0.8 },
  colouredLine: { fill: 'none', stroke: t.ink, strokeWidth: 2, strokeDasharray: '6 5' },
  fat: { fill: t.fat, opacity: 0.55, stroke: t.ink3, strokeDasharray: '2 3' },
  bone: { fill: t.bone, stroke: t.boneEdge, strokeWidth: 2 },
  rim: { fill: 'none', stroke: t.ink, strokeWidth: 2.4 },
  lineValue: { fontSize: '13px', fontWeight: 500, fill: t.ink, paintOrder: 'stroke', stroke: t.panel, strokeWidth: '2.5px', strokeOpacity: 0.55 },
  skin: { fill: 'none', stroke: t.ink, strokeWidth: 7 },
  needles: { fill: 'none', stroke: t.ink, strokeOpacity: 0.55, strokeWidth: 1 },
} as const;

interface SectionPictureProps {
  section: Section;
  width: number;
  height: number;
  cellMm: number;
  /** one value a cell, NaN where there is no meat */
  field: Float32Array;
  /** lower bounds of the steps of colour, ascending */
  steps: readonly number[];
  species: 'salt' | 'nitrite';
  /** nitrite on the same cells, and the value from which the meat takes colour */
  coloured?: { field: Float32Array; from: number };
  /** needles so far apart, mm; absent where nothing was pumped */
  needlesMm?: number | undefined;
  /** contours carry their value: where the picture is large enough to read it */
  numbered?: boolean;
  label: string;
}

/** So much of its colour each step of nitrite has, %. */
const NITRITE_SHARES = [0, 12, 24, 38, 54, 70, 85, 100];

/** The colour of a step, from the least on. */
export const bandColour = (species: SectionPictureProps['species'], step: number): string =>
  species === 'salt' ? (t.salt[step] ?? t.panel) : `color-mix(in srgb, ${t.nitrite.main} ${NITRITE_SHARES[step] ?? 100}%, ${t.panel})`;

/** Steps of colour for salt, % of the meat. */
export const SALT_STEPS: readonly number[] = [0.25, 0.75, 1.25, 1.75, 2.25, 2.75, 3.5];

const SIDE = 300;
/** A slab is drawn as a piece of it, so much wider than thick. */
const SLAB_WIDE = 1.6;
const SLAB_COLUMNS = 6;

/** The cut face, coloured in flat steps: what is modelled, not measured. */
export function SectionPicture({ section, width, height, cellMm, field, steps, species, coloured, needlesMm, numbered = false, label }: SectionPictureProps) {
  const id = useId();
  const slab = section.shape === 'slab';
  const highMm = thicknessMm(section);
  const acrossMm = slab ? highMm * SLAB_WIDE : widthMm(section);
  const scale = SIDE / Math.max(acrossMm, highMm);
  const [w, h] = [acrossMm * scale, highMm * scale];
  const columns = slab ? SLAB_COLUMNS : width;
  const frame = useMemo((): Frame => {
    const stepX = slab ? w / SLAB_COLUMNS : cellMm * scale;
    const stepY = cellMm * scale;
    // One ring of cells more than there are, all round.
    return { columns: columns + 2, rows: height + 2, left: w / 2 - (columns / 2 + 1) * stepX, top: h / 2 - (height / 2 + 1) * stepY, stepX, stepY };
  }, [slab, w, h, columns, height, cellMm, scale]);
  // Which cells are meat does not change with the hour.
  const plan = useMemo(
    () => (isRound(section) ? fillPlan(field, width, height, depthIn(section, width, height, cellMm)) : []),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [section, width, height, cellMm],
  );
  const bands = useMemo(() => drawn(ringed(slab ? widened(field) : filled(field, plan), frame), steps, frame), [field, plan, slab, steps, frame]);
  const line = useMemo(
    () => (coloured === undefined ? [] : drawn(ringed(slab ? widened(coloured.field) : filled(coloured.field, plan), frame), [coloured.from], frame)),
    [coloured, plan, slab, frame],
  );
  const lines = useMemo(() => lineLabels({ field, width, height, cellMm, scale, steps, slab, w, h }), [field, width, height, cellMm, scale, steps, slab, w, h]);
  const outline = isRound(section) ? <ellipse cx={w / 2} cy={h / 2} rx={w / 2} ry={h / 2} /> : <rect width={w} height={h} rx={slab ? 0 : 4} />;
  return (
    <svg style={styles.picture} viewBox={`-3 -3 ${w + 6} ${h + 6}`} role="img" aria-label={label}>
      <clipPath id={`${id}-rim`}>{outline}</clipPath>
      <g clipPath={`url(#${id}-rim)`}>
        <rect width={w} height={h} fill={bandColour(species, 0)} />
        {bands.map((path, i) => (
          <path key={i} d={path} fill={bandColour(species, Math.min(7, i + 1))} {...styles.band} />
        ))}
        {line.map((path, i) => (
          <path key={i} d={path} {...styles.colouredLine} />
        ))}
        {section.fatCapMm !== undefined && section.fatCapMm > 0 && (
          <rect y={section.closedSide === 'bottom' ? h - section.fatCapMm * scale : 0} width={w} height={section.fatCapMm * scale} {...styles.fat} />
        )}
      </g>
      {needlesMm !== undefined && <Needles section={section} spacingMm={needlesMm} across={w / widthMm(section)} scale={scale} w={w} h={h} />}
      {section.bone !== undefined && (
        <circle
          cx={w / 2 + (section.bone.xMm ?? 0) * scale}
          cy={h / 2 + (section.bone.yMm ?? 0) * scale}
          r={(section.bone.diameterMm / 2) * scale}
          {...styles.bone}
        />
      )}
      <g {...styles.rim}>{outline}</g>
      {section.closedSide !== undefined && <Skin section={section} w={w} h={h} />}
      {(numbered ? lines : []).map(({ value, x, y }) => (
        <text key={value} x={x} y={y} textAnchor="middle" {...styles.lineValue}>
          {fewDigits(value)}
        </text>
      ))}
    </svg>
  );
}

const isRound = ({ shape }: Section): boolean => shape === 'round' || shape === 'ellipse';

/** Depth under a round rim, in cells. */
function depthIn(section: Section, width: number, height: number, cellMm: number): Depth {
  const [b, a] = [thicknessMm(section) / 2 / cellMm, widthMm(section) / 2 / cellMm];
  return (column, row) => (1 - Math.hypot((column - (width - 1) / 2) / a, (row - (height - 1) / 2) / b)) * b;
}

/** Where the needle goes in, and how far its point comes. */
function Needles({ section, spacingMm, across, scale, w, h }: { section: Section; spacingMm: number; across: number; scale: number; w: number; h: number }) {
  const { section: needles } = useMemo(() => pumpMap({ section, lengthMm: spacingMm, spacingMm }), [section, spacingMm]);
  return (
    <g {...styles.needles}>
      {needles.map(({ xMm, entryYMm, tipYMm }) => {
        const [x, from, to] = [w / 2 + xMm * across, h / 2 - entryYMm * scale, h / 2 - tipYMm * scale];
        return (
          <g key={`${xMm} ${entryYMm}`}>
            <line x1={x} x2={x} y1={from} y2={to} />
            <path d={`M${x - 3} ${to - 3}l6 6m0 -6l-6 6`} />
          </g>
        );
      })}
    </g>
  );
}

/** The side that no brine passes. */
function Skin({ section, w, h }: { section: Section; w: number; h: number }) {
  const top = section.closedSide === 'top';
  const round = isRound(section);
  const [dx, dy] = [(w / 2) * Math.SQRT1_2, (h / 2) * Math.SQRT1_2];
  const y = top ? h / 2 - dy : h / 2 + dy;
  const d = round ? `M${w / 2 - dx} ${y}A${w / 2} ${h / 2} 0 0 ${top ? 1 : 0} ${w / 2 + dx} ${y}` : `M0 ${top ? 0 : h}H${w}`;
  return <path d={d} {...styles.skin} />;
}

/** Room between two numbers, in the picture’s units. */
const LINE_ROOM = 19;

/** Where each contour crosses the way from the middle to the rim: to the right, in a flat piece downwards. */
function lineLabels(p: {
  field: Float32Array;
  width: number;
  height: number;
  cellMm: number;
  scale: number;
  steps: readonly number[];
  slab: boolean;
  w: number;
  h: number;
}): { value: number; x: number; y: number }[] {
  const row = Math.floor(p.height / 2);
  const way = p.slab
    ? Array.from({ length: p.height - row }, (_, i) => p.field[row + i] ?? Number.NaN)
    : Array.from({ length: p.width - Math.floor(p.width / 2) }, (_, i) => p.field[row * p.width + Math.floor(p.width / 2) + i] ?? Number.NaN);
  let free = LINE_ROOM / 2;
  return p.steps.flatMap((value) => {
    const i = way.findIndex((here, k) => k > 0 && ((way[k - 1] ?? 0) - value) * (here - value) < 0);
    if (i < 1) return [];
    const [before, after] = [way[i - 1] ?? 0, way[i] ?? 0];
    const far = (i - 0.5 + (value - before) / (after - before)) * p.cellMm * p.scale;
    const end = (p.slab ? p.h : p.w) / 2 - LINE_ROOM / 2;
    if (far < free || far > end) return [];
    free = far + LINE_ROOM;
    return [p.slab ? { value, x: p.w * 0.82, y: p.h / 2 + far + 4 } : { value, x: p.w / 2 + far, y: p.h / 2 + 4 }];
  });
}

interface Frame {
  columns: number;
  rows: number;
  left: number;
  top: number;
  stepX: number;
  stepY: number;
}

/** Contours of a grid as paths in the picture: everything under what is least, nothing over what is most. */
function drawn(values: number[], steps: readonly number[], frame: Frame): string[] {
  const [least, most] = values.reduce(([low, high], value) => [Math.min(low, value), Math.max(high, value)], [Infinity, -Infinity]);
  const between = steps.filter((step) => step > least && step <= most);
  const shapes = contours().size([frame.columns, frame.rows]).thresholds(between)(values);
  const { left, top, stepX, stepY, columns, rows } = frame;
  const [right, bottom] = [left + columns * stepX, top + rows * stepY];
  const whole = ringThrough([
    [left, top],
    [right, top],
    [right, bottom],
    [left, bottom],
  ]);
  return steps.map((step) => {
    const shape = shapes[between.indexOf(step)];
    return step <= least ? whole : shape === undefined ? '' : pathOf(shape, frame);
  });
}

function pathOf({ coordinates }: ContourMultiPolygon, { left, top, stepX, stepY }: Frame): string {
  return coordinates.flatMap((polygon) => polygon.map((ring) => ringThrough(ring.map(([x = 0, y = 0]) => [left + x * stepX, top + y * stepY])))).join('');
}

/** The one column of a slab, side by side. */
const widened = (field: Float32Array): number[] => Array.from(field).flatMap((value) => Array.from({ length: SLAB_COLUMNS }, () => value));

/** The same with its rim repeated once all round: contours then close outside the picture. */
function ringed(values: ArrayLike<number>, { columns, rows }: Frame): number[] {
  const [width, height] = [columns - 2, rows - 2];
  const ring = new Array<number>(columns * rows);
  for (let row = 0; row < rows; row += 1) {
    const from = Math.min(height - 1, Math.max(0, row - 1)) * width;
    for (let column = 0; column < columns; column += 1) {
      ring[row * columns + column] = values[from + Math.min(width - 1, Math.max(0, column - 1))] ?? 0;
    }
  }
  return ring;
}

import { thicknessMm, widthMm, type Section } from '@bunkhouse/core';
import { contours, type ContourMultiPolygon } from 'd3-contour';
import { useId, useMemo } from 'react';

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
  label: string;
}

/** Steps of colour for salt, % of the meat. */
export const SALT_STEPS: readonly number[] = [0.25, 0.75, 1.25, 1.75, 2.25, 2.75, 3.5];

const SIDE = 300;
/** A slab is drawn as a piece of it, so much wider than thick. */
const SLAB_WIDE = 1.6;
const SLAB_COLUMNS = 6;

/** The cut face, coloured in flat steps: what is modelled, not measured. */
export function SectionPicture({ section, width, height, cellMm, field, steps, species, coloured, label }: SectionPictureProps) {
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
  const bands = useMemo(
    () => drawn(ringed(slab ? widened(field) : spread(field, width, height), frame), steps, frame),
    [field, width, height, slab, steps, frame],
  );
  const line = useMemo(
    () => (coloured === undefined ? [] : drawn(ringed(slab ? widened(coloured.field) : spread(coloured.field, width, height), frame), [coloured.from], frame)),
    [coloured, width, height, slab, frame],
  );
  const outline =
    section.shape === 'round' || section.shape === 'ellipse' ? (
      <ellipse cx={w / 2} cy={h / 2} rx={w / 2} ry={h / 2} />
    ) : (
      <rect width={w} height={h} rx={slab ? 0 : 4} />
    );
  return (
    <svg className={`section-picture ${species}`} viewBox={`-3 -3 ${w + 6} ${h + 6}`} role="img" aria-label={label}>
      <clipPath id={`${id}-rim`}>{outline}</clipPath>
      <g clipPath={`url(#${id}-rim)`}>
        <rect width={w} height={h} className="band-0" />
        {bands.map((path, i) => (
          <path key={i} d={path} className={`band-${Math.min(7, i + 1)}`} />
        ))}
        {line.map((path, i) => (
          <path key={i} d={path} className="coloured-line" />
        ))}
      </g>
      {section.bone !== undefined && (
        <circle
          cx={w / 2 + (section.bone.xMm ?? 0) * scale}
          cy={h / 2 + (section.bone.yMm ?? 0) * scale}
          r={(section.bone.diameterMm / 2) * scale}
          className="bone"
        />
      )}
      <g className="rim">{outline}</g>
    </svg>
  );
}

interface Frame {
  columns: number;
  rows: number;
  left: number;
  top: number;
  stepX: number;
  stepY: number;
}

/** Contours of a grid as paths in the picture. */
function drawn(values: number[], steps: readonly number[], frame: Frame): string[] {
  return contours()
    .size([frame.columns, frame.rows])
    .thresholds([...steps])(values)
    .map((shape) => pathOf(shape, frame));
}

function pathOf({ coordinates }: ContourMultiPolygon, { left, top, stepX, stepY }: Frame): string {
  return coordinates
    .flatMap((polygon) =>
      polygon.map((ring) => `M${ring.map(([x = 0, y = 0]) => `${(left + x * stepX).toFixed(1)} ${(top + y * stepY).toFixed(1)}`).join('L')}Z`),
    )
    .join('');
}

/** The one column of a slab, side by side. */
const widened = (field: Float32Array): number[] => Array.from(field).flatMap((value) => Array.from({ length: SLAB_COLUMNS }, () => value));

/** The same with its rim repeated once all round: contours then close outside the picture. */
function ringed(values: readonly number[], { columns, rows }: Frame): number[] {
  const inner = columns - 2;
  return Array.from({ length: columns * rows }, (_, i) => {
    const column = Math.min(inner - 1, Math.max(0, (i % columns) - 1));
    const row = Math.min(rows - 3, Math.max(0, Math.floor(i / columns) - 1));
    return values[row * inner + column] ?? 0;
  });
}

/** Values out to the frame: beyond the rim the nearest meat goes on, so that no contour follows the steps of the cells. */
function spread(field: Float32Array, width: number, height: number): number[] {
  const values = Array.from(field);
  let holes = values.flatMap((value, i) => (Number.isNaN(value) ? [i] : []));
  for (let round = 0; round < Math.max(width, height) && holes.length > 0; round += 1) {
    const filled: [number, number][] = [];
    for (const i of holes) {
      const [column, row] = [i % width, Math.floor(i / width)];
      const near = [column > 0 ? i - 1 : -1, column < width - 1 ? i + 1 : -1, row > 0 ? i - width : -1, row < height - 1 ? i + width : -1]
        .map((j) => values[j] ?? Number.NaN)
        .filter((value) => !Number.isNaN(value));
      if (near.length > 0) filled.push([i, near.reduce((a, b) => a + b, 0) / near.length]);
    }
    for (const [i, value] of filled) values[i] = value;
    const done = new Set(filled.map(([i]) => i));
    holes = holes.filter((i) => !done.has(i));
  }
  return values;
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { useId, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { useWidth } from '../kit/useWidth';
import { unseen } from '../theme/surfaces';
import { ReadAtATime } from './ReadAtATime';
import { valueAt, type ReadCurve } from './readCurve';
import { ReadingsTable } from './ReadingsTable';
import { useZoomed } from './useZoomed';

/** From a time to a place across the picture, px. */
export type Across = ScaleLinear<number, number>;

interface ChartFrameProps {
  /** px; the width is that of the place */
  height: number;
  usualWidth: number;
  inset: { left: number; right: number; top: number; bottom: number };
  /** the times that are shown, in the unit of the curves */
  span: readonly [from: number, to: number];
  /** what it shows, in a sentence, for whoever does not see it */
  label: string;
  /** what its cursor is called: `Read the cook at a time` */
  cursor: string;
  /** what can be read at a time, and stands in the table */
  curves: readonly ReadCurve[];
  /** how a time is written */
  sayAt: (at: number) => string;
  /** a step of an arrow key */
  step: number;
  /** where the cursor stands before anybody moved it; with `onAt` where it stands */
  at: number;
  onAt?: (at: number) => void;
  /** down the sides, never cut off */
  axes?: (x: Across, width: number) => ReactNode;
  /** cut off at the sides when it is looked at from nearer */
  children: (x: Across, width: number) => ReactNode;
}

const PAGE_STEPS = 10;
/** A mark may stand out over the side, px. */
const OVER = 4;

/**
 * The frame of a chart over time. A cursor reads every curve at a time, by mouse, finger and arrow keys; it is looked at from nearer with two
 * fingers, the wheel with Ctrl or the buttons, and moved along; and the same figures stand in a table, to be read aloud and copied.
 */
export function ChartFrame({
  height,
  usualWidth,
  inset,
  span: [from, to],
  label,
  cursor,
  curves,
  sayAt,
  step,
  at: atFirst,
  onAt,
  axes,
  children,
}: ChartFrameProps) {
  const [box, width] = useWidth<HTMLDivElement>(usualWidth);
  const clip = useId();
  const [left, right] = [inset.left, width - inset.right];
  const { plot, transform, nearer, whole, isNear } = useZoomed();
  const x = scaleLinear(transform.rescaleX(scaleLinear([from, to], [0, right - left])).domain(), [left, right]);
  const [moved, setMoved] = useState<number | null>(null);
  const [isRead, setRead] = useState(false);
  const [isTable, setTable] = useState(false);
  const at = Math.max(from, Math.min(to, onAt === undefined ? (moved ?? atFirst) : atFirst));
  const go = (next: number) => {
    const kept = Math.max(from, Math.min(to, next));
    setMoved(kept);
    onAt?.(kept);
  };
  const point = (event: PointerEvent<HTMLElement>) => {
    const edge = event.currentTarget.getBoundingClientRect();
    setRead(true);
    go(x.invert(left + event.clientX - edge.left));
  };
  const byKeys = (event: KeyboardEvent) => {
    const steps = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: PAGE_STEPS, PageDown: -PAGE_STEPS, Home: -Infinity, End: Infinity }[
      event.key
    ];
    if (event.key === '+' || event.key === '-') {
      event.preventDefault();
      nearer(event.key === '+' ? 2 : 0.5, x(at) - left);
    }
    if (steps === undefined) return;
    event.preventDefault();
    setRead(true);
    go(at + steps * step);
  };
  const said = curves.map((curve) => ({ curve, value: valueAt(curve, at) }));
  return (
    <Box sx={{ display: 'grid', minWidth: 0 }}>
      <Box ref={box} sx={{ position: 'relative', minWidth: 0 }}>
        <svg viewBox={`0 0 ${width} ${height}`} style={{ width: '100%', height, padding: 0 }} role="img" aria-label={label}>
          <clipPath id={clip}>
            <rect x={left - OVER} y={0} width={right - left + OVER + inset.right} height={height} />
          </clipPath>
          {axes?.(x, width)}
          <g clipPath={`url(#${clip})`}>{children(x, width)}</g>
          {isRead && (
            <ReadAtATime
              x={x(at)}
              top={inset.top}
              floor={height - inset.bottom}
              dots={said.flatMap(({ curve, value }) => (value === null || curve.y === undefined ? [] : [{ name: curve.name, y: curve.y(value) }]))}
            />
          )}
        </svg>
        <Box
          ref={plot}
          role="slider"
          tabIndex={0}
          aria-label={cursor}
          aria-valuemin={from}
          aria-valuemax={to}
          aria-valuenow={at}
          aria-valuetext={[sayAt(at), ...said.map(({ curve, value }) => `${curve.name} ${value === null ? 'not read' : curve.say(value)}`)].join(', ')}
          onPointerMove={(event) => (event.pointerType === 'mouse' || event.isPrimary) && point(event)}
          onPointerDown={point}
          onPointerLeave={(event) => event.pointerType === 'mouse' && document.activeElement !== event.currentTarget && setRead(false)}
          onBlur={() => setRead(false)}
          onFocus={(event) => event.currentTarget.matches(':focus-visible') && setRead(true)}
          onKeyDown={byKeys}
          sx={{ position: 'absolute', left, right: inset.right, top: inset.top, bottom: inset.bottom, touchAction: 'pan-y', cursor: 'crosshair' }}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: '0 14px', alignItems: 'center', padding: '0 4px', minHeight: 44 }}>
        {isRead && (
          <Box
            component="output"
            aria-hidden
            sx={{ flex: '1 1 300px', minWidth: 0, display: 'flex', flexWrap: 'wrap', gap: '2px 12px', fontSize: '15px', lineHeight: '20px' }}
          >
            <b>{sayAt(at)}</b>
            {said.map(({ curve, value }) => (
              <span key={curve.name}>
                {curve.name} <b>{value === null ? '–' : curve.say(value)}</b>
              </span>
            ))}
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: '14px', marginLeft: 'auto' }}>
          <Button variant="text" onClick={() => nearer(2, x(at) - left)}>
            Nearer
            <Box component="span" sx={unseen}>
              : {label.split(':')[0]}
            </Box>
          </Button>
          {isNear && (
            <Button variant="text" onClick={whole}>
              All of it
            </Button>
          )}
          <Button variant="text" aria-expanded={isTable} onClick={() => setTable(!isTable)}>
            {isTable ? 'Without the table' : 'As a table'}
          </Button>
        </Box>
      </Box>
      {isTable && <ReadingsTable label={label} curves={curves} sayAt={sayAt} />}
    </Box>
  );
}

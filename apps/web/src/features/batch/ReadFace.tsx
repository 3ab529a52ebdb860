import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { PictureResponse } from '@bunkhouse/api';
import type { FaceMarks } from '@bunkhouse/core';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { pictureUrl, readPicture } from '../../data/pictures';
import { Refusal } from '../../data/request';
import { usePreferences } from '../../reader/preferences';
import { newId } from '../../data/newId';
import { t } from '../../theme/tokens';

const styles = {
  readFace: { display: 'grid', gap: '10px', '& svg': { width: '100%', maxHeight: '70vh', touchAction: 'none', background: t.sunk } },
  meatRing: {
    fill: 'none',
    stroke: '#1b1a17',
    strokeWidth: '4px',
    strokeDasharray: '14 8',
    vectorEffect: 'non-scaling-stroke',
    filter: 'drop-shadow(0 0 2px #fff) drop-shadow(0 0 2px #fff)',
  },
  reach: { fill: 'transparent' },
  mark: {
    cursor: 'grab',
    '& > circle:last-of-type': { fill: '#fff', stroke: '#1b1a17', strokeWidth: '3px', vectorEffect: 'non-scaling-stroke' },
    '& > text': { fill: '#1b1a17', fontFamily: 'var(--f-sign)', fontWeight: 700 },
    '&:focus-visible > circle:last-of-type': { stroke: '#1d5f8a', strokeWidth: '7px' },
  },
} as const;

type Mark = 'meat' | 'size' | 'pink' | 'grey';
const WORDS: Record<Mark, string> = { meat: 'Middle of the meat', size: 'Rim of the meat', pink: 'Surely pink', grey: 'Surely grey' };
const FIRST: FaceMarks = { meat: { x: 0.5, y: 0.5, rx: 0.4, ry: 0.4 }, pink: { x: 0.22, y: 0.5 }, grey: { x: 0.5, y: 0.58 } };
/** A press of an arrow moves a mark by so much of the picture. */
const STEP = 0.01;

const inside = (share: number, least = 0): number => Math.min(1, Math.max(least, share));

/** The cook marks the meat, a pink and a grey place; the house says how much lies nearer to which. */
export function ReadFace({ picture, onDone }: { picture: PictureResponse; onDone: () => void }) {
  const { name } = usePreferences();
  const field = useRef<SVGSVGElement>(null);
  const [marks, setMarks] = useState<FaceMarks>(picture.reading?.marks ?? FIRST);
  const [held, setHeld] = useState<Mark | null>(null);
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { width, height } = picture;
  const place = (mark: Mark): { x: number; y: number } =>
    mark === 'size' ? { x: marks.meat.x + marks.meat.rx * Math.SQRT1_2, y: marks.meat.y + marks.meat.ry * Math.SQRT1_2 } : marks[mark];
  const move = (mark: Mark, x: number, y: number) =>
    setMarks((was) => {
      const [ax, ay] = [inside(x), inside(y)];
      if (mark !== 'size') return { ...was, [mark]: { ...was[mark], x: ax, y: ay } };
      const [rx, ry] = [inside(Math.abs(ax - was.meat.x) / Math.SQRT1_2, 0.02), inside(Math.abs(ay - was.meat.y) / Math.SQRT1_2, 0.02)];
      return { ...was, meat: { ...was.meat, rx, ry } };
    });
  const follow = (event: PointerEvent) => {
    const box = field.current?.getBoundingClientRect();
    if (held === null || box === undefined) return;
    move(held, (event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  };
  const press = (event: KeyboardEvent, mark: Mark) => {
    const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const { x, y } = place(mark);
    move(mark, x + (by[0] ?? 0), y + (by[1] ?? 0));
  };
  const send = async () => {
    setBusy(true);
    setFault(null);
    try {
      await readPicture(picture, { id: newId(), by: name, ...marks });
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    } finally {
      setBusy(false);
    }
  };
  // Marks are as large on a large picture as on a small one.
  const r = Math.max(width, height) / 40;
  return (
    <Box sx={styles.readFace}>
      <Typography variant="note">Drag the ring over the meat, then one mark to a place that is surely pink and one to a place that is surely grey.</Typography>
      <svg
        ref={field}
        viewBox={`0 0 ${width} ${height}`}
        role="group"
        aria-label="Marks on the cut face"
        onPointerMove={follow}
        onPointerUp={() => setHeld(null)}
        onPointerCancel={() => setHeld(null)}
      >
        <image href={pictureUrl(picture)} width={width} height={height} />
        <ellipse {...styles.meatRing} cx={marks.meat.x * width} cy={marks.meat.y * height} rx={marks.meat.rx * width} ry={marks.meat.ry * height} />
        {(Object.keys(WORDS) as Mark[]).map((mark) => {
          const { x, y } = place(mark);
          return (
            <Box
              component="g"
              key={mark}
              sx={styles.mark}
              role="button"
              tabIndex={0}
              aria-label={`${WORDS[mark]}: ${Math.round(x * 100)} % across, ${Math.round(y * 100)} % down. Arrow keys move it`}
              transform={`translate(${x * width} ${y * height})`}
              onPointerDown={(event) => {
                event.preventDefault();
                field.current?.setPointerCapture(event.pointerId);
                setHeld(mark);
              }}
              onKeyDown={(event) => press(event, mark)}
            >
              <circle r={r * 1.4} {...styles.reach} />
              <circle r={r} />
              <text y={r * 0.36} fontSize={r} textAnchor="middle">
                {{ meat: '+', size: '↘', pink: 'P', grey: 'G' }[mark]}
              </text>
            </Box>
          );
        })}
      </svg>
      <Typography variant="note">An aid to the eye, under one light. Whether it is cured you decide, by the cut and the clock.</Typography>
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
      <Box sx={acts}>
        <Button disabled={busy} onClick={() => void send()}>
          {busy ? 'Reading...' : 'Read how much is grey'}
        </Button>
        <Button variant="quiet" onClick={onDone}>
          Leave it
        </Button>
      </Box>
    </Box>
  );
}

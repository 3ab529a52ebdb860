import Typography from '@mui/material/Typography';
import Slider from '@mui/material/Slider';
import Button from '@mui/material/Button';
import { cureCourse, thicknessMm, widthMm, type Section } from '@bunkhouse/core';
import { useId, useMemo, useRef, type PointerEvent, type SVGAttributes } from 'react';
import type { Batch } from '../../../data/batches';
import { usePreferences } from '../../../reader/preferences';
import { inWords } from '../../../reader/quantities';
import { useSection } from '../../../workers/useSection';
import Box from '@mui/material/Box';
import { fold } from '../../../theme/folds';
import { looks } from '../../../theme/looks';
import { t } from '../../../theme/tokens';

const styles = {
  cutFace: { gridColumn: '1 / -1' },
  cutIn: {
    display: 'grid',
    gridTemplateColumns: 'minmax(140px, 220px) minmax(0, 1fr)',
    gap: '18px',
    alignItems: 'center',
    '& svg': { width: '100%', touchAction: 'none', cursor: 'crosshair' },
    '& input': { width: '100%', height: '44px', accentColor: t.ink },
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  cutColoured: { fill: `color-mix(in srgb, ${t.nitrite.main} 45%, ${t.panel})` },
  uncut: { fill: t.sunk },
  cutGrey: { fill: `color-mix(in srgb, ${t.ink3} 55%, ${t.panel})`, stroke: t.ink, strokeWidth: 2.5 },
  cutExpected: { fill: 'none', stroke: t.ink, strokeWidth: 2, strokeDasharray: '6 5' },
  cutRim: { fill: 'none', stroke: t.ink, strokeWidth: 2.4 },
  lead: { margin: 0 },
  cutActs: { display: 'flex', gap: '10px', marginTop: '8px' },
} as const;

interface CutFaceFieldProps {
  batch: Batch;
  code: string;
  label: string;
  /** mm from the rim; undefined while nothing was cut */
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  error?: string | undefined;
}

const SIDE = 220;
const SLAB_WIDE = 1.6;

/** The cut face: a ring is drawn to where the grey begins, beside the one that the model expects. */
export function CutFaceField({ batch, code, label, value, onChange, error }: CutFaceFieldProps) {
  const { record, state } = batch;
  const course = useMemo(() => cureCourse(record, state, code), [record, state, code]);
  const { answer } = useSection(course);
  const preferences = usePreferences();
  const id = useId();
  const svg = useRef<SVGSVGElement>(null);
  const { section } = course;
  const halfMm = thicknessMm(section) / 2;
  const acrossMm = section.shape === 'slab' ? thicknessMm(section) * SLAB_WIDE : widthMm(section);
  const scale = SIDE / Math.max(acrossMm, halfMm * 2);
  const [w, h] = [acrossMm * scale, halfMm * 2 * scale];
  const expected = answer?.colouredMm;
  const length = (mm: number) => inWords(mm, 'length', preferences);
  const drag = (event: PointerEvent<SVGSVGElement>) => {
    if (event.buttons !== 1 || svg.current === null) return;
    if (event.type === 'pointerdown') svg.current.setPointerCapture(event.pointerId);
    const box = svg.current.getBoundingClientRect();
    const x = ((event.clientX - box.left) / box.width - 0.5) * (w + 6);
    const y = ((event.clientY - box.top) / box.height - 0.5) * (h + 6);
    onChange(Math.round(Math.min(halfMm, Math.max(0, depthAt(section, x / scale, y / scale)))));
  };
  return (
    <Box sx={[looks.field, styles.cutFace]}>
      <Typography variant="label" id={`${id}-label`}>
        {label}, if one was cut
      </Typography>
      <Box sx={styles.cutIn}>
        <svg
          ref={svg}
          viewBox={`-3 -3 ${w + 6} ${h + 6}`}
          onPointerDown={drag}
          onPointerMove={drag}
          role="img"
          aria-label={value === undefined ? 'Cut face: not cut' : `Cut face: coloured ${length(value)} deep`}
        >
          <Ring section={section} w={w} h={h} inset={0} {...(value === undefined ? styles.uncut : styles.cutColoured)} />
          {value !== undefined && <Ring section={section} w={w} h={h} inset={value * scale} {...styles.cutGrey} />}
          {expected !== undefined && <Ring section={section} w={w} h={h} inset={expected.likely * scale} {...styles.cutExpected} />}
          <Ring section={section} w={w} h={h} inset={0} {...styles.cutRim} />
        </svg>
        <div>
          <Slider
            min={0}
            max={halfMm}
            step={0.5}
            value={value ?? 0}
            aria-labelledby={`${id}-label`}
            getAriaValueText={() => (value === undefined ? 'not cut' : `coloured ${length(value)} deep`)}
            onChange={(_event, depthMm) => onChange(depthMm)}
          />
          <Box component="p" sx={[looks.lead, styles.lead]}>
            {value === undefined ? 'Drag the ring to where the grey begins.' : value >= halfMm ? 'Coloured to the middle.' : `Coloured ${length(value)} deep.`}
          </Box>
          <Typography variant="note">
            {expected === undefined
              ? 'The model is working...'
              : expected.likely >= halfMm - 0.5
                ? `The model expects it coloured to the middle, ${length(halfMm)}${expected.slow < halfMm - 0.5 ? `; ${length(expected.slow)} in slow meat` : ''}.`
                : `The model expects ${length(expected.likely)} (${length(expected.slow)} to ${length(expected.fast)}): dashed.`}{' '}
            Grey only at the rim is normal.
          </Typography>
          <Box sx={styles.cutActs}>
            <Button onClick={() => onChange(halfMm)}>To the middle</Button>
            {value !== undefined && (
              <Button variant="quiet" onClick={() => onChange(undefined)}>
                Not cut
              </Button>
            )}
          </Box>
        </div>
      </Box>
      {error !== undefined && (
        <Typography variant="fault" role="alert">
          {error}
        </Typography>
      )}
    </Box>
  );
}

/** The outline of a section, so far inside its rim. */
function Ring({ section, w, h, inset, ...drawn }: { section: Section; w: number; h: number; inset: number } & SVGAttributes<SVGElement>) {
  if (section.shape === 'slab') return <rect x={0} y={inset} width={w} height={Math.max(0, h - 2 * inset)} {...drawn} />;
  const [a, b] = [Math.max(0, w / 2 - inset), Math.max(0, h / 2 - inset)];
  if (section.shape === 'rectangle') return <rect x={inset} y={inset} width={2 * a} height={2 * b} {...drawn} />;
  return <ellipse cx={w / 2} cy={h / 2} rx={a} ry={b} {...drawn} />;
}

/** Depth from the rim at a place, mm from the middle. */
function depthAt(section: Section, xMm: number, yMm: number): number {
  const half = thicknessMm(section) / 2;
  if (section.shape === 'slab') return half - Math.abs(yMm);
  const [a, b] = section.shape === 'round' ? [half, half] : [section.widthMm / 2, section.heightMm / 2];
  if (section.shape === 'rectangle') return Math.min(a - Math.abs(xMm), b - Math.abs(yMm));
  return (1 - Math.hypot(xMm / a, yMm / b)) * Math.min(a, b);
}

import type { Station } from '@bunkhouse/core';
import Check from 'lucide-react/icons/check';
import ChevronDown from 'lucide-react/icons/chevron-down';
import Ellipsis from 'lucide-react/icons/ellipsis';
import Pencil from 'lucide-react/icons/pencil';
import Volume2 from 'lucide-react/icons/volume-2';
import type { ReactNode } from 'react';
import Box from '@mui/material/Box';
import { stationed } from '../theme/looks';
import { t } from '../theme/tokens';

const styles = {
  glyphMark: { color: t.ink, '& > rect': { fill: t.panel, stroke: t.hair2 } },
  glyphMarkComing: { color: t.ink3, '& > rect': { stroke: t.ink, strokeWidth: 1.6, strokeDasharray: '3 2' } },
  plate: {
    display: 'inline-grid',
    placeItems: 'center',
    borderRadius: '2px',
    background: 'var(--st)',
    color: 'var(--st-on)',
    flex: 'none',
  },
  plateGhost: { background: 'transparent', color: 'var(--st-ink)', boxShadow: `inset 0 0 0 1.5px ${t.hair2}` },
} as const;

const line = (d: string, width = 2): ReactNode => <path fill="none" stroke="currentColor" strokeWidth={width} d={d} />;
const solid = (d: string): ReactNode => <path fill="currentColor" fillRule="evenodd" d={d} />;

const WAVE = (y: number) => `M1.5 ${y}c2.6-3.6 4.4-3.6 7 0s4.400 3.600 7 0 4.400-3.600 7 0`;

/** Our own drawings, 24 x 24: stations, sections, and what is done at the sink and the smoker. */
const DRAWINGS = {
  prep: (
    <>
      {solid('M3.5 7.2h9.6l6.2 6.2v5.4H3.5z')}
      {solid('M15.6 5h5v5z')}
    </>
  ),
  cure: solid('M12 2.4c3.3 4.4 6.6 8 6.6 12.1a6.6 6.6 0 0 1-13.2 0C5.4 10.4 8.7 6.8 12 2.4z'),
  soak: (
    <>
      {line(WAVE(9.2), 2.4)}
      {line(WAVE(16.8), 2.4)}
    </>
  ),
  dry: line('M2.5 6.5H16M5.500 12h16M2.500 17.500h11', 2.4),
  smoke: (
    <>
      {line('M3 21.200c9.500.3 16.800-4.900 16.800-11.700 0-6.600-9.300-7.300-9.300-1.800 0 3.900 5.100 3.900 5.100.7', 2.5)}
      {line('M3 15.300c3.600-.7 5.200-3.300 4.300-7.300', 2.5)}
    </>
  ),
  cook: solid(
    'M13 1.800c.2 4 6 6.600 6 12.400a7 7 0 0 1-14 0c0-3 1.700-4.900 3-6.700.3 1.500.8 2.500 1.800 3C9.400 6.900 10.600 4 13 1.800zM12 13c-1.500 1.500-2.700 2.600-2.700 4.200a2.700 2.700 0 0 0 5.400 0c0-1.600-1.200-2.700-2.700-4.200z',
  ),
  chill: line('M12 2v20M3.340 7l17.320 10M3.340 17l17.320-10M9.300 4.300l2.700 2.400 2.700-2.400M9.300 19.700l2.700-2.400 2.700 2.400'),
  pack: solid('M2.800 4.200h18.400v4.600H2.800zM4 10.300h16v9.700H4zM9 12.300v2.200h6v-2.200z'),
  today: line('M4 17.500h16M7.200 17.500a4.800 4.800 0 0 1 9.600 0M12 4v4M5.600 8.200l2.300 2.300M18.400 8.200l-2.300 2.300M7 21h10'),
  calendar: line('M4 5.500h16V21H4zM4 10h16M8 2.500v5M16 2.500v5M7.500 13.500h4M10 17.500h6.500', 2),
  recipes: line('M5 3.500h14V21H5zM8.500 8h7M8.500 12h7M8.500 16h4M12 3.500V1.800'),
  stores: line('M3 4.500h18M3 12h18M3 19.500h18M6 4.500V21M18 4.500V21M9 8v4M14.500 15v4.500'),
  ledger: line('M5 3h12.500L20 5.500V21H5zM8.500 3v18M11.500 12.500l2 2 3.500-4.500'),
  guide: line('M12 21V3M12 4.500h6.500l2.500 2.500-2.500 2.500H12M12 11.500H6L3.500 14 6 16.500h6'),
  bench: line('M9.500 2.500h5M12 2.500v9M8.500 11.500h7v4.500a3.500 3.500 0 0 1-7 0zM4 21.500h16M5.500 7.500h3M5.500 4.500h2'),
  start: line('M6 8h12l3 3v10H3V11zM12 8V2.500M8.500 15h7M12 11.500v7'),
  caution: solid('M12 2.500l10.500 18.500h-21zM10.900 9v6h2.200V9zM10.900 16.600v2.200h2.200v-2.200z'),
  danger: solid('M7.500 1.500h9l6 6v9l-6 6h-9l-6-6v-9zM10.800 6v7.500h2.400V6zM10.800 15.800v2.400h2.400v-2.400z'),
  note: solid('M4 3h16v18H4zM10.900 10.500V17h2.200v-6.500zM10.900 6.800V9h2.200V6.800z'),
  turn: (
    <>
      {line('M4.500 10a8 8 0 0 1 14.300-2.500M19.500 14a8 8 0 0 1-14.300 2.500', 2.3)}
      {solid('M20.500 3.500v6.200h-6.200zM3.500 20.500v-6.200h6.200z')}
    </>
  ),
  read: (
    <>
      {line('M12 13V3.500h3.500V13a5 5 0 1 1-5 0M10.500 13V3.500H12', 2.2)}
      <circle cx="13" cy="17" r="2" fill="currentColor" />
    </>
  ),
  weigh: line('M4 20h16l-2-9H6zM12 11V7M7 7h10M12 14.500l3 2.500', 2.2),
  pit: line('M3 20h18M3 20V4M6 16c3.500 0 4-8.500 8-8.500 2.600 0 3.500 1 6.500 1M14 3.500v1M18 3.500v1M10 3.500v1'),
  probe: line('M3 21L14 10M12 8l4 4M15 9l3.500-3.500a2.200 2.200 0 0 0-3.100-3.100', 2.2),
  spritz: (
    <>
      {line('M8 10h7v11H8zM9.500 10V6h5M14.500 4.500v3')}
      {solid('M17.500 3.800h2v2h-2zM20.500 1.800h2v2h-2zM20.500 5.800h2v2h-2z')}
    </>
  ),
  fuel: line(
    'M2 16.600a4.600 4.600 0 1 0 9.200 0a4.600 4.600 0 1 0-9.200 0M12.800 16.600a4.600 4.600 0 1 0 9.200 0a4.600 4.600 0 1 0-9.200 0M7.400 7.200a4.600 4.600 0 1 0 9.200 0a4.600 4.600 0 1 0-9.200 0',
  ),
  glaze: line('M14 3l7 7-3 3-7-7zM11 6l-6.500 6.500 7 7L18 13M8 16l-4.500 5', 2),
  wrap: line('M4 7l8-4 8 4v10l-8 4-8-4zM4 7l8 4 8-4M12 11v10M8 5l8 4', 2),
  takenBack: line('M9 4L4 9l5 5M4.500 9H15a5.500 5.500 0 0 1 0 11H8', 2.6),
} as const;

/** What every application has: from the package of icons, drawn as boldly as ours. */
const GENERAL = { tick: Check, sound: Volume2, down: ChevronDown, pencil: Pencil, more: Ellipsis } as const;

export type GlyphName = keyof typeof DRAWINGS | keyof typeof GENERAL;

const isGeneral = (name: GlyphName): name is keyof typeof GENERAL => name in GENERAL;

/** A drawing that stands beside its word; never read aloud. */
export function Glyph({ name, size = 20 }: { name: GlyphName; size?: number }) {
  if (isGeneral(name)) {
    const Icon = GENERAL[name];
    return <Icon size={size} strokeWidth={2.4} aria-hidden="true" focusable="false" />;
  }
  return (
    <svg viewBox="0 0 24 24" width={size} height={size} aria-hidden="true" focusable="false">
      {DRAWINGS[name]}
    </svg>
  );
}

/** A drawing on a chart, in a small box; dashed where it is still to come. */
export function GlyphMark({ name, x, y, isComing = false }: { name: GlyphName; x: number; y: number; isComing?: boolean }) {
  return (
    <Box component="g" sx={[styles.glyphMark, isComing && styles.glyphMarkComing]} transform={`translate(${x - 9} ${y - 9})`}>
      <rect width={18} height={18} />
      <g transform="translate(2 2)">
        <Glyph name={name} size={14} />
      </g>
    </Box>
  );
}

/** The enamel badge of a station. `ghost`: one that is still to come. */
export function Plate({ station, size = 20, ghost = false }: { station: Station; size?: number; ghost?: boolean }) {
  return (
    <Box component="span" sx={[styles.plate, ghost && styles.plateGhost, stationed(station)]} style={{ width: size, height: size }}>
      <Glyph name={station} size={Math.round(size * 0.8)} />
    </Box>
  );
}

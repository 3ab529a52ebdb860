import SvgIcon from '@mui/material/SvgIcon';
import Calendar from 'lucide-react/icons/calendar';
import ChevronDown from 'lucide-react/icons/chevron-down';
import ChevronLeft from 'lucide-react/icons/chevron-left';
import ChevronRight from 'lucide-react/icons/chevron-right';
import ChevronUp from 'lucide-react/icons/chevron-up';
import Grip from 'lucide-react/icons/grip';
import { createElement as h, type ComponentType } from 'react';
import { t } from './tokens';

const svg = (d: string, line = false) =>
  h(SvgIcon, null, h('path', line ? { d, fill: 'none', stroke: 'currentColor', strokeWidth: 2.6 } : { d, fillRule: 'evenodd' }));
export const marks = {
  stop: svg('M7.6 1.5h8.8l6.1 6.1v8.8l-6.1 6.1H7.6l-6.1-6.1V7.6zM10.7 6v8h2.6V6zM10.7 16v2.6h2.6V16z'),
  caution: svg('M12 2.5l10.5 18.5h-21zM10.9 9v6h2.2V9zM10.9 16.6v2.2h2.2v-2.2z'),
  note: svg('M3 3h18v18H3zM10.8 10.2v7.4h2.4v-7.4zM10.8 6.4v2.4h2.4V6.4z'),
  tick: svg('M4.500 12.500l5 5L19.500 7', true),
};
/* General icons as SvgIcon: it drops MUI's `ownerState`, which an icon of the package in a slot would pass on to the DOM. */
const icon = (Icon: ComponentType<{ strokeWidth: number }>) => (p: object) => h(SvgIcon, p, h(Icon, { strokeWidth: 2.4 }));
export const Down = icon(ChevronDown);
export const Up = icon(ChevronUp);
export const Next = icon(ChevronRight);
export const Prev = icon(ChevronLeft);
export const Keys = icon(Grip);
export const Days = icon(Calendar);

/** Cells of a ticket: box, filled, striped. */
export const box = (checked: 0 | 1 | 2) =>
  h(
    SvgIcon,
    { viewBox: '0 0 20 20', sx: { fontSize: 20 } },
    h('path', { d: 'M1 1h18v18H1z', fill: checked === 1 ? 'currentColor' : t.panel, stroke: 'currentColor', strokeWidth: 1.8 }),
    checked === 1 && h('path', { d: 'M4.500 10.500l3.500 3.500L15.500 6.500', fill: 'none', stroke: t.panel, strokeWidth: 2.4 }),
    checked === 2 && h('path', { d: 'M1 12L12 1M1 19L19 1M8 19L19 8', fill: 'none', stroke: 'currentColor', strokeWidth: 2.2 }),
  );

import type { Components, Theme } from '@mui/material/styles';
import { createElement as h } from 'react';
import { Next } from '../marks';
import { line, pop, ringIn } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const panels: Components<Theme> = {
  MuiPaper: {
    defaultProps: { elevation: 0, variant: 'outlined' },
    styleOverrides: { root: { backgroundImage: 'none', boxShadow: 'none' }, outlined: { borderColor: t.hair } },
  },
  MuiCardHeader: {
    // the head of a panel: <Paper><CardHeader title action /></Paper>
    defaultProps: { slotProps: { title: { variant: 'head', component: 'h2' } as never } },
    styleOverrides: {
      root: { height: 36, padding: '0 12px', borderBottom: line(t.hair), alignItems: 'center' },
      content: { flex: 'none' },
      action: { ...roles.fact, color: t.ink3, margin: '0 0 0 auto', alignSelf: 'center' },
    },
  },
  MuiAccordion: {
    defaultProps: { disableGutters: true, square: true, slotProps: { heading: { component: 'h3' } } },
    styleOverrides: {
      root: {
        border: 0,
        borderTop: line(t.hair),
        '&::before': { display: 'none' },
        background: 'transparent',
        '&.Mui-disabled': { background: 'transparent' },
      },
    },
  },
  MuiAccordionSummary: {
    // children: name, then what it is now
    defaultProps: { expandIcon: h(Next) },
    styleOverrides: {
      root: {
        minHeight: 44,
        padding: '0 8px 0 12px',
        position: 'relative',
        '&:hover': { background: t.sunk },
        '&.Mui-disabled': { color: t.ink3 },
        '&.Mui-focusVisible': { background: 'transparent', ...ringIn },
      },
      content: {
        ...roles.head,
        margin: '10px 0',
        letterSpacing: 0,
        display: 'grid',
        gridTemplateColumns: '118px minmax(0,1fr)',
        gap: 0,
        textAlign: 'left',
        '& > :nth-of-type(2)': { ...roles.body, color: t.ink2 },
        '&.Mui-expanded': { margin: '10px 0' },
      },
      expandIconWrapper: { color: t.ink3, '&.Mui-expanded': { transform: 'rotate(90deg)' } },
    },
  },
  MuiAccordionDetails: { styleOverrides: { root: { padding: '4px 12px 12px', background: t.panel } } },
  MuiPopover: { styleOverrides: { paper: pop.paper } },
  MuiDialog: { styleOverrides: { paper: { border: line(t.ink, 2), margin: 16 } } },
  MuiBackdrop: { styleOverrides: { root: { '&:not(.MuiBackdrop-invisible)': { background: 'rgb(8 20 17 / .6)' } } } },
  MuiDialogTitle: { styleOverrides: { root: { ...roles.title, fontSize: 26, lineHeight: '28px', padding: '16px 16px 8px' } } },
  MuiDialogContent: { styleOverrides: { root: { padding: '0 16px 16px' } } },
  MuiDialogActions: { styleOverrides: { root: { padding: '12px 16px', gap: 8, borderTop: line(t.hair), '& > :not(style) ~ :not(style)': { marginLeft: 0 } } } },
};

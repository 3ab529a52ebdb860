import type { Components, Theme } from '@mui/material/styles';
import { chosen, focusIn, line, row, rowOn } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const lists: Components<Theme> = {
  MuiListItemButton: {
    styleOverrides: {
      root: {
        ...row,
        minHeight: 44,
        '&:hover': { background: t.sunk },
        ...focusIn,
        ...rowOn,
        '&.Mui-disabled': { color: t.ink3 },
        '&[data-state="due"], &[data-state="due"]:hover': {
          ...chosen,
          borderLeftColor: t.ink,
          clipPath: 'polygon(0 0, 100% 0, calc(100% - 6px) 50%, 100% 100%, 0 100%)',
        }, // an ink bar with a notch
      },
    },
  },
  MuiListItemIcon: { styleOverrides: { root: { minWidth: 0, marginRight: 12, color: 'inherit' } } },
  MuiListItemText: {
    defaultProps: { slotProps: { primary: { variant: 'head', component: 'span' } as never, secondary: { variant: 'fact' } } },
    styleOverrides: { root: { margin: 0 }, secondary: { color: 'inherit', marginLeft: 8 } },
  },
  MuiTableCell: {
    styleOverrides: {
      sizeSmall: { height: 'auto', padding: '4px 8px' },
      root: { ...roles.body, height: 48, padding: '0 12px', borderBottom: line(t.hair) },
      head: { ...roles.label, lineHeight: '16px', height: 36, color: t.ink3, background: t.sunk },
    },
  },
  MuiTableRow: {
    styleOverrides: {
      root: {
        '&.MuiTableRow-hover:hover': { background: t.sunk },
        '&.Mui-selected, &.Mui-selected:hover': { background: t.steel, boxShadow: `inset 5px 0 0 ${t.mark}` },
      },
    },
  },
};

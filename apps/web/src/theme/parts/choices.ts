import type { Components, Theme } from '@mui/material/styles';
import { box } from '../marks';
import { chosen, focusIn, line, mid, off, ring } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const choices: Components<Theme> = {
  MuiCheckbox: {
    defaultProps: { icon: box(0), checkedIcon: box(1), indeterminateIcon: box(2) },
    styleOverrides: {
      root: {
        padding: 12,
        borderRadius: 3,
        color: t.ink2,
        '&.Mui-checked, &.MuiCheckbox-indeterminate': { color: t.ink },
        '&:hover': { background: t.steel },
        '&.Mui-disabled': { color: t.ink3, opacity: 1 },
      },
    },
  },
  MuiToggleButtonGroup: {
    styleOverrides: {
      // Words of many lengths stand in as many rows as they need.
      root: { minHeight: 48, display: 'flex', flexWrap: 'wrap' },
      grouped: { border: line(t.edge, 1.5), borderRadius: 3, marginLeft: -1.5, '&.Mui-selected + &.Mui-selected': { borderLeft: line(t.panel) } },
    },
  },
  MuiToggleButton: {
    styleOverrides: {
      root: {
        ...mid,
        color: t.ink,
        fontSize: 17,
        lineHeight: '19px',
        whiteSpace: 'normal',
        flex: '1 1 auto',
        minWidth: 44,
        minHeight: 48,
        padding: '4px 14px',
        '&:hover': { background: t.panel, color: t.ink, boxShadow: `inset 0 0 0 1px ${t.ink}` },
        '&.Mui-selected, &.Mui-selected:hover': { ...chosen, borderColor: t.ink },
        '&.Mui-focusVisible': { ...ring, zIndex: 2 },
        '&.Mui-disabled': off,
        '&.Mui-disabled.Mui-selected': { background: t.steel },
      },
    },
  },
  MuiTabs: {
    defaultProps: { variant: 'fullWidth' },
    styleOverrides: {
      root: { minHeight: 48, border: line(t.hair), borderRadius: 3, background: t.steel },
      indicator: { top: 0, bottom: 'auto', height: 5, background: t.mark, transition: 'none' },
    },
  },
  MuiTab: {
    defaultProps: { iconPosition: 'end' },
    styleOverrides: {
      root: {
        ...roles.head,
        fontSize: 18,
        minHeight: 48,
        minWidth: 72,
        padding: '0 8px',
        color: t.ink2,
        '.MuiTab-root + &': { borderLeft: line(t.hair) }, // not `& + &`: tabs with other props carry another class

        '&:hover': { color: t.ink, boxShadow: `inset 0 -2px 0 ${t.ink}` },
        '&.Mui-selected': { color: t.ink, background: t.panel, boxShadow: 'none' },
        '&.Mui-disabled': { color: t.ink3, textDecoration: 'line-through' },
        '& > .MuiTab-icon': { color: t.danger.main },
        ...focusIn,
      },
    },
  },
  MuiSlider: {
    styleOverrides: {
      // the handle carries the figure: use valueLabelDisplay="on"
      root: { height: 8, padding: '18px 0', color: t.ink, '&.MuiSlider-marked': { marginBottom: 20 }, '&.Mui-disabled': { color: t.ink3 } },
      rail: { background: t.steel, opacity: 1, borderRadius: 0, border: line(t.hair2) },
      track: { borderRadius: 0, border: 0, background: t.ink3 },
      thumb: {
        ...roles.lead,
        width: 44,
        height: 44,
        borderRadius: 3,
        background: t.panel,
        border: line(t.ink, 2),
        color: t.ink,
        '&::before, &::after': { display: 'none' },
        '&:hover': { boxShadow: `0 0 0 1px ${t.ink}` },
        '&.Mui-focusVisible': ring,
        '&.Mui-active': { boxShadow: `inset 0 0 0 2px ${t.ink}` },
        '&.Mui-disabled': { border: line(t.hair2, 2, 'dashed'), color: t.ink3 },
      },
      valueLabel: {
        ...roles.lead,
        position: 'static',
        transform: 'none !important',
        background: 'none',
        padding: 0,
        color: 'inherit',
        '&::before': { display: 'none' },
      },
      mark: { width: 2, height: 14, borderRadius: 0, background: t.line, opacity: 1, transform: 'translate(-1px,-50%)' },
      markLabel: { ...roles.axis, top: 49, color: t.ink2 },
    },
  },
};

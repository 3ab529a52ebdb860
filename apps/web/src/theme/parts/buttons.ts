import type { Components, Theme } from '@mui/material/styles';
import { go, line, off, ring } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const buttons: Components<Theme> = {
  MuiButtonBase: { defaultProps: { disableRipple: true } },
  MuiButton: {
    defaultProps: { variant: 'outlined', disableElevation: true, disableFocusRipple: true },
    styleOverrides: {
      root: {
        minWidth: 44,
        minHeight: 48,
        padding: '6px 16px',
        gap: 8,
        border: line(t.edge, 1.5),
        color: t.ink,
        background: 'transparent',
        lineHeight: '22px',
        '&:hover': { background: 'transparent', outline: line(t.ink, 2), outlineOffset: -2 },
        '&:active': { boxShadow: `inset 0 0 0 3px ${t.ink}` },
        '&.Mui-focusVisible': ring,
        '&[aria-busy="true"]': { cursor: 'progress', outline: 'none', boxShadow: 'none' }, // busy keeps the focus, which `loading` (disabled) would drop
        '& .MuiButton-icon': { margin: 0 },
        '& .MuiButton-icon > svg': { fontSize: 20, width: 20, height: 20 },
        variants: [
          { props: { size: 'small' }, style: { minHeight: 44, fontSize: 17 } },
          {
            props: { size: 'large' },
            style: { minHeight: 56, fontSize: 21, padding: '6px 22px', '@media (max-width: 719px)': { minHeight: 60, fontSize: 22, width: '100%' } },
          },
          {
            props: { variant: 'contained' },
            style: {
              background: go.main,
              borderColor: go.main,
              color: go.on,
              '&:hover': { background: go.hi, borderColor: go.hi, outline: 'none' },
              '&:active': { boxShadow: `inset 0 0 0 3px ${t.focusOut}`, background: go.hi },
            },
          },
          { props: { variant: 'quiet' }, style: { borderColor: t.line, borderWidth: 1 } },
          {
            props: { variant: 'text' },
            style: {
              minHeight: 20,
              minWidth: 0,
              padding: 0,
              border: 0,
              fontSize: 16,
              textDecoration: 'underline',
              textUnderlineOffset: 3,
              textDecorationThickness: 1.5,
              overflow: 'visible',
              '&::after': { content: '""', position: 'absolute', inset: '-13px -8px' }, // 46 px hit area
              '&:hover': { outline: 'none', textDecoration: 'underline', textDecorationThickness: 2.5 },
              '&:active': { boxShadow: 'none' },
            },
          },
          {
            props: { variant: 'unit' },
            style: {
              ...roles.fact,
              fontSize: 16,
              fontWeight: 600,
              minWidth: 46,
              minHeight: 44,
              height: '100%',
              padding: '0 10px',
              border: 0,
              borderRadius: '0 3px 3px 0',
              color: t.ink2,
              textDecoration: 'underline dotted',
              textDecorationColor: t.line,
              textDecorationThickness: 1.5,
              textUnderlineOffset: 4,
              '&:hover': { background: t.steel, textDecoration: 'underline', outline: 'none' },
              '&:active': { boxShadow: 'none' },
            },
          },
          { props: { disabled: true }, style: { '&.Mui-disabled': off } },
          { props: { disabled: true, variant: 'text' }, style: { '&.Mui-disabled': { border: 0, textDecoration: 'underline dashed' } } },
          { props: { disabled: true, variant: 'unit' }, style: { '&.Mui-disabled': { border: 0, textDecoration: 'none' } } },
        ],
      },
    },
  },
  MuiIconButton: { styleOverrides: { root: { width: 44, height: 44, borderRadius: 3, color: t.ink2, '&:hover': { background: t.steel } } } },
  MuiLink: { styleOverrides: { root: { color: t.ink, textDecorationColor: 'currentColor', textUnderlineOffset: 3 } } },

  MuiTooltip: { styleOverrides: { tooltip: { ...roles.note, background: t.ink, color: t.panel, borderRadius: 3, padding: '6px 10px', maxWidth: 280 } } },
  MuiChip: {
    styleOverrides: {
      root: {
        // a mark, not a button: square, a word, no pill
        ...roles.fact,
        fontSize: 15,
        fontWeight: 600,
        height: 28,
        borderRadius: 2,
        background: t.ink,
        color: t.panel,
        border: line(t.ink, 1.5),
        '& > svg': { fontSize: 16, color: 'inherit', marginLeft: 8, marginRight: -2 },
        '&.Mui-disabled': off,
        // one to press is as high as a thumb
        '&.MuiChip-clickable': { height: 44, padding: '0 6px', fontSize: 17 },
        '&.MuiChip-clickable:hover, &.MuiChip-clickable.Mui-focusVisible': { background: t.ink2 },
        variants: [
          {
            props: { variant: 'outlined' },
            style: {
              background: 'transparent',
              color: t.ink,
              borderColor: t.line,
              '&.MuiChip-clickable:hover, &.MuiChip-clickable.Mui-focusVisible': { background: t.sunk },
            },
          },
          { props: { variant: 'dashed' }, style: { background: 'transparent', color: t.ink2, border: line(t.line, 1.5, 'dashed') } },
          { props: { color: 'error' }, style: { background: t.danger.main, borderColor: t.danger.main, color: t.danger.on } },
        ],
      },
      label: { padding: '0 8px' },
    },
  },
};

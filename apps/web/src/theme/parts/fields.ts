import type { Components, Theme } from '@mui/material/styles';
import { createElement as h } from 'react';
import { Down } from '../marks';
import { choices, field, focusIn, line, pop, row, rowOn } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const fields: Components<Theme> = {
  MuiTextField: { defaultProps: { fullWidth: true } },
  MuiInputLabel: {
    defaultProps: { shrink: true, disableAnimation: true },
    styleOverrides: {
      root: {
        ...roles.label,
        position: 'static',
        transform: 'none',
        maxWidth: 'none',
        padding: '0 0 4px 1px',
        color: t.ink3,
        '&.Mui-focused, &.Mui-error, &.Mui-disabled': { color: t.ink3 },
      },
    },
  },
  MuiFormHelperText: {
    styleOverrides: {
      root: { ...roles.note, margin: '4px 0 0', color: t.ink2, '&.Mui-error': { color: t.danger.ink, fontWeight: 500 }, '&.Mui-disabled': { color: t.ink3 } },
    },
  },
  MuiFormControlLabel: { styleOverrides: { root: { marginLeft: -12, marginRight: 16 }, label: { ...roles.head, '&.Mui-disabled': { color: t.ink3 } } } },
  MuiFormLabel: { styleOverrides: { root: { ...roles.head, color: t.ink, '&.Mui-focused': { color: t.ink } } } },
  MuiOutlinedInput: {
    defaultProps: { notched: false },
    styleOverrides: {
      root: {
        ...field('MuiOutlinedInput'),
        '& textarea.MuiOutlinedInput-input': { ...roles.body, fontSize: 17, lineHeight: '24px' },
        '&.Mui-focused .MuiSelect-select': { background: 'transparent' },
      },
      input: {
        height: 'auto',
        padding: '11px 12px',
        '&[inputmode]': { ...roles.heroMd, fontSize: 24, padding: '11px 12px' },
        '&.Mui-disabled': { WebkitTextFillColor: 'currentColor' },
        '&::placeholder': { color: t.ink3, opacity: 1 },
      },
      adornedEnd: { '& > input, & > input[inputmode]': { paddingRight: 4 } },
    },
  },
  MuiInputAdornment: {
    styleOverrides: {
      positionEnd: {
        alignSelf: 'stretch',
        height: 'auto',
        maxHeight: 'none',
        margin: '1.5px 1.5px 1.5px 0',
        borderLeft: line(t.hair),
        borderRadius: '0 2px 2px 0',
        background: t.sunk,
        zIndex: 1,
        '& .MuiIconButton-root': { margin: 0, borderRadius: '0 2px 2px 0' },
      },
    },
  },
  MuiSelect: {
    defaultProps: { IconComponent: Down },
    styleOverrides: {
      select: { padding: '13px 40px 13px 12px', minHeight: '22px !important' },
      icon: { color: t.ink2, width: 20, right: 11, top: 'calc(50% - 10px)', '&.Mui-disabled': { color: t.ink3 } },
    },
  },
  MuiNativeSelect: {
    defaultProps: { IconComponent: Down },
    styleOverrides: {
      select: {
        padding: '13px 40px 13px 12px',
        minHeight: 22,
        '&:focus': { background: 'transparent' },
        '& option, & optgroup': { background: t.panel, color: t.ink },
      },
      icon: { color: t.ink2, width: 20, right: 11, top: 'calc(50% - 10px)', '&.Mui-disabled': { color: t.ink3 } },
    },
  },
  MuiMenu: { defaultProps: { slotProps: { root: choices as never } }, styleOverrides: { paper: pop.paper, list: { padding: 0 } } },
  MuiMenuItem: {
    styleOverrides: {
      root: {
        ...row,
        '&.MuiMenuItem-root': { minHeight: 48 }, // doubled: MUI lowers it to auto from 600 px up
        '&:hover, &.Mui-focusVisible': { background: t.sunk },
        ...rowOn,
        ...focusIn,
      },
    },
  },
  MuiAutocomplete: {
    defaultProps: { popupIcon: h(Down), clearIcon: null, slotProps: { popper: choices as never } },
    styleOverrides: {
      root: { '& .MuiOutlinedInput-root': { padding: 0 }, '& .MuiOutlinedInput-root .MuiAutocomplete-input': { padding: '13px 12px' } },
      endAdornment: { right: '2px !important' },
      popupIndicator: { color: t.ink2 },
      paper: { ...pop.paper, margin: '4px 0' },
      listbox: { padding: 0 },
      noOptions: roles.body,
      option: { '&.MuiAutocomplete-option': { ...row, '&.Mui-focused': { background: t.sunk, outline: line(t.focusOut, 2), outlineOffset: -2 }, ...rowOn } },
    },
  },
};

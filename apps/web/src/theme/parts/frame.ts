import type { Components, Theme } from '@mui/material/styles';
import { focusIn, line, ring, ringIn } from '../surfaces';
import { t } from '../tokens';
import { fold } from '../folds';
import { roles, sign, signed, text, worded } from '../type';

export const frame: Components<Theme> = {
  MuiCssBaseline: {
    styleOverrides: {
      ':root': { '--f-sign': sign, '--f-text': text, '--rail-h': '132px', '--bar-w': '64px', [fold.phone]: { '--rail-h': '154px' } },
      '*': { boxSizing: 'border-box' },
      'html, body, #root': { margin: 0, padding: 0, height: '100%' },
      body: { background: t.tile, color: t.ink, fontFeatureSettings: '"tnum" 1', ...roles.body },
      'svg text': { fontFamily: sign, fontFeatureSettings: '"tnum" 1' },
      svg: { display: 'block', flex: 'none' },
      a: { color: 'inherit', textDecoration: 'none' },
      'h1, h2, h3, p, ol, ul, dl, dd, figure, fieldset': { margin: 0, padding: 0, border: 0, minWidth: 0 },
      'ol, ul': { listStyle: 'none' },
      small: { font: worded(14, 18, 400), color: t.ink3 },
      button: { font: 'inherit', color: 'inherit', textAlign: 'inherit' },
      kbd: { font: signed(17, 24, 600), border: line(t.line, 1.5), borderRadius: 3, padding: '2px 8px' },
      'html :focus-visible': { outline: `3px solid ${t.focusOut} !important`, outlineOffset: 2, boxShadow: `0 0 0 2px ${t.focusIn}` },
      '@media (prefers-reduced-motion: reduce)': { '*': { transition: 'none !important', animation: 'none !important' } },
      [fold.paper]: { 'html, body': { background: '#fff !important', height: 'auto' } },
      ':where(a, [tabindex]):focus-visible': ring, // :where keeps it weaker than any component
    },
  },
  MuiSvgIcon: { styleOverrides: { root: { fontSize: 20 } } },
  MuiTypography: {
    defaultProps: {
      variant: 'body',
      variantMapping: {
        title: 'h1',
        head: 'h2',
        heroXl: 'span',
        hero: 'span',
        heroMd: 'span',
        lead: 'span',
        fact: 'span',
        label: 'span',
        axis: 'span',
        body: 'p',
        note: 'p',
        fault: 'p',
      },
    },
    styleOverrides: {
      root: {
        variants: [
          { props: { variant: 'note' }, style: { color: t.ink2 } },
          { props: { variant: 'label' }, style: { color: t.ink3 } },
          { props: { variant: 'fault' }, style: { color: t.danger.ink, marginTop: 4 } },
        ],
      },
    },
  },
  MuiAppBar: {
    defaultProps: { position: 'static', variant: 'elevation', square: true, enableColorOnDark: true },
    styleOverrides: { root: { background: t.enamel.main, color: t.enamel.on } },
  },
  MuiBottomNavigation: { defaultProps: { showLabels: true }, styleOverrides: { root: { height: 64, background: t.steel, borderTop: line(t.hair) } } },
  MuiBottomNavigationAction: {
    styleOverrides: {
      root: {
        color: t.ink2,
        minWidth: 64,
        padding: 0,
        gap: 3,
        position: 'relative',
        '&:hover': { color: t.ink },
        '&.Mui-selected': { background: t.panel, color: t.ink, boxShadow: `inset 0 4px 0 ${t.mark}` },
        '&.Mui-disabled': { color: t.ink3 },
        ...focusIn,
        '&.Mui-selected.Mui-focusVisible': ringIn,
      },
      label: { ...roles.fact, fontSize: 14, lineHeight: '16px', fontWeight: 600, opacity: 1, '&.Mui-selected': { fontSize: 14 } },
    },
  },
};

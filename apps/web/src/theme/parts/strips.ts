import type { Components, Theme } from '@mui/material/styles';
import { createElement as h, Fragment } from 'react';
import { marks } from '../marks';
import { line } from '../surfaces';
import { t } from '../tokens';
import { roles } from '../type';

export const strips: Components<Theme> = {
  MuiAlert: {
    // mark and word come together, so neither can be left out. A strip stays while it is true: there is no close button.
    defaultProps: {
      role: 'note',
      severity: 'note',
      iconMapping: {
        stop: h(Fragment, null, marks.stop, 'Stop'),
        caution: h(Fragment, null, marks.caution, 'Caution'),
        note: h(Fragment, null, marks.note, 'Note'),
      },
    },
    styleOverrides: {
      root: {
        ...roles.body,
        fontWeight: 500,
        // The word stands beside the first line, however many there are.
        alignItems: 'flex-start',
        gap: 12,
        padding: '0 14px 0 12px',
        minHeight: 48,
        color: t.ink,
        border: line(t.line),
        borderLeftWidth: 6,
        background: t.sunk,
        '@media (max-width: 719px)': {
          flexWrap: 'wrap',
          gap: '0 12px',
          '& .MuiAlert-icon': { padding: '8px 0' },
          '& .MuiAlert-message': { flex: '1 1 100%', padding: '0 0 8px' },
        },
        variants: [
          {
            props: { severity: 'caution' },
            style: {
              borderColor: t.amber.main,
              background: t.amber.wash,
              '& .MuiAlert-icon': { color: t.amber.ink },
              '& .MuiAlert-icon > svg': { color: t.amber.main },
            },
          },
          {
            props: { severity: 'stop' },
            style: {
              borderColor: t.danger.main,
              background: t.danger.wash,
              '& .MuiAlert-icon': { color: t.danger.ink },
              '& .MuiAlert-icon > svg': { color: t.danger.main },
            },
          },
        ],
      },
      icon: {
        ...roles.label,
        fontSize: 16,
        lineHeight: '20px',
        letterSpacing: '.05em',
        color: t.ink2,
        alignItems: 'center',
        gap: 8,
        margin: 0,
        padding: '12px 0 8px',
        opacity: 1,
        '& > svg': { fontSize: 22 },
      },
      message: { padding: '13px 0 12px', overflow: 'visible', '& b': { fontWeight: 600 } },
      action: { padding: 0, margin: '0 0 0 auto', alignSelf: 'center', alignItems: 'center' },
    },
  },
  MuiSnackbar: {
    defaultProps: { autoHideDuration: 5000, disableWindowBlurListener: false },
    styleOverrides: { root: { position: 'absolute', inset: 0, transform: 'none' } },
  }, // at the button's place: its parent is position: relative
  MuiSnackbarContent: {
    styleOverrides: {
      root: { ...roles.lead, flexWrap: 'nowrap', width: '100%', minHeight: 48, padding: '0 16px', background: t.panel, color: t.ink, border: line(t.ink, 1.5) },
      message: { padding: 0, display: 'flex', alignItems: 'center', gap: 8 },
      action: { margin: '0 0 0 auto', padding: '0 0 0 16px' },
    },
  },
  MuiSkeleton: { defaultProps: { animation: false, variant: 'rectangular' }, styleOverrides: { root: { background: t.tag.strip, borderRadius: 3 } } },
  MuiLinearProgress: {
    styleOverrides: { root: { height: 10, borderRadius: 0, background: t.steel, border: line(t.hair2) }, bar: { background: t.ink2, borderRadius: 0 } },
  }, // `bar` both, so no primary default shows,
};

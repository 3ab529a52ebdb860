import type { CSSObject } from '@mui/material/styles';
import { t } from './tokens';
import { roles } from './type';

export const go = { main: 'var(--bh-palette-primary-main)', hi: 'var(--bh-palette-primary-light)', on: 'var(--bh-palette-primary-contrastText)' };

export const ring: CSSObject = { outline: `3px solid ${t.focusOut}`, outlineOffset: 2, boxShadow: `0 0 0 2px ${t.focusIn}` };
/** In rows, where neighbours would cover an outer ring. */
export const ringIn: CSSObject = { outline: `3px solid ${t.focusOut}`, outlineOffset: -3, boxShadow: `inset 0 0 0 5px ${t.focusIn}`, zIndex: 1 };
export const focusIn = { '&.Mui-focusVisible, &:focus-visible': ringIn };
export const line = (colour: string, px = 1, style = 'solid') => `${px}px ${style} ${colour}`;
export const off: CSSObject = { color: t.ink3, background: 'transparent', border: line(t.hair2, 1.5, 'dashed'), opacity: 1 };
export const pop = { root: { border: line(t.ink, 1.5) }, paper: { border: line(t.ink, 1.5), marginTop: 4 } };
/** What opens from a portal stands outside every landmark: it is named as one. */
export const choices = { role: 'region', 'aria-label': 'Choices' } as const;
export const row: CSSObject = { ...roles.lead, minHeight: 48, padding: '0 12px', color: t.ink, borderLeft: '5px solid transparent', position: 'relative' };
export const rowOn = {
  '&.Mui-selected, &.Mui-selected:hover, &[aria-selected="true"], &[aria-selected="true"].Mui-focused': { background: t.steel, borderLeftColor: t.mark },
};
export const mid: CSSObject = { ...roles.lead, whiteSpace: 'nowrap', border: line(t.line, 1.5), color: t.ink2, background: t.panel };
export const chosen: CSSObject = { background: t.ink, color: t.panel };
/** One field, for OutlinedInput and for the date pickers' own copy of it. */
export const field = (c: string): CSSObject => ({
  ...roles.lead,
  minHeight: 48,
  background: t.panel,
  color: t.ink,
  borderRadius: 3,
  padding: 0,
  [`& .${c}-notchedOutline`]: { top: 0, border: line(t.line, 1.5), '& legend': { display: 'none' } },
  [`&:hover .${c}-notchedOutline`]: { borderColor: t.ink, borderWidth: 2 },
  '&.Mui-focused': ring,
  [`&.Mui-focused .${c}-notchedOutline`]: { borderColor: t.line, borderWidth: 1.5 },
  [`&.Mui-error .${c}-notchedOutline`]: { borderColor: t.danger.main, borderWidth: 2 },
  [`&.Mui-disabled .${c}-notchedOutline`]: { border: line(t.hair2, 1.5, 'dashed') },
  '&.Mui-disabled': { color: t.ink3, background: 'transparent' },
});
/** Read aloud only. */
export const unseen: CSSObject = { position: 'absolute', width: '1px', height: '1px', overflow: 'hidden', clipPath: 'inset(50%)', whiteSpace: 'nowrap' };

/** What stands below each other in a panel. */
export const padded = { padding: '12px', display: 'grid', gap: '12px', '& > .MuiButton-text': { justifySelf: 'start', margin: '2px 0' } } as const;
/** The same with its buttons no wider than their words. */
export const paddedStart = { ...padded, '& > .MuiButton-root': { justifySelf: 'start' } } as const;
/** Two beside each other. */
export const paired = { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '12px', alignItems: 'start' } as const;
/** The buttons at the end of a form. */
export const acts = { display: 'flex', flexWrap: 'wrap', gap: '10px', alignItems: 'center' } as const;
/** Fields in as many columns as there is room for. */
export const inColumns = { display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))', gap: '12px', alignItems: 'start' } as const;

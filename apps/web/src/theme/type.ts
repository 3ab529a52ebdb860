import type { CSSProperties } from '@mui/material/styles';

export const sign = '"Barlow Condensed","Arial Narrow",sans-serif';
export const text = 'Barlow,Arial,sans-serif';
/** Sizes are px strings: with CSS variables each role becomes one `font` shorthand, in which a bare number is invalid. */
export const f = (px: number, line: number, weight = 600, more: CSSProperties = {}, fontFamily = sign): CSSProperties => ({
  fontFamily,
  fontWeight: weight,
  fontSize: `${px}px`,
  lineHeight: `${line}px`,
  letterSpacing: 0,
  ...more,
});
const shorthand = (family: string) => (px: number, line: number | string, weight: number) =>
  `${weight} ${px}px/${typeof line === 'number' ? `${line}px` : line} var(${family})`;
/** A size that stands in one place only, as a `font` shorthand: as on a sign, and as running text. */
export const signed = shorthand('--f-sign');
export const worded = shorthand('--f-text');
/** What each kind of writing is set in. */
export const roles = {
  heroXl: f(56, 56, 600, { letterSpacing: '-.003em' }),
  hero: f(36, 36, 600, { letterSpacing: '-.003em' }),
  heroMd: f(26, 26),
  title: f(30, 32),
  head: f(17, 20, 600, { letterSpacing: '.02em' }),
  lead: f(18, 22),
  fact: f(15, 18, 500),
  label: f(13, 16, 600, { letterSpacing: '.055em', textTransform: 'uppercase' }),
  axis: f(14, 16, 500),
  body: f(15, 20, 400, {}, text),
  note: f(14, 18, 400, {}, text),
  fault: f(14, 18, 500, {}, text),
};
export type Roles = Record<keyof typeof roles, CSSProperties>;
export type RoleFlags = Record<keyof typeof roles, true>;

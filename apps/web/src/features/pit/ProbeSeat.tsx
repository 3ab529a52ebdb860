import { t } from '../../theme/tokens';

const styles = {
  meat: { fill: t.station.cook.wash, stroke: t.line, strokeWidth: 1.5 },
  middle: { stroke: t.ink, strokeWidth: 1.6 },
  needleLine: { stroke: t.ink, strokeWidth: 2.6 },
  tip: { fill: t.amber.main, stroke: t.ink, strokeWidth: 1.2 },
} as const;
/** A section with a probe that stops short of the middle. */
export const ProbeSeat = () => (
  <svg width="88" height="66" viewBox="0 0 88 66" aria-hidden="true">
    <ellipse cx="33" cy="33" rx="31" ry="28" {...styles.meat} />
    <path d="M29 33h8M33 29v8" {...styles.middle} />
    <path d="M86 15L48 26" {...styles.needleLine} />
    <circle cx="47" cy="26" r="3.6" {...styles.tip} />
  </svg>
);

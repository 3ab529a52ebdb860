import { t } from '../theme/tokens';

/** What the charts are drawn with: attributes of SVG. */
export const ink = {
  axis: { fontSize: '14px', fontWeight: 500, fill: t.ink2 },
  axisSmall: { fontSize: '13px', fontWeight: 500, fill: t.ink2 },
  /** a word that stands over lines */
  over: { fill: t.ink, fontWeight: 600, paintOrder: 'stroke', stroke: t.panel, strokeWidth: '4px' },
  strong: { fill: t.ink, fontWeight: 600 },
  faint: { fill: t.ink3, fontWeight: 500 },
  gridLine: { stroke: t.hair, strokeWidth: 1, fill: 'none' },
  nowLine: { stroke: t.ink, strokeWidth: 1.8 },
  curve: { fill: 'none', strokeLinejoin: 'round' },
  ring: { fill: t.panel, stroke: t.ink, strokeWidth: 2.5 },
  sunk: { fill: t.sunk },
  ink: { fill: t.ink },
  taken: { fill: t.station.cook.main },
} as const;

import { thicknessMm, widthMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { rowOf, sidesOf } from './pumpPlan.js';

/** One needle in the section: mm from the middle of the piece, x to the right, y up. */
interface NeedleSite {
  xMm: number;
  /** where the needle goes in */
  entryYMm: number;
  /** how far its point comes: short of the middle, or of the bone */
  tipYMm: number;
  /** true where the bone stops it: these go in first */
  atBone: boolean;
}

export interface PumpMap {
  /** needles in one section, from both sides where the piece is thick */
  section: NeedleSite[];
  /** rows along the piece, mm from its end */
  alongMm: number[];
  /** needles in all: section × rows */
  sites: number;
}

/** The point stays so far from the middle, as a share of the half thickness, and from the bone, mm [M]. */
const SHORT_OF_MIDDLE = 0.1;
const OFF_BONE_MM = 5;

/**
 * Where the needle goes in: the grid that {@link pumpPlan} counts, drawn on the section and along the piece (docs/science.md, “Pump”).
 *
 * @throws InputError when a size is missing or absurd
 * @example pumpMap({ section: { shape: 'round', diameterMm: 180 }, lengthMm: 300, spacingMm: 25 }).sites // 168
 */
export function pumpMap(p: { section: Section; lengthMm: number; spacingMm: number }): PumpMap {
  const lengthMm = requireNumber('lengthMm', p.lengthMm, { above: 0, max: 2000, unit: 'mm' });
  const spacingMm = requireNumber('spacingMm', p.spacingMm, { min: 5, max: 200, unit: 'mm' });
  const across = spread(rowOf(widthMm(p.section), spacingMm), widthMm(p.section)).map((x) => x - widthMm(p.section) / 2);
  const signs = sidesOf(p.section) === 2 ? [1, -1] : [1];
  const section = across.flatMap((xMm) => signs.map((sign) => needle(p.section, xMm, sign)));
  const alongMm = spread(rowOf(lengthMm, spacingMm), lengthMm);
  return { section, alongMm, sites: section.length * alongMm.length };
}

/** So many places evenly over a length, half a gap in from each end. */
const spread = (count: number, lengthMm: number): number[] => Array.from({ length: count }, (_, i) => ((i + 0.5) / count) * lengthMm);

function needle(section: Section, xMm: number, sign: number): NeedleSite {
  const surface = surfaceMm(section, xMm);
  const bone = section.bone;
  const boneTop = bone === undefined ? 0 : boneReachMm(bone, xMm, sign);
  const free = surface * SHORT_OF_MIDDLE;
  const atBone = boneTop + OFF_BONE_MM > free && boneTop > 0;
  const tip = Math.min(surface, atBone ? boneTop + OFF_BONE_MM : free);
  return { xMm, entryYMm: sign * surface, tipYMm: sign * tip, atBone };
}

/** Half the thickness at a place across the piece. */
function surfaceMm(section: Section, xMm: number): number {
  const half = thicknessMm(section) / 2;
  if (section.shape === 'slab') return half;
  if (section.shape === 'rectangle') return section.heightMm / 2;
  const [a, b] = section.shape === 'ellipse' ? [section.widthMm / 2, section.heightMm / 2] : [half, half];
  return b * Math.sqrt(Math.max(0, 1 - (xMm / a) ** 2));
}

/** How far the bone reaches towards a side at x, 0 where it does not lie under the needle. */
function boneReachMm(bone: NonNullable<Section['bone']>, xMm: number, sign: number): number {
  const radius = bone.diameterMm / 2;
  const beside = xMm - (bone.xMm ?? 0);
  if (Math.abs(beside) >= radius) return 0;
  return Math.max(0, Math.sqrt(radius ** 2 - beside ** 2) + sign * (bone.yMm ?? 0));
}

/** How long a needle must be to come to every site, mm. */
export const deepestMm = ({ section }: PumpMap): number => Math.max(...section.map(({ entryYMm, tipYMm }) => Math.abs(entryYMm - tipYMm)));

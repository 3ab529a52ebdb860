import { InputError } from '../inputError.js';
import { thicknessMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** Salt moves so much slower in fat than in lean [M: docs/science.md, “The cure inside the meat”]. */
const FAT_SHARE = 0.1;

/** A slice from the edge, as it is fried and tasted, is so thick [M]. */
const SLICE_MM = 4;

/** The shape of a section, mm from its middle, y downwards. */
export interface Outline {
  kind: 'slab' | 'ellipse' | 'rectangle';
  /** half axes; of a slab only the height counts */
  a: number;
  b: number;
  widthMm: number;
  heightMm: number;
}

export function outline(section: Section): Outline {
  const thick = thicknessMm(section);
  switch (section.shape) {
    case 'slab':
      // One column: nothing changes along a slab.
      return { kind: 'slab', a: Infinity, b: thick / 2, widthMm: 1e-6, heightMm: thick };
    case 'round':
      return { kind: 'ellipse', a: thick / 2, b: thick / 2, widthMm: thick, heightMm: thick };
    case 'ellipse':
    case 'rectangle':
      return {
        kind: section.shape,
        a: section.widthMm / 2,
        b: section.heightMm / 2,
        widthMm: section.widthMm,
        heightMm: section.heightMm,
      };
  }
}

export function requireBone({ bone }: Section, { kind, a, b }: Outline): void {
  if (bone === undefined) return;
  const radius = requireNumber('section.bone.diameterMm', bone.diameterMm, { above: 0, max: 600, unit: 'mm' }) / 2;
  const x = Math.abs(requireNumber('section.bone.xMm', bone.xMm ?? 0, { min: -600, max: 600, unit: 'mm' }));
  const y = Math.abs(requireNumber('section.bone.yMm', bone.yMm ?? 0, { min: -600, max: 600, unit: 'mm' }));
  const fits = kind === 'ellipse' ? Math.hypot(x / a, y / b) + radius / Math.min(a, b) < 1 : x + radius < a && y + radius < b;
  if (!fits) throw new InputError('section.bone', inputSays('bone-too-large'));
}

/** Inside the rim by at least so much along both axes, and not in the bone. */
export function isMeat(shape: Outline, section: Section, x: number, y: number, clear: number): boolean {
  const [toX, toY] = rimDistances(shape, x, y);
  if (toX < clear || toY < clear) return false;
  return boneDistance(section, x, y) > 0;
}

/** Distance to the rim along x and along y, mm; negative outside. */
export function rimDistances({ kind, a, b }: Outline, x: number, y: number): [number, number] {
  if (kind !== 'ellipse') return [a - Math.abs(x), b - Math.abs(y)];
  const insideX = 1 - (y / b) ** 2;
  const insideY = 1 - (x / a) ** 2;
  return [insideX <= 0 ? -1 : a * Math.sqrt(insideX) - Math.abs(x), insideY <= 0 ? -1 : b * Math.sqrt(insideY) - Math.abs(y)];
}

export function boneDistance({ bone }: Section, x: number, y: number): number {
  return bone === undefined ? Infinity : Math.hypot(x - (bone.xMm ?? 0), y - (bone.yMm ?? 0)) - bone.diameterMm / 2;
}

/** Diffusivity at a place, as a share of that of lean meat. */
export function leanness({ fatCapMm = 0, closedSide }: Section, { b }: Outline, y: number): number {
  if (fatCapMm <= 0) return 1;
  const fromSide = closedSide === 'bottom' ? b - y : y + b;
  return fromSide < fatCapMm ? FAT_SHARE : 1;
}

/** Whether a face of the rim lies at the top or the bottom of the piece. On a round piece that is its quarter. */
export function liesAt(side: 'top' | 'bottom', { kind, a, b }: Outline, x: number, y: number, dx: number, dy: number): boolean {
  const up = side === 'top' ? -1 : 1;
  if (kind !== 'ellipse') return dy === up;
  return (y / b) * up > Math.SQRT1_2 * Math.hypot(x / a, y / b) && (dy === up || dx !== 0);
}

/** How much of a cell lies in a slice from the edge: by its distance from the rim that is open, none under skin. */
export function sliceShare(shape: Outline, { closedSide }: Section, x: number, y: number, cellMm: number): number {
  const { kind, a, b } = shape;
  if (kind === 'ellipse') {
    const underSkin = closedSide !== undefined && liesAt(closedSide, shape, x, y, 0, closedSide === 'top' ? -1 : 1);
    return underSkin ? 0 : within((1 - Math.hypot(x / a, y / b)) * b, cellMm);
  }
  const toTop = closedSide === 'top' ? Infinity : b + y;
  const toBottom = closedSide === 'bottom' ? Infinity : b - y;
  return within(Math.min(a - Math.abs(x), toTop, toBottom), cellMm);
}

const within = (depthMm: number, cellMm: number): number => Math.min(1, Math.max(0, (SLICE_MM - depthMm) / cellMm + 0.5));

/** The rim lies at the same distance on both sides of the middle line. */
export const distanceTowards = (nearer: number, from: number, direction: number): number => (from * direction >= 0 ? nearer : nearer + 2 * Math.abs(from));

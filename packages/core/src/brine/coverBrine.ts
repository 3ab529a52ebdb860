import { InputError } from '../inputError.js';
import { requireNumber, requireThing } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** Inside measures of a tub. */
export type Container =
  { shape: 'round'; diameterMm: number; heightMm: number } | { shape: 'rectangular'; lengthMm: number; widthMm: number; heightMm: number };

/** Density of meat where nothing better is known, g/mL [M]: lean, fat belly, with its bone. */
export const MEAT_DENSITY = { lean: 1.05, fat: 0.95, boneIn: 1.07 } as const;

/** A piece as it lies in the tub. */
export interface LyingPiece {
  massG: number;
  /** how high it lies */
  heightMm: number;
  densityGPerML?: number;
}

/** Brine over the highest piece, mm, when not given [T: 2 to 5 cm]. */
const USUAL_COVER_MM = 30;

export interface Cover {
  /** to cover the pieces */
  brineML: number;
  /** of the brine over the floor */
  levelMm: number;
  /** false where it runs over, or the pieces find no room on the floor */
  fits: boolean;
  /** from the level to the rim; negative where it runs over */
  headroomMm: number;
  /** share of the floor that the pieces take, as if they were blocks */
  floorShare: number;
}

/**
 * Brine to cover pieces that lie side by side in a tub (docs/science.md, “Making it”): floor × level less what the pieces displace.
 *
 * @param p.coverMm over the highest piece; 30 when not given
 * @throws InputError when a size is missing or absurd
 * @example coverBrine({ container: { shape: 'rectangular', lengthMm: 400, widthMm: 300, heightMm: 200 }, pieces: [{ massG: 2625, heightMm: 80 }] }) // 10 700 mL, level 110, headroom 90
 */
export function coverBrine(p: { container: Container; pieces: readonly LyingPiece[]; coverMm?: number }): Cover {
  const { floorMm2, heightMm } = inside(p.container);
  const coverMm = requireNumber('coverMm', p.coverMm ?? USUAL_COVER_MM, { min: 0, max: 300, unit: 'mm' });
  requireThing('pieces', p.pieces, inputSays('which-pieces'));
  if (!(p.pieces.length > 0)) throw new InputError('pieces', inputSays('no-pieces-in-it'));
  const volumes = p.pieces.map((piece, i) => pieceVolumeML(piece, i));
  const highest = Math.max(...p.pieces.map((piece) => piece.heightMm));
  const footMm2 = p.pieces.reduce((sum, piece, i) => sum + ((volumes[i] ?? 0) * 1000) / piece.heightMm, 0);
  const levelMm = highest + coverMm;
  const brineML = (floorMm2 * levelMm) / 1000 - volumes.reduce((a, b) => a + b, 0);
  const headroomMm = heightMm - levelMm;
  const floorShare = footMm2 / floorMm2;
  return { brineML: Math.max(0, brineML), levelMm, fits: headroomMm >= 0 && floorShare <= 1, headroomMm, floorShare };
}

/**
 * Level over the floor when so much brine is poured over pieces, mm; they stay down. Where the brine does not cover them the level
 * is that of a block of the same weight and height.
 */
export function brineLevelMm(p: { container: Container; pieces: readonly LyingPiece[]; brineML: number }): number {
  const { floorMm2 } = inside(p.container);
  const brineMm3 = requireNumber('brineML', p.brineML, { min: 0, max: 1e7, unit: 'mL' }) * 1000;
  const blocks = p.pieces.map((piece, i) => ({ topMm: piece.heightMm, footMm2: (pieceVolumeML(piece, i) * 1000) / piece.heightMm }));
  // Rises past one piece after the other, over the floor that is left free beside those not yet covered.
  let levelMm = 0;
  let left = brineMm3;
  for (const topMm of [...new Set(blocks.map((block) => block.topMm))].sort((a, b) => a - b)) {
    const free = Math.max(floorMm2 * 0.01, floorMm2 - blocks.filter((block) => block.topMm >= topMm).reduce((sum, block) => sum + block.footMm2, 0));
    const toTop = free * (topMm - levelMm);
    if (left <= toTop) return levelMm + left / free;
    left -= toTop;
    levelMm = topMm;
  }
  return levelMm + left / floorMm2;
}

/** Whole volume of a tub to its rim, mL. */
export function containerML(container: Container): number {
  const { floorMm2, heightMm } = inside(container);
  return (floorMm2 * heightMm) / 1000;
}

function inside(container: Container): { floorMm2: number; heightMm: number } {
  requireThing('container', container, inputSays('which-tub'));
  const heightMm = size('container.heightMm', container.heightMm);
  switch (container.shape) {
    case 'round':
      return { floorMm2: (Math.PI / 4) * size('container.diameterMm', container.diameterMm) ** 2, heightMm };
    case 'rectangular':
      return { floorMm2: size('container.lengthMm', container.lengthMm) * size('container.widthMm', container.widthMm), heightMm };
    default:
      throw new InputError('container.shape', inputSays('unknown-tub', { shape: String((container as { shape: unknown }).shape) }));
  }
}

function pieceVolumeML(piece: LyingPiece, i: number): number {
  const massG = requireNumber(`pieces.${i}.massG`, piece.massG, { above: 0, max: 1e6, unit: 'g' });
  requireNumber(`pieces.${i}.heightMm`, piece.heightMm, { above: 0, max: 600, unit: 'mm' });
  return massG / requireNumber(`pieces.${i}.densityGPerML`, piece.densityGPerML ?? MEAT_DENSITY.lean, { min: 0.8, max: 1.3, unit: 'g/mL' });
}

const size = (field: string, mm: number) => requireNumber(field, mm, { min: 20, max: 3000, unit: 'mm' });

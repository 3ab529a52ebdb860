import { InputError } from '../inputError.js';
import { requireNumber, requireThing } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** The cross-section of a piece at its thickest, mm. */
type SectionShape =
  | { shape: 'slab'; thicknessMm: number }
  | { shape: 'round'; diameterMm: number }
  | { shape: 'ellipse'; widthMm: number; heightMm: number }
  | { shape: 'rectangle'; widthMm: number; heightMm: number };

export type Section = SectionShape & {
  bone?: { diameterMm: number; xMm?: number; yMm?: number };
  closedSide?: 'top' | 'bottom';
  fatCapMm?: number;
};

const THICKEST_MM = 600;

/** The way the cure has to come through from both sides, mm: thickness, diameter, or the smaller of width and height. */
export function thicknessMm(section: Section): number {
  requireThing('section', section, inputSays('which-section'));
  switch (section.shape) {
    case 'slab':
      return size('section.thicknessMm', section.thicknessMm);
    case 'round':
      return size('section.diameterMm', section.diameterMm);
    case 'ellipse':
    case 'rectangle':
      return Math.min(size('section.widthMm', section.widthMm), size('section.heightMm', section.heightMm));
    default:
      throw new InputError('section.shape', inputSays('unknown-shape', { shape: String((section as { shape: unknown }).shape) }));
  }
}

/** How far it is across, mm: the widest line of needle sites. A slab is taken as three times as wide as it is thick [M]. */
export function widthMm(section: Section): number {
  requireThing('section', section, inputSays('which-section'));
  switch (section.shape) {
    case 'slab':
      return 3 * thicknessMm(section);
    case 'round':
      return thicknessMm(section);
    case 'ellipse':
    case 'rectangle':
      return Math.max(size('section.widthMm', section.widthMm), size('section.heightMm', section.heightMm));
    default:
      return thicknessMm(section);
  }
}

const size = (field: string, mm: number) => requireNumber(field, mm, { above: 0, max: THICKEST_MM, unit: 'mm' });

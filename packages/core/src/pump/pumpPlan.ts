import { InputError } from '../inputError.js';
import { thicknessMm, widthMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

export interface PumpPlanParams {
  greenG: number;
  pumpPercent: number;
  /** g/mL */
  brineDensity: number;
  syringeML: number;
  /** distance between needle sites */
  spacingMm: number;
  section: Section;
  lengthMm: number;
}

export interface PumpPlan {
  brineG: number;
  brineML: number;
  /** full syringes, the last one may be partly filled */
  strokes: number;
  sites: number;
  mLPerSite: number;
}

/** A piece thicker than this is pumped from both sides, mm [T]. */
const ONE_SIDE_MM = 50;

/** More needle sites are a wrong spacing. */
const MOST_SITES = 5000;

/**
 * What to pump, in grams and strokes, and at how many needle sites (docs/science.md, “Pump”): a grid of the given spacing over the length
 * and width of the piece, from both sides when it is thick.
 *
 * @throws InputError when a size is not positive or the plan would need an absurd number of sites
 * @example pumpPlan({ greenG: 7000, pumpPercent: 10, brineDensity: 1.1, syringeML: 60, spacingMm: 25, section: { shape: 'round', diameterMm: 180 }, lengthMm: 300 }) // 700 g, 636 mL, 11 strokes
 */
export function pumpPlan(p: PumpPlanParams): PumpPlan {
  const greenG = requireNumber('greenG', p.greenG, { above: 0, max: 1e6, unit: 'g' });
  const share = requireNumber('pumpPercent', p.pumpPercent, { above: 0, max: 60, unit: '%' }) / 100;
  const density = requireNumber('brineDensity', p.brineDensity, { min: 0.9, max: 1.4, unit: 'g/mL' });
  const syringeML = requireNumber('syringeML', p.syringeML, { above: 0, max: 5000, unit: 'mL' });
  const spacingMm = requireNumber('spacingMm', p.spacingMm, { min: 5, max: 200, unit: 'mm' });
  const lengthMm = requireNumber('lengthMm', p.lengthMm, { above: 0, max: 2000, unit: 'mm' });
  const along = rowOf(lengthMm, spacingMm);
  const across = rowOf(widthMm(p.section), spacingMm);
  const sides = sidesOf(p.section);
  const sites = along * across * sides;
  if (sites > MOST_SITES) throw new InputError('spacingMm', inputSays('too-many-sites', { most: MOST_SITES }));
  const brineG = greenG * share;
  const brineML = brineG / density;
  return { brineG, brineML, strokes: Math.ceil(brineML / syringeML - 1e-9), sites, mLPerSite: brineML / sites };
}

/** Sites in a row, half a spacing in from each end; at least one. */
export const rowOf = (mm: number, spacingMm: number) => Math.max(1, Math.round(mm / spacingMm));

/** From how many sides a piece is pumped. */
export const sidesOf = (section: Section): 1 | 2 => (thicknessMm(section) > ONE_SIDE_MM ? 2 : 1);

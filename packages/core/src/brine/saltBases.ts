import { requireNumber } from '../units/require.js';

/** One bucket, three numbers: the same salt as a share of three bases, %. */
export interface SaltBases {
  ofWater: number;
  ofBrine: number;
  ofMeatAndWater: number;
}

/**
 * "% salt" by each of the bases that cooks mean (docs/science.md, “Strength”).
 *
 * @param b.saltG all salt, that of the cure included
 * @param b.brineG everything in the bucket but the meat
 * @throws InputError when there is no water
 * @example saltBases({ saltG: 150, waterG: 850, brineG: 1000, meatG: 2000 }) // 17.65 % of water, 15 % of brine, 5.26 % of meat + water
 */
export function saltBases(b: { saltG: number; waterG: number; brineG: number; meatG: number }): SaltBases {
  const saltG = requireNumber('saltG', b.saltG, { min: 0, unit: 'g' });
  const waterG = requireNumber('waterG', b.waterG, { above: 0, unit: 'g' });
  const brineG = requireNumber('brineG', b.brineG, { min: waterG, unit: 'g' });
  const meatG = requireNumber('meatG', b.meatG, { min: 0, unit: 'g' });
  return { ofWater: (saltG / waterG) * 100, ofBrine: (saltG / brineG) * 100, ofMeatAndWater: (saltG / (meatG + waterG)) * 100 };
}

/** Salt that makes a strength on a base, g: the exact inverse of {@link saltBases} for a bucket whose other contents are known. */
export function saltForBase(p: { percent: number; base: keyof SaltBases; waterG: number; otherG?: number; meatG: number }): number {
  const share = requireNumber('percent', p.percent, { min: 0, max: 99, unit: '%' }) / 100;
  const waterG = requireNumber('waterG', p.waterG, { above: 0, unit: 'g' });
  const otherG = requireNumber('otherG', p.otherG ?? 0, { min: 0, unit: 'g' });
  if (p.base === 'ofWater') return share * waterG;
  if (p.base === 'ofBrine') return (share / (1 - share)) * (waterG + otherG);
  return share * (waterG + requireNumber('meatG', p.meatG, { min: 0, unit: 'g' }));
}

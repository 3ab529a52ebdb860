import { requireNumber } from '../units/require.js';

/** Heat that melts a gram of ice, J [P: any physics text]. */
export const MELTING_J_PER_G = 334;
/** Heat that warms a gram of water by a degree, J [P]. */
export const WATER_J_PER_G_K = 4.186;
/** The same for salt and sugar once they are in the brine, J [M]. */
const SOLUTE_J_PER_G_K = 0.9;

export interface WaterSplit {
  /** water heated with salt, sugar and spice */
  hotG: number;
  /** ice, taken at 0 °C */
  iceG: number;
  coldG: number;
  finalC: number;
  /** whether the mix comes down to the target at once */
  reached: boolean;
}

/**
 * How to split the water of a brine into concentrate, ice and cold water so that it ends at the target (docs/science.md, “Making it”).
 * Ice is water: the three together are the whole. Heat balance: what the hot part and the cold part give off melts the ice and warms
 * its water. Without loss to the bucket and the air.
 *
 * @param p.concentrateFraction share of the water that is heated, 0 to 1
 * @param p.soluteG salt, sugar and spice that are heated with it; none when not given
 * @returns weights in g; where all the rest as ice is not cold enough, `reached` is false and `finalC` says what it comes to
 * @throws InputError when a temperature or a share cannot be
 * @example splitWater({ totalWaterG: 10000, concentrateFraction: 0.25, hotC: 95, coldC: 10, targetC: 3 }) // 3146 g of ice, 4354 g cold
 */
export function splitWater(p: {
  totalWaterG: number;
  concentrateFraction: number;
  hotC: number;
  coldC: number;
  targetC: number;
  soluteG?: number;
}): WaterSplit {
  const total = requireNumber('totalWaterG', p.totalWaterG, { above: 0, max: 1e7, unit: 'g' });
  const share = requireNumber('concentrateFraction', p.concentrateFraction, { min: 0, max: 1 });
  const hotC = requireNumber('hotC', p.hotC, { min: 0, max: 100, unit: '°C' });
  const coldC = requireNumber('coldC', p.coldC, { min: 0, max: 60, unit: '°C' });
  const targetC = requireNumber('targetC', p.targetC, { min: 0, max: 60, unit: '°C' });
  const soluteG = requireNumber('soluteG', p.soluteG ?? 0, { min: 0, max: 1e7, unit: 'g' });

  const hotG = total * share;
  const restG = total - hotG;
  const hotJ = hotG * WATER_J_PER_G_K + soluteG * SOLUTE_J_PER_G_K;
  const temperatureWith = (iceG: number) =>
    (hotJ * hotC + (restG - iceG) * WATER_J_PER_G_K * coldC - iceG * MELTING_J_PER_G) / (hotJ + restG * WATER_J_PER_G_K);

  // Heat above the target in the hot part and in all the rest as cold water, per gram of that rest turned into ice.
  const surplusJ = hotJ * (hotC - targetC) + restG * WATER_J_PER_G_K * (coldC - targetC);
  const wantedG = surplusJ / (MELTING_J_PER_G + WATER_J_PER_G_K * coldC);
  const iceG = Math.min(restG, Math.max(0, wantedG));
  return { hotG, iceG, coldG: restG - iceG, finalC: temperatureWith(iceG), reached: wantedG <= restG + 1e-9 * total };
}

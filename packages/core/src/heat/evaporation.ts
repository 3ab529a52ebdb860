/** What surrounds a piece while it is cooked or chilled. */
export type Medium = 'smoker' | 'oven' | 'steam' | 'water' | 'cold';
export const MEDIA: readonly Medium[] = ['smoker', 'oven', 'steam', 'water', 'cold'];

/**
 * How a medium gives and takes heat: W/(m² K) with radiation, and the dew point of its air, °C [M: middle values of engineering tables
 * for moving and still air, steam and stirred water, from memory]. No dew point where nothing dries: the surface lies in water.
 */
const MEDIUM: Readonly<Record<Medium, { filmWPerM2K: number; dewC: number | 'ownHeat' | null }>> = {
  smoker: { filmWPerM2K: 20, dewC: 35 },
  oven: { filmWPerM2K: 22, dewC: 25 },
  steam: { filmWPerM2K: 60, dewC: 'ownHeat' },
  water: { filmWPerM2K: 400, dewC: null },
  cold: { filmWPerM2K: 8, dewC: null },
};

/** Pressure of water vapour above water, Pa [P: Magnus formula, constants from memory; within 1 % from 0 to 100 °C]. */
export const vapourPressurePa = (C: number): number => 610.94 * Math.exp((17.625 * C) / (C + 243.04));

/** J to evaporate a kilogram at a temperature [P: steam tables, straight line, from memory]. */
const evaporationJPerKg = (C: number): number => 2.501e6 - 2361 * C;

/** kg/(m² s) per W/(m² K) and Pa: Lewis' relation for air and water vapour at one bar [P]. */
const LEWIS = 0.622 / (1005 * 0.9 * 101_325);

export interface SurfaceFlow {
  /** heat into the surface, W/m² */
  heatW: number;
  /** how it changes with the surface's temperature, W/(m² K) */
  slope: number;
  /** water that leaves, kg/(m² s) */
  waterKg: number;
}

/** How fast water comes up to a surface: kg/(m² s) at 60 °C, and how many degrees make it e times faster. */
export interface WaterSupply {
  at60Kg: number;
  perC: number;
}

/**
 * What flows through a surface of a temperature in a medium: heat by the film, less what its water takes along as it evaporates. As much
 * leaves as the air takes from a free surface, and not more than comes up from within [P: constant and falling rate of drying].
 *
 * @param film multiple of the medium's own film
 * @param supply null where the surface is wrapped
 */
export function surfaceFlow(medium: Medium, chamberC: number, surfaceC: number, film: number, supply: WaterSupply | null): SurfaceFlow {
  const { filmWPerM2K, dewC } = MEDIUM[medium];
  const h = filmWPerM2K * film;
  const dry = { heatW: h * (chamberC - surfaceC), slope: -h, waterKg: 0 };
  if (dewC === null || supply === null) return dry;
  const airPa = vapourPressurePa(dewC === 'ownHeat' ? Math.min(chamberC, 100) : Math.min(dewC, chamberC));
  const own = vapourPressurePa(surfaceC);
  const latent = evaporationJPerKg(surfaceC);
  const free = LEWIS * h * (own - airPa);
  const comesUp = supply.at60Kg * Math.exp((surfaceC - 60) / supply.perC);
  // On a surface colder than the dew point water settles: that warms it.
  const waterKg = Math.min(free, comesUp);
  const grows = free <= comesUp ? (LEWIS * h * own * 17.625 * 243.04) / (surfaceC + 243.04) ** 2 : comesUp / supply.perC;
  return { heatW: dry.heatW - latent * waterKg, slope: dry.slope - latent * grows, waterKg: Math.max(0, waterKg) };
}

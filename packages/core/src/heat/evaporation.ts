/** What surrounds a piece while it is cooked or chilled. */
export type Medium = 'smoker' | 'oven' | 'steam' | 'water' | 'cold';
export const MEDIA: readonly Medium[] = ['smoker', 'oven', 'steam', 'water', 'cold'];

/**
 * Air that its own warmth moves, and the walls: the film grows with an eighth power of the difference, and is the middle one at so much, °C
 * [M: a quarter power for still air beside radiation, which hardly changes].
 */
const STILL_POWER = 1 / 8;
const STILL_C = 25;

interface MediumTraits {
  /** W/(m² K), radiation with it */
  filmWPerM2K: number;
  /** what is left of it for a wrapped piece: foil gives off little heat, a bag lies loose */
  wrappedShare: number;
  /** dew point of its air, °C, or how far it lies below the air itself; null where nothing dries: the surface lies in water */
  dewC: number | { belowC: number } | null;
  /** share of the usual water that comes up: what was cooked and has rested gives less */
  supplyShare: number;
}

/**
 * How a medium gives and takes heat [M: middle values of engineering tables for moving and still air, steam and stirred water, from memory;
 * held against the courses of other code in courses.test.ts].
 */
const MEDIUM: Readonly<Record<Medium, MediumTraits>> = {
  smoker: { filmWPerM2K: 20, wrappedShare: 0.75, dewC: 35, supplyShare: 1 },
  oven: { filmWPerM2K: 22, wrappedShare: 0.75, dewC: 25, supplyShare: 1 },
  steam: { filmWPerM2K: 60, wrappedShare: 0.75, dewC: { belowC: 0 }, supplyShare: 1 },
  water: { filmWPerM2K: 210, wrappedShare: 1, dewC: null, supplyShare: 1 },
  cold: { filmWPerM2K: 8.3, wrappedShare: 0.72, dewC: { belowC: 6 }, supplyShare: 0.05 },
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
  const { filmWPerM2K, wrappedShare, dewC, supplyShare } = MEDIUM[medium];
  const differenceC = chamberC - surfaceC;
  const power = medium === 'cold' ? STILL_POWER : 0;
  const h = filmWPerM2K * film * (supply === null ? wrappedShare : 1) * Math.max(0.1, Math.abs(differenceC) / STILL_C) ** power;
  const dry = { heatW: h * differenceC, slope: -h * (1 + power), waterKg: 0 };
  if (dewC === null || supply === null) return dry;
  const airPa = vapourPressurePa(typeof dewC === 'number' ? Math.min(dewC, chamberC) : Math.min(chamberC, 100) - dewC.belowC);
  const own = vapourPressurePa(surfaceC);
  const latent = evaporationJPerKg(surfaceC);
  const free = LEWIS * h * (own - airPa);
  const comesUp = supplyShare * supply.at60Kg * Math.exp((surfaceC - 60) / supply.perC);
  // On a surface colder than the dew point water settles: that warms it.
  const waterKg = Math.min(free, comesUp);
  const grows = free <= comesUp ? (LEWIS * h * own * 17.625 * 243.04) / (surfaceC + 243.04) ** 2 : comesUp / supply.perC;
  return { heatW: dry.heatW - latent * waterKg, slope: dry.slope - latent * grows, waterKg: Math.max(0, waterKg) };
}

import type { CookProgram, ProgramPhase } from '../log/cookProgram.js';
import type { TendingAct } from '../log/pitEvent.js';
import { FUEL_MIN, SPRITZ_MIN } from './smokeProgram.js';

/** How a piece is smoked. */
export const SMOKE_WAYS = ['cold', 'low', 'stepped', 'hot'] as const;
export type SmokeWay = (typeof SMOKE_WAYS)[number];

/** Where it is brought to its core temperature. */
export const FINISH_WAYS = ['smoker', 'oven', 'waterBath', 'simmer', 'steam'] as const;
export type FinishWay = (typeof FINISH_WAYS)[number];

export interface UsualProgramParams {
  smoke: SmokeWay;
  finish: FinishWay;
  /** core at which it is done, °C */
  targetC: number;
  /** h in the smoke; the way's usual when not given */
  smokeH?: number;
  /** done once, at a core temperature */
  marks?: { act: TendingAct; atCoreC: number }[];
}

/** Chips and a log; a spritz; a piece turned half-way; the pan looked at. */
const FUEL = { act: 'fuel', everyMin: FUEL_MIN } as const;
const SPRITZ = { act: 'spritz', everyMin: SPRITZ_MIN } as const;
const PAN = { act: 'pan', everyMin: 180 } as const;

const HOTTER_THAN_CORE_C = 8;

/**
 * A usual program: a way to smoke, then a way to finish [T: docs/science.md, “What is made”, “Heat”]. To be altered by hand.
 *
 * @example usualProgram({ smoke: 'stepped', finish: 'smoker', targetC: 64 }).map(({ chamberC }) => chamberC) // [82, 93, 107]
 */
export function usualProgram({ smoke, finish, targetC, smokeH, marks = [] }: UsualProgramParams): CookProgram {
  const smoked = SMOKED[smoke](smokeH);
  const lastMin = smoked.at(-1)?.untilMin ?? 0;
  const hottest = smoked.at(-1)?.chamberC ?? 0;
  const finished = FINISHED[finish](targetC, lastMin, hottest);
  // The piece is glazed or wrapped where it is cooked, whenever its core is there.
  return [...smoked, ...finished.map((phase, i) => (i === finished.length - 1 ? { ...phase, marks } : phase))];
}

const phase = (
  name: string,
  chamberC: number,
  rest: Pick<ProgramPhase, 'medium'> & Partial<Omit<ProgramPhase, 'name' | 'chamberC' | 'medium'>>,
): ProgramPhase => ({
  name,
  chamberC,
  smoke: false,
  pan: false,
  repeats: [],
  marks: [],
  ...rest,
});

const smoking = (name: string, chamberC: number, untilMin: number): ProgramPhase =>
  phase(name, chamberC, { medium: 'smoker', smoke: true, pan: true, untilMin, repeats: [FUEL, SPRITZ] });

const SMOKED: Readonly<Record<SmokeWay, (hours?: number) => ProgramPhase[]>> = {
  // In a cold smoke nothing cooks, and nothing need be wetted.
  cold: (hours = 12) => [phase('Cold smoke', 22, { medium: 'smoker', smoke: true, untilMin: hours * 60, repeats: [{ act: 'fuel', everyMin: 60 }] })],
  low: (hours = 4) => [smoking('Smoke', 95, hours * 60)],
  stepped: (hours = 3) => [smoking('Smoke', 82, hours * 30), smoking('Warmer', 93, hours * 60)],
  hot: (hours = 2) => [smoking('Smoke', 125, hours * 60)],
};

const FINISHED: Readonly<Record<FinishWay, (targetC: number, fromMin: number, hottestC: number) => ProgramPhase[]>> = {
  smoker: (targetC, _from, hottest) => [
    phase('Cook', Math.max(107, hottest, Math.min(135, targetC + HOTTER_THAN_CORE_C)), {
      medium: 'smoker',
      pan: true,
      untilCoreC: targetC,
      repeats: [FUEL, PAN],
    }),
  ],
  oven: (targetC) => [
    phase('Oven', Math.max(120, targetC + HOTTER_THAN_CORE_C), { medium: 'oven', untilCoreC: targetC, repeats: [{ act: 'turn', everyMin: 90 }] }),
  ],
  // A bath is hardly hotter than what it is to make: it cannot overcook.
  waterBath: (targetC) => [phase('Water bath', Math.min(95, targetC + 1), { medium: 'water', untilCoreC: targetC })],
  simmer: (targetC, from) => [
    phase('First simmer', 90, { medium: 'water', untilMin: from + 45 }),
    phase('Simmer in fresh water', 92, { medium: 'water', untilCoreC: targetC, first: ['water'] }),
  ],
  steam: (targetC) => [phase('Steam', 96, { medium: 'steam', untilCoreC: Math.min(targetC, 95), repeats: [{ act: 'pan', everyMin: 60 }] })],
};

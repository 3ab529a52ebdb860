import { cureForNitrite, CURE_1, ingoingNitrite, lethalSeconds, pumpPercent, salometerToSaltPercent, splitWater } from '@bunkhouse/core';
import type { GuidePlace } from '../../reader/words/guidePlaces';
import type { Preferences } from '../../reader/preferences';
import { fewDigits, inWords } from '../../reader/quantities';

/** A question with made-up numbers, and the answer that the program itself would give. */
export interface Exercise {
  asks: string;
  /** of what the answer is, where it is typed in the unit of whoever asks; else its unit in words */
  quantity?: 'mass' | 'smallMass';
  unit: string;
  /** g where it is a weight */
  answer: number;
  /** an answer is right within this */
  within: number;
  working: string;
  place: GuidePlace;
}

/** A number of the list by a lot from 0 to 1. */
const pick = (lot: number, from: number, to: number, step: number): number =>
  Number((from + step * Math.min(Math.floor(lot * (Math.round((to - from) / step) + 1)), Math.round((to - from) / step))).toFixed(6));

const shown = fewDigits;

/** How weights and temperatures are written for whoever asks. */
export type Write = Pick<Preferences, 'system' | 'temperature'>;

type Make = (lots: readonly [number, number, number], write: Write) => Exercise;
const g = (grams: number, write: Write): string => inWords(grams, 'mass', write);
const C = (celsius: number, write: Write): string => inWords(celsius, 'temperature', write, 0);
/** a difference */
const degrees = (kelvin: number, { temperature }: Write): string => (temperature === 'F' ? `${shown(kelvin * 1.8, 1)} °F` : `${shown(kelvin, 1)} °C`);
const fine = (grams: number, write: Write): string => inWords(grams, 'smallMass', write, write.system === 'us' ? 2 : 0);

/** One maker for each thing that a cook works out at the sink. */
const MAKERS: readonly Make[] = [
  ([a, b], write) => {
    const greenG = pick(a, 1850, 7450, 50);
    const pumpedG = Math.round((greenG * (1 + pick(b, 6, 14, 0.5) / 100)) / 5) * 5;
    const answer = pumpPercent({ greenG, pumpedG });
    return {
      asks: `A piece weighed ${g(greenG, write)} green and weighs ${g(pumpedG, write)} after the needle. How much was pumped?`,
      unit: '% of green',
      answer,
      within: 0.15,
      working: `(${g(pumpedG, write)} − ${g(greenG, write)}) ÷ ${g(greenG, write)} = ${shown(answer, 1)} %`,
      place: 'pump',
    };
  },
  ([a, b, c], write) => {
    const brineG = pick(a, 1200, 4800, 100);
    const cureG = pick(b, 15, 60, 1);
    const pump = pick(c, 6, 12, 1);
    const answer = ingoingNitrite({ basis: 'pumped', nitriteG: cureG * NITRITE, brineG, pumpPercent: pump });
    return {
      asks: `${fine(brineG, write)} of pickle hold ${fine(cureG, write)} of cure #1 (${shown(NITRITE * 100)} % nitrite). A piece is pumped ${pump} %. How many ppm went in?`,
      unit: 'ppm',
      answer,
      within: 1,
      working: `${fine(cureG, write)} × ${shown(NITRITE, 4)} ÷ ${fine(brineG, write)} × ${pump} % × 10⁶ = ${shown(answer, 1)} ppm`,
      place: 'nitrite-pumped',
    };
  },
  ([a, b, c], write) => {
    const meatG = pick(a, 1650, 5850, 50);
    const brineG = pick(b, 900, 3600, 50);
    const targetPpm = pick(c, 110, 150, 5);
    const answer = cureForNitrite({ basis: 'equilibrium', targetPpm, brineG, meatG, cure: CURE_1 });
    return {
      asks: `${fine(meatG, write)} of meat lie in ${fine(brineG, write)} of brine, cure and all, until even. How much cure #1 (${shown(NITRITE * 100)} % nitrite) gives ${targetPpm} ppm?`,
      quantity: 'smallMass',
      unit: '',
      answer,
      within: 0.1,
      working: `${targetPpm} ÷ 10⁶ × (${fine(meatG, write)} + ${fine(brineG, write)}) ÷ ${shown(NITRITE, 4)} = ${inWords(answer, 'smallMass', write, 2)}`,
      place: 'nitrite-even',
    };
  },
  ([a], write) => {
    const read = pick(a, 15, 75, 5);
    const answer = salometerToSaltPercent(read);
    return {
      asks: `A brine of salt alone at ${inWords((60 - 32) / 1.8, 'temperature', write)} reads ${read}° on the salometer. How much salt is in it?`,
      unit: '% of the brine',
      answer,
      within: 0.15,
      working: `${read} × ${shown(26.395, 3)} ÷ 100 = ${shown(answer, 2)} %`,
      place: 'strength',
    };
  },
  ([a, b], write) => {
    const waterG = pick(a, 3000, 9000, 500);
    const saltG = pick(b, 300, 1200, 50);
    const answer = (100 * saltG) / (waterG + saltG);
    return {
      asks: `${g(saltG, write)} of salt are stirred into ${g(waterG, write)} of water. How strong is the brine?`,
      unit: '% of the brine',
      answer,
      within: 0.15,
      working: `${g(saltG, write)} ÷ (${g(waterG, write)} + ${g(saltG, write)}) = ${shown(answer, 2)} %. Of the water alone it would be ${shown((100 * saltG) / waterG, 2)} %`,
      place: 'strength',
    };
  },
  ([a, b], write) => {
    const totalWaterG = pick(a, 4000, 10_000, 500);
    const coldC = pick(b, 8, 16, 1);
    const { iceG } = splitWater({ totalWaterG, concentrateFraction: 0.25, hotC: 90, coldC, targetC: 3 });
    return {
      asks: `A quarter of ${g(totalWaterG, write)} of water was heated to ${C(90, write)}, the tap gives ${C(coldC, write)}. How much of the rest must be ice, so that it ends at ${C(3, write)}?`,
      quantity: 'mass',
      unit: '',
      answer: iceG,
      within: Math.max(20, iceG * 0.02),
      working: `(${g(totalWaterG / 4, write)} × ${degrees(87, write)} + ${g(totalWaterG * 0.75, write)} × ${degrees(coldC - 3, write)}) ÷ (${degrees(334 / 4.186, write)} + ${degrees(coldC, write)}) = ${g(iceG, write)}`,
      place: 'ice',
    };
  },
  ([a], write) => {
    const F = pick(a, 132, 144, 1);
    const answer = lethalSeconds(((F - 32) * 5) / 9) / 60;
    return {
      asks: `A loin is held with its whole core at ${inWords(((F - 32) * 5) / 9, 'temperature', write)}. How many minutes until it is safe by time?`,
      unit: 'min',
      answer,
      within: Math.max(1, answer * 0.05),
      working: `The table has ${shown(answer, 0)} min at ${inWords(((F - 32) * 5) / 9, 'temperature', write)}`,
      place: 'lethality',
    };
  },
];

const NITRITE = 0.0625;

/** How many kinds there are. */
export const EXERCISES = MAKERS.length;

/** An exercise by its number and three lots from 0 to 1. */
export function exercise(number: number, lots: readonly [number, number, number], write: Write): Exercise {
  const make = MAKERS[((number % MAKERS.length) + MAKERS.length) % MAKERS.length] as Make;
  return make(lots, write);
}

export const isRight = ({ answer, within }: Exercise, typed: number): boolean => Math.abs(typed - answer) <= within;

/** The slip behind an answer that is off in a way that is often seen. */
export function slipOf({ answer, within }: Exercise, typed: number): string | null {
  const near = (value: number) => Math.abs(typed - value) <= Math.max(within * Math.abs(value / answer), 1e-9);
  if (near(answer * 10) || near(answer / 10)) return 'Ten times off: look at the point.';
  if (near(answer * 100) || near(answer / 100)) return 'A hundred times off: a percent is a hundredth.';
  if (near(answer * 1000) || near(answer / 1000)) return 'A thousand times off: grams or kilograms?';
  if (near(answer / NITRITE)) return 'That is as if the cure were all nitrite: only a sixteenth of it is.';
  if (near(answer * NITRITE)) return 'That is the nitrite alone: the cure is sixteen times as much.';
  return null;
}

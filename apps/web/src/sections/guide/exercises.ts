import { cureForNitrite, CURE_1, ingoingNitrite, lethalSeconds, pumpPercent, salometerToSaltPercent, splitWater } from '@bunkhouse/core';
import type { GuidePlace } from '../../shell/guidePlaces';

/** A question with made-up numbers, and the answer that the program itself would give. */
export interface Exercise {
  asks: string;
  unit: string;
  answer: number;
  /** an answer is right within this, in its unit */
  within: number;
  working: string;
  place: GuidePlace;
}

/** A number of the list by a lot from 0 to 1. */
const pick = (lot: number, from: number, to: number, step: number): number =>
  Number((from + step * Math.min(Math.floor(lot * (Math.round((to - from) / step) + 1)), Math.round((to - from) / step))).toFixed(6));

const shown = (value: number, places = 1): string => String(Number(value.toFixed(places)));

type Make = (lots: readonly [number, number, number]) => Exercise;

/** One maker for each thing that a cook works out at the sink. */
const MAKERS: readonly Make[] = [
  ([a, b]) => {
    const greenG = pick(a, 1850, 7450, 50);
    const pumpedG = Math.round((greenG * (1 + pick(b, 6, 14, 0.5) / 100)) / 5) * 5;
    const answer = pumpPercent({ greenG, pumpedG });
    return {
      asks: `A piece weighed ${greenG} g green and weighs ${pumpedG} g after the needle. How much was pumped?`,
      unit: '% of green',
      answer,
      within: 0.15,
      working: `(${pumpedG} − ${greenG}) ÷ ${greenG} = ${shown(answer)} %`,
      place: 'pump',
    };
  },
  ([a, b, c]) => {
    const brineG = pick(a, 1200, 4800, 100);
    const cureG = pick(b, 15, 60, 1);
    const pump = pick(c, 6, 12, 1);
    const answer = ingoingNitrite({ basis: 'pumped', nitriteG: cureG * NITRITE, brineG, pumpPercent: pump });
    return {
      asks: `${brineG} g of pickle hold ${cureG} g of cure #1 (6.25 % nitrite). A piece is pumped ${pump} %. How many ppm went in?`,
      unit: 'ppm',
      answer,
      within: 1,
      working: `${cureG} × 0.0625 ÷ ${brineG} × ${pump} % × 10⁶ = ${shown(answer)} ppm`,
      place: 'nitrite-pumped',
    };
  },
  ([a, b, c]) => {
    const meatG = pick(a, 1650, 5850, 50);
    const brineG = pick(b, 900, 3600, 50);
    const targetPpm = pick(c, 110, 150, 5);
    const answer = cureForNitrite({ basis: 'equilibrium', targetPpm, brineG, meatG, cure: CURE_1 });
    return {
      asks: `${meatG} g of meat lie in ${brineG} g of brine, cure and all, until even. How much cure #1 (6.25 % nitrite) gives ${targetPpm} ppm?`,
      unit: 'g',
      answer,
      within: 0.1,
      working: `${targetPpm} ÷ 10⁶ × (${meatG} + ${brineG}) ÷ 0.0625 = ${shown(answer, 2)} g`,
      place: 'nitrite-even',
    };
  },
  ([a]) => {
    const degrees = pick(a, 15, 75, 5);
    const answer = salometerToSaltPercent(degrees);
    return {
      asks: `A brine of salt alone at 15.6 °C reads ${degrees}° on the salometer. How much salt is in it?`,
      unit: '% of the brine',
      answer,
      within: 0.15,
      working: `${degrees} × 26.395 ÷ 100 = ${shown(answer, 2)} %`,
      place: 'strength',
    };
  },
  ([a, b]) => {
    const waterG = pick(a, 3000, 9000, 500);
    const saltG = pick(b, 300, 1200, 50);
    const answer = (100 * saltG) / (waterG + saltG);
    return {
      asks: `${saltG} g of salt are stirred into ${waterG} g of water. How strong is the brine?`,
      unit: '% of the brine',
      answer,
      within: 0.15,
      working: `${saltG} ÷ (${waterG} + ${saltG}) = ${shown(answer, 2)} %. Of the water alone it would be ${shown((100 * saltG) / waterG, 2)} %`,
      place: 'strength',
    };
  },
  ([a, b]) => {
    const totalWaterG = pick(a, 4000, 10_000, 500);
    const coldC = pick(b, 8, 16, 1);
    const { iceG } = splitWater({ totalWaterG, concentrateFraction: 0.25, hotC: 90, coldC, targetC: 3 });
    return {
      asks: `A quarter of ${totalWaterG} g of water was heated to 90 °C, the tap gives ${coldC} °C. How much of the rest must be ice, so that it ends at 3 °C?`,
      unit: 'g',
      answer: iceG,
      within: Math.max(20, iceG * 0.02),
      working: `(${shown(totalWaterG / 4)} × 87 + ${shown(totalWaterG * 0.75)} × ${coldC - 3}) × 4.186 ÷ (334 + 4.186 × ${coldC}) = ${shown(iceG, 0)} g`,
      place: 'ice',
    };
  },
  ([a]) => {
    const F = pick(a, 132, 144, 1);
    const answer = lethalSeconds(((F - 32) * 5) / 9) / 60;
    return {
      asks: `A loin is held with its whole core at ${shown(((F - 32) * 5) / 9)} °C (${F} °F). How many minutes until it is safe by time?`,
      unit: 'min',
      answer,
      within: Math.max(1, answer * 0.05),
      working: `The table has ${shown(answer, 0)} min at ${F} °F`,
      place: 'lethality',
    };
  },
];

const NITRITE = 0.0625;

/** How many kinds there are. */
export const EXERCISES = MAKERS.length;

/** An exercise by its number and three lots from 0 to 1. */
export function exercise(number: number, lots: readonly [number, number, number]): Exercise {
  const make = MAKERS[((number % MAKERS.length) + MAKERS.length) % MAKERS.length] as Make;
  return make(lots);
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

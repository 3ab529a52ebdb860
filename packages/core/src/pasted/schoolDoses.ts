import { cureForNitrite, USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { nitriteShare, type CureMix } from '../ingredients/cureMix.js';
import { measureToGrams } from '../ingredients/measureToGrams.js';
import { sheetSays } from '../say/english/sheet.js';
import type { Message } from '../say/message.js';
import { exactly, scaled, type Measured } from '../units/measured.js';
import type { Whole } from './nitriteOfRecipe.js';

/** What one school would weigh for the same meat and the same water. */
export interface SchoolDose {
  id: 'even' | 'kitchen' | 'teaspoon' | 'clock' | 'pump' | 'dry';
  school: string;
  /** the same, to be said to whoever reads */
  said: Message;
  cureG: Measured;
  /** what that dose comes to when meat and brine are left until even, ppm */
  evenPpm: Measured;
}

/** Common practice: cure #1 at 2.5 g per kg of meat and water; a level teaspoon for five pounds of meat. */
const KITCHEN_G_PER_KG = 2.5;
const FIVE_LB_G = 5 * 453.59237;

/**
 * The doses of the schools side by side (docs/science.md, “Ingoing nitrite”, “Ways of dosing”): they count the same nitrite against different weights, which is
 * why they argue.
 */
export function schoolDoses(p: { mix: CureMix; whole: Whole; meatG: number; aimPpm: number; pumpPercent?: number }): SchoolDose[] {
  if (p.mix.nitritePercent <= 0) return [];
  const share = nitriteShare(p.mix);
  const restG = p.whole.all.value - p.whole.cure.value;
  const wet = restG > 0 && p.whole.water.value > 0;
  const evenPpm = (cureG: number) => ((cureG * share) / (p.meatG + restG + cureG)) * 1e6;
  const dose = (id: SchoolDose['id'], said: Message, cureG: Measured): SchoolDose => ({
    id,
    school: said.message,
    said,
    cureG,
    evenPpm: { value: evenPpm(cureG.value), low: evenPpm(cureG.low), high: evenPpm(cureG.high) },
  });
  const perPart = (ppm: number) => ppm / 1e6 / share;
  // The cure is part of the brine that it is counted against: cure = d × (rest + cure).
  const ofBrine = (percent: number) => {
    const d = perPart(p.aimPpm) / (percent / 100);
    return d < 1 ? exactly((d * restG) / (1 - d)) : null;
  };
  const even = perPart(p.aimPpm);
  const pump = p.pumpPercent === undefined || !wet ? null : ofBrine(p.pumpPercent);
  const clock = wet ? ofBrine(USUAL_PICK_UP_PERCENT) : null;
  const spoon = measureToGrams({ ingredient: 'cure-1', amount: p.meatG / FIVE_LB_G, unit: 'tsp' });
  const isCure1 = p.mix.nitritePercent === 6.25;
  return [
    dose('even', sheetSays('school-even', { aim: p.aimPpm }), exactly((even * (p.meatG + restG)) / (1 - even))),
    ...(isCure1 && wet
      ? [dose('kitchen', sheetSays('school-kitchen', { rate: KITCHEN_G_PER_KG }), scaled(exactly((p.meatG + p.whole.water.value) / 1000), KITCHEN_G_PER_KG))]
      : []),
    ...(isCure1 ? [dose('teaspoon', sheetSays('school-teaspoon'), { value: spoon.grams, low: spoon.low, high: spoon.high })] : []),
    ...(clock === null ? [] : [dose('clock', sheetSays('school-clock', { aim: p.aimPpm, percent: USUAL_PICK_UP_PERCENT }), clock)]),
    ...(pump === null ? [] : [dose('pump', sheetSays('school-pump', { aim: p.aimPpm, percent: p.pumpPercent ?? 0 }), pump)]),
    dose('dry', sheetSays('school-dry', { aim: p.aimPpm }), exactly(cureForNitrite({ basis: 'dry', targetPpm: p.aimPpm, meatG: p.meatG, cure: p.mix }))),
  ];
}

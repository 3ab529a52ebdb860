import { figureSays } from '../say/english/figures.js';
import type { Message } from '../say/message.js';
import { asFigure, type Figure } from '../units/figure.js';
import { exactly, over, scaled, times, type Measured } from '../units/measured.js';
import type { NitriteJudgement } from './judgeNitrite.js';

const SOURCE = 'FSIS Processing Inspectors’ Calculations Handbook, Directive 7620.3; value from memory';

/** A brine and the sodium nitrite in it, g, with the doubt of how they were measured. */
export interface NitriteInBrine {
  nitrite: Measured;
  brine: Measured;
}

/** The inspectors' four methods as figures with doubt and working (docs/science.md, “Ingoing nitrite”). `share` is of green weight, 0 to 1. */
export const pumpedFigure = ({ nitrite, brine }: NitriteInBrine, share: Measured, label = figureSays('fig-from-pump')): Figure =>
  asFigure(scaled(times(over(nitrite, brine), share), 1e6), { id: 'nitrite-pumped', unit: 'ppm', source: SOURCE }, () => ({
    label,
    base: figureSays('of-green'),
    formula: figureSays('by-pump'),
    working: figureSays('sum-share', { nitriteG: nitrite.value, brineG: brine.value, percent: share.value * 100 }),
  }));

export const pickUpFigure = ({ nitrite, brine }: NitriteInBrine, percent: number, label: Message): Figure =>
  asFigure(scaled(times(over(nitrite, brine), exactly(percent / 100)), 1e6), { id: 'nitrite-pick-up', unit: 'ppm', source: SOURCE }, () => ({
    label,
    base: figureSays('of-green-pick-up'),
    formula: figureSays('by-pick-up'),
    working: figureSays('sum-share', { nitriteG: nitrite.value, brineG: brine.value, percent }),
  }));

export const evenFigure = (nitrite: Measured, everything: Measured): Figure =>
  asFigure(scaled(over(nitrite, everything), 1e6), { id: 'nitrite-even', unit: 'ppm', source: SOURCE }, () => ({
    label: figureSays('fig-if-even'),
    base: figureSays('of-meat-and-brine'),
    formula: figureSays('by-even'),
    working: figureSays('sum-even', { nitriteG: nitrite.value, allG: everything.value }),
  }));

export const dryFigure = (nitrite: Measured, meat: Measured): Figure =>
  asFigure(scaled(over(nitrite, meat), 1e6), { id: 'nitrite-dry', unit: 'ppm', source: SOURCE }, () => ({
    label: figureSays('fig-rubbed'),
    base: figureSays('of-green'),
    formula: figureSays('by-dry'),
    working: figureSays('sum-even', { nitriteG: nitrite.value, allG: meat.value }),
  }));

/** The ingoing nitrite by every method that bears on it. */
export interface NitriteFigures {
  /** the figure that is judged */
  applies: Figure;
  judgement: NitriteJudgement;
  /** why this one applies */
  because: string;
  why: Message;
  /** the other figures, which bound it */
  others: Figure[];
  /** the tub or bag that it is of, where pieces lie in several: the one that is furthest off */
  of?: Message;
  /** the lowest piece by the pumped method, where pieces are pumped */
  lowestPumped: (Figure & { piece?: string }) | null;
}

/** Why a figure applies, to be said and in plain English. */
export const because = (why: Message): Pick<NitriteFigures, 'because' | 'why'> => ({ because: why.message, why });

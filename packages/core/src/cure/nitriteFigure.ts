import { inWorking, type Figure } from '../units/figure.js';
import { exactly, over, scaled, times, type Measured } from '../units/measured.js';
import type { NitriteJudgement } from './judgeNitrite.js';

const SOURCE = 'FSIS Processing Inspectors’ Calculations Handbook, Directive 7620.3; value from memory';

/** A brine and the sodium nitrite in it, g, with the doubt of how they were measured. */
export interface NitriteInBrine {
  nitrite: Measured;
  brine: Measured;
}

/** The inspectors' four methods as figures with doubt and working (docs/science.md, “Ingoing nitrite”). `share` is of green weight, 0 to 1. */
export const pumpedFigure = ({ nitrite, brine }: NitriteInBrine, share: Measured, label = 'From the pump'): Figure => ({
  ...scaled(times(over(nitrite, brine), share), 1e6),
  id: 'nitrite-pumped',
  label,
  unit: 'ppm',
  base: 'of green weight',
  formula: 'nitrite ÷ pickle × pump % × 1 000 000',
  working: `${inWorking(nitrite.value)} g ÷ ${inWorking(brine.value)} g × ${inWorking(share.value * 100)} % × 1 000 000`,
  source: SOURCE,
});

export const pickUpFigure = ({ nitrite, brine }: NitriteInBrine, percent: number, label: string): Figure => ({
  ...scaled(times(over(nitrite, brine), exactly(percent / 100)), 1e6),
  id: 'nitrite-pick-up',
  label,
  unit: 'ppm',
  base: 'of green weight, by pick-up',
  formula: 'nitrite ÷ brine × pick-up × 1 000 000',
  working: `${inWorking(nitrite.value)} g ÷ ${inWorking(brine.value)} g × ${inWorking(percent)} % × 1 000 000`,
  source: SOURCE,
});

export const evenFigure = (nitrite: Measured, everything: Measured): Figure => ({
  ...scaled(over(nitrite, everything), 1e6),
  id: 'nitrite-even',
  label: 'If left until even',
  unit: 'ppm',
  base: 'of meat and brine together',
  formula: 'nitrite × 1 000 000 ÷ (meat + brine)',
  working: `${inWorking(nitrite.value)} g × 1 000 000 ÷ ${inWorking(everything.value)} g`,
  source: SOURCE,
});

export const dryFigure = (nitrite: Measured, meat: Measured): Figure => ({
  ...scaled(over(nitrite, meat), 1e6),
  id: 'nitrite-dry',
  label: 'Rubbed on, or in its own juice',
  unit: 'ppm',
  base: 'of green weight',
  formula: 'nitrite × 1 000 000 ÷ meat',
  working: `${inWorking(nitrite.value)} g × 1 000 000 ÷ ${inWorking(meat.value)} g`,
  source: SOURCE,
});

/** The ingoing nitrite by every method that bears on it. */
export interface NitriteFigures {
  /** the figure that is judged */
  applies: Figure;
  judgement: NitriteJudgement;
  /** why this one applies */
  because: string;
  /** the other figures, which bound it */
  others: Figure[];
  /** the lowest piece by the pumped method, where pieces are pumped */
  lowestPumped: (Figure & { piece?: string }) | null;
}

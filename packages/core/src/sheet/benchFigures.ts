import { HOLD_DOWN_MARGIN } from '../brine/holdDown.js';
import { MELTING_J_PER_G, WATER_J_PER_G_K } from '../brine/splitWater.js';
import type { RecipeAudit } from '../pasted/auditRecipe.js';
import type { Strength } from '../pasted/bucket.js';
import { inWorking, type Figure } from '../units/figure.js';
import { exactly } from '../units/measured.js';
import type { BenchSheet } from './benchSheet.js';
import type { Making, Pump, Tub } from './workOut.js';

const sure = (value: number, rest: Omit<Figure, 'value' | 'low' | 'high'>): Figure => ({ ...exactly(value), ...rest });

/** The three meanings of "% salt", with their working. */
export function baseFigures({ brine }: RecipeAudit, { bases }: Strength, meatG: number): Figure[] {
  const base = (id: string, label: string, value: number, of: string, formula: string, overG: number): Figure =>
    sure(value, { id, label, unit: '%', base: of, formula, working: `${inWorking(brine.saltG)} g ÷ ${inWorking(overG)} g × 100`, source: 'Definition' });
  return [
    base('of-water', 'Of the water', bases.ofWater, 'of the water', 'all salt ÷ water × 100', brine.waterG),
    base('of-brine', 'Of the brine', bases.ofBrine, 'of everything in the brine', 'all salt ÷ brine × 100', brine.brineG),
    base('of-meat-water', 'Of meat and water', bases.ofMeatAndWater, 'of meat and water together', 'all salt ÷ (meat + water) × 100', meatG + brine.waterG),
  ];
}

export const makingFigures = ({ hotC, coldC, targetC }: BenchSheet, { split, waterG }: Making): Figure[] => [
  sure(split.iceG, {
    id: 'ice',
    label: 'Ice',
    unit: 'g',
    base: `of ${inWorking(waterG)} g of water in all; ice counts as water`,
    formula: 'heat above the target in hot and cold part ÷ (melting heat + heat of the cold water that it stands for)',
    working: `(hot part at ${inWorking(hotC)} °C and the rest at ${inWorking(coldC)} °C, down to ${inWorking(targetC)} °C) ÷ (${MELTING_J_PER_G} J/g + ${WATER_J_PER_G_K} J/g·K × ${inWorking(coldC)} °C)`,
    source: 'Heat balance, any physics text; without loss to the bucket and the air',
  }),
];

export function tubFigures(sheet: BenchSheet, tub: Tub): Figure[] {
  const { cover, container, pieces, holdDownG } = tub;
  const meatML = pieces.reduce((sum, piece) => sum + piece.massG / (piece.densityGPerML ?? 1.05), 0);
  const down = sure(holdDownG, {
    id: 'hold-down',
    label: 'Weight to hold it down',
    unit: 'g',
    base: 'as felt in the brine',
    formula: 'volume of the meat × (density of brine − density of meat) × margin',
    working: `${inWorking(meatML)} mL × (brine − ${inWorking(pieces[0]?.densityGPerML ?? 1.05)} g/mL) × ${HOLD_DOWN_MARGIN}`,
    source: 'Buoyancy; densities of meat are modelling choices: lean 1.05, fat belly 0.95, with its bone 1.07 g/mL',
  });
  if (cover === null || container === null) return [down];
  const floorMm2 = container.shape === 'round' ? (Math.PI / 4) * container.diameterMm ** 2 : container.lengthMm * container.widthMm;
  return [
    sure(cover.brineML, {
      id: 'cover',
      label: 'Brine to cover',
      unit: 'mL',
      base: `with ${inWorking(sheet.coverMm)} mm over the highest piece`,
      formula: 'floor × level − what the pieces push away',
      working: `${inWorking(floorMm2 / 100)} cm² × ${inWorking(cover.levelMm / 10)} cm − ${inWorking(meatML)} mL`,
      source: 'Geometry; 2 to 5 cm of cover is common practice',
    }),
    down,
  ];
}

export const pumpFigures = ({ greenG, pieces, pumpPercent, syringeML, pumpedG }: BenchSheet, { plan, actual }: Pump): Figure[] => [
  sure(plan.brineG, {
    id: 'pump-grams',
    label: 'To pump, each piece',
    unit: 'g',
    base: 'of green weight',
    formula: 'pump % × green weight of a piece',
    working: `${inWorking(pumpPercent)} % × ${inWorking(greenG / Math.max(1, Math.round(pieces)))} g`,
    source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory',
  }),
  sure(plan.mLPerSite, {
    id: 'per-site',
    label: 'At each site',
    unit: 'mL',
    base: `in ${plan.strokes} strokes of ${inWorking(syringeML)} mL`,
    formula: 'pickle ÷ its density ÷ needle sites',
    working: `${inWorking(plan.brineML)} mL ÷ ${plan.sites}`,
    source: 'A site every 2 to 3 cm: common practice',
  }),
  ...(actual === null || pumpedG === undefined
    ? []
    : [
        sure(actual.percent, {
          id: 'pump-actual',
          label: 'It took',
          unit: '%',
          base: 'of green weight',
          formula: '(weight after − green weight) ÷ green weight × 100',
          working: `(${inWorking(pumpedG)} g − ${inWorking(greenG)} g) ÷ ${inWorking(greenG)} g × 100`,
          source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory',
        }),
        ...(actual.figure === null ? [] : [actual.figure]),
      ]),
];

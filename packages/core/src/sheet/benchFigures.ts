import { HOLD_DOWN_MARGIN } from '../brine/holdDown.js';
import { MELTING_J_PER_G, WATER_J_PER_G_K } from '../brine/splitWater.js';
import type { RecipeAudit } from '../pasted/auditRecipe.js';
import type { Strength } from '../pasted/bucket.js';
import { figureSays } from '../say/english/figures.js';
import { sheetSays } from '../say/english/sheet.js';
import type { Message } from '../say/message.js';
import { asFigure, type Figure, type FigureWords } from '../units/figure.js';
import { exactly } from '../units/measured.js';
import type { BenchSheet } from './benchSheet.js';
import type { Making, Pump, Tub } from './workOut.js';

const sure = (value: number, key: Parameters<typeof asFigure>[1], words: () => FigureWords): Figure => asFigure(exactly(value), key, words);

/** The three meanings of "% salt", with their working. */
export function baseFigures({ brine }: RecipeAudit, { bases }: Strength, meatG: number): Figure[] {
  const base = (id: string, value: number, overG: number, said: { label: Message; base: Message; formula: Message }): Figure =>
    sure(value, { id, unit: '%', source: 'Definition' }, () => ({ ...said, working: figureSays('sum-percent', { partG: brine.saltG, allG: overG }) }));
  return [
    base('of-water', bases.ofWater, brine.waterG, {
      label: sheetSays('fig-of-water'),
      base: sheetSays('of-water'),
      formula: sheetSays('by-of-water'),
    }),
    base('of-brine', bases.ofBrine, brine.brineG, {
      label: sheetSays('fig-of-brine'),
      base: sheetSays('of-all-brine'),
      formula: sheetSays('by-of-brine'),
    }),
    base('of-meat-water', bases.ofMeatAndWater, meatG + brine.waterG, {
      label: sheetSays('fig-of-meat-and-water'),
      base: sheetSays('of-both'),
      formula: figureSays('by-salt-of-all'),
    }),
  ];
}

export const makingFigures = ({ hotC, coldC, targetC }: BenchSheet, { split, waterG }: Making): Figure[] => [
  sure(
    split.iceG,
    {
      id: 'ice',
      unit: 'g',
      source: `Heat balance, any physics text: ${MELTING_J_PER_G} J/g to melt, water ${WATER_J_PER_G_K} J/g·K; without loss to the bucket and the air`,
    },
    () => ({
      label: sheetSays('fig-ice'),
      base: sheetSays('of-all-water', { waterG }),
      formula: sheetSays('by-ice'),
      working: sheetSays('sum-ice', { hotC, coldC, targetC, fallC: coldC }),
    }),
  ),
];

export function tubFigures(sheet: BenchSheet, tub: Tub): Figure[] {
  const { cover, container, pieces, holdDownG } = tub;
  const meatML = pieces.reduce((sum, piece) => sum + piece.massG / (piece.densityGPerML ?? 1.05), 0);
  const down = sure(
    holdDownG,
    { id: 'hold-down', unit: 'g', source: 'Buoyancy; densities of meat are modelling choices: lean 1.05, fat belly 0.95, with its bone 1.07 g/mL' },
    () => ({
      label: sheetSays('fig-hold-down'),
      base: sheetSays('as-felt'),
      formula: sheetSays('by-hold-down'),
      working: sheetSays('sum-hold-down', { meatML, density: pieces[0]?.densityGPerML ?? 1.05, margin: HOLD_DOWN_MARGIN }),
    }),
  );
  if (cover === null || container === null) return [down];
  const floorMm2 = container.shape === 'round' ? (Math.PI / 4) * container.diameterMm ** 2 : container.lengthMm * container.widthMm;
  return [
    sure(cover.brineML, { id: 'cover', unit: 'mL', source: 'Geometry; 2 to 5 cm of cover is common practice' }, () => ({
      label: sheetSays('fig-cover'),
      base: sheetSays('over-highest', { coverMm: sheet.coverMm }),
      formula: sheetSays('by-cover'),
      working: sheetSays('sum-cover', { floorMm2, levelMm: cover.levelMm, meatML }),
    })),
    down,
  ];
}

export const pumpFigures = ({ greenG, pieces, pumpPercent, syringeML, pumpedG }: BenchSheet, { plan, actual }: Pump): Figure[] => [
  sure(plan.brineG, { id: 'pump-grams', unit: 'g', source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory' }, () => ({
    label: sheetSays('fig-pump-grams'),
    base: figureSays('of-green'),
    formula: sheetSays('by-pump-grams'),
    working: sheetSays('sum-pump-grams', { percent: pumpPercent, pieceG: greenG / Math.max(1, Math.round(pieces)) }),
  })),
  sure(plan.mLPerSite, { id: 'per-site', unit: 'mL', source: 'A site every 2 to 3 cm: common practice' }, () => ({
    label: sheetSays('fig-per-site'),
    base: sheetSays('in-strokes', { strokes: plan.strokes, syringeML }),
    formula: sheetSays('by-site'),
    working: sheetSays('sum-site', { brineML: plan.brineML, sites: plan.sites }),
  })),
  ...(actual === null || pumpedG === undefined
    ? []
    : [
        sure(actual.percent, { id: 'pump-actual', unit: '%', source: 'FSIS Processing Inspectors’ Calculations Handbook; value from memory' }, () => ({
          label: sheetSays('fig-it-took'),
          base: figureSays('of-green'),
          formula: sheetSays('by-taken'),
          working: sheetSays('sum-taken', { afterG: pumpedG, greenG }),
        })),
        ...(actual.figure === null ? [] : [actual.figure]),
      ]),
];

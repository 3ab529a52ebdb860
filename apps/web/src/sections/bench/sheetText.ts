import { cureMixOf, type BenchSheet, type RecipeLine, type WorkedRecipe } from '@bunkhouse/core';
import { digits } from '../../shell/quantities';
import { PRODUCT_NAMES, SCHOOL_WORDS } from '../../shell/tradeWords';
import { USE_WORDS } from './words';

/** What stands over a printed or copied sheet. */
export const sheetTitle = (sheet: BenchSheet): string =>
  [
    PRODUCT_NAMES[sheet.product],
    `${digits(sheet.greenG, 0)} g of meat`,
    (sheet.door === 'want' ? SCHOOL_WORDS[sheet.school][0] : USE_WORDS[sheet.use]).toLowerCase(),
    ...(sheet.door === 'want' && sheet.school !== 'dryRub' ? [`${digits(sheet.days, 1)} days`] : []),
  ].join(', ');

/** A sheet as plain text: to paste into a message, or onto the wall. In grams, which every scale has. */
export function sheetText(sheet: BenchSheet, { audit, lines, coverLines }: WorkedRecipe): string {
  const { applies, judgement, because } = audit.nitrite;
  const rows = (of: readonly RecipeLine[], from: number) =>
    of.map((line, i) => {
      const grams = audit.grams[from + i];
      const fine = cureMixOf(line.ingredient, [sheet.cure]) !== null;
      return `${(line.name ?? line.ingredient).padEnd(24)} ${(grams?.value ?? 0).toFixed(fine ? 1 : 0).padStart(8)} g`;
    });
  return [
    sheetTitle(sheet),
    '',
    ...(coverLines === null ? [] : ['Pump pickle']),
    ...rows(lines, 0),
    ...(coverLines === null ? [] : ['', 'Cover brine', ...rows(coverLines, lines.length)]),
    '',
    ...(audit.strength === null
      ? []
      : [`Strength ${audit.strength.saltPercent.value.toFixed(1)} % salt, ${digits(audit.strength.salometer ?? 100, 0)} ° salometer`]),
    `Ingoing nitrite ${applies.value.toFixed(1)} ppm (${applies.low.toFixed(1)} to ${applies.high.toFixed(1)}), ${applies.label.toLowerCase()}; floor ${judgement.floor}, limit ${judgement.limit}`,
    because,
    ...audit.findings.map((finding) => `${finding.level === 'stop' ? 'STOP' : finding.level === 'warn' ? 'CAUTION' : 'Note'}: ${finding.message}`),
    '',
    'Computed. Your local food code, your inspector and the label of your cure decide.',
  ].join('\n');
}

/** The recipe that the cook has with its cure lines put right, as text again. */
export function correctedText(sheet: BenchSheet, texts: readonly { text: string; line: RecipeLine | null }[], { audit }: WorkedRecipe): string {
  if (audit.right === null) return sheet.text;
  const { factor } = audit.right;
  let read = 0;
  return texts
    .map(({ text, line }) => {
      if (line === null) return text;
      const grams = audit.grams[read];
      read += 1;
      const mix = cureMixOf(line.ingredient, [sheet.cure]);
      return mix === null || mix.nitritePercent <= 0 || grams === undefined ? text : `${(grams.value * factor).toFixed(1)} g ${mix.name}`;
    })
    .join('\n');
}

import { cureMixOf, type BenchSheet, type Message, type RecipeLine, type WorkedRecipe } from '@bunkhouse/core';
import type { Preferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { cureName, PRODUCT_NAMES, SCHOOL_WORDS } from '../../reader/words/tradeWords';
import { USE_WORDS } from './words';

type Shown = Pick<Preferences, 'system' | 'temperature'>;

/** What stands over a printed or copied sheet. */
export const sheetTitle = (sheet: BenchSheet, shown: Shown): string =>
  [
    PRODUCT_NAMES[sheet.product],
    `${inWords(sheet.greenG, 'mass', shown)} of meat`,
    (sheet.door === 'want' ? SCHOOL_WORDS[sheet.school][0] : USE_WORDS[sheet.use]).toLowerCase(),
    ...(sheet.door === 'want' && sheet.school !== 'dryRub' ? [`${digits(sheet.days, 1)} days`] : []),
  ].join(', ');

/** A sheet as plain text, in the units of its reader: to paste into a message, or onto the wall. */
export function sheetText(sheet: BenchSheet, { audit, lines, coverLines }: WorkedRecipe, shown: Shown, say: (message: Message) => string): string {
  const { applies, judgement, why } = audit.nitrite;
  const rows = (of: readonly RecipeLine[], from: number) =>
    of.map((line, i) => {
      const grams = audit.grams[from + i];
      const fine = cureMixOf(line.ingredient, [sheet.cure]) !== null;
      return `${cureName(line.name ?? line.ingredient).padEnd(24)} ${inWords(grams?.value ?? 0, fine ? 'smallMass' : 'mass', shown).padStart(10)}`;
    });
  return [
    sheetTitle(sheet, shown),
    '',
    ...(coverLines === null ? [] : ['Pump pickle']),
    ...rows(lines, 0),
    ...(coverLines === null ? [] : ['', 'Cover brine', ...rows(coverLines, lines.length)]),
    '',
    ...(audit.strength === null
      ? []
      : [`Strength ${digits(audit.strength.saltPercent.value, 1)} % salt, ${digits(audit.strength.salometer ?? 100, 0)} ° salometer`]),
    `Ingoing nitrite ${digits(applies.value, 1)} ppm (${digits(applies.low, 1)} to ${digits(applies.high, 1)}), ${say(applies.said.label).toLowerCase()}; floor ${digits(judgement.floor, 0)}, limit ${digits(judgement.limit, 0)}`,
    say(why),
    ...audit.findings.map((finding) => `${finding.level === 'stop' ? 'STOP' : finding.level === 'warn' ? 'CAUTION' : 'Note'}: ${say(finding)}`),
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

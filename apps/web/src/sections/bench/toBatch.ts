import { usualRequest, type BatchRequest } from '@bunkhouse/api';
import { CURE_1, cureMixOf, salometerToSaltPercent, type BenchSheet, type CureMix, type Worked, type WorkedRecipe } from '@bunkhouse/core';

/** A batch that can be started from a sheet, or why there is none. */
export type ToBatch = { request: BatchRequest } | { reason: string };

/** What a sheet comes to as a batch: the same water, salt, sugar and ppm, so the same grams. */
export function toBatch(sheet: BenchSheet, worked: Worked, asked: { id: string; by: string; startsAt: string }): ToBatch {
  if ('fault' in worked.recipe) return { reason: 'There is no recipe yet.' };
  const recipe = worked.recipe.value;
  if (worked.asking > 0) return { reason: 'Answer the open questions first.' };
  const stop = recipe.audit.findings.find((finding) => finding.level === 'stop');
  if (stop !== undefined) return { reason: 'Correct what is marked Stop first.' };
  const { product } = sheet;
  if (recipe.audit.nitrite.applies.value <= 0) return { reason: 'Salt only is no cure: it is not smoked low and slow, and is no batch here.' };
  if (recipe.audit.nitrite.judgement.verdict === 'over') return { reason: 'Put the dose right first.' };
  const mixes = mixesOf(sheet, recipe);
  const [mix = CURE_1] = mixes;
  if (mixes.length > 1) return { reason: 'Two cures are in it: a batch is dosed with one.' };
  if ((mix.sugarPercent ?? 0) > 0) return { reason: 'A ready mix is dosed by its label: a batch cannot follow that yet.' };
  if (sheet.pieces > 12) return { reason: 'At most 12 pieces go into one batch.' };
  const school = schoolOf(sheet, recipe);
  if (school === null) return { reason: 'A batch is dosed to be left until even, or pumped with a cover of its own. Choose one of these.' };
  const letters = Math.max(1, Math.round(sheet.pieces));
  const days = sheet.door === 'want' ? sheet.days : sheet.lyingDays;
  return {
    request: {
      ...usualRequest(product, { ...asked, school: school.school }),
      pieces: Array.from({ length: letters }, () => ({
        greenG: sheet.greenG / letters,
        shape: sheet.shape,
        thicknessMm: sheet.thicknessMm,
        lengthMm: sheet.lengthMm,
      })),
      ...(mix.name === CURE_1.name ? {} : { cure: labelOf(mix) }),
      ruleSet: sheet.ruleSet,
      ...(sheet.ruleSet === 'house' ? { houseLimit: sheet.houseLimit, houseFloor: sheet.houseFloor } : {}),
      meatScaleStepG: sheet.meatStepG,
      cureScaleStepG: sheet.cureStepG,
      ...(days === undefined ? {} : { cureDays: days }),
      ...school,
    },
  };
}

/** What most like in the meat; the sheet of a strong pickle does not ask. */
const WANTED_SALT_PERCENT = 2.3;

const round = (value: number, places: number): number => Number(value.toFixed(places));

/** The school with its numbers, or null for a way that a batch cannot go. */
function schoolOf(
  sheet: BenchSheet,
  { audit, method, lines }: WorkedRecipe,
): (Pick<BatchRequest, 'school' | 'waterG' | 'saltPercent' | 'sugarPercent' | 'nitritePpm'> & Partial<BatchRequest>) | null {
  const { greenG } = sheet;
  if (sheet.door === 'want' && sheet.school === 'pumpAndCover') {
    return {
      school: 'pumpAndCover',
      waterG: sheet.waterG,
      saltPercent: round(audit.salt.value, 4),
      sugarPercent: sheet.sugarPercent,
      nitritePpm: sheet.aimPpm,
      pumpPercent: sheet.pumpPercent,
      repumpPercent: 0,
      pickleSaltPercent: sheet.pickleSaltPercent,
      syringeML: sheet.syringeML,
      spacingMm: sheet.spacingMm,
    };
  }
  if (sheet.door === 'want' && sheet.school === 'clock') {
    return {
      school: 'equilibrium',
      strongSaltPercent: round(salometerToSaltPercent(sheet.salometer), 4),
      waterG: sheet.waterG,
      saltPercent: WANTED_SALT_PERCENT,
      sugarPercent: sheet.sugarPercent,
      nitritePpm: sheet.aimPpm,
    };
  }
  const wet = audit.brine.waterG > 0;
  if (!wet || (method !== 'even' && method !== 'immersion') || lines.length === 0) return null;
  const even = audit.nitritePpm.find(({ basis }) => basis === 'equilibrium')?.value ?? 0;
  return {
    school: 'equilibrium',
    waterG: round(audit.brine.waterG, 1),
    saltPercent: round(audit.salt.value, 6),
    sugarPercent: round((audit.brine.sugarG / (greenG + audit.brine.waterG)) * 100, 6),
    nitritePpm: round(even, 6),
  };
}

/** The cures that are in it, each once. */
function mixesOf({ cure }: BenchSheet, { lines, coverLines }: WorkedRecipe): CureMix[] {
  const found = [...lines, ...(coverLines ?? [])].flatMap((line) => cureMixOf(line.ingredient, [cure]) ?? []);
  return found.filter((mix, i) => found.findIndex((other) => other.name === mix.name) === i);
}

const labelOf = ({ name, nitritePercent, nitratePercent, saltPercent, mayPump }: CureMix): NonNullable<BatchRequest['cure']> => ({
  name,
  nitritePercent,
  nitratePercent,
  saltPercent,
  ...(mayPump === undefined ? {} : { mayPump }),
});

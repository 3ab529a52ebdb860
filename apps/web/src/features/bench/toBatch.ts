import { usualRequest, type BatchRequest } from '@bunkhouse/api';
import {
  CURE_1,
  cureMixOf,
  lineContents,
  salometerToSaltPercent,
  STRONG_SALT,
  type BenchSheet,
  type CureMix,
  type Worked,
  type WorkedRecipe,
} from '@bunkhouse/core';

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
  if (recipe.audit.nitrite.judgement.verdict === 'over') return { reason: 'Put the dose right first.' };
  const mixes = mixesOf(sheet, recipe);
  const [mix = CURE_1] = mixes;
  if (mixes.length > 1) return { reason: 'Two cures are in it: a batch is dosed with one.' };
  if (sheet.pieces > 12) return { reason: 'At most 12 pieces go into one batch.' };
  const school = schoolOf(sheet, recipe);
  if (school === null) return { reason: 'Pumped meat lies in something while it cures: say that it is pumped and covered.' };
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

/** The way with its numbers, or null for one that a batch cannot go. */
function schoolOf(sheet: BenchSheet, recipe: WorkedRecipe): WayOfBatch | null {
  return sheet.door === 'want' ? wantedWay(sheet, recipe) : writtenWay(sheet, recipe);
}

type WayOfBatch = Pick<BatchRequest, 'school' | 'waterG' | 'saltPercent' | 'sugarPercent' | 'nitritePpm'> & Partial<BatchRequest>;

/** What was worked out is worked out again from the meat as it is weighed; nothing of the house's recipe comes beside it. */
function wantedWay(sheet: BenchSheet, { audit }: WorkedRecipe): WayOfBatch {
  const { greenG, waterG, sugarPercent, aimPpm: nitritePpm, school } = sheet;
  const saltPercent = round(audit.salt.value, 6);
  const common = { waterG, sugarPercent, nitritePpm, withoutSpices: true };
  const needle = {
    pumpPercent: sheet.pumpPercent,
    repumpPercent: 0,
    pickleSaltPercent: sheet.pickleSaltPercent,
    syringeML: sheet.syringeML,
    spacingMm: sheet.spacingMm,
  };
  switch (school) {
    case 'pumpAndCover':
      return { ...common, school, saltPercent: round(audit.salt.value, 4), ...needle };
    case 'pumpSame':
      return { ...common, school, saltPercent: WANTED_SALT_PERCENT, ...needle };
    case 'clock':
      return { ...common, school: 'equilibrium', strongSaltPercent: round(salometerToSaltPercent(sheet.salometer), 4), saltPercent: WANTED_SALT_PERCENT };
    case 'floatTest':
      return {
        ...common,
        school: 'equilibrium',
        strongSaltPercent: round(audit.strength?.saltPercent.value ?? STRONG_SALT.min, 4),
        saltPercent: WANTED_SALT_PERCENT,
      };
    case 'dryRub':
      return {
        ...common,
        school,
        waterG: 0,
        saltPercent: round((audit.brine.saltG / greenG) * 100, 6),
        sugarPercent: round((audit.brine.sugarG / greenG) * 100, 6),
      };
    case 'readyMix':
      return { ...common, school: 'equilibrium', saltPercent, dose: { by: 'label', gPerKg: sheet.labelGPerKg, per: sheet.labelPer } };
    case 'lowStrength':
      return { ...common, school: 'equilibrium', saltPercent, sugarPercent: evenSugar(sheet, audit), dose: { by: 'wholeSalt' } };
    case 'saltOnly':
      return { ...common, school: 'equilibrium', saltPercent, sugarPercent: evenSugar(sheet, audit), nitritePpm: 0 };
    case 'equilibrium':
    case 'bag': {
      const even = audit.nitritePpm.find(({ basis }) => basis === 'equilibrium')?.value ?? 0;
      return { ...common, school: 'equilibrium', saltPercent, sugarPercent: evenSugar(sheet, audit), nitritePpm: round(even, 6) };
    }
  }
}

const evenSugar = ({ greenG }: BenchSheet, { brine }: WorkedRecipe['audit']): number => round((brine.sugarG / (greenG + brine.waterG)) * 100, 6);

/** A recipe that he has stays as he wrote it: every line by its weight and its name. */
function writtenWay(sheet: BenchSheet, { audit, method, lines }: WorkedRecipe): WayOfBatch | null {
  if (lines.length === 0) return null;
  const cures = [sheet.cure];
  const contents = lines.map((line) => ({
    line,
    name: line.name ?? line.ingredient,
    of: lineContents(line, cures),
    isCure: cureMixOf(line.ingredient, cures) !== null,
  }));
  const isSalt = ({ of }: (typeof contents)[number]) => of.grams.value > 0 && of.salt.value === of.grams.value;
  const isSugar = ({ of }: (typeof contents)[number]) => of.grams.value > 0 && of.sugar.value >= 0.95 * of.grams.value;
  const isWater = ({ of }: (typeof contents)[number]) => of.grams.value > 0 && of.water.value === of.grams.value;
  const sum = (some: typeof contents) =>
    round(
      some.reduce((g, { of }) => g + of.grams.value, 0),
      3,
    );
  const [salts, sugars, waters] = [isSalt, isSugar, isWater].map((is) => contents.filter((one) => !one.isCure && is(one))) as [
    typeof contents,
    typeof contents,
    typeof contents,
  ];
  const cureG = sum(contents.filter(({ isCure }) => isCure));
  const rest = contents.filter((one) => !one.isCure && ![...salts, ...sugars, ...waters].includes(one) && one.of.grams.value > 0);
  const percent = (part: number, g: number) => round((part / g) * 100, 4);
  const common = {
    waterG: sum(waters),
    saltPercent: WANTED_SALT_PERCENT,
    sugarPercent: 0,
    nitritePpm: cureG > 0 ? sheet.aimPpm : 0,
    dose: { by: 'written' as const, saltG: sum(salts), sugarG: sum(sugars), cureG },
    ownLines: rest.map(({ name, of }) => ({
      name: name.slice(0, 60),
      g: round(of.grams.value, 3),
      saltPercent: percent(of.salt.value, of.grams.value),
      sugarPercent: percent(of.sugar.value, of.grams.value),
      waterPercent: percent(of.water.value, of.grams.value),
    })),
    withoutSpices: true,
    lineNames: { ...named('saltG', salts), ...named('sugarG', sugars) },
  };
  if (method === 'dry') return { ...common, school: 'dryRub', waterG: 0 };
  if (common.waterG <= 0) return null;
  if (method === 'even' || method === 'immersion') return { ...common, school: 'equilibrium' };
  const strength = audit.strength?.saltPercent.value ?? 0;
  if (method === 'clock')
    return { ...common, school: 'equilibrium', ...(strength >= STRONG_SALT.min ? { strongSaltPercent: Math.min(STRONG_SALT.max, round(strength, 4)) } : {}) };
  if (method !== 'pumpAndCover') return null;
  return {
    ...common,
    school: 'pumpSame',
    pumpPercent: sheet.pumpPercent,
    repumpPercent: 0,
    pickleSaltPercent: Math.max(1, Math.min(26, round(strength, 4))),
    syringeML: sheet.syringeML,
    spacingMm: sheet.spacingMm,
  };
}

/** One line keeps the name that he gave it; of several each has a part in it. */
const named = (name: 'saltG' | 'sugarG', lines: readonly { name: string; line: { name?: string } }[]): Partial<Record<'saltG' | 'sugarG', string>> => {
  const names = lines.flatMap(({ line }) => line.name ?? []);
  return names.length === 0 ? {} : { [name]: names.join(' and ').slice(0, 60) };
};

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

import { toDesign } from '@bunkhouse/api';
import {
  BENCH_SCHOOLS,
  benchWaterG,
  ENGLISH,
  PASTED_WORDS,
  PLAIN,
  SHEET_WORDS,
  CURING_SALT_06,
  planBatch,
  processFor,
  READY_MIX,
  readRecipe,
  sheetLines,
  spicesOf,
  usualSheet,
  workOut,
  type BenchSheet,
  type WorkedRecipe,
} from '@bunkhouse/core';
import { sayTo } from '@bunkhouse/words';
import { correctedText, sheetText } from './sheetText';
import { toBatch } from './toBatch';

const ASKED = { id: '3b241101-e2bb-4255-8caf-4136c566a962', by: 'Juno', startsAt: '2026-10-05T07:00:00.000Z' };
const SPOONS = '2 1/2 cups coarse salt, 1 gal water, 3 tbsp pink cure #1, 1 cup brown sugar';
const ANSWERS = { gallon: 'us', spoons: 'level', 'coarse-salt': 'coarse-salt-flake' };

const batchOf = (sheet: BenchSheet) => toBatch(sheet, workOut(sheet), ASKED);
const reasonOf = (sheet: BenchSheet) => {
  const made = batchOf(sheet);
  return 'reason' in made ? made.reason : null;
};
const recipeOf = (sheet: BenchSheet): WorkedRecipe => {
  const { recipe } = workOut(sheet);
  if ('fault' in recipe) throw recipe.fault;
  return recipe.value;
};
/** Grams of the batch's own mixing sheet. */
const mixed = (sheet: BenchSheet) => {
  const made = batchOf(sheet);
  if ('reason' in made) throw new Error(made.reason);
  return planBatch(processFor(made.request.product), toDesign(made.request)).figures;
};

describe('starting a batch from a sheet', () => {
  test('an even cure is mixed to the same grams', () => {
    const sheet: BenchSheet = { ...usualSheet('canadian-bacon'), greenG: 3100, aimPpm: 140, sugarPercent: 1.4 };
    const [brine] = mixed(sheet).brines;
    const grams = recipeOf(sheet).lines.map((line) => line.amount);
    expect([brine?.brine.waterG, brine?.brine.saltG, brine?.brine.sugarG, brine?.brine.cureG].map((g) => g?.toFixed(2))).toEqual(
      grams.map((g) => g.toFixed(2)),
    );
  });

  test('pump and cover as well, with house rules', () => {
    const sheet: BenchSheet = { ...usualSheet('ham-bone-in'), ruleSet: 'house', houseLimit: 160, houseFloor: 90, aimPpm: 120 };
    const { nitrite, brines } = mixed(sheet);
    expect(nitrite.judgement).toMatchObject({ limit: 160, floor: 90, verdict: 'ok' });
    expect(brines.map(({ brine }) => brine.cureG.toFixed(1))).toEqual([
      recipeOf(sheet).lines[3]?.amount.toFixed(1),
      recipeOf(sheet).coverLines?.[3]?.amount.toFixed(1),
    ]);
  });

  test('a strong pickle by the clock is mixed to the same grams, judged at the pull', () => {
    const sheet: BenchSheet = { ...usualSheet('canadian-bacon'), school: 'clock', salometer: 34, days: 4, waterG: 3000, greenG: 2600 };
    const { brines, nitrite } = mixed(sheet);
    const grams = recipeOf(sheet).lines.map((line) => line.amount);
    const { waterG, saltG, sugarG, cureG } = brines[0]?.brine ?? { waterG: 0, saltG: 0, sugarG: 0, cureG: 0 };
    expect([waterG, saltG, sugarG, cureG].map((g) => g.toFixed(1))).toEqual(grams.map((g) => g.toFixed(1)));
    expect(nitrite.judgement.verdict).toBe('ok');
    expect(nitrite.applies.id).toMatch(/at-pull|pick-up/);
  });

  test('a curing salt keeps its label', () => {
    const sheet: BenchSheet = { ...usualSheet('pastrami'), school: 'lowStrength', cure: CURING_SALT_06 };
    const [brine] = mixed(sheet).brines;
    expect(brine?.brine.cureG).toBeCloseTo(recipeOf(sheet).lines.find((line) => line.ingredient === CURING_SALT_06.name)?.amount ?? 0, 1);
    expect(brine?.brine.saltG).toBeCloseTo(0, 3);
  });

  test('a written curing salt is the cure of the batch, not cure #1', () => {
    const sheet: BenchSheet = { ...usualSheet('pastrami'), door: 'have', use: 'even', text: '2 kg water, 40 g sugar, 150 g curing salt 0.6 %' };
    const made = batchOf(sheet);
    expect('request' in made && made.request.cure).toMatchObject({ name: 'Curing salt 0.6 %', nitritePercent: 0.6 });
    expect(mixed(sheet).brines[0]?.brine.cureG).toBeCloseTo(150, 1);
  });

  test('a spoon recipe put right becomes a batch with the grams that were read', () => {
    const sheet: BenchSheet = { ...usualSheet('canadian-bacon'), door: 'have', text: SPOONS, answers: ANSWERS, use: 'even' };
    expect(reasonOf(sheet)).toMatch(/Stop/);
    const right = { ...sheet, text: correctedText(sheet, readRecipe(SPOONS, ANSWERS).lines, recipeOf(sheet)) };
    expect(right.text.split('\n')[2]).toMatch(/^16\.\d g Cure #1$/);
    const { nitrite, brines } = mixed(right);
    expect(nitrite.judgement.verdict).toBe('ok');
    expect(nitrite.applies.value).toBeCloseTo(150, 0);
    // What is weighed is the line of water, a US gallon at room temperature; the little in the brown sugar goes with the sugar.
    expect(brines[0]?.brine.waterG).toBeCloseTo(3785.41 * 0.9983, 0);
  });

  test('every way that the Bench works out is a batch with the same grams, and nothing of the house’s recipe in it', () => {
    for (const school of BENCH_SCHOOLS) {
      const sheet: BenchSheet = {
        ...usualSheet('pastrami'),
        school,
        waterG: benchWaterG(school, 4300),
        ...(school === 'readyMix' ? { cure: READY_MIX } : school === 'lowStrength' ? { cure: CURING_SALT_06 } : {}),
      };
      const made = batchOf(sheet);
      if ('reason' in made) throw new Error(`${school}: ${made.reason}`);
      const design = toDesign(made.request);
      const { facts, figures } = planBatch(processFor('pastrami'), design);
      const [brine] = facts.brines;
      const grams = recipeOf(sheet).lines.reduce((g, line) => g + line.amount, 0);
      // A pickle by the clock is dosed for the piece with its ends: to a gram of cure.
      if (school !== 'pumpAndCover') expect([school, Math.abs((brine?.brineG ?? 0) - grams) < 25]).toEqual([school, true]);
      expect([school, spicesOf(processFor('pastrami'), design)]).toEqual([school, []]);
      expect([school, figures.nitrite.judgement.verdict]).toEqual([school, school === 'saltOnly' ? 'under' : expect.any(String)]);
    }
  });

  test('his own lines stay as he wrote them: brown sugar is brown sugar, garlic and molasses keep name and weight', () => {
    const text = '3 kg water, 190 g coarse sea salt, 80 g brown sugar, 12 g cure #1, 40 g molasses, 15 g garlic, 4 g juniper';
    const made = batchOf({ ...usualSheet('pastrami'), door: 'have', use: 'even', text });
    if ('reason' in made) throw new Error(made.reason);
    const design = toDesign(made.request);
    const [brine] = planBatch(processFor('pastrami'), design).facts.brines;
    expect(brine).toMatchObject({ waterG: 3000, saltG: 190, sugarG: 80, cureG: 12 });
    expect(design.ownLines?.map(({ name, g }) => [name.toLowerCase(), g])).toEqual([
      [expect.stringContaining('molasses'), 40],
      [expect.stringContaining('garlic'), 15],
      [expect.stringContaining('juniper'), 4],
    ]);
    expect(brine === undefined ? [] : sheetLines(brine, design).map(({ label }) => label.toLowerCase())).toEqual(
      expect.arrayContaining([expect.stringContaining('brown sugar'), expect.stringContaining('salt')]),
    );
  });

  test('rubbed dry, by the clock, and one brine for needle and tub stay what they were written as', () => {
    const way = (use: BenchSheet['use'], text: string) => {
      const made = batchOf({ ...usualSheet('canadian-bacon'), door: 'have', use, text, greenG: 2600 });
      return 'reason' in made ? made.reason : [made.request.school, made.request.dose];
    };
    expect(way('dry', '65 g salt, 26 g sugar, 6 g cure #1')).toEqual(['dryRub', { by: 'written', saltG: 65, sugarG: 26, cureG: 6 }]);
    expect(way('pumpAndCover', '3 kg water, 400 g salt, 14 g cure #1')).toEqual(['pumpSame', { by: 'written', saltG: 400, sugarG: 0, cureG: 14 }]);
  });

  test('says why it cannot be', () => {
    const sheet = usualSheet('canadian-bacon');
    expect(reasonOf({ ...sheet, door: 'have', text: SPOONS })).toMatch(/open questions/);
    expect(reasonOf({ ...sheet, door: 'have', text: '' })).toMatch(/no recipe/);
    expect(reasonOf({ ...sheet, door: 'have', text: '4 kg water, 300 g salt, 60 g cure #1' })).toMatch(/dose right/);
    expect(reasonOf({ ...sheet, door: 'have', use: 'pumped', text: '2 kg water, 250 g salt, 45 g cure #1' })).toMatch(/lies in something/);
    expect(reasonOf({ ...usualSheet('pastrami'), pieces: 13 })).toMatch(/12 pieces/);
    expect(reasonOf({ ...usualSheet('pastrami'), door: 'have', use: 'even', text: '4 kg water, 190 g salt, 10 g cure #1, 90 g curing salt 0.6 %' })).toMatch(
      /Two cures/,
    );
    expect(reasonOf(usualSheet('picnic'))).toBeNull();
    expect(reasonOf({ ...sheet, aimPpm: 300 })).toMatch(/Stop/);
  });
});

describe('the sheet as text', () => {
  test('holds every weight, the figure that applies and the caution', () => {
    const sheet = usualSheet('ham-bone-in');
    const text = sheetText(sheet, recipeOf(sheet), { system: 'metric', temperature: 'C' }, ({ message }) => message);
    for (const word of ['Pump pickle', 'Cover brine', 'Cure #1', 'Ingoing nitrite 150.0 ppm', 'limit 200', 'inspector']) expect(text).toContain(word);
    expect(text).not.toMatch(/NaN|undefined/);
    const american = { system: 'us', temperature: 'F' } as const;
    const inPounds = sheetText(sheet, recipeOf(sheet), american, sayTo({ ...PLAIN, ...american }, { ...ENGLISH, ...SHEET_WORDS, ...PASTED_WORDS }));
    expect(inPounds).toMatch(/ lb of meat/);
    expect(inPounds).not.toMatch(/\d g\b|°C/);
  });
});

import fc from 'fast-check';
import { CURING_SALT_06, READY_MIX } from '../ingredients/cureMix.js';
import { PRODUCTS } from '../products/product.js';
import { askRecipe } from './askRecipe.js';
import { BENCH_SCHOOLS, usualSheet, type BenchSchool, type BenchSheet } from './benchSheet.js';
import { baseFigures, makingFigures, pumpFigures, tubFigures } from './benchFigures.js';
import { waterToCoverG, workOut } from './workOut.js';

const sheetFor = (school: BenchSchool, part: Partial<BenchSheet> = {}): BenchSheet => ({
  ...usualSheet('ham-boned'),
  school,
  ...(school === 'lowStrength' ? { cure: CURING_SALT_06 } : {}),
  ...(school === 'readyMix' ? { cure: READY_MIX } : {}),
  ...part,
});

const auditOf = (sheet: BenchSheet) => {
  const { recipe } = workOut(sheet);
  if ('fault' in recipe) throw recipe.fault;
  return recipe.value.audit;
};
const faultOf = (sheet: BenchSheet) => {
  const { recipe } = workOut(sheet);
  return 'fault' in recipe ? recipe.fault.message : null;
};

describe('asking for what is wanted', () => {
  const dosed: BenchSchool[] = ['equilibrium', 'bag', 'pumpAndCover', 'pumpSame', 'clock', 'floatTest', 'dryRub'];
  test.each(dosed)('%s: the audit of the recipe finds the ppm that was asked for', (school) => {
    expect(auditOf(sheetFor(school)).nitrite.applies.value).toBeCloseTo(150, 4);
    expect(auditOf(sheetFor(school, { aimPpm: 131, waterG: 3300, greenG: 5200 })).nitrite.applies.value).toBeCloseTo(131, 4);
  });

  test.each(['ofMeatAndWater', 'ofWater'] as const)('an even cure has its salt %s, the cure’s salt counted or on top', (saltBase) => {
    const of = (countCureSalt: boolean) => {
      const { strength, brine } = auditOf(sheetFor('equilibrium', { saltBase, saltPercent: saltBase === 'ofWater' ? 6 : 2.4, countCureSalt }));
      return { percent: strength?.bases[saltBase] ?? 0, cureSaltG: brine.cureG * 0.9375, saltG: brine.saltG };
    };
    expect(of(true).percent).toBeCloseTo(saltBase === 'ofWater' ? 6 : 2.4, 6);
    expect(of(false).saltG - of(true).saltG).toBeCloseTo(of(true).cureSaltG, 1);
  });

  test('salt of the brine comes out as asked, to a hundredth', () => {
    expect(auditOf(sheetFor('equilibrium', { saltBase: 'ofBrine', saltPercent: 8 })).strength?.bases.ofBrine).toBeCloseTo(8, 1);
  });

  test('a cover pickle has its salometer degrees', () => {
    expect(auditOf(sheetFor('clock', { salometer: 52 })).strength?.salometer).toBeCloseTo(52, 6);
  });

  test('curing salt as the whole salt: 2.3 % of meat and water brings its own nitrite', () => {
    const { brine, salt } = auditOf(sheetFor('lowStrength'));
    expect(salt.value).toBeCloseTo(2.3, 6);
    expect(brine.nitriteG).toBeCloseTo((brine.cureG * 0.6) / 100, 9);
  });

  test('a ready mix goes by its label, of meat or of water', () => {
    const lines = (labelPer: 'meat' | 'water') =>
      askRecipe(sheetFor('readyMix', { labelGPerKg: 50, labelPer, waterG: 1800 })).lines.find((line) => line.ingredient === READY_MIX.name)?.amount;
    expect(lines('meat')).toBeCloseTo(180, 9);
    expect(lines('water')).toBeCloseTo(90, 9);
  });

  test('the float test is a range that is too wide for a dose', () => {
    const { strength } = auditOf(sheetFor('floatTest'));
    expect((strength?.saltPercent.low ?? 99) < 10.6 && (strength?.saltPercent.high ?? 0) > 13.4).toBe(true);
  });

  test('salt only is planned as fresh salted meat, with what that means', () => {
    const audit = auditOf(sheetFor('saltOnly'));
    expect(audit.salt.value).toBeCloseTo(2.3, 6);
    expect(audit.findings[0]?.message).toMatch(/fresh salted meat.*not be smoked low and slow/);
  });

  const impossible: [string, BenchSchool, Partial<BenchSheet>, RegExp][] = [
    ['beyond saturation', 'clock', { salometer: 104 }, /at most 100/],
    ['a pickle beyond saturation', 'pumpAndCover', { pickleSaltPercent: 28 }, /holds at most/],
    ['more salt than so little water holds', 'bag', { waterG: 100, saltPercent: 5 }, /holds at most \d+ g of salt/],
    [
      'more ppm than the cure gives at this pump',
      'pumpSame',
      { cure: CURING_SALT_06, pumpPercent: 3, pickleSaltPercent: 8, aimPpm: 190 },
      /gives \d+ ppm at the most|cure alone/,
    ],
    [
      'a strong cure as the whole salt',
      'lowStrength',
      { cure: { ...CURING_SALT_06, nitritePercent: 6.25, saltPercent: 93.75, name: 'Strong' } },
      /too strong to be the whole salt/,
    ],
    ['a pump that brings too much salt', 'pumpAndCover', { pumpPercent: 30, pickleSaltPercent: 20, saltPercent: 1 }, /Make the pickle .* % or weaker/],
    ['a rub with less salt than the cure', 'dryRub', { saltPercent: 0.1 }, /ask for at least that/],
  ];
  test.each(impossible)('%s: says what is possible', (_what, school, part, says) => {
    expect(faultOf(sheetFor(school, part))).toMatch(says);
  });
});

describe('a sheet with a recipe that the cook has', () => {
  const have = (text: string, part: Partial<BenchSheet> = {}): BenchSheet => ({ ...usualSheet('canadian-bacon'), door: 'have', text, ...part });

  test('each line on its own scale', () => {
    const spread = (lineSteps: BenchSheet['lineSteps']) => {
      const { applies } = auditOf(have('2 kg water, 120 g salt, 12 g cure #1', { lineSteps })).nitrite;
      return applies.high - applies.low;
    };
    expect(spread({ 2: 5 })).toBeGreaterThan(5 * spread({}));
  });

  test('without days the recipe is bare, with them it is judged by thickness and time', () => {
    const text = '4 kg water, 400 g salt, 40 g cure #1';
    expect(auditOf(have(text)).nitritePpm.some(({ basis }) => basis === 'atPull')).toBe(false);
    expect(auditOf(have(text, { lyingDays: 2 })).nitritePpm.some(({ basis }) => basis === 'atPull')).toBe(true);
  });

  test('what is missing or left out is a finding, never a silent zero', () => {
    const codes = (text: string) => auditOf(have(text)).findings.map(({ level, code }) => `${level} ${code}`);
    expect(codes('2 kg water, 100 g salt, cure #1')).toContain('stop amount-missing');
    expect(codes('2 kg water, 100 g salt, 10 g cure #1, 4 bay leaves')).toContain('note not-counted');
    expect(codes('2 kg water, 100 g salt, 10 g cure #1, 9 lb pork loin')).toContain('warn meat-differs');
    expect(codes(`2 kg water, 10 g cure #1\n${'5 g salt\n'.repeat(80)}`)).toContain('stop too-long');
  });
});

describe('the rest of the sheet', () => {
  test('a pumped piece that took too little is pumped again, too much is drained', () => {
    const say = (pumpedG: number) => {
      const { pump } = workOut(sheetFor('pumpAndCover', { pumpedG, greenG: 4000, waterG: 2000 }));
      return pump !== null && 'value' in pump ? pump.value.actual : null;
    };
    expect(say(4400)).toMatchObject({ say: { code: 'pumped-as-planned', message: 'As planned, within a fifth.' } });
    expect(say(4400)?.percent).toBeCloseTo(10, 9);
    expect(say(4400)?.ppm).toBeCloseTo(150, 4);
    expect(say(4200)?.say.message).toMatch(/Pump again: 200 g more/);
    expect(say(4520)?.say.message).toMatch(/Drain 120 g/);
    expect(say(4700)?.say.message).toMatch(/Over the limit/);
    expect(say(4000)?.say.message).toMatch(/nothing went in/);
    const lighter = workOut(sheetFor('pumpAndCover', { pumpedG: 3000 })).pump;
    expect(lighter !== null && 'fault' in lighter && lighter.fault.message).toMatch(/below the weight before/);
  });

  test('a weighed pick-up takes the place of 10 %, and a lost weight is no pick-up', () => {
    const by = (pulledG: number) => workOut(sheetFor('clock', { greenG: 4000, waterG: 2000, pulledG })).recipe;
    const weighed = by(4160);
    if ('fault' in weighed) throw weighed.fault;
    const pickUp = weighed.value.audit.nitritePpm.find(({ basis }) => basis === 'pickUp')?.value ?? 0;
    const { nitriteG, brineG } = weighed.value.audit.brine;
    expect(pickUp).toBeCloseTo((nitriteG / brineG) * 0.04 * 1e6, 6);
    const lost = by(3900);
    expect('fault' in lost && lost.fault.message).toMatch(/no pick-up to weigh/);
  });

  test('a tub too small for its brine, and a pot too small for its concentrate, are said', () => {
    const { tub, making } = workOut(sheetFor('equilibrium', { tub: 'rectangular', tubLengthMm: 300, tubWidthMm: 200, tubHeightMm: 120, potML: 200 }));
    expect(tub !== null && 'value' in tub && tub.value.cover?.fits).toBe(false);
    expect(making !== null && 'value' in making && making.value[0]?.fitsPot).toBe(false);
  });

  test('water that covers: with the litres it asks for, it is covered', () => {
    const short = workOut(sheetFor('equilibrium', { tub: 'round', tubLengthMm: 300, tubHeightMm: 300 })).tub;
    if (short === null || !('value' in short) || short.value.cover === null) throw new Error('there is a tub');
    expect(short.value.covered).toBe(false);
    const sheet = sheetFor('equilibrium', { tub: 'round', tubLengthMm: 300, tubHeightMm: 300 });
    const waterG = waterToCoverG(sheet) ?? 0;
    const enough = workOut({ ...sheet, waterG }).tub;
    expect(workOut({ ...sheet, waterG: waterG - 150 }).tub).toMatchObject({ value: { covered: false } });
    expect(waterToCoverG({ ...sheet, tubHeightMm: Number.NaN })).toBeNull();
    expect(enough !== null && 'value' in enough && enough.value.covered).toBe(true);
  });

  test('every figure shows its working with the numbers in', () => {
    const sheet = sheetFor('pumpAndCover', { tub: 'rectangular' });
    const { recipe, making, tub, pump } = workOut(sheet);
    if ('fault' in recipe || recipe.value.audit.strength === null || making === null || tub === null || pump === null)
      throw new Error('a wet sheet has all panels');
    if ('fault' in making || 'fault' in tub || 'fault' in pump) throw new Error('none of them is at fault');
    const figures = [
      ...baseFigures(recipe.value.audit, recipe.value.audit.strength, sheet.greenG),
      ...making.value.flatMap((made) => makingFigures(sheet, made)),
      ...tubFigures(sheet, tub.value),
      ...pumpFigures(sheet, pump.value),
    ];
    expect(figures.length).toBeGreaterThan(7);
    for (const figure of figures) {
      expect(figure.working).toMatch(/\d/);
      expect(figure.working).not.toMatch(/NaN|undefined|Infinity/);
      expect(figure.source).not.toBe('');
    }
  });

  test('a hydrometer is read beside any recipe, even one that cannot be', () => {
    const { float, recipe } = workOut(sheetFor('clock', { salometer: 140, floatReading: 60 }));
    expect('fault' in recipe).toBe(true);
    expect(float !== null && 'value' in float && float.value.saltPercent).toBeCloseTo(15.8, 1);
  });

  test('every product with every school works out or says why not', () => {
    for (const product of PRODUCTS) {
      for (const school of BENCH_SCHOOLS) {
        const worked = workOut({ ...sheetFor(school), ...usualSheet(product), school, cure: sheetFor(school).cure });
        expect('value' in worked.recipe).toBe(true);
      }
    }
  });

  test('no sheet that can be typed makes it throw, and no figure is ever NaN', () => {
    const usual = usualSheet('ham-bone-in');
    const numbers = Object.keys(usual).filter((key) => typeof usual[key as keyof BenchSheet] === 'number');
    const odd = fc.constantFrom(Number.NaN, 0, -1, 1e-9, 1e9, 17, 250, Infinity);
    const change = fc.dictionary(fc.constantFrom(...numbers, 'pumpedG', 'floatReading', 'lyingDays'), odd, { maxKeys: 3 });
    const door = fc.constantFrom('want', 'have');
    fc.assert(
      fc.property(change, fc.constantFrom(...BENCH_SCHOOLS), door, fc.constantFrom('bag', 'round', 'rectangular'), (part, school, open, tub) => {
        const worked = workOut({ ...sheetFor(school), ...part, door: open, tub, text: '2 kg water, 1 cup salt, 10 g cure #1' });
        if ('value' in worked.recipe) expect(Number.isFinite(worked.recipe.value.audit.nitrite.applies.value)).toBe(true);
        if (worked.pump !== null && 'value' in worked.pump) expect(Number.isFinite(worked.pump.value.plan.mLPerSite)).toBe(true);
        if (worked.tub !== null && 'value' in worked.tub) expect(Number.isFinite(worked.tub.value.holdDownG)).toBe(true);
      }),
      { numRuns: 500 },
    );
  });
});

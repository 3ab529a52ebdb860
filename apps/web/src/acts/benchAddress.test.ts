import {
  BENCH_SCHOOLS,
  CURE_2,
  CURING_SALT_06,
  doseAims,
  NO_CURE,
  planBatch,
  processFor,
  PRODUCTS,
  READY_MIX,
  SCHOOLS,
  usualDesign,
  usualSheet,
  workOut,
  type BatchDesign,
  type BenchSheet,
} from '@bunkhouse/core';
import { benchOfBatch, fromAddress, LONGEST_TEXT, sheetOfBatch, toAddress } from './benchAddress';

const there = (sheet: BenchSheet): BenchSheet => fromAddress(new URLSearchParams(toAddress(sheet).toString()));

describe('a sheet in the address', () => {
  test('comes back as it was: every product, school, number, answer and label', () => {
    const sheets: BenchSheet[] = [
      ...PRODUCTS.map((product) => usualSheet(product)),
      ...BENCH_SCHOOLS.map((school) => ({ ...usualSheet('picnic'), school })),
      { ...usualSheet('pastrami'), cure: READY_MIX },
      { ...usualSheet('pastrami'), cure: CURE_2, ruleSet: 'house', houseLimit: 133.5 },
      { ...usualSheet('pastrami'), cure: { name: 'Ours, "blue" & strong', nitritePercent: 4, nitratePercent: 0, saltPercent: 96, mayPump: false } },
      { ...usualSheet('ham-bone-in'), pumpedG: 8123.4, floatReading: 1.0784, floatScale: 'sg60F', lyingDays: 4.5, skinOn: true, countCureSalt: false },
      {
        ...usualSheet(),
        door: 'have',
        text: '2 ½ cups salt & <b>,\n1 gal water ＋ 🧂',
        answers: { gallon: 'imperial', spoons: 'heaped' },
        lineSteps: { 2: 0.01 },
      },
    ];
    for (const sheet of sheets) expect(there(sheet)).toEqual(sheet);
  });

  test('says only what differs from the usual', () => {
    expect(toAddress(usualSheet('pastrami')).toString()).toBe('product=pastrami');
  });

  test('cut, edited or made up: what cannot be is the usual value', () => {
    const odd = new URLSearchParams(
      'product=unicorn&greenG=many&waterG=&school=magic&door=have&cure=%5B1%5D&answer.gallon=dry&answer.nothing=x&scale.2=-4&scale.x=1&__proto__=1&floatReading=abc&tub=sea',
    );
    expect(fromAddress(odd)).toEqual({ ...usualSheet(), door: 'have' });
  });

  test('a text that is too long for an address is left out of it', () => {
    expect(toAddress({ ...usualSheet(), text: 'x'.repeat(LONGEST_TEXT + 1) }).has('text')).toBe(false);
  });
});

describe('the sheet of a batch', () => {
  test('comes to the same grams as the batch itself, and knows the way back', () => {
    for (const product of ['canadian-bacon', 'ham-bone-in', 'pastrami']) {
      const design = usualDesign(product, '2026-10-05T07:00:00Z');
      const { recipe } = workOut(sheetOfBatch(design));
      expect('value' in recipe && recipe.value.audit.nitrite.applies.value).toBeCloseTo(150, 4);
      const address = benchOfBatch({ id: 'abc', code: 'HB-001', design });
      expect(address).toMatch(/^\/bench\?.*batch=abc&code=HB-001$/);
    }
  });

  test('of every way and every dose it comes to the same nitrite, through the address and back', () => {
    const mix = { ...READY_MIX, nitratePercent: 0 };
    const written = { by: 'written', saltG: 90, sugarG: 30, cureG: 9 } as const;
    const ownLines = [{ name: 'garlic', g: 15 }];
    const usual = usualDesign('canadian-bacon', '2026-10-05T07:00:00Z');
    const all: Partial<BatchDesign>[] = [
      ...SCHOOLS.map((school) => usualDesign('canadian-bacon', usual.startsAt, school)),
      { school: { kind: 'equilibrium', waterG: 3000, strongSaltPercent: 9 }, cureDays: 4 },
      { dose: { by: 'label', gPerKg: 40, per: 'meat' }, cure: mix },
      { dose: { by: 'label', gPerKg: 90, per: 'water' }, cure: mix },
      { dose: { by: 'wholeSalt' }, cure: CURING_SALT_06 },
      { dose: written, ownLines },
      { dose: written, school: { kind: 'dryRub', waterG: 0 }, ownLines },
      { nitritePpm: 0, cure: NO_CURE },
    ];
    for (const changed of all) {
      const asked = { ...usual, ...changed };
      const design = { ...asked, ...doseAims(asked) };
      const plan = planBatch(processFor('canadian-bacon'), design);
      const { recipe } = workOut(there(sheetOfBatch(design)));
      if ('fault' in recipe) throw recipe.fault;
      const way = [design.school.kind, design.dose?.by ?? 'aim'];
      // Of one brine for both the Bench knows one piece without its ends: to a part in fifty.
      const [has, sheet] = [plan.figures.nitrite.applies.value, recipe.value.audit.nitrite.applies.value];
      expect([...way, Math.abs(has - sheet) <= Math.max(0.5, has / 50)]).toEqual([...way, true]);
    }
  });
});

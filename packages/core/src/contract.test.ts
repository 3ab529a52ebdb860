import * as core from './index.js';

/** Names that scripts outside the project call, so far; each with an input that cannot be. */
const CALLS: [name: string, call: () => unknown][] = [
  ['convert', () => core.convert(undefined as unknown as number, 'g', 'kg')],
  ['measureToGrams', () => core.measureToGrams({ ingredient: 'cure-1', amount: Number.NaN, unit: 'tsp' })],
  ['saltPercentToSalometer', () => core.saltPercentToSalometer('5' as unknown as number)],
  ['salometerToSaltPercent', () => core.salometerToSaltPercent(-1)],
  ['brineDensity', () => core.brineDensity({ saltPercent: Infinity })],
  ['equilibriumBrine', () => core.equilibriumBrine({ meatG: 1000, waterG: 500, saltPercent: 2, nitritePpm: 150, cure: undefined as unknown as core.CureMix })],
  ['pickle', () => core.pickle({ waterG: 1000, saltPercentOfBrine: 10, cure: core.CURE_1, target: undefined as unknown as core.NitriteTarget })],
  ['ingoingNitrite', () => core.ingoingNitrite({ basis: 'dry', nitriteG: 1, meatG: null as unknown as number })],
  ['cureForNitrite', () => core.cureForNitrite({ basis: 'dry', targetPpm: 150, meatG: 1000, cure: null as unknown as core.CureMix })],
  ['judgeNitrite', () => core.judgeNitrite({ ppm: -1, product: 'picnic', ruleSet: 'us', method: 'pumped' })],
  ['readHydrometer', () => core.readHydrometer({ scale: 'salometer', reading: -1, sampleC: 15 })],
  ['splitWater', () => core.splitWater({ totalWaterG: Number.NaN, concentrateFraction: 0.3, hotC: 95, coldC: 10, targetC: 3 })],
  ['coverBrine', () => core.coverBrine({ container: undefined as unknown as core.Container, pieces: [{ massG: 1, heightMm: 1 }] })],
  ['holdDownG', () => core.holdDownG({ pieces: [{ massG: -1 }], brineDensity: 1.05 })],
  [
    'auditRecipe',
    () =>
      core.auditRecipe({
        lines: [{ ingredient: 'water', amount: 1, unit: 'fathom' as core.Unit }],
        meatG: 1,
        method: 'immersion',
        product: 'picnic',
        ruleSet: 'us',
      }),
  ],
  ['simulateSection', () => core.simulateSection({ section: null as unknown as core.Section, meatG: 1, stages: [] })],
  ['equalisationHours', () => core.equalisationHours({ section: { shape: 'slab', thicknessMm: 40 }, meatG: 1, bathG: 1, evenness: 2 })],
  ['pumpPercent', () => core.pumpPercent({ greenG: 1000, pumpedG: 900 })],
  [
    'pumpPlan',
    () =>
      core.pumpPlan({
        greenG: 1000,
        pumpPercent: 10,
        brineDensity: 1.1,
        syringeML: 60,
        spacingMm: 25,
        section: undefined as unknown as core.Section,
        lengthMm: 200,
      }),
  ],
];

describe('what scripts outside the project call', () => {
  test.each(CALLS)('%s is there, and answers nonsense with an InputError that names the field', (name, call) => {
    expect(core).toHaveProperty(name);
    let error: unknown;
    try {
      call();
    } catch (thrown) {
      error = thrown;
    }
    expect(error).toBeInstanceOf(core.InputError);
    expect((error as core.InputError).field).not.toBe('');
    expect((error as core.InputError).message).toMatch(/^[A-Z"a-z].*[.?]$/s);
  });

  test('a section of no known shape, and one that is thicker than any piece', () => {
    expect(() => core.thicknessMm({ shape: 'cube' } as unknown as core.Section)).toThrow(/not a shape/);
    expect(() => core.thicknessMm({ shape: 'slab', thicknessMm: 1000 })).toThrow(/at most 600/);
    expect(core.thicknessMm({ shape: 'ellipse', widthMm: 190, heightMm: 140 })).toBe(140);
    expect(core.widthMm({ shape: 'ellipse', widthMm: 190, heightMm: 140 })).toBe(190);
    expect(core.thicknessMm({ shape: 'rectangle', widthMm: 60, heightMm: 120 })).toBe(60);
  });
});

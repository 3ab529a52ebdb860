import { PRODUCTS } from '../products/product.js';
import { designStops, planBatch } from './planBatch.js';
import { processFor } from '../recipes/processes.js';
import { processOf, requireRecipe, RECIPE_NUMBERS, type Recipe } from '../recipes/recipe.js';
import { STARTER_RECIPES } from '../recipes/starterRecipes.js';
import { designOf } from '../recipes/usualDesign.js';

const START = '2026-10-05T07:00:00.000Z';
const recipe = (id: string): Recipe => {
  const found = STARTER_RECIPES.find((starter) => starter.id === id);
  if (found === undefined) throw new Error(`no starter ${id}`);
  return found.recipe;
};
const plan = (of: Recipe) => planBatch(processOf(of), designOf(processOf(of), START));

describe('the starter recipes', () => {
  test('there is one of every product, no two of one id', () => {
    expect(PRODUCTS.filter((product) => !STARTER_RECIPES.some((starter) => starter.recipe.product === product))).toEqual([]);
    expect(new Set(STARTER_RECIPES.map(({ id }) => id)).size).toBe(STARTER_RECIPES.length);
  });

  test.each(STARTER_RECIPES.map(({ id, recipe: of }) => [id, of] as const))('%s is whole, stops nowhere, and keeps its dose', (_id, of) => {
    expect(requireRecipe(JSON.parse(JSON.stringify(of)))).toEqual(of);
    const process = processOf(of);
    expect(designStops(process, designOf(process, START))).toEqual([]);
    const state = plan(of);
    // Where floor and limit are one, the sheet goes down to the step of the scale: by 0.1 g of some 5 g at the most.
    if (of.product !== 'belly-bacon') expect(state.figures.nitrite.applies.value).toBeCloseTo(of.nitritePpm, 6);
    else expect(state.figures.nitrite.applies.value / of.nitritePpm).toBeCloseTo(0.99, 2);
    // A strong pickle is left in time: even, it would be saltier than what is wanted.
    if (of.strongSaltPercent === undefined) expect(state.figures.salt.value).toBeCloseTo(of.saltPercent, 2);
    else expect(state.figures.salt.value).toBeGreaterThan(of.saltPercent);
    expect(state.next?.spec.id).toBe('weigh');
    expect(state.steps.at(-1)?.spec.id).toBe('pack');
    // Every step but the first follows one that is there.
    const ids = new Set<string>(state.steps.map(({ spec }) => spec.id));
    expect(
      state.steps
        .slice(1)
        .filter(({ spec }) => !ids.has(spec.after.step))
        .map(({ spec }) => spec.id),
    ).toEqual([]);
  });

  test('in both schools that start by weight each product can be planned, but curing salt and ready mix as the pickle', () => {
    for (const { id, recipe: of } of STARTER_RECIPES) {
      if (/curing-salt|ready-mix|salt-beef/.test(id)) continue;
      for (const school of ['equilibrium', 'pumpAndCover'] as const)
        expect(designStops(processOf(of), designOf(processOf(of), START, school)).map(({ code }) => code)).toEqual([]);
    }
  });
});

describe('what a recipe comes to', () => {
  test('boiled meat sees no smoke: water is heated, the meat goes in, the water is changed, and no rack is dried on', () => {
    const titles = plan(recipe('cured-beef')).steps.map(({ spec }) => spec.title);
    expect(titles).toEqual(expect.arrayContaining(['Heat the water', 'Meat into the water', 'Change the water', 'Instant-read check']));
    expect(titles).not.toContain('Pat dry and rack');
    expect(plan(recipe('cured-beef')).steps.filter(({ spec }) => spec.station === 'smoke')).toEqual([]);
  });

  test('salted meat has no cure to weigh, is told for what it is, and is stopped before a slow smoke', () => {
    const salted = plan(recipe('salt-beef'));
    expect(salted.steps.find(({ spec }) => spec.id === 'mix')?.spec.inputs.map(({ name }) => name)).toEqual(['waterG', 'saltG', 'sugarG']);
    expect(salted.facts.brines[0]?.cureG).toBe(0);
    expect(salted.findings.map(({ code }) => code)).toContain('no-cure');
    expect(salted.cooling[0]?.limitH).toBe(1.5);
    const [smoke, ...rest] = recipe('belly-bacon').program;
    if (smoke === undefined) throw new Error('a smoke');
    const smoked = { ...recipe('salt-beef'), program: [{ ...smoke, chamberC: 22 }, ...rest] };
    expect(designStops(processOf(smoked), designOf(processOf(smoked), START))).toMatchObject([
      { level: 'stop', code: 'uncured-smoke', message: expect.stringMatching(/not cured is not smoked cold, at 22 °C/) as string },
    ]);
  });

  test('a core under 63 °C is passed only with its time written: it is safe by its hours alone', () => {
    const gates = (id: string) =>
      plan(recipe(id))
        .steps.find(({ spec }) => spec.id === 'core')
        ?.spec.gates.map(({ min, onFail }) => [min, onFail]);
    expect(gates('pastrami-round')).toEqual([
      [57 - 0.28, 'again'],
      [(145 - 32) / 1.8 - 0.28, 'reason'],
    ]);
    expect(gates('canadian-bacon')).toEqual([[64 - 0.28, 'again']]);
    expect(() => requireRecipe({ ...recipe('pastrami-round'), coreTargetC: 52 })).toThrow(/at least 54.4/);
  });

  test('done by time below 145 °F in dry heat, humidity is not shown; in water or steam, and from 145 °F on, nothing is asked', () => {
    const codes = (of: Recipe) => plan(of).findings.map(({ code }) => code);
    const finishedIn = (medium: 'smoker' | 'oven' | 'water' | 'steam'): Recipe => {
      const of = recipe('pastrami-round');
      return { ...of, program: of.program.map((phase, i) => (i === of.program.length - 1 ? { ...phase, medium } : phase)) };
    };
    expect(codes(finishedIn('smoker'))).toContain('humidity-not-shown');
    expect(codes(finishedIn('oven'))).toContain('humidity-not-shown');
    expect(codes(finishedIn('water'))).not.toContain('humidity-not-shown');
    expect(codes(finishedIn('steam'))).not.toContain('humidity-not-shown');
    expect(codes(recipe('canadian-bacon'))).not.toContain('humidity-not-shown');
  });

  test('a belly with its skin on is held to nine tenths of the limit [FSIS Processing Inspectors’ Calculations Handbook, value from memory]', () => {
    const process = processOf(recipe('belly-bacon'));
    const design = designOf(process, START);
    const skinOn = { ...design, pieces: design.pieces.map((piece) => ({ ...piece, section: { ...piece.section, closedSide: 'top' as const } })) };
    expect(planBatch(process, design).figures.nitrite.judgement).toMatchObject({ limit: 120, floor: 100, verdict: 'ok' });
    expect(planBatch(process, design).findings.map(({ level }) => level)).not.toContain('warn');
    expect(planBatch(process, { ...design, nitritePpm: 95 }).findings.map(({ code }) => code)).toContain('nitrite-under');
    expect(planBatch(process, skinOn).figures.nitrite.judgement).toMatchObject({ limit: 108, verdict: 'over' });
  });

  test('what the house looks at stands with the first job of its station', () => {
    const own = processOf({ ...recipe('pastrami'), checks: [{ station: 'dry', say: 'Fan on low.' }] });
    expect(own.steps.find(({ id }) => id === 'rack')?.task).toMatch(/moving air\. Fan on low\.$/);
    expect(own.steps.filter(({ task }) => task.includes('Fan on low'))).toHaveLength(1);
  });

  test('a batch that is started without a recipe is made by the starter of its product', () => {
    expect(processFor('picnic').recipe).toEqual({ id: 'picnic', version: 1 });
  });
});

describe('a recipe that cannot be', () => {
  const whole = recipe('canadian-bacon');
  test.each<[string, unknown, RegExp]>([
    ['name', { ...whole, name: ' ' }, /word is missing/],
    ['product', { ...whole, product: 'sausage' }, /Choose a product/],
    ['school', { ...whole, school: 'hope' }, /how the brine meets/],
    ['prefix', { ...whole, prefix: 'cb1' }, /capital letters/],
    ['nitritePpm', { ...whole, nitritePpm: '150' }, /Nitrite aimed at: a number is missing/],
    ['nitritePpm', { ...whole, nitritePpm: 900 }, /Nitrite aimed at must be at most 700 ppm/],
    ['cure', { ...whole, cure: { name: 'x', nitritePercent: 0, nitratePercent: 0, saltPercent: 99 } }, /no nitrite in that cure/],
    ['cureDays.equilibrium.usual', { ...whole, cureDays: { ...whole.cureDays, equilibrium: { shortest: 9, usual: 7, longest: 12 } } }, /at least 9 days/],
    ['piece.section.shape', { ...whole, piece: { ...whole.piece, section: { shape: 'star' } } }, /Round or flat/],
    ['program', { ...whole, program: [] }, /between 1 and 12 phases/],
    ['spices.0.gPerKg', { ...whole, spices: [{ name: 'Mace', gPerKg: -1 }] }, /must be more than 0 g/],
    ['checks.0.station', { ...whole, checks: [{ station: 'sauna', say: 'hot' }] }, /belongs to a station/],
    ['recipe', null, /no recipe/],
    ['recipe', [], /no recipe/],
  ])('is refused at %s', (field, given, message) => {
    expect(() => requireRecipe(given)).toThrow(expect.objectContaining({ field, message: expect.stringMatching(message) as string }) as Error);
  });

  test('what is beside its parts is left behind', () => {
    expect(Object.keys(requireRecipe({ ...whole, constructor: 1, extra: { deep: [] } })).sort()).toEqual(Object.keys(whole).sort());
    expect(Object.keys(RECIPE_NUMBERS).every((name) => name in whole)).toBe(true);
  });
});

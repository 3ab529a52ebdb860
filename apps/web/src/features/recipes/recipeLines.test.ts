import { STARTER_RECIPES, type Recipe } from '@bunkhouse/core';
import { differences, recipeLines } from './recipeLines';

const shown = { system: 'metric', temperature: 'C', name: '', thermometer: '', keys: true, ruleSet: 'us' } as const;
const loin = STARTER_RECIPES.find(({ id }) => id === 'canadian-bacon')?.recipe as Recipe;

describe('a recipe in lines', () => {
  test('no two lines have one key, so that versions can be held against each other', () => {
    for (const { recipe } of STARTER_RECIPES) {
      const keys = recipeLines(recipe, shown).map(({ key }) => key);
      expect(new Set(keys).size).toBe(keys.length);
    }
  });

  test('a recipe differs in nothing from itself', () => {
    expect(differences(loin, { ...loin }, shown)).toEqual([]);
  });

  test('what was changed, added and left out is named, and nothing else', () => {
    const [coriander] = loin.spices;
    const other: Recipe = { ...loin, saltPercent: 2.1, spices: [{ name: 'Mace', gPerKg: 0.4 }], checks: [{ station: 'dry', say: 'Fan on low.' }] };
    expect(differences(loin, other, shown)).toEqual([
      { key: 'saltPercent', name: 'Salt, of meat and water', before: '2.3 %', after: '2.1 %' },
      { key: `spice ${coriander?.name}`, name: coriander?.name, before: '1.3 g for each kg of meat', after: null },
      { key: 'spice Mace', name: 'Mace', before: null, after: '0.4 g for each kg of meat' },
      { key: 'check 0', name: 'Look at, Dry', before: null, after: 'Fan on low.' },
    ]);
  });
});

import fc from 'fast-check';
import { lineContents } from './recipeLine.js';
import { openQuestions, readRecipe } from './readRecipe.js';
import { MOST_RECIPE_LINES } from './recipeSegments.js';
import type { Answers } from './words.js';

/** One line as `amount unit ingredient`, its ways to be read, and its fault. */
const read = (text: string, answers: Answers = {}) => {
  const recipe = readRecipe(text, answers);
  const [first] = recipe.lines;
  const line = first?.line ?? null;
  return {
    says: line === null ? null : `${Number(line.amount.toFixed(4))} ${line.unit} ${line.ingredient}`,
    heaped: line?.heaped ?? false,
    ways: 1 + (line?.alternatives?.length ?? 0),
    range: line?.amountLow === undefined && line?.amountHigh === undefined ? null : [line.amountLow, line.amountHigh],
    fault: first?.fault ?? null,
    needed: first?.needed ?? false,
    asks: recipe.questions.map((question) => question.id),
    recipe,
  };
};

describe('reading one line', () => {
  test.each([
    ['250 g salt', '250 g table-salt'],
    ['250g salt', '250 g table-salt'],
    ['Salt: 250 g', '250 g table-salt'],
    ['- 1 kg of ice', '1 kg ice'],
    ['1) 3 lb water', '3 lb water'],
    ['2 1/2 L water', '2.5 L water'],
    ['2½ L cold water', '2.5 L water'],
    ['2 ½ L water', '2.5 L water'],
    ['½ L water', '0.5 L water'],
    ['1/2 L water', '0.5 L water'],
    ['1⁄2 L water', '0.5 L water'],
    ['1-1/2 L water', '1.5 L water'],
    ['1,5 L water', '1.5 L water'],
    ['0,25 kg salt', '0.25 kg table-salt'],
    ['1 500 g water', '1500 g water'],
    ['1.234,5 g water', '1234.5 g water'],
    ['1,234.5 g water', '1234.5 g water'],
    ['.5 kg salt', '0.5 kg table-salt'],
    ['half a cup honey', '0.5 cup honey'],
    ['a cup of white sugar', '1 cup white-sugar'],
    ['three kg water', '3 kg water'],
    ['1 lb 4 oz salt', '1.25 lb table-salt'],
    ['1 cup (250 g) sugar', '250 g white-sugar'],
    ['1 cup plus 2 tbsp brown sugar', '1.125 cup brown-sugar'],
    ['1 imperial gallon water', '1 galImp water'],
    ['2 US quarts water', '2 qtUS water'],
    ['14 g cure #1', '14 g cure-1'],
    ['14 g pink curing salt no. 1', '14 g cure-1'],
    ['5 g #2 cure', '5 g cure-2'],
    ['60 g curing salt 0.6 %', '60 g curing-salt-0.6'],
    ['60 g nitrite salt (0,5%)', '60 g curing-salt-0.5'],
    ['1 g sodium nitrite', '1 g sodium-nitrite'],
    ['2 g saltpetre', '2 g saltpetre'],
    ['3 g pink rock salt', '3 g rock-salt'],
    ['30 g coriander seed', '30 g coriander-seed'],
    ['1 L apple juice', '1 L other-liquid'],
    ['20 g juniper', '20 g flavouring'],
    ['0 g salt', '0 g table-salt'],
  ])('%s', (text, says) => {
    expect(read(text)).toMatchObject({ says, fault: null, ways: 1 });
  });

  test('tablespoon and teaspoon by a capital or a small t', () => {
    expect(read('1 T sugar').says).toBe('1 tbsp white-sugar');
    expect(read('1 t sugar').says).toBe('1 tsp white-sugar');
    expect(read('3 tbsp. sugar').says).toBe('3 tbsp white-sugar');
  });

  test('a range is kept as a range', () => {
    expect(read('1-2 tsp peppercorns')).toMatchObject({ says: '1.5 tsp peppercorn', range: [1, 2] });
    expect(read('3 to 4 L water')).toMatchObject({ says: '3.5 L water', range: [3, 4] });
  });

  test('heaped and level are read where they stand', () => {
    expect(read('2 heaped tsp cure #1')).toMatchObject({ heaped: true, ways: 1, asks: [] });
    expect(read('2 level tsp cure #1')).toMatchObject({ heaped: false, ways: 1, asks: [] });
  });
});

describe('what is asked and never guessed', () => {
  test.each([
    ['1 gal water', 'gallon', 2],
    ['2 qt water', 'gallon', 2],
    ['8 fl oz water', 'gallon', 2],
    ['1 cup coarse salt', 'coarse-salt', 4],
    ['1 tsp cure #1', 'spoons', 2],
    ['1,500 g water', 'comma', 2],
    ['100 g cure', 'cure', 7],
    ['100 g pink salt', 'pink-salt', 3],
    ['2 spoons sugar', 'spoon-size', 2],
  ])('%s asks about %s', (text, question, ways) => {
    expect(read(text)).toMatchObject({ ways });
    expect(read(text).asks).toContain(question);
  });

  test('a weight of any salt needs no question: salt weighs what it weighs', () => {
    expect(read('300 g coarse salt').asks).toEqual([]);
    expect(read('300 g salt').asks).toEqual([]);
  });

  test('an answer closes its question, and a wrong answer does not', () => {
    const text = '1 gal water, 1 cup coarse salt';
    const answers: Answers = { gallon: 'imperial', 'coarse-salt': 'coarse-salt-rolled', spoons: 'level' };
    expect(read(text, answers)).toMatchObject({ says: '1 galImp water', ways: 1 });
    expect(openQuestions(readRecipe(text, answers), answers)).toEqual([]);
    expect(openQuestions(readRecipe(text, { gallon: 'texan' }), { gallon: 'texan' }).map((question) => question.id)).toContain('gallon');
  });

  test('until it is answered the doubt holds every answer', () => {
    const text = '1 1/2 cups salt\n1 gal water\n2 tsp pink salt';
    const open = readRecipe(text).lines.map(({ line }) => line);
    for (const gallon of ['us', 'imperial']) {
      for (const spoons of ['level', 'heaped']) {
        for (const salt of ['table-salt', 'coarse-salt-flake']) {
          for (const pink of ['cure-1', 'rock-salt']) {
            readRecipe(text, { gallon, spoons, salt, 'pink-salt': pink }).lines.forEach(({ line }, i) => {
              const wide = open[i];
              if (line === null || wide === null || wide === undefined) throw new Error('a line was not read');
              for (const key of ['grams', 'nitrite', 'salt', 'water'] as const) {
                const [all, one] = [lineContents(wide)[key], lineContents(line)[key]];
                expect(all.low).toBeLessThanOrEqual(one.low);
                expect(all.high).toBeGreaterThanOrEqual(one.high);
              }
            });
          }
        }
      }
    }
  });
});

describe('a whole recipe', () => {
  test('commas, semicolons and lines all part it; words after a comma do not', () => {
    const { lines } = readRecipe('2 1/2 tbsp coarse salt, 1 gal water; 1 tsp pink cure #1\n1/2 cup brown sugar, packed\n1 tbsp peppercorns, crushed');
    expect(lines.map(({ line }) => line?.ingredient)).toEqual(['coarse-salt-flake', 'water', 'cure-1', 'brown-sugar', 'peppercorn']);
  });

  test('two things in one breath are two lines', () => {
    expect(readRecipe('2 cups salt and 1 cup sugar').lines).toHaveLength(2);
  });

  test('meat in the recipe is its weight, not an ingredient', () => {
    const recipe = readRecipe('5 lb pork loin\n100 g salt');
    expect(recipe.meatG).toBeCloseTo(5 * 453.59237, 6);
    expect(recipe.lines[0]?.line).toBeNull();
  });

  test('a mix of one’s own is read by the name on its label', () => {
    const own = [{ name: 'Smokehouse Blue', nitritePercent: 1, nitratePercent: 0, saltPercent: 99 }];
    expect(readRecipe('50 g smokehouse blue', {}, own).lines[0]?.line?.ingredient).toBe('Smokehouse Blue');
  });

  test('no amount: asked for where it matters, kept as flavouring where it does not', () => {
    expect(read('cure #1')).toMatchObject({ says: null, needed: true });
    expect(read('a pinch of cure')).toMatchObject({ says: null, needed: true });
    expect(read('salt')).toMatchObject({ says: null, needed: true });
    expect(read('3 bay leaves')).toMatchObject({ says: null, needed: false });
    expect(read('bay leaves').fault?.message).toMatch(/How much/);
  });

  test.each(['2.5 g cure #1 per kg of meat', '2.5 g/kg cure #1', '1 tsp cure #1 per 5 lb', '60 g salt per litre', '4 oz salt to each gallon'])(
    'a rate is no amount: %s',
    (text) => {
      expect(read(text)).toMatchObject({ says: null, needed: true });
      expect(read(text).fault?.message).toMatch(/rate/);
    },
  );

  test('a number that cannot be meant is said so, never turned into nothing', () => {
    expect(read('99999999999 g salt')).toMatchObject({ says: null, needed: true });
    expect(read('1e9 g salt').fault).not.toBeNull();
  });

  test('emoji and a script tag are only words', () => {
    expect(read('🧂 200 g salt 🐷').says).toBe('200 g table-salt');
    expect(read('<script>alert("x")</script>')).toMatchObject({ says: null, needed: false });
  });

  test('ten thousand lines: the first are read, the rest counted', () => {
    const recipe = readRecipe('5 g salt\n'.repeat(10000));
    expect(recipe.lines).toHaveLength(MOST_RECIPE_LINES);
    expect(recipe.left).toBe(10000 - MOST_RECIPE_LINES);
  });

  test('whatever is typed is read or named as unread: no line is lost, none is a number that is none', () => {
    const word = fc.constantFrom(
      'salt',
      'water',
      'cure #1',
      'g',
      'tsp',
      '½',
      '1/2',
      '1,5',
      '-',
      '3',
      '1 000',
      'cup',
      'and',
      ',',
      '\n',
      '%',
      '#',
      '(',
      'heaped',
      '0',
      '🧂',
      '/',
      'to',
      'T',
    );
    const text = fc.oneof(
      fc.string({ maxLength: 80 }),
      fc.string({ unit: 'binary', maxLength: 60 }),
      fc.array(word, { maxLength: 14 }).map((words) => words.join(' ')),
    );
    fc.assert(
      fc.property(text, (typed) => {
        for (const { line, fault } of readRecipe(typed).lines) {
          if (line === null) continue;
          const { grams } = lineContents(line);
          expect(Number.isFinite(grams.value) && grams.low >= 0 && grams.high >= grams.low).toBe(true);
          expect(fault).toBeUndefined();
        }
      }),
      { numRuns: 600 },
    );
  });
});

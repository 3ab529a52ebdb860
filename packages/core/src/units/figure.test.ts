import { figureSays } from '../say/english/figures.js';
import { asFigure } from './figure.js';
import { exactly } from './measured.js';

const words = () => ({
  label: figureSays('fig-if-even'),
  base: figureSays('of-meat-and-brine'),
  formula: figureSays('by-even'),
  working: figureSays('sum-even', { nitriteG: 1.5, allG: 12500 }),
});
const key = { id: 'nitrite-even', unit: 'ppm', source: 'Mass balance' };

test('words of a figure are found once, and not before somebody reads them', () => {
  let asked = 0;
  const figure = asFigure(exactly(120), key, () => {
    asked += 1;
    return words();
  });
  expect(figure.value).toBe(120);
  expect(asked).toBe(0);
  expect(figure.label).toBe(words().label.message);
  expect(figure.working).toBe(words().working.message);
  expect(figure.said.formula.code).toBe('by-even');
  expect(asked).toBe(1);
});

test('a figure that is sent or kept has all its words', () => {
  const said = words();
  expect(JSON.parse(JSON.stringify([asFigure(exactly(120), key, words)]))).toEqual([
    {
      ...exactly(120),
      ...key,
      label: said.label.message,
      base: said.base.message,
      formula: said.formula.message,
      working: said.working.message,
      said: JSON.parse(JSON.stringify(said)),
    },
  ]);
});

import { PRODUCTS } from '../products/product.js';
import { planBatch } from './planBatch.js';
import type { StepSpec } from '../steps/step.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { wordsOfStep } from './wordsOfStep.js';

const START = '2026-11-24T07:00:00Z';
const stepsOf = (product: (typeof PRODUCTS)[number]): StepSpec[] => planBatch(processFor(product), usualDesign(product, START)).steps.map(({ spec }) => spec);

describe.each(PRODUCTS)('%s', (product) => {
  const process = processFor(product);

  test('what is said at each step is what the batch keeps of it, by its code', () => {
    for (const spec of stepsOf(product)) {
      const said = wordsOfStep(spec, process);
      expect(said.task.message).toBe(spec.task);
      expect(said.gates.map(({ message }) => message)).toEqual(spec.gates.map(({ say }) => say));
      expect(said.early?.message).toBe(spec.notBeforeCureShare?.say);
      expect(said.missed?.message).toBe(spec.cooling?.say);
      expect([said.task, ...said.gates].map(({ code }) => code)).not.toContain('kept-text');
    }
  });

  test('a batch that is older than its program is said with its temperatures as quantities', () => {
    const { program: _program, ...older } = process;
    for (const spec of stepsOf(product).filter(({ task }) => task.includes('°C'))) {
      const { task } = wordsOfStep(spec, older);
      expect(task.message).toBe(spec.task);
      expect(JSON.stringify(task.args)).toMatch(/"(unit":"C"|mostC"|targetC")/);
    }
  });
});

test('the old words of a gate, in both units at once, are said by its code', () => {
  const process = processFor('picnic');
  const [gate] = stepsOf('picnic').filter(({ id }) => id === 'gate-first');
  if (gate === undefined) throw new Error('a first gate');
  const old = { ...gate, task: 'Read the core of each piece. It must be 27 °C (80 °F) or less within the time of the gate.' };
  expect(wordsOfStep(old, process).task).toMatchObject({ code: 'gate-first-task', args: { mostC: expect.closeTo(26.67, 2) as number } });
});

test('what a recipe or a cook adds to a task stands after it, as it was written', () => {
  const process = processFor('picnic');
  const [turn] = stepsOf('picnic').filter(({ id }) => id === 'turn-1');
  if (turn === undefined) throw new Error('a turn');
  const { task } = wordsOfStep({ ...turn, task: `${turn.task} Smell it.` }, process);
  expect(task).toMatchObject({ code: 'own-task', args: { task: { code: 'turn-task' }, own: { code: 'as-written', message: 'Smell it.' } } });
});

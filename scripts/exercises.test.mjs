import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { faultsOf, programWith } from './compiled.mjs';
import { ROOT } from './places.mjs';

const CORE = 'packages/core/src/';
const WORDS = 'apps/web/src/reader/words/tradeWords.ts';
const MARKS = 'apps/web/src/charts/ScatterChart.tsx';

const textOf = (file) => readFileSync(join(ROOT, file), 'utf8');

/** A file with something written before what stands in it once. */
function before(file, place, added) {
  const text = textOf(file);
  expect(text.split(place)).toHaveLength(2);
  return { [file]: text.replace(place, `${added}${place}`) };
}

const HANG = `import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Hung on its hook. */
export const hang = defineStep({
  id: 'hang',
  inputs: [{ kind: 'temperature', name: 'roomC', label: 'Room', of: 'cold' }],
  plan: ({ dryH }) => ({ station: 'dry', title: 'Hang', act: 'Log hook', task: stepSays('hang-task'), needs: ['rack'], after: { step: 'rack', h: dryH }, graceH: 3, gates: [] }),
});
`;

const GOOSE = `import type { ProductRecord } from './productRecord.js';

/** Breast of goose, cured and smoked. */
export const gooseBreast: ProductRecord = {
  meat: 'poultry',
  isBacon: false,
  limits: 'general',
  notAboveGreen: false,
  keepsDays: 3,
  isFriedAgain: false,
  flesh: 'lean',
  usual: { greenG: 700, shape: 'slab', thicknessMm: 35, lengthMm: 200, school: 'equilibrium', days: 6 },
};
`;

const OSLO = `  norway: {
    name: 'Norway',
    limit: 150,
    bellyLimit: 150,
    dryLimit: 150,
    dryBellyLimit: 150,
    floor: 80,
    usualTarget: 130,
    source: 'made up for this exercise',
  },
`;

// What CONTRIBUTING.md says under “Where do I add …”, done: the record first, and where the compiler then leads.
test.each([
  {
    what: 'a step',
    record: () => ({
      ...before(`${CORE}log/stepId.ts`, "  'pellicle',", "  'hang',\n"),
      ...before(`${CORE}say/english/steps.ts`, "  'light-task':", "  'hang-task': 'Hang it free.',\n"),
      ...before(`${CORE}say/english/names.ts`, '  numbered:', "  'called-hang': 'Hang',\n  'called-log-hook': 'Log hook',\n  'called-room': 'Room',\n"),
      [`${CORE}steps/hang.ts`]: HANG,
    }),
    leads: [`${CORE}steps/steps.ts`],
    rest: () => ({
      [`${CORE}steps/steps.ts`]: textOf(`${CORE}steps/steps.ts`)
        .replace('import { intoCold', "import { hang } from './hang.js';\nimport { intoCold")
        .replace("  'into-cold': intoCold", "  hang,\n  'into-cold': intoCold"),
    }),
  },
  {
    what: 'a product, of a meat that is new here',
    record: () => ({
      ...before(`${CORE}products/productRecord.ts`, "'pork' | 'beef'", "'poultry' | "),
      [`${CORE}products/product.ts`]: textOf(`${CORE}products/product.ts`)
        .replace('import { hamBoned', "import { gooseBreast } from './gooseBreast.js';\nimport { hamBoned")
        .replace('  picnic,', "  'goose-breast': gooseBreast,\n  picnic,"),
      [`${CORE}products/gooseBreast.ts`]: GOOSE,
    }),
    leads: [`${CORE}safety/lethalityTarget.ts`, `${CORE}book/packLabel.ts`, WORDS, MARKS],
    rest: () => ({
      ...before(
        `${CORE}safety/lethalityTarget.ts`,
        '  pork: {',
        '  poultry: { us: FSIS_TABLE, house: FSIS_TABLE, canada: SEVENTY_ONE, uk: SEVENTY_FOR_TWO, eu: SEVENTY_FOR_TWO },\n',
      ),
      ...before(`${CORE}say/english/book.ts`, "  'meat-beef':", "  'meat-poultry': 'poultry',\n"),
      ...before(WORDS, "  picnic: 'Picnic'", "  'goose-breast': 'Goose breast',\n"),
      ...before(MARKS, '  picnic: ', "  'goose-breast': 'M-6 0H6V3H-6Z',\n"),
    }),
  },
  {
    what: 'an ingredient',
    record: () => before(`${CORE}ingredients/ingredient.ts`, "  'maple-syrup'", "  'birch-syrup': { teaspoon: [6.4, 6.6, 6.8] },\n"),
    leads: [],
    rest: () => ({}),
  },
  {
    what: 'a rule set',
    record: () => ({
      [`${CORE}cure/ruleSet.ts`]: textOf(`${CORE}cure/ruleSet.ts`).replace("'uk', 'house'", "'uk', 'norway', 'house'").replace('  uk: {', `${OSLO}  uk: {`),
    }),
    leads: [`${CORE}safety/lethalityTarget.ts`],
    rest: () => ({
      [`${CORE}safety/lethalityTarget.ts`]: textOf(`${CORE}safety/lethalityTarget.ts`).replaceAll(
        'eu: SEVENTY_FOR_TWO }',
        'eu: SEVENTY_FOR_TWO, norway: SEVENTY_FOR_TWO }',
      ),
    }),
  },
])(
  'adding $what: its record, and the compiler leads to the rest',
  ({ record, leads, rest }) => {
    const guide = textOf('CONTRIBUTING.md');
    expect(Object.keys({ ...record(), ...rest() }).filter((file) => !guide.includes(nameInGuide(file)))).toEqual([]);
    const led = new Set(faultsOf(programWith(record(), [WORDS, MARKS])).map(({ file }) => file));
    expect(leads.filter((file) => !led.has(file))).toEqual([]);
    expect(led.size > 0).toBe(leads.length > 0);
    expect(faultsOf(programWith({ ...record(), ...rest() }, [WORDS, MARKS]))).toEqual([]);
  },
  180_000,
);

/** As the guide names it: a file that is new by its folder. */
const nameInGuide = (file) =>
  /hang|goose/.test(file) ? file.split('/').at(-2) + '/' : file.startsWith(CORE) ? file.slice(CORE.length) : file.split('/').at(-1);

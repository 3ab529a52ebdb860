import type { Product } from '../cure/product.js';
import { sum } from '../process/batchFacts.js';
import type { BatchRecord, BatchState } from '../process/replay.js';
import { SAFE_CORE_C } from '../process/steps/temperatures.js';

/** What stands on a pack, but for its net weight and its dates. */
export interface PackLabel {
  name: string;
  code: string;
  /** in falling order of weight */
  ingredients: string[];
  /** one sentence each */
  keeping: string[];
  /** days that it usually keeps, sealed in the refrigerator: a cautious default, for the cook to change */
  keepsDays: number;
}

const MEAT: Readonly<Record<Product, string>> = {
  'belly-bacon': 'pork',
  'canadian-bacon': 'pork',
  'ham-bone-in': 'pork',
  'ham-boned': 'pork',
  picnic: 'pork',
  'shoulder-bacon': 'pork',
  pastrami: 'beef',
  'cured-beef': 'beef',
};

/** Days, sealed and cold [T and USDA consumer storage advice, value from memory: handbook part 14]. */
const KEEPS: Readonly<Record<Product, number>> = {
  'belly-bacon': 14,
  'canadian-bacon': 14,
  'ham-bone-in': 14,
  'ham-boned': 14,
  picnic: 14,
  'shoulder-bacon': 14,
  pastrami: 7,
  'cured-beef': 7,
};
/** Without a cure it keeps as cooked fresh meat does [USDA consumer storage advice, value from memory]. */
const UNCURED_KEEPS = 4;

/** Cooked by its recipe, and fried again all the same [T]. */
const FRIED_AGAIN: readonly Product[] = ['belly-bacon', 'shoulder-bacon'];

/** The label of a batch: ingredients by falling weight, with the water and the salt that it took up. */
export function packLabel(record: BatchRecord, { design, facts, figures, standing }: BatchState): PackLabel {
  const green = sum(facts.greenG);
  const pulled = sum(facts.pulledG);
  const isCured = design.nitritePpm > 0;
  const share = (percent: number) => (percent / 100) * green;
  const parts: { name: string; g: number }[] = [
    { name: MEAT[design.product], g: green },
    { name: 'water', g: Math.max(0, pulled - green) },
    { name: 'salt', g: share(figures.salt.value) },
    { name: 'sugar', g: share(design.sugarPercent) },
    ...(record.process.usual.spices ?? []).map(({ name, gPerKg }) => ({ name: plain(name), g: (gPerKg * green) / 1000 })),
    ...(isCured ? [{ name: 'sodium nitrite (preservative)', g: (figures.nitrite.applies.value * green) / 1e6 }] : []),
    ...(isCured && design.cure.nitratePercent > 0
      ? [{ name: 'sodium nitrate (preservative)', g: (figures.nitrite.applies.value * green * design.cure.nitratePercent) / design.cure.nitritePercent / 1e6 }]
      : []),
  ];
  const lowest = standing.flatMap((entry) =>
    entry.kind === 'done' && entry.stepId === 'core'
      ? [Math.min(...Object.entries(entry.values).flatMap(([name, C]) => (/^instant\dC$/.test(name) && typeof C === 'number' ? [C] : [])))]
      : [],
  );
  const isCooked = (lowest.at(-1) ?? -Infinity) >= SAFE_CORE_C && !FRIED_AGAIN.includes(design.product);
  return {
    name: record.process.name,
    code: record.code,
    ingredients: parts
      .filter(({ g }) => g > 0)
      .sort((a, b) => b.g - a.g)
      .map(({ name }) => name),
    keeping: ['Keep at 4 °C or below.', isCooked ? 'Fully cooked.' : 'Cook before eating.', ...(isCured ? [] : ['Not cured: eat it within days.'])],
    keepsDays: isCured ? KEEPS[design.product] : UNCURED_KEEPS,
  };
}

/** `Coriander seed, crushed` is `coriander seed` to who eats it. */
const plain = (name: string): string => (name.split(',')[0] ?? name).trim().toLowerCase();

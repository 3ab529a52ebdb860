import type { Unit } from '../measures/unit.js';
import { pastedSays } from '../say/english/pasted.js';
import type { Message } from '../say/message.js';

/** What is asked about a recipe before it can be judged: never guessed. */
export type QuestionId = 'gallon' | 'spoons' | 'spoon-size' | 'salt' | 'coarse-salt' | 'cure' | 'pink-salt' | 'comma';

/** The cook’s answers, by question. */
export type Answers = Partial<Record<QuestionId, string>>;

export interface Question {
  id: QuestionId;
  ask: Message;
  options: readonly { value: string; label: Message }[];
}

export const QUESTIONS: Readonly<Record<QuestionId, Question>> = {
  gallon: {
    id: 'gallon',
    ask: pastedSays('ask-gallon'),
    options: [
      { value: 'us', label: pastedSays('answer-us') },
      { value: 'imperial', label: pastedSays('answer-imperial') },
    ],
  },
  spoons: {
    id: 'spoons',
    ask: pastedSays('ask-spoons'),
    options: [
      { value: 'level', label: pastedSays('answer-level') },
      { value: 'heaped', label: pastedSays('answer-heaped') },
    ],
  },
  'spoon-size': {
    id: 'spoon-size',
    ask: pastedSays('ask-spoon-size'),
    options: [
      { value: 'tsp', label: pastedSays('answer-tsp') },
      { value: 'tbsp', label: pastedSays('answer-tbsp') },
    ],
  },
  salt: {
    id: 'salt',
    ask: pastedSays('ask-salt'),
    options: [
      { value: 'table-salt', label: pastedSays('answer-table-salt') },
      { value: 'fine-sea-salt', label: pastedSays('answer-fine-sea-salt') },
      { value: 'coarse-salt-flake', label: pastedSays('answer-coarse-salt-flake') },
      { value: 'coarse-salt-rolled', label: pastedSays('answer-coarse-salt-rolled') },
    ],
  },
  'coarse-salt': {
    id: 'coarse-salt',
    ask: pastedSays('ask-coarse-salt'),
    options: [
      { value: 'coarse-salt-flake', label: pastedSays('answer-coarse-salt-coarse-salt-flake') },
      { value: 'coarse-salt-rolled', label: pastedSays('answer-coarse-salt-coarse-salt-rolled') },
    ],
  },
  cure: {
    id: 'cure',
    ask: pastedSays('ask-cure'),
    options: [
      { value: 'cure-1', label: pastedSays('answer-cure-1') },
      { value: 'cure-2', label: pastedSays('answer-cure-2') },
      { value: 'curing-salt-0.5', label: pastedSays('answer-curing-salt-0-5') },
      { value: 'curing-salt-0.6', label: pastedSays('answer-curing-salt-0-6') },
      { value: 'ready-mix', label: pastedSays('answer-ready-mix') },
      { value: 'saltpetre', label: pastedSays('answer-saltpetre') },
      { value: 'flavouring', label: pastedSays('answer-flavouring') },
    ],
  },
  'pink-salt': {
    id: 'pink-salt',
    ask: pastedSays('ask-pink-salt'),
    options: [
      { value: 'cure-1', label: pastedSays('answer-cure-1') },
      { value: 'cure-2', label: pastedSays('answer-cure-2') },
      { value: 'rock-salt', label: pastedSays('answer-rock-salt') },
    ],
  },
  comma: {
    id: 'comma',
    ask: pastedSays('ask-comma'),
    options: [
      { value: 'thousands', label: pastedSays('answer-thousands') },
      { value: 'decimal', label: pastedSays('answer-decimal') },
    ],
  },
};

/** What a word for an amount means: a unit, a volume that is US or imperial, a spoon of unknown size, or a count. */
export type Measure = { unit: Unit; factor?: number } | { ask: 'gallon'; us: Unit; imperial: Unit } | { ask: 'spoon-size' } | { count: true };

/** Words for measures, longest first where one begins another. */
export const MEASURE_WORDS: readonly (readonly [pattern: string, measure: Measure])[] = [
  ['kilograms?|kilogrammes?|kilos?|kgs?', { unit: 'kg' }],
  ['milligrams?|mg', { unit: 'g', factor: 0.001 }],
  ['grams?|grammes?|gms?|gr|g', { unit: 'g' }],
  ['fluid\\s+ounces?|fl\\.?\\s*oz', { ask: 'gallon', us: 'flozUS', imperial: 'flozImp' }],
  ['ounces?|oz', { unit: 'oz' }],
  ['pounds?|lbs?|#(?!\\s*\\d)', { unit: 'lb' }],
  ['millilit(?:er|re)s?|mls?|cc', { unit: 'mL' }],
  ['decilit(?:er|re)s?|dl', { unit: 'mL', factor: 100 }],
  ['centilit(?:er|re)s?|cl', { unit: 'mL', factor: 10 }],
  ['lit(?:er|re)s?|ltrs?|l', { unit: 'L' }],
  ['teaspoons?(?:fuls?)?|tsps?', { unit: 'tsp' }],
  ['tablespoons?(?:fuls?)?|tbsps?|tbs|tbls?', { unit: 'tbsp' }],
  ['spoons?(?:fuls?)?', { ask: 'spoon-size' }],
  ['cups?|cupfuls?', { unit: 'cup' }],
  ['pints?|pts?', { ask: 'gallon', us: 'ptUS', imperial: 'ptImp' }],
  ['quarts?|qts?', { ask: 'gallon', us: 'qtUS', imperial: 'qtImp' }],
  ['gallons?|gals?', { ask: 'gallon', us: 'galUS', imperial: 'galImp' }],
  ['pinch(?:es)?|dash(?:es)?|handfuls?|cloves?|sprigs?|leaf|leaves|sticks?|bunch(?:es)?|heads?|pieces?|packets?|bags?|stalks?|drops?|slices?', { count: true }],
];

/**
 * Words that may name a cure, in several tongues, by E number, or made of celery [T]: asked about, never taken for a flavouring. Powder
 * alone, or with salt, cure or tint: garlic, onion, mustard and pepper powder are none.
 */
const MAY_CURE =
  /\b(?:cures?|curing|cure mix)\b|nitrit|nitrat|p(?:ö|oe)kel|\bsel\s+ros[ée]?\b|\bsal\s+(?:rosa|curante|de cura)\b|\btint(?:ed)?\b|\be\s?-?\s?2(?:49|50|51|52)\b|\bcelery\s+(?:powder|juice)\b|\b(?:powder(?:ed)?\s+celery)\b|\bvegetable\s+(?:cure|juice powder)\b|^\s*(?:the\s+|pink\s+|white\s+)?powder\s*$|\b(?:salt|cure|tint)\s+powder\b/;

/** Which ingredient a line is about: the first pattern that is found. A question where the words leave it open. */
export type Named = { ingredient: string } | { ask: 'salt' | 'coarse-salt' | 'cure' | 'pink-salt' } | { meat: true };

export const INGREDIENT_WORDS: readonly (readonly [pattern: RegExp, named: Named])[] = [
  [/\b(garlic|celery|onion|seasoned|smoked)\s+salt\b/, { ingredient: 'salty-flavouring' }],
  [/\bsoy\b|\bmiso\b|\bstock cube/, { ingredient: 'salty-flavouring' }],
  [/\bsalt\s?pet(er|re)\b|\bsalp(e|ê)t(er|re)\b|\bsalitre\b|\bnitre\b|\b(potassium|sodium)\s+nitrate\b/, { ingredient: 'saltpetre' }],
  [/\bsodium\s+nitrite\b(?!.*\bsalt\b)|\bpure\s+nitrite\b/, { ingredient: 'sodium-nitrite' }],
  [/\b0[.,]50?\s?%|\b0[.,]50?\s?percent/, { ingredient: 'curing-salt-0.5' }],
  [/\b0[.,]60?\s?%|\b0[.,]60?\s?percent/, { ingredient: 'curing-salt-0.6' }],
  [/\b(cure|curing|pink|tinted|nitrite)\b.*?(#|\bno\.?\s*|\bnr\.?\s*|\bnumber\s*|\s)\s*(1|one)\b|#\s*1\b.*\b(cure|curing|pink)/, { ingredient: 'cure-1' }],
  [/\b(cure|curing|pink|tinted|nitrite)\b.*?(#|\bno\.?\s*|\bnr\.?\s*|\bnumber\s*|\s)\s*(2|two)\b|#\s*2\b.*\b(cure|curing|pink)/, { ingredient: 'cure-2' }],
  [/\bpink\s+rock\s+salt\b|\brock\s+salt\b/, { ingredient: 'rock-salt' }],
  [/\b(ready|complete|premixed|pre-mixed|ham|bacon|pastrami)\s+(cure|curing|mix|brine mix)\b|\bbrine mix\b/, { ingredient: 'ready-mix' }],
  [/\bpink\s+salt\b/, { ask: 'pink-salt' }],
  [MAY_CURE, { ask: 'cure' }],

  [/\bice[- ](cold )?water\b/, { ingredient: 'water' }],
  [/\bice\b/, { ingredient: 'ice' }],
  [/\bcoconut water\b|\bwater chestnut/, { ingredient: 'other-liquid' }],
  [/\bwater\b/, { ingredient: 'water' }],
  [/\b(beer|ale|stout|juice|cider|vinegar|stock|broth|wine|whisk(e)?y|bourbon|rum|brandy|milk|buttermilk|coffee|tea|cola)\b/, { ingredient: 'other-liquid' }],

  [/\bbrown sugar\b|\bmuscovado\b|\bdemerara\b/, { ingredient: 'brown-sugar' }],
  [/\bmaple\b/, { ingredient: 'maple-syrup' }],
  [/\bhoney\b/, { ingredient: 'honey' }],
  [/\bmolasses\b|\btreacle\b/, { ingredient: 'molasses' }],
  [/\bsugar\b|\bdextrose\b/, { ingredient: 'white-sugar' }],

  [/\bgranulated garlic\b|\bgarlic (powder|granules)\b/, { ingredient: 'granulated-garlic' }],
  [/\bpepper\s?corns?\b|\bblack pepper\b|\bwhole pepper\b/, { ingredient: 'peppercorn' }],
  [/\bcoriander\b/, { ingredient: 'coriander-seed' }],
  [/\bpickling spices?\b/, { ingredient: 'pickling-spice' }],

  [/\b(table|cooking|iodi[sz]ed)\s+salt\b/, { ingredient: 'table-salt' }],
  [/\b(pickling|canning|preserving)(\s+(and|or)\s+\w+)?\s+salt\b/, { ingredient: 'pickling-salt' }],
  [/\bfine\b.*\bsalt\b/, { ingredient: 'fine-sea-salt' }],
  [/\b(flake|flaked|flaky)\b.*\bsalt\b|\bsalt\b.*\bflakes?\b/, { ingredient: 'coarse-salt-flake' }],
  [/\b(rolled|dense)\b.*\bsalt\b/, { ingredient: 'coarse-salt-rolled' }],
  [/\b(coarse|kosher)\b.*\bsalt\b|\bsalt\b.*\bcoarse\b/, { ask: 'coarse-salt' }],
  [/\bsalt\b/, { ask: 'salt' }],

  [/\b(pork|loin|belly|ham|brisket|beef|shoulder|leg|round|topside|picnic|meat|flat)\b/, { meat: true }],
];

/** Words that only describe what stands before the comma: `1 cup brown sugar, packed`. */
export const DESCRIBING =
  /^(?:(?:lightly|firmly|finely|coarsely|freshly|well|roughly|about|or so|to taste|optional|if wanted|for taste|divided|level|heaped|heaping|packed|crushed|cracked|ground|chopped|minced|sliced|toasted|whole|cold|hot|warm|chilled|dissolved|trimmed|peeled|smashed|torn|dried|fresh|more or less|and|or)\s*)+$/;

/** Numbers in words. */
export const NUMBER_WORDS: Readonly<Record<string, string>> = {
  one: '1',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
  seven: '7',
  eight: '8',
  nine: '9',
  ten: '10',
  twelve: '12',
};

import type { CureMix } from '../ingredients/cureMix.js';
import { convert } from '../units/convert.js';
import type { Unit } from '../measures/unit.js';
import { AMOUNT, amountsOf, amountWords, RATE, withoutLabels, type Amount } from './readAmount.js';
import type { RecipeLine } from './recipeLine.js';
import { LONGEST_LINE, segmentsOf } from './recipeSegments.js';
import { INGREDIENT_WORDS, QUESTIONS, type Answers, type Measure, type Named, type Question, type QuestionId } from './words.js';
import { pastedSays } from '../say/english/pasted.js';
import type { Message } from '../say/message.js';

/** One line as it was read. */
export interface ReadLine {
  /** as written */
  text: string;
  /** what it brings, or null where that cannot be said */
  line: RecipeLine | null;
  /** what is wrong with it, where something is */
  fault?: Message;
  /** true for a line without which nothing can be judged: salt, cure or water of no amount */
  needed?: boolean;
}

export interface ReadRecipe {
  lines: ReadLine[];
  /** meat that the recipe itself names, g */
  meatG: number | null;
  /** everything that is or was asked, in order of first need */
  questions: Question[];
  /** lines beyond the most that a recipe holds; they are not read */
  left: number;
}

/** A pasted amount beyond this is a slip of the keys, g or mL. */
const MOST_AMOUNT = 1e6;
const LEAST_MEAT_G = 200;

/**
 * Reads a recipe as it is written down, the cook’s own mixes by the names on their labels: one line or many, fractions, ranges, comma or point, spoons, cups, pounds, gallons.
 * What is not certain becomes a question and, until it is answered, alternatives of the line. Unknown lines are kept as flavouring.
 * Never throws on a text, and never turns what it cannot read into nothing: it says so in the line’s `fault`.
 *
 * @example readRecipe('2 1/2 tbsp coarse salt, 1 gal water, 1 tsp pink cure #1').questions.map((q) => q.id) // ['coarse-salt', 'spoons', 'gallon']
 */
export function readRecipe(text: string, answers: Answers = {}, own: readonly CureMix[] = []): ReadRecipe {
  const { segments, left } = segmentsOf(text);
  const asked = new Set<QuestionId>();
  const lines = segments.map((segment) => readSegment(segment, answers, asked, own));
  const meat = lines.flatMap(({ meatG }) => (meatG === undefined ? [] : [meatG]));
  return {
    lines: lines.map(({ meatG: _meatG, ...line }) => line),
    meatG: meat.length === 0 ? null : meat.reduce((a, b) => a + b, 0),
    questions: [...asked].map((id) => QUESTIONS[id]),
    left,
  };
}

/** Which questions of a recipe still have no answer that is one of theirs. */
export const openQuestions = (recipe: ReadRecipe, answers: Answers): Question[] =>
  recipe.questions.filter((question) => !question.options.some((option) => option.value === answers[question.id]));

function readSegment(text: string, answers: Answers, asked: Set<QuestionId>, own: readonly CureMix[]): ReadLine & { meatG?: number } {
  if (text.length > LONGEST_LINE) return { text, line: null, fault: pastedSays('line-too-long'), needed: true };
  if (RATE.test(text)) return { text, line: null, fault: pastedSays('line-a-rate'), needed: true };
  const words = amountWords(text);
  const amounts: Amount[][] = [];
  let rest = ` ${words} `;
  for (const part of words.split(' + ')) {
    const match = AMOUNT.exec(withoutLabels(part));
    if (match === null) continue;
    amounts.push(amountsOf(match, answers, asked));
    rest = rest.replace(match[0], ' ');
  }
  const named = ownMix(text, own) ?? nameOf(rest.toLowerCase()) ?? nameOf(words.toLowerCase());
  const name =
    rest
      .replace(/\s+\+\s+/g, ' ')
      .replace(/^\s*(?:of\b|:|-|=|x\b)+|[\s:=]+$/gi, '')
      .replace(/\s+/g, ' ')
      .trim() || text.trim();
  const isMeat = named !== null && 'meat' in named;
  const [readings, fault] = readingsOf(amounts, named, name, answers, asked, own);
  if (isMeat) {
    const grams = readings[0] === undefined ? Number.NaN : meatGrams(readings[0]);
    if (grams >= LEAST_MEAT_G) return { text, line: null, meatG: grams };
  }
  const [line, ...alternatives] = readings;
  if (line === undefined) {
    const flavouring = named === null || isMeat || ('ingredient' in named && ['salty-flavouring', 'flavouring'].includes(named.ingredient)) || isSpice(named);
    return { text, line: null, fault: fault ?? pastedSays('line-how-much'), needed: !flavouring };
  }
  return { text, line: alternatives.length > 0 ? { ...line, alternatives } : line, ...(fault === null ? {} : { fault }) };
}

const SPICES = ['granulated-garlic', 'peppercorn', 'coriander-seed', 'pickling-spice', 'other-liquid'];
const isSpice = (named: Named): boolean => 'ingredient' in named && SPICES.includes(named.ingredient);

/** Every way to read a line, the likeliest first; and what is wrong with it. */
function readingsOf(
  amounts: Amount[][],
  named: Named | null,
  name: string,
  answers: Answers,
  asked: Set<QuestionId>,
  own: readonly CureMix[],
): [RecipeLine[], Message | null] {
  const first = amounts[0]?.[0];
  if (first === undefined) return [[], null];
  if (amounts.flat().some((amount) => !Number.isFinite(amount.value) || amount.high > MOST_AMOUNT)) return [[], pastedSays('line-number-unread')];
  if (amounts.some(([amount]) => amount?.measure == null || 'count' in amount.measure)) {
    return [[], pastedSays('line-counted')];
  }
  const byVolume = amounts.some(([amount]) => amount !== undefined && amount.measure !== null && !isMass(amount.measure));
  const ingredients = ingredientsOf(named, byVolume, answers, asked);
  const counts = named !== null && !('meat' in named) && ('ask' in named || isSaltOrCure(named.ingredient) || own.some((mix) => mix.name === named.ingredient));
  const levels = byVolume && counts ? heapings(amounts, answers, asked) : [false];
  const readings: RecipeLine[] = [];
  for (const total of sums(amounts, answers, asked)) {
    for (const heaped of levels) {
      for (const ingredient of ingredients) {
        readings.push({
          ingredient,
          amount: total.value,
          unit: total.unit,
          ...(total.low === total.value ? {} : { amountLow: total.low }),
          ...(total.high === total.value ? {} : { amountHigh: total.high }),
          ...(heaped ? { heaped } : {}),
          name,
        });
      }
    }
  }
  return [readings, null];
}

const isMass = (measure: Measure): boolean => 'unit' in measure && ['g', 'kg', 'oz', 'lb'].includes(measure.unit);
const isSaltOrCure = (ingredient: string): boolean => /salt|cure|mix|nitrite/.test(ingredient) && ingredient !== 'salty-flavouring';

/** Level or heaped: as written, as answered, or both. */
function heapings(amounts: Amount[][], answers: Answers, asked: Set<QuestionId>): boolean[] {
  const said = amounts.flat().find((amount) => amount.heaped !== null)?.heaped;
  if (said !== undefined && said !== null) return [said];
  const spoons = amounts.some(([amount]) => amount?.measure != null && isSpoon(amount.measure));
  if (!spoons) return [false];
  asked.add('spoons');
  if (answers.spoons === 'level') return [false];
  if (answers.spoons === 'heaped') return [true];
  return [false, true];
}

const isSpoon = (measure: Measure): boolean =>
  ('ask' in measure && measure.ask === 'spoon-size') || ('unit' in measure && ['tsp', 'tbsp', 'cup'].includes(measure.unit));

function ingredientsOf(named: Named | null, byVolume: boolean, answers: Answers, asked: Set<QuestionId>): string[] {
  if (named === null || 'meat' in named) return ['flavouring'];
  if ('ingredient' in named) return [named.ingredient];
  // Any salt weighs what it weighs: only a spoon of it needs to be known.
  if (named.ask === 'salt' && !byVolume) return ['table-salt'];
  if (named.ask === 'coarse-salt' && !byVolume) return ['coarse-salt-unknown'];
  asked.add(named.ask);
  const options = QUESTIONS[named.ask].options.map((option) => option.value);
  const answer = answers[named.ask];
  return answer !== undefined && options.includes(answer) ? [answer] : options;
}

interface Total {
  value: number;
  low: number;
  high: number;
  unit: Unit;
}

/** The amounts of a line added up, in every way that is open. A sum of several measures is in the first one’s unit. */
function sums(amounts: Amount[][], answers: Answers, asked: Set<QuestionId>): Total[] {
  let totals: Total[] = [];
  amounts.forEach((ways, i) => {
    const here = ways.flatMap((amount) =>
      unitsOf(amount, answers, asked).map(({ unit, factor }): Total => ({
        value: amount.value * factor,
        low: amount.low * factor,
        high: amount.high * factor,
        unit,
      })),
    );
    totals = i === 0 ? here : totals.flatMap((total) => here.flatMap((more) => addUp(total, more)));
  });
  return totals;
}

function addUp(a: Total, b: Total): Total[] {
  try {
    return [
      {
        unit: a.unit,
        value: a.value + convert(b.value, b.unit, a.unit),
        low: a.low + convert(b.low, b.unit, a.unit),
        high: a.high + convert(b.high, b.unit, a.unit),
      },
    ];
  } catch {
    // A weight and a measure of the same thing, "1 cup 250 g": the weight is the surer one.
    return [isMass({ unit: b.unit }) ? b : a];
  }
}

function unitsOf({ measure, system }: Amount, answers: Answers, asked: Set<QuestionId>): { unit: Unit; factor: number }[] {
  if (measure === null || 'count' in measure) return [];
  if ('unit' in measure) return [{ unit: measure.unit, factor: measure.factor ?? 1 }];
  if (measure.ask === 'spoon-size') {
    asked.add('spoon-size');
    const said = answers['spoon-size'];
    return (['tsp', 'tbsp'] as const).filter((unit) => (said !== 'tsp' && said !== 'tbsp') || said === unit).map((unit) => ({ unit, factor: 1 }));
  }
  if (system === null) asked.add('gallon');
  const said = system ?? answers.gallon;
  return [...(said === 'imperial' ? [] : [{ unit: measure.us, factor: 1 }]), ...(said === 'us' ? [] : [{ unit: measure.imperial, factor: 1 }])];
}

/** A mix of the cook’s own, by the name on its label. */
function ownMix(text: string, own: readonly CureMix[]): Named | null {
  const mix = own.find(({ name }) => name.trim().length > 2 && text.toLowerCase().includes(name.trim().toLowerCase()));
  return mix === undefined ? null : { ingredient: mix.name };
}

const nameOf = (words: string): Named | null => INGREDIENT_WORDS.find(([pattern]) => pattern.test(words))?.[1] ?? null;

function meatGrams(line: RecipeLine): number {
  try {
    return convert(line.amount, line.unit, 'g');
  } catch {
    return Number.NaN;
  }
}

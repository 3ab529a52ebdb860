import { RECIPE_NUMBERS, CURE_TIMES, RECIPE_NUMBER_NAMES, STATION_NAMES, thicknessMm, type Recipe, type RecipeNumber } from '@bunkhouse/core';
import { sayHere } from '../../reader/here';
import { MEDIUM_WORDS } from '../../reader/words/programWords';
import { TENDING_WORDS } from '../../reader/words/words';
import { digits, fewDigits, inWords, perMeat } from '../../reader/quantities';
import type { Preferences } from '../../reader/preferences';
import { cureInWords, PRODUCT_NAMES, SCHOOL_WORDS } from '../../reader/words/tradeWords';

/** A part of a recipe in a line: what it is, and what it says. */
export interface RecipeLine {
  key: string;
  name: string;
  text: string;
}

/** Everything that a recipe says, a line a part, in the order of the work. */
export function recipeLines(recipe: Recipe, shown: Preferences): RecipeLine[] {
  const { piece, cure, cureDays, program, packedPercent } = recipe;
  const line = (key: string, name: string, text: string): RecipeLine => ({ key, name, text });
  return [
    line('name', 'Name', recipe.name),
    line('product', 'Makes', PRODUCT_NAMES[recipe.product]),
    line('prefix', 'Batch codes begin', recipe.prefix),
    line('piece', 'A piece', `${inWords(piece.greenG, 'mass', shown)}, ${inWords(thicknessMm(piece.section), 'length', shown)} through`),
    line('trim', 'Trim', recipe.trim),
    line('school', 'School', SCHOOL_WORDS[recipe.strongSaltPercent === undefined ? recipe.school : 'clock'][0]),
    ...(recipe.strongSaltPercent === undefined
      ? []
      : [line('strongSaltPercent', 'Strong pickle, salt of the brine', `${digits(recipe.strongSaltPercent, 1)} %`)]),
    line('cure', 'Cure', recipe.nitritePpm === 0 ? 'none' : cureInWords(cure)),
    ...(Object.keys(RECIPE_NUMBERS) as RecipeNumber[]).map((name) => line(name, sayHere(RECIPE_NUMBER_NAMES[name]), numberText(name, recipe[name], shown))),
    ...recipe.spices.map(({ name, gPerKg }) => line(`spice ${name}`, name, perMeat(gPerKg, shown))),
    ...CURE_TIMES.map((school) =>
      line(
        `days ${school}`,
        `Days, ${SCHOOL_WORDS[school][0].toLowerCase()}`,
        `${cureDays[school].shortest} to ${cureDays[school].longest}, usually ${cureDays[school].usual}`,
      ),
    ),
    ...program.map((phase, i) =>
      line(
        `phase ${i}`,
        `Phase ${i + 1}, ${phase.name}`,
        [
          `${MEDIUM_WORDS[phase.medium].toLowerCase()} at ${inWords(phase.chamberC, 'temperature', shown, 0)}`,
          phase.smoke ? 'smoke on' : null,
          phase.untilMin === undefined ? null : `until ${digits(phase.untilMin / 60, 1)} h`,
          phase.untilCoreC === undefined ? null : `until core ${inWords(phase.untilCoreC, 'temperature', shown, 0)}`,
          ...phase.repeats.map(({ act, everyMin }) => `${TENDING_WORDS[act].todo.toLowerCase()} every ${everyMin} min`),
          ...phase.marks.map(({ act, atCoreC }) => `${TENDING_WORDS[act].todo.toLowerCase()} at core ${inWords(atCoreC, 'temperature', shown, 0)}`),
        ]
          .filter((part) => part !== null)
          .join(', '),
      ),
    ),
    line('packed', 'Usually packed', `${packedPercent.low} to ${packedPercent.high} % of green weight`),
    ...recipe.checks.map(({ station, say }, i) => line(`check ${i}`, `Look at, ${STATION_NAMES[station]}`, say)),
    ...(recipe.note === '' ? [] : [line('note', 'Note', recipe.note)]),
  ];
}

function numberText(name: RecipeNumber, value: number, shown: Preferences): string {
  if (name === 'coreTargetC') return inWords(value, 'temperature', shown, 0);
  const { unit } = RECIPE_NUMBERS[name];
  return `${fewDigits(value, 3)} ${unit === 'kg' && shown.system === 'us' ? 'lb' : unit}`;
}

/** What differs between two recipes: lines that say something else, or stand in one of them only. */
export function differences(before: Recipe, after: Recipe, shown: Preferences): { key: string; name: string; before: string | null; after: string | null }[] {
  const [old, fresh] = [recipeLines(before, shown), recipeLines(after, shown)];
  const keys = [...new Set([...old, ...fresh].map(({ key }) => key))];
  return keys.flatMap((key) => {
    const [was, is] = [old.find((one) => one.key === key), fresh.find((one) => one.key === key)];
    if (was?.text === is?.text && was?.name === is?.name) return [];
    return [{ key, name: (is ?? was)?.name ?? '', before: was?.text ?? null, after: is?.text ?? null }];
  });
}

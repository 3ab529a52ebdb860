import { PRODUCTS, type Product, productOf } from '../products/product.js';
import { requireCureMix, type CureMix } from '../ingredients/cureMix.js';
import { InputError } from '../inputError.js';
import type { Section } from '../section/section.js';
import { numberFault, type NumberRule } from '../units/require.js';
import { requireProgram } from './cookProgram.js';
import { STRONG_SALT } from '../brine/strongPickle.js';
import type { CureDays, Process, Spice } from './process.js';
import { STATIONS, type Station } from '../steps/station.js';
import type { Dose } from '../log/batchDesign.js';
import { CURE_TIMES, SCHOOLS, type CureTime, type SchoolKind } from '../log/school.js';
import type { StepTemplate } from '../steps/step.js';
import type { Way } from '../steps/defineStep.js';
import { stepsOf } from '../steps/steps.js';
import type { Message } from '../say/message.js';
import { inputSays } from '../say/english/inputs.js';

/** Something that the house looks at or does at a station, besides what is usual. */
export interface OwnCheck {
  station: Station;
  say: string;
}

/** How a house makes something, as a cook writes it down. Weights in g, sizes in mm, °C, hours; a batch is started from one version of it. */
export interface Recipe extends Way {
  name: string;
  product: Product;
  /** first letters of a batch code */
  prefix: string;
  school: SchoolKind;
  /** a piece as it usually comes */
  piece: { greenG: number; section: Section; lengthMm: number };
  /** % of meat + water */
  saltPercent: number;
  sugarPercent: number;
  /** ingoing, ppm; 0 for salted meat without a cure */
  nitritePpm: number;
  /** salt of a strong pickle that is left by the clock, % of the brine; weighed for meat and water when not given */
  strongSaltPercent?: number;
  cure: CureMix;
  /** how the cure is dosed where it is not by the nitrite aimed at */
  dose?: Dose;
  /** water to cover, as a share of the meat */
  waterPerMeat: number;
  /** % of green weight */
  pumpPercent: number;
  repumpPercent: number;
  /** % of the pump pickle */
  pickleSaltPercent: number;
  /** by weight of meat */
  spices: Spice[];
  cureDays: Record<CureTime, CureDays>;
  /** % of green weight that is usually packed */
  packedPercent: { low: number; high: number };
  checks: OwnCheck[];
  note: string;
}

/** The version of a process's steps: of what `processOf` makes. */
const PROCESS_VERSION = 3;

/** The process that a recipe is worked by: what a batch keeps. */
export function processOf(recipe: Recipe): Process {
  const { piece, ...usual } = recipe;
  return {
    product: recipe.product,
    version: PROCESS_VERSION,
    name: recipe.name,
    prefix: recipe.prefix,
    cureDays: recipe.cureDays,
    usual: {
      school: usual.school,
      ...piece,
      saltPercent: usual.saltPercent,
      sugarPercent: usual.sugarPercent,
      waterPerMeat: usual.waterPerMeat,
      pumpPercent: usual.pumpPercent,
      repumpPercent: usual.repumpPercent,
      pickleSaltPercent: usual.pickleSaltPercent,
      nitritePpm: usual.nitritePpm,
      ...(usual.strongSaltPercent === undefined ? {} : { strongSaltPercent: usual.strongSaltPercent }),
      cure: usual.cure,
      ...(usual.dose === undefined ? {} : { dose: usual.dose }),
      spices: usual.spices,
      packedShare: { low: usual.packedPercent.low / 100, high: usual.packedPercent.high / 100 },
    },
    coreTargetC: recipe.coreTargetC,
    program: recipe.program,
    notAboveGreen: productOf(recipe.product).notAboveGreen,
    steps: withChecks(stepsOf(recipe), recipe.checks),
    ...(recipe.note.trim() === '' ? {} : { note: recipe.note.trim() }),
  };
}

/** What the house looks at stands with the first job of its station. */
function withChecks(steps: StepTemplate[], checks: readonly OwnCheck[]): StepTemplate[] {
  const first = new Map(STATIONS.map((station) => [station, steps.find((step) => step.station === station)?.id]));
  return steps.map((step) => {
    const own = checks.filter(({ station }) => first.get(station) === step.id).map(({ say }) => say.trim());
    return own.length === 0 ? step : { ...step, task: [step.task, ...own].join(' ') };
  });
}

/** The bounds of each number of a recipe: those of the form, of the server and of a file that is brought in. */
export const RECIPE_NUMBERS = {
  saltPercent: { min: 0.5, max: 8, unit: '%' },
  sugarPercent: { min: 0, max: 8, unit: '%' },
  nitritePpm: { min: 0, max: 700, unit: 'ppm' },
  waterPerMeat: { min: 0.05, max: 5, unit: 'kg' },
  pumpPercent: { min: 1, max: 30, unit: '%' },
  repumpPercent: { min: 0, max: 15, unit: '%' },
  pickleSaltPercent: { min: 1, max: 26, unit: '%' },
  turnEveryH: { min: 6, max: 168, unit: 'h' },
  soakH: { min: 0.1, max: 48, unit: 'h' },
  dryH: { min: 0, max: 96, unit: 'h' },
  cookH: { min: 0.25, max: 48, unit: 'h' },
  restH: { min: 0, max: 12, unit: 'h' },
  // Under it nothing counts as cooked [FSIS Cooking Guideline, value from memory: 130 °F].
  coreTargetC: { min: 54.4, max: 100, unit: '°C' },
  firstGateH: { min: 0.25, max: 24, unit: 'h' },
  secondGateH: { min: 0.5, max: 48, unit: 'h' },
  evenOutH: { min: 0.5, max: 240, unit: 'h' },
} as const satisfies Record<string, NumberRule>;
export type RecipeNumber = keyof typeof RECIPE_NUMBERS;

/** What each number is called, in sentences and in a table of versions. */
export const RECIPE_NUMBER_NAMES: Readonly<Record<RecipeNumber, Message>> = {
  saltPercent: inputSays('name-salt-percent'),
  sugarPercent: inputSays('name-sugar-percent'),
  nitritePpm: inputSays('name-nitrite-ppm'),
  waterPerMeat: inputSays('name-water-per-meat'),
  pumpPercent: inputSays('name-pump-percent'),
  repumpPercent: inputSays('name-repump-percent'),
  pickleSaltPercent: inputSays('name-pickle-salt-percent'),
  turnEveryH: inputSays('name-turn-every-h'),
  soakH: inputSays('name-soak-h'),
  dryH: inputSays('name-dry-h'),
  cookH: inputSays('name-cook-h'),
  restH: inputSays('name-rest-h'),
  coreTargetC: inputSays('name-core-target-c'),
  firstGateH: inputSays('name-first-gate-h'),
  secondGateH: inputSays('name-second-gate-h'),
  evenOutH: inputSays('name-even-out-h'),
};

const DAYS: NumberRule = { min: 1, max: 60, unit: 'days' };
const MOST_SPICES = 24;
const MOST_CHECKS = 24;

/**
 * A recipe whose every part was looked at, with nothing beside them.
 *
 * @throws InputError at the first part that cannot be
 */
export function requireRecipe(given: unknown): Recipe {
  const recipe = record('recipe', given, inputSays('no-recipe'));
  if (!PRODUCTS.includes(recipe.product as Product)) throw new InputError('product', inputSays('no-product'));
  if (!SCHOOLS.includes(recipe.school as SchoolKind)) throw new InputError('school', inputSays('no-school'));
  const prefix = text('prefix', recipe.prefix, 4);
  if (!/^[A-Z]{1,4}$/.test(prefix)) throw new InputError('prefix', inputSays('prefix-letters'));
  const numbers = Object.fromEntries(
    Object.entries(RECIPE_NUMBERS).map(([name, rule]) => [name, named(name, RECIPE_NUMBER_NAMES[name as RecipeNumber], recipe[name], rule)]),
  ) as Record<RecipeNumber, number>;
  const days = record('cureDays', recipe.cureDays, inputSays('how-many-days'));
  const packed = record('packedPercent', recipe.packedPercent, inputSays('how-much-packed'));
  const low = named('packedPercent.low', inputSays('name-packed-least'), packed.low, { min: 10, max: 130, unit: '%' });
  return {
    ...numbers,
    name: text('name', recipe.name, 60),
    product: recipe.product as Product,
    prefix,
    school: recipe.school as SchoolKind,
    ...requireStrength(recipe.school as SchoolKind, recipe.strongSaltPercent),
    piece: requirePiece(recipe.piece),
    trim: text('trim', recipe.trim, 400),
    cure: requireCure(recipe.cure, numbers.nitritePpm),
    ...requireDose(recipe.dose, recipe.school as SchoolKind, recipe.strongSaltPercent),
    spices: list('spices', recipe.spices, MOST_SPICES).map((spice, i) => ({
      name: text(`spices.${i}.name`, spice.name, 60),
      gPerKg: named(`spices.${i}.gPerKg`, inputSays('name-spice'), spice.gPerKg, { above: 0, max: 100, unit: 'g' }),
    })),
    cureDays: Object.fromEntries(CURE_TIMES.map((time) => [time, requireDays(`cureDays.${time}`, days[time])])) as Record<CureTime, CureDays>,
    program: requireProgram(recipe.program),
    packedPercent: { low, high: named('packedPercent.high', inputSays('name-packed-most'), packed.high, { min: low, max: 130, unit: '%' }) },
    checks: list('checks', recipe.checks, MOST_CHECKS).map((check, i) => {
      if (!STATIONS.includes(check.station as Station)) throw new InputError(`checks.${i}.station`, inputSays('check-without-station'));
      return { station: check.station as Station, say: text(`checks.${i}.say`, check.say, 200) };
    }),
    note: recipe.note === undefined || recipe.note === '' ? '' : text('note', recipe.note, 2000),
  };
}

function requireStrength(school: SchoolKind, given: unknown): { strongSaltPercent?: number } {
  if (given === undefined) return {};
  if (school !== 'equilibrium') throw new InputError('strongSaltPercent', inputSays('strong-not-pumped'));
  return { strongSaltPercent: named('strongSaltPercent', inputSays('name-strong-salt'), given, STRONG_SALT) };
}

function requireDose(given: unknown, school: SchoolKind, strong: unknown): { dose?: Dose } {
  if (given === undefined) return {};
  const { by, gPerKg, per } = record('dose', given, inputSays('dose-of-one-brine'));
  if (school === 'pumpAndCover' || strong !== undefined) throw new InputError('dose', inputSays('dose-of-one-brine'));
  if (by === 'wholeSalt') return { dose: { by } };
  if (by !== 'label' || (per !== 'meat' && per !== 'water')) throw new InputError('dose', inputSays('dose-of-one-brine'));
  if (school === 'dryRub' && per === 'water') throw new InputError('dose.per', inputSays('label-per-water-dry'));
  return { dose: { by, per, gPerKg: named('dose.gPerKg', inputSays('name-label-g-per-kg'), gPerKg, { above: 0, max: 3000, unit: 'g/kg' }) } };
}

function requireDays(field: string, given: unknown): CureDays {
  const days = record(field, given, inputSays('how-many-days'));
  const shortest = named(`${field}.shortest`, inputSays('name-days-least'), days.shortest, DAYS);
  const usual = named(`${field}.usual`, inputSays('name-days-usual'), days.usual, { ...DAYS, min: shortest });
  return { shortest, usual, longest: named(`${field}.longest`, inputSays('name-days-most'), days.longest, { ...DAYS, min: usual }) };
}

function requirePiece(given: unknown): Recipe['piece'] {
  const piece = record('piece', given, inputSays('which-piece'));
  return {
    greenG: named('piece.greenG', inputSays('name-weight'), piece.greenG, { min: 100, max: 60000, unit: 'g' }),
    lengthMm: named('piece.lengthMm', inputSays('name-length'), piece.lengthMm, { min: 30, max: 1500, unit: 'mm' }),
    section: requireUsualSection(record('piece.section', piece.section, inputSays('round-or-flat'))),
  };
}

const SIZE: NumberRule = { min: 5, max: 400, unit: 'mm' };

/** Round or flat, as New batch asks for it. */
function requireUsualSection(section: Record<string, unknown>): Section {
  const fat =
    section.fatCapMm === undefined
      ? {}
      : { fatCapMm: named('piece.section.fatCapMm', inputSays('name-fat'), section.fatCapMm, { min: 0, max: 60, unit: 'mm' }) };
  const boneMm =
    section.bone === undefined
      ? undefined
      : named('piece.section.bone.diameterMm', inputSays('name-bone'), record('piece.section.bone', section.bone, inputSays('how-far-bone')).diameterMm, {
          above: 0,
          max: 150,
          unit: 'mm',
        });
  const rest = {
    ...(boneMm === undefined ? {} : { bone: { diameterMm: boneMm } }),
    ...(section.closedSide === undefined ? {} : { closedSide: 'top' as const }),
    ...fat,
  };
  if (section.shape === 'slab')
    return { shape: 'slab', thicknessMm: named('piece.section.thicknessMm', inputSays('name-thickness'), section.thicknessMm, SIZE), ...rest };
  if (section.shape === 'round')
    return { shape: 'round', diameterMm: named('piece.section.diameterMm', inputSays('name-diameter'), section.diameterMm, SIZE), ...rest };
  throw new InputError('piece.section.shape', inputSays('round-or-flat'));
}

function requireCure(given: unknown, ppm: number): CureMix {
  const cure = record('cure', given, inputSays('which-cure')) as unknown as CureMix;
  const { nitritePercent, nitratePercent, saltPercent, sugarPercent, mayPump } = requireCureMix(cure);
  if (ppm > 0 && nitritePercent <= 0) throw new InputError('cure', inputSays('aim-without-nitrite'));
  return {
    name: text('cure.name', cure.name, 60),
    nitritePercent,
    nitratePercent,
    saltPercent,
    ...(sugarPercent === undefined ? {} : { sugarPercent }),
    ...(mayPump === undefined ? {} : { mayPump: mayPump === true }),
  };
}

/** A number with its own name in the sentence. */
function named(field: string, name: Message, value: unknown, rule: NumberRule): number {
  if (typeof value !== 'number' || !Number.isFinite(value)) throw new InputError(field, inputSays('named-number-missing', { name }));
  const fault = numberFault(value, rule, name);
  if (fault !== null) throw new InputError(field, fault);
  return value;
}

function text(field: string, value: unknown, most: number): string {
  if (typeof value !== 'string' || value.trim() === '') throw new InputError(field, inputSays('word-missing'));
  if (value.trim().length > most) throw new InputError(field, inputSays('too-many-letters', { most }));
  return value.trim();
}

function record(field: string, value: unknown, question: Message): Record<string, unknown> {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) throw new InputError(field, question);
  return value as Record<string, unknown>;
}

function list(field: string, value: unknown, most: number): Record<string, unknown>[] {
  if (!Array.isArray(value) || value.length > most) throw new InputError(field, inputSays('too-many-lines', { most }));
  return value.map((line, i) => record(`${field}.${i}`, line, inputSays('line-missing')));
}

import { mixFindings } from '../cure/mixFindings.js';
import { rulesOf, type NitriteJudgement } from '../cure/judgeNitrite.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import type { Finding } from '../cure/finding.js';
import { RULE_SETS, type NitriteMethod, type RuleSetId } from '../cure/ruleSet.js';
import { InputError } from '../inputError.js';
import { CURE_1, type CureMix } from '../ingredients/cureMix.js';
import type { Figure } from '../units/figure.js';
import { exactly, weighed, type Measured } from '../units/measured.js';
import { requireNumber } from '../units/require.js';
import { bucketOf, saltWhenEven, strengthOf, type Strength } from './bucket.js';
import {
  applying,
  BASES,
  correction,
  CURE_METHODS,
  figuresOf,
  judged,
  targetPpm,
  together,
  type AuditParams,
  type Correction,
  type PpmBasis,
} from './nitriteOfRecipe.js';
import { recipeFindings } from './recipeFindings.js';
import { cureMixOf, lineContents } from './recipeLine.js';
import { schoolDoses, type SchoolDose } from './schoolDoses.js';
import { inputSays } from '../say/english/inputs.js';

interface RuleVerdict extends NitriteJudgement {
  ruleSet: RuleSetId;
  name: string;
}

export interface RecipeAudit {
  /** grams of each line of the brine, in order, then of the cover */
  grams: (Measured & { ingredient: string })[];
  brine: {
    waterG: number;
    saltG: number;
    sugarG: number;
    cureG: number;
    nitriteG: number;
    nitrateG: number;
    brineG: number;
    saltPercent: number | null;
    salometer: number | null;
  };
  strength: Strength | null;
  coverStrength: Strength | null;
  /** salt when meat and water are even */
  salt: Figure;
  nitritePpm: { value: number; low: number; high: number; basis: PpmBasis }[];
  nitrite: NitriteFigures;
  /** what every rule set says to the figure that applies */
  rules: RuleVerdict[];
  /** cure that lies with the meat in the end, g */
  cureWithMeatG: number;
  /** what each school would weigh for the same meat and water */
  schools: SchoolDose[];
  /** what would bring the figure that applies to the target; null where there is no cure */
  right: Correction | null;
  /** true while a line may be read in more than one way */
  open: boolean;
  findings: Finding[];
}

/**
 * Somebody's recipe held against the rules: strength, ingoing nitrite by every method with its doubt, which one applies and why, what
 * each rule set and school says, and what to change (docs/science.md, “Spoons and cups”, “Strength”).
 *
 * @param p.lines in any measure; the doubt of spoons and scales is carried to the figures
 * @throws InputError when there is no line, no meat, or a number that cannot be
 * @example
 * auditRecipe({ lines: [{ ingredient: 'water', amount: 7000, unit: 'g' }, { ingredient: 'table-salt', amount: 920, unit: 'g' }, { ingredient: 'cure-1', amount: 80, unit: 'g' }],
 *   meatG: 7000, method: 'immersion', product: 'ham-bone-in', ruleSet: 'us' }) // equilibrium 333 ppm, pick-up 62.5: they straddle the limit
 */
export function auditRecipe(p: AuditParams): RecipeAudit {
  requireAudit(p);
  const cures = p.cures ?? [];
  const brine = bucketOf(p.lines, cures);
  const cover = p.coverLines === undefined ? null : bucketOf(p.coverLines, cures);
  const meat = p.meatStepG === undefined ? exactly(p.meatG) : weighed(p.meatG, p.meatStepG);
  const whole = together(p, brine, cover, meat);
  const figures = figuresOf(p, brine, cover, whole, meat);
  const nitrite = applying(p, figures);
  const salt = saltWhenEven(whole.salt, whole.water, meat);
  // More or less of a cure that may not be in it puts nothing right.
  const forbidden = [...p.lines, ...(p.coverLines ?? [])].some((line) => {
    const mix = cureMixOf(line.ingredient, cures);
    return mix !== null && mix.nitritePercent + mix.nitratePercent > 0 && !mayStay(p, mix);
  });
  const right = forbidden ? null : correction(p, brine, cover, nitrite);
  const open = [...p.lines, ...(p.coverLines ?? [])].some((line) => (line.alternatives?.length ?? 0) > 0);
  const strength = strengthOf(brine, p.meatG);
  return {
    grams: [...p.lines, ...(p.coverLines ?? [])].map((line) => ({ ingredient: line.ingredient, ...lineContents(line, cures).grams })),
    brine: {
      waterG: brine.water.value,
      saltG: brine.salt.value,
      sugarG: brine.sugar.value,
      cureG: brine.cure.value,
      nitriteG: brine.nitrite.value,
      nitrateG: brine.nitrate.value,
      brineG: brine.all.value,
      saltPercent: strength?.saltPercent.value ?? null,
      salometer: strength?.salometer ?? null,
    },
    strength,
    coverStrength: cover === null ? null : strengthOf(cover, p.meatG),
    salt,
    nitritePpm: BASES.flatMap((basis) => {
      const figure = figures[basis];
      return figure === undefined ? [] : [{ value: figure.value, low: figure.low, high: figure.high, basis }];
    }),
    nitrite,
    rules: verdicts(p, nitrite.applies.value),
    cureWithMeatG: whole.cure.value,
    schools: schoolDoses({
      meatG: p.meatG,
      ...(cover === null && p.pumpPercent !== undefined ? { pumpPercent: p.pumpPercent } : {}),
      mix: mainMix(p),
      whole,
      aimPpm: targetPpm(p, nitrite.judgement),
    }),
    right,
    open,
    findings: recipeFindings({ params: p, brine, cover, nitrite, figures, salt, strength, right, open }),
  };
}

function verdicts(p: AuditParams, ppm: number): RuleVerdict[] {
  const method: NitriteMethod = p.method === 'dry' ? 'dry' : p.method === 'pumped' || p.method === 'pumpAndCover' ? 'pumped' : 'immersion';
  const ids = [...(Object.keys(RULE_SETS) as RuleSetId[]), ...(p.house === undefined ? [] : (['house'] as const))];
  return ids.map((ruleSet) => ({ ruleSet, name: rulesOf(ruleSet, p.house).name, ...judged({ ...p, ruleSet }, ppm, method) }));
}

/** The mix whose grams are to be changed: the first cure of the recipe, else cure #1. */
const mainMix = (p: AuditParams): CureMix =>
  p.lines.map((line) => cureMixOf(line.ingredient, p.cures)).find((mix) => mix !== null && mix.nitritePercent > 0 && mayStay(p, mix)) ??
  p.cures?.find((mix) => mayStay(p, mix)) ??
  CURE_1;

/** Whether a mix may be kept, and only its grams changed. */
const mayStay = (p: AuditParams, mix: CureMix): boolean =>
  mixFindings(mix, p.product, p.method === 'pumped' || p.method === 'pumpAndCover').every(({ level }) => level !== 'stop');

function requireAudit(p: AuditParams): void {
  if (!Array.isArray(p.lines) || p.lines.length === 0) throw new InputError('lines', inputSays('recipe-without-lines'));
  requireNumber('meatG', p.meatG, { above: 0, max: 1e6, unit: 'g' });
  if (!CURE_METHODS.includes(p.method)) throw new InputError('method', inputSays('unknown-recipe-method', { method: String(p.method) }));
  if (p.method === 'pumped' || p.method === 'pumpAndCover') requireNumber('pumpPercent', p.pumpPercent, { above: 0, max: 60, unit: '%' });
  else if (p.pumpPercent !== undefined) requireNumber('pumpPercent', p.pumpPercent, { above: 0, max: 60, unit: '%' });
  if (p.pickUpPercent !== undefined) requireNumber('pickUpPercent', p.pickUpPercent, { above: 0, max: 60, unit: '%' });
  if (p.meatStepG !== undefined) requireNumber('meatStepG', p.meatStepG, { min: 0, max: p.meatG, unit: 'g' });
  if (p.cureHours !== undefined) requireNumber('cureHours', p.cureHours, { min: 0, max: 24 * 120, unit: 'h' });
}

import { productOf } from '../products/product.js';
import { worstFirst, type Finding } from '../cure/finding.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { mixFindings } from '../cure/mixFindings.js';
import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import type { CureMix } from '../ingredients/cureMix.js';
import { type SizedPiece } from '../section/uptake.js';
import { unitKind } from '../units/convert.js';
import { besideBound, inWorking, type Figure } from '../units/figure.js';
import type { Measured } from '../units/measured.js';

import type { Bucket, Strength } from './bucket.js';
import { sized, type AuditParams, type Correction, type PpmFigures } from './nitriteOfRecipe.js';
import { cureMixOf, isFlavouring, type RecipeLine } from './recipeLine.js';
import { lastDayUnder } from '../batch/nitriteAtPull.js';

interface Case {
  params: AuditParams;
  brine: Bucket;
  cover: Bucket | null;
  nitrite: NitriteFigures;
  figures: PpmFigures;
  salt: Figure;
  strength: Strength | null;
  right: Correction | null;
  open: boolean;
}

/** What a recipe must be told, worst first (docs/science.md, “Cures”, “Ingoing nitrite”). */
export function recipeFindings(c: Case): Finding[] {
  return worstFirst([...cureFindings(c), ...doseFindings(c), ...methodFindings(c), ...brineFindings(c), ...saltFindings(c), ...lineFindings(c)]);
}

const stop = (code: string, message: string): Finding => ({ level: 'stop', code, message });
const warn = (code: string, message: string): Finding => ({ level: 'warn', code, message });
const note = (code: string, message: string): Finding => ({ level: 'note', code, message });

const linesOf = ({ params }: Case): RecipeLine[] => [...params.lines, ...(params.coverLines ?? [])];
const readingsOf = (line: RecipeLine): RecipeLine[] => [line, ...(line.alternatives ?? [])];
const mixesOf = (c: Case): CureMix[] => linesOf(c).flatMap((line) => cureMixOf(line.ingredient, c.params.cures) ?? []);

function cureFindings(c: Case): Finding[] {
  const pumps = c.params.method === 'pumped' || c.params.method === 'pumpAndCover';
  const found = new Map(mixesOf(c).flatMap((mix) => mixFindings(mix, c.params.product, pumps).map((finding) => [finding.code, finding])));
  const rock = linesOf(c).some((line) => line.ingredient === 'rock-salt');
  return [...found.values(), ...(rock ? [warn('pink-rock-salt', 'Pink rock salt is salt. Its colour is no nitrite: it cures nothing.')] : [])];
}

function doseFindings(c: Case): Finding[] {
  const { nitrite, params, right } = c;
  const { applies, judgement } = nitrite;
  if (c.brine.nitrite.high + (c.cover?.nitrite.high ?? 0) <= 0) {
    return [
      warn(
        'no-cure',
        'No cure in it: this is fresh salted meat. It stays grey, it may not be smoked low and slow, it keeps days and not weeks, and it chills through the shorter gates. A cold refrigerator does not replace the cure.',
      ),
    ];
  }
  const { floor, limit, verdict } = judgement;
  if (c.open) return openDose(c, floor, limit);
  const found: Finding[] = [];
  const bare = isBare(params);
  const pickUp = c.figures.pickUp?.value ?? 0;
  if (verdict === 'over' && (!bare || pickUp > limit)) {
    found.push(stop('nitrite-over', `${besideBound(applies.value, limit)} ppm is over the limit of ${limit} ppm.${outBy(c, limit)} ${remedy(c, right)}`));
  } else if (verdict === 'over') {
    found.push(
      warn(
        'straddle',
        `Left until even it comes to ${shown(applies.value)} ppm, over the limit of ${limit}; pulled early, to ${shown(pickUp)} by pick-up. Which one it is depends on thickness and days: give both, or dose it to be left until even. ${remedy(c, right)}`,
      ),
    );
  } else if (verdict === 'under') {
    found.push(
      warn(
        'nitrite-under',
        `${besideBound(applies.value, floor)} ppm is under the floor of ${floor} ppm: it would look cured and not be protected. ${remedy(c, right)}`,
      ),
    );
  }
  if (verdict === 'ok') {
    if (applies.high > limit)
      found.push(
        warn(
          'doubt-over',
          `As measured it may be ${shown(applies.high)} ppm, over the limit of ${limit}${limit - floor < 1 ? ', which is the floor as well' : ''}. ${weighIt(c)}`,
        ),
      );
    if (applies.low < floor && limit - floor >= 1)
      found.push(warn('doubt-under', `As measured it may be ${shown(applies.low)} ppm, under the floor of ${floor}. ${weighIt(c)}`));
    if (bare && pickUp > 0 && pickUp < floor) {
      found.push(
        note('early-under', `Pulled before it is even, the pick-up figure alone is ${shown(pickUp)} ppm. Leave it until even, or say how long and how thick.`),
      );
    }
  }
  return found;
}

/** While a question is open nothing is called right; only what every answer leads to is said. */
function openDose(c: Case, floor: number, limit: number): Finding[] {
  const { applies } = c.nitrite;
  const range = `${shown(applies.low)} to ${shown(applies.high)} ppm`;
  const lowest = isBare(c.params) ? Math.min(applies.low, c.figures.pickUp?.low ?? 0) : applies.low;
  if (lowest > limit) return [stop('nitrite-over', `${range}: over the limit of ${limit} ppm however the open questions are answered.`)];
  if (applies.high < floor) return [warn('nitrite-under', `${range}: under the floor of ${floor} ppm however the open questions are answered.`)];
  return [warn('open', `Anything from ${range}, until the open questions are answered.`)];
}

const isBare = (p: AuditParams): boolean => p.method === 'immersion' && (p.section === undefined || p.cureHours === undefined);

function remedy(c: Case, right: Correction | null): string {
  if (right === null) return '';
  const cureG = c.brine.cure.value + (c.cover?.cure.value ?? 0);
  const name = mixesOf(c)[0]?.name ?? 'cure';
  const spoon =
    right.factor > 0.25 && right.factor < 0.45 && linesOf(c).some((line) => line.unit === 'tbsp' && cureMixOf(line.ingredient, c.params.cures) !== null);
  return `Right would be ${right.ppm} ppm: ${right.cureG.toFixed(1)} g of ${name} instead of ${cureG.toFixed(1)} g.${spoon ? ' Is a tablespoon written where a teaspoon was meant?' : ''}`;
}

/** Where the largest part of the doubt comes from, and what would lessen it. */
function weighIt(c: Case): string {
  const cures = linesOf(c).filter((line) => cureMixOf(line.ingredient, c.params.cures) !== null);
  if (cures.some((line) => unitKind(line.unit) === 'volume')) return 'Weigh the cure on a 0.1 g scale instead of the spoon.';
  const spread = ({ value, low, high }: Measured) => (value > 0 ? (high - low) / value : 0);
  const brines = [c.brine, ...(c.cover === null ? [] : [c.cover])];
  const ofCure = Math.max(...brines.map((bucket) => spread(bucket.cure)));
  const ofRest = Math.max(...brines.map((bucket) => spread(bucket.all)));
  if (ofCure < ofRest) return 'Weigh meat, water and salt on a finer scale.';
  return cures.some((line) => (line.stepG ?? 0) > 0.1) ? 'Weigh the cure on a 0.1 g scale.' : 'Weigh the cure on a 0.01 g scale.';
}

function methodFindings(c: Case): Finding[] {
  const { params, nitrite, figures } = c;
  const { limit } = nitrite.judgement;
  const found: Finding[] = [];
  if (params.method === 'dry' && limit > WITHIN_WEEKS_PPM && nitrite.judgement.verdict === 'ok' && nitrite.applies.value > WITHIN_WEEKS_PPM)
    found.push(
      warn(
        'dry-limit',
        `${shown(nitrite.applies.value)} ppm: the limit of ${limit} ppm is for meat that is cured dry for a long time. Where it is cooked within weeks stay at ${WITHIN_WEEKS_PPM} ppm.`,
      ),
    );
  const even = figures.equilibrium?.value ?? 0;
  const pumped = figures.pumped?.value;
  if (byClock(c) && !c.open && nitrite.judgement.verdict !== 'over' && even > limit) {
    found.push(
      warn('clock', `Right only if it is pulled in time: left until even it would come to ${shown(even)} ppm, over the limit of ${limit}.${outBy(c, limit)}`),
    );
  }
  const pickUp = figures.pickUp?.value ?? 0;
  if (nitrite.applies.id === 'nitrite-at-pull' && !c.open && nitrite.judgement.verdict === 'ok' && pickUp < nitrite.judgement.floor) {
    found.push(
      note(
        'pick-up-under',
        `By the pick-up method alone it is ${shown(pickUp)} ppm, under the floor of ${nitrite.judgement.floor}: an inspector may count it so.`,
      ),
    );
  }
  if (params.method === 'pumpAndCover' && !c.open && pumped !== undefined && pumped < nitrite.judgement.floor && nitrite.judgement.verdict !== 'under') {
    found.push(
      warn(
        'pump-under',
        `The needle puts in only ${shown(pumped)} ppm, under the floor of ${nitrite.judgement.floor}: the middle has only that until the cover reaches it. A pickle and a cover of its own can do both.`,
      ),
    );
  }
  if (productOf(params.product).limits === 'belly' && params.ruleSet === 'us' && (params.method === 'pumped' || params.method === 'pumpAndCover')) {
    found.push(note('ascorbate', 'Pumped belly bacon to be sold in the US also needs 550 ppm of ascorbate or erythorbate: check your own code.'));
  }
  if (params.method === 'dry' && c.brine.water.value > 0.02 * params.meatG) {
    found.push(warn('dry-wet', 'There is water in it: what stays in the bag counts as brine. Judge it as left until even.'));
  }
  if (params.method === 'clock' && params.pickUpPercent === undefined) {
    found.push(note('pick-up', `Pick-up is taken as ${USUAL_PICK_UP_PERCENT} % until the pulled piece is weighed.`));
  }
  return found;
}

const byClock = ({ nitrite }: Case): boolean => nitrite.applies.id === 'nitrite-pick-up' || nitrite.applies.id === 'nitrite-at-pull';

/** When it must be out, where that is known and matters. */
function outBy(c: Case, limit: number): string {
  if (c.params.section === undefined || !byClock(c)) return '';
  const day = lastDay(sized(c.params, c.params.section), c, limit);
  return day === null ? '' : ` By the model it must be out by day ${day.toFixed(1)}.`;
}

/** The day on which the model's upper bound passes the limit, or null where it never does within 60 days. */
function lastDay(piece: SizedPiece, c: Case, limit: number): number | null {
  const whole = c.cover ?? c.brine;
  return lastDayUnder(piece, (whole.nitrite.value / whole.all.value) * 1e6, limit);
}

/** A bag with less water than this share of the meat lives on what the meat gives [M]. */
const OWN_LIQUID_SHARE = 0.15;

function brineFindings({ strength, params, brine }: Case): Finding[] {
  if (strength === null) {
    return params.method === 'dry' ? [] : [warn('no-water', 'There is no water in it: it is a rub. Say so under how it is used, or add the water.')];
  }
  const found: Finding[] = [];
  // Meat makes its own liquid: a rub, or a bag with little water, is not bound by what its water holds.
  const draws =
    params.method === 'dry' || (params.method !== 'pumped' && params.method !== 'pumpAndCover' && brine.water.value < OWN_LIQUID_SHARE * params.meatG);
  if (strength.undissolvedG > 0 && draws) {
    if (params.method !== 'dry')
      found.push(
        note(
          'own-liquid',
          'More salt than this water holds at first: in a bag the meat draws it and makes its own liquid. Turn it daily, so that it dissolves.',
        ),
      );
  } else if (strength.undissolvedG > 0) {
    found.push(
      stop(
        'saturated',
        `${Math.round(brine.water.value)} g of water holds at most ${Math.floor(brine.salt.value - strength.undissolvedG)} g of salt, 26.4 %. ${Math.ceil(strength.undissolvedG)} g would lie on the bottom, and cure with it: take more water.`,
      ),
    );
  }
  return found;
}

function saltFindings(c: Case): Finding[] {
  const { salt, params } = c;
  if (c.open) return [];
  if (byClock(c)) {
    return salt.value > 3
      ? [
          note(
            'salt-clock',
            `Left until even it would be ${salt.value.toFixed(1)} % salt. Pulled by the clock it is less; fry a slice from the edge before it is soaked.`,
          ),
        ]
      : [];
  }
  const where = params.method === 'dry' ? 'of the meat' : 'when even';
  if (salt.value > 3) return [note('salty', `${salt.value.toFixed(1)} % salt ${where} tastes salty to most: plan a soak.`)];
  if (salt.value < 1.5) return [note('bland', `${salt.value.toFixed(1)} % salt ${where} tastes bland to most, and keeps less well.`)];
  return [];
}

function lineFindings(c: Case): Finding[] {
  const found: Finding[] = [];
  const flavour = linesOf(c).filter((line) => readingsOf(line).every((reading) => isFlavouring(reading.ingredient, c.params.cures)));
  const salty = flavour.filter((line) => line.ingredient === 'salty-flavouring');
  if (salty.length > 0) {
    found.push(warn('salty-flavouring', `${names(salty)}: salt in it is not counted. Weigh plain salt instead, or expect it saltier.`));
  }
  const unknown = flavour.filter((line) => line.ingredient === 'flavouring');
  if (unknown.length > 0) found.push(note('flavouring', `Kept as flavouring, counted in the weight of the brine only: ${names(unknown)}.`));
  return found;
}

const names = (lines: readonly RecipeLine[]): string => lines.map((line) => line.name ?? line.ingredient).join(', ');

/** What is cooked within weeks has this limit when it is cured wet, ppm: a dry rub has no reason to hold more [M]. */
const WITHIN_WEEKS_PPM = 200;

/** One place, never rounded across a bound. */
const shown = (value: number): string => inWorking(Number(value.toFixed(1)));

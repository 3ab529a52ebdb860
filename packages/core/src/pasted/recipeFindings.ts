import { productOf } from '../products/product.js';
import { worstFirst, type Finding } from '../cure/finding.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { mixFindings } from '../cure/mixFindings.js';
import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import type { CureMix } from '../ingredients/cureMix.js';
import { type SizedPiece } from '../section/uptake.js';
import { unitKind } from '../units/convert.js';
import { batchSays } from '../say/english/batch.js';
import { pastedSays } from '../say/english/pasted.js';
import type { Message } from '../say/message.js';
import { beside, type Figure } from '../units/figure.js';
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

const stop = (said: Message): Finding => ({ level: 'stop', ...said });
const warn = (said: Message): Finding => ({ level: 'warn', ...said });
const note = (said: Message): Finding => ({ level: 'note', ...said });

const linesOf = ({ params }: Case): RecipeLine[] => [...params.lines, ...(params.coverLines ?? [])];
const readingsOf = (line: RecipeLine): RecipeLine[] => [line, ...(line.alternatives ?? [])];
const mixesOf = (c: Case): CureMix[] => linesOf(c).flatMap((line) => cureMixOf(line.ingredient, c.params.cures) ?? []);

function cureFindings(c: Case): Finding[] {
  const pumps = c.params.method === 'pumped' || c.params.method === 'pumpAndCover';
  const found = new Map(mixesOf(c).flatMap((mix) => mixFindings(mix, c.params.product, pumps).map((finding) => [finding.code, finding])));
  const rock = linesOf(c).some((line) => line.ingredient === 'rock-salt');
  return [...found.values(), ...(rock ? [warn(pastedSays('pink-rock-salt'))] : [])];
}

function doseFindings(c: Case): Finding[] {
  const { nitrite, params, right } = c;
  const { applies, judgement } = nitrite;
  if (c.brine.nitrite.high + (c.cover?.nitrite.high ?? 0) <= 0) return [warn(batchSays('no-cure'))];
  const { floor: floorPpm, limit: limitPpm, verdict } = judgement;
  if (c.open) return openDose(c, floorPpm, limitPpm);
  const bare = isBare(params);
  const pickUpPpm = c.figures.pickUp?.value ?? 0;
  const has = (bound: number) => beside(applies.value, bound);
  if (verdict === 'over' && (!bare || pickUpPpm > limitPpm)) {
    const both = batchSays('both', { first: outBy(c, limitPpm), second: remedy(c, right) });
    return [stop(batchSays('nitrite-over', { has: has(limitPpm), limitPpm, remedy: both }))];
  }
  if (verdict === 'over') return [warn(pastedSays('straddle', { evenPpm: applies.value, limitPpm, pickUpPpm, remedy: remedy(c, right) }))];
  if (verdict === 'under') return [warn(batchSays('nitrite-under', { has: has(floorPpm), floorPpm, remedy: remedy(c, right) }))];
  const found: Finding[] = [];
  const [isFloor, advice] = [limitPpm - floorPpm < 1, weighIt(c)];
  if (applies.high > limitPpm) found.push(warn(batchSays('doubt-over', { ppm: applies.high, limitPpm, isFloor: isFloor ? 'yes' : 'no', advice })));
  if (applies.low < floorPpm && !isFloor) found.push(warn(batchSays('doubt-under', { ppm: applies.low, floorPpm, advice })));
  if (bare && pickUpPpm > 0 && pickUpPpm < floorPpm) found.push(note(pastedSays('early-under', { ppm: pickUpPpm })));
  return found;
}

/** While a question is open nothing is called right; only what every answer leads to is said. */
function openDose(c: Case, floorPpm: number, limitPpm: number): Finding[] {
  const { applies } = c.nitrite;
  const range = pastedSays('ppm-range', { low: applies.low, high: applies.high });
  const remedy = pastedSays('however-answered');
  const lowest = isBare(c.params) ? Math.min(applies.low, c.figures.pickUp?.low ?? 0) : applies.low;
  if (lowest > limitPpm) return [stop(batchSays('nitrite-over', { has: range, limitPpm, remedy }))];
  if (applies.high < floorPpm) return [warn(batchSays('nitrite-under', { has: range, floorPpm, remedy }))];
  return [warn(pastedSays('open', { range }))];
}

const isBare = (p: AuditParams): boolean => p.method === 'immersion' && (p.section === undefined || p.cureHours === undefined);

function remedy(c: Case, right: Correction | null): Message {
  if (right === null) return batchSays('nothing');
  const cureG = c.brine.cure.value + (c.cover?.cure.value ?? 0);
  const cure = mixesOf(c)[0]?.name ?? 'cure';
  const spoon =
    right.factor > 0.25 && right.factor < 0.45 && linesOf(c).some((line) => line.unit === 'tbsp' && cureMixOf(line.ingredient, c.params.cures) !== null);
  return batchSays('both', {
    first: batchSays('right-would-be', { rightPpm: right.ppm, rightG: right.cureG, cure, cureG }),
    second: spoon ? pastedSays('spoon-for-spoon') : batchSays('nothing'),
  });
}

/** Where the largest part of the doubt comes from, and what would lessen it. */
function weighIt(c: Case): Message {
  const cures = linesOf(c).filter((line) => cureMixOf(line.ingredient, c.params.cures) !== null);
  if (cures.some((line) => unitKind(line.unit) === 'volume')) return pastedSays('weigh-not-spoon', { stepG: 0.1 });
  const spread = ({ value, low, high }: Measured) => (value > 0 ? (high - low) / value : 0);
  const brines = [c.brine, ...(c.cover === null ? [] : [c.cover])];
  const ofCure = Math.max(...brines.map((bucket) => spread(bucket.cure)));
  const ofRest = Math.max(...brines.map((bucket) => spread(bucket.all)));
  if (ofCure < ofRest) return pastedSays('finer-meat-scale');
  return pastedSays('cure-scale', { step: { value: cures.some((line) => (line.stepG ?? 0) > 0.1) ? 0.1 : 0.01, unit: 'g' } });
}

function methodFindings(c: Case): Finding[] {
  const { params, nitrite, figures } = c;
  const { applies, judgement } = nitrite;
  const { limit: limitPpm, floor: floorPpm, verdict } = judgement;
  const found: Finding[] = [];
  if (params.method === 'dry' && limitPpm > WITHIN_WEEKS_PPM && verdict === 'ok' && applies.value > WITHIN_WEEKS_PPM)
    found.push(warn(pastedSays('dry-limit', { ppm: applies.value, limitPpm, weeksPpm: WITHIN_WEEKS_PPM })));
  const evenPpm = figures.equilibrium?.value ?? 0;
  if (byClock(c) && !c.open && verdict !== 'over' && evenPpm > limitPpm)
    found.push(warn(pastedSays('clock', { evenPpm, limitPpm, until: outBy(c, limitPpm) })));
  const pickUp = figures.pickUp?.value ?? 0;
  if (applies.id === 'nitrite-at-pull' && !c.open && verdict === 'ok' && pickUp < floorPpm)
    found.push(note(batchSays('pick-up-under', { ppm: pickUp, floorPpm })));
  const pumped = figures.pumped?.value;
  if (params.method === 'pumpAndCover' && !c.open && pumped !== undefined && pumped < floorPpm && verdict !== 'under')
    found.push(warn(batchSays('pump-under', { ppm: pumped, floorPpm, piece: 'none', advice: pastedSays('pickle-apart') })));
  if (productOf(params.product).limits === 'belly' && params.ruleSet === 'us' && (params.method === 'pumped' || params.method === 'pumpAndCover'))
    found.push(note(pastedSays('ascorbate', { wantedPpm: 550 })));
  if (params.method === 'dry' && c.brine.water.value > 0.02 * params.meatG) found.push(warn(pastedSays('dry-wet')));
  if (params.method === 'clock' && params.pickUpPercent === undefined) found.push(note(pastedSays('pick-up', { percent: USUAL_PICK_UP_PERCENT })));
  return found;
}

const byClock = ({ nitrite }: Case): boolean => nitrite.applies.id === 'nitrite-pick-up' || nitrite.applies.id === 'nitrite-at-pull';

/** When it must be out, where that is known and matters. */
function outBy(c: Case, limit: number): Message {
  if (c.params.section === undefined || !byClock(c)) return batchSays('nothing');
  const day = lastDay(sized(c.params, c.params.section), c, limit);
  return day === null ? batchSays('nothing') : batchSays('out-by-day', { day });
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
    return params.method === 'dry' ? [] : [warn(pastedSays('no-water'))];
  }
  if (strength.undissolvedG <= 0) return [];
  // Meat makes its own liquid: a rub, or a bag with little water, is not bound by what its water holds.
  if (params.method === 'dry') return [];
  if (params.method !== 'pumped' && params.method !== 'pumpAndCover' && brine.water.value < OWN_LIQUID_SHARE * params.meatG)
    return [note(pastedSays('own-liquid'))];
  const { undissolvedG } = strength;
  return [
    stop(
      pastedSays('saturated', {
        waterG: brine.water.value,
        mostG: Math.floor(brine.salt.value - undissolvedG),
        mostPercent: 26.4,
        leftG: Math.ceil(undissolvedG),
      }),
    ),
  ];
}

function saltFindings(c: Case): Finding[] {
  const { salt, params } = c;
  if (c.open) return [];
  const percent = salt.value;
  if (byClock(c)) return percent > 3 ? [note(pastedSays('salt-clock', { percent }))] : [];
  const where = params.method === 'dry' ? 'meat' : 'even';
  if (percent > 3) return [note(batchSays('salty', { percent, where }))];
  return percent < 1.5 ? [note(batchSays('bland', { percent, where }))] : [];
}

function lineFindings(c: Case): Finding[] {
  const found: Finding[] = [];
  const flavour = linesOf(c).filter((line) => readingsOf(line).every((reading) => isFlavouring(reading.ingredient, c.params.cures)));
  const salty = flavour.filter((line) => line.ingredient === 'salty-flavouring');
  if (salty.length > 0) found.push(warn(pastedSays('salty-flavouring', { names: names(salty) })));
  const unknown = flavour.filter((line) => line.ingredient === 'flavouring');
  if (unknown.length > 0) found.push(note(pastedSays('flavouring', { names: names(unknown) })));
  return found;
}

const names = (lines: readonly RecipeLine[]): string => lines.map((line) => line.name ?? line.ingredient).join(', ');

/** What is cooked within weeks has this limit when it is cured wet, ppm: a dry rub has no reason to hold more [M]. */
const WITHIN_WEEKS_PPM = 200;

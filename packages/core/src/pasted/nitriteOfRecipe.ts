import { USUAL_PICK_UP_PERCENT } from '../cure/ingoingNitrite.js';
import { judgeNitrite, type NitriteJudgement } from '../cure/judgeNitrite.js';
import { because, dryFigure, evenFigure, pickUpFigure, pumpedFigure, type NitriteFigures } from '../cure/nitriteFigure.js';
import type { Product } from '../products/product.js';
import type { NitriteMethod, RuleSet, RuleSetId } from '../cure/ruleSet.js';
import { InputError } from '../inputError.js';
import type { CureMix } from '../ingredients/cureMix.js';
import type { Section } from '../section/section.js';
import { HANDBOOK_RATES, pieceUptake, type SizedPiece } from '../section/uptake.js';
import { figureSays } from '../say/english/figures.js';
import { sheetSays } from '../say/english/sheet.js';
import type { Message } from '../say/message.js';
import type { Figure } from '../units/figure.js';
import { exactly, over, plus, scaled, times, type Measured } from '../units/measured.js';
import type { Bucket } from './bucket.js';
import type { RecipeLine } from './recipeLine.js';
import { atPull, coveredFigure } from '../batch/nitriteAtPull.js';
import { inputSays } from '../say/english/inputs.js';

/**
 * How the brine meets the meat, which decides how the nitrite is counted. `immersion` leaves open how long it lies: then both
 * ways are shown, and section and hours, where they are given, decide. `pumpAndCover` covers in the same brine unless
 * `coverLines` are given.
 */
export type CureMethod = 'immersion' | 'even' | 'clock' | 'pumped' | 'pumpAndCover' | 'dry';
export const CURE_METHODS: readonly CureMethod[] = ['immersion', 'even', 'clock', 'pumped', 'pumpAndCover', 'dry'];

export interface AuditParams {
  lines: readonly RecipeLine[];
  /** the cover, where it is another brine than the one that is pumped */
  coverLines?: readonly RecipeLine[];
  meatG: number;
  /** smallest step of the scale for meat, g */
  meatStepG?: number;
  method: CureMethod;
  /** % of green weight; needed where it is pumped */
  pumpPercent?: number;
  /** 10 when not weighed */
  pickUpPercent?: number;
  product: Product;
  ruleSet: RuleSetId;
  house?: RuleSet;
  /** mixes by their labels; an ingredient of the same name is that mix */
  cures?: readonly CureMix[];
  section?: Section;
  /** of the piece; worked out from its weight when not given */
  lengthMm?: number;
  cureHours?: number;
  skinOn?: boolean;
  /** ppm wanted; three quarters of the limit when not given */
  aimPpm?: number;
}

export type PpmBasis = 'pumped' | 'pickUp' | 'equilibrium' | 'dry' | 'atPull' | 'covered';

/** What would bring the figure that applies to a target. */
export interface Correction {
  ppm: number;
  /** cure in all, g */
  cureG: number;
  /** what each cure line is multiplied by */
  factor: number;
}

/** A piece that has taken up more than this share of what it can is counted as left until even [M]. */
const EVEN_FROM = 0.5;

export type PpmFigures = Partial<Record<PpmBasis, Figure>>;
export const BASES: readonly PpmBasis[] = ['pumped', 'pickUp', 'equilibrium', 'dry', 'atPull', 'covered'];

export interface Whole {
  nitrite: Measured;
  salt: Measured;
  water: Measured;
  cure: Measured;
  /** everything that lies with the meat */
  all: Measured;
}

/** What ends up with the meat: the whole bucket, or what was pumped and a cover of its own. */
export function together(p: AuditParams, brine: Bucket, cover: Bucket | null, meat: Measured): Whole {
  if (cover === null) return { nitrite: brine.nitrite, salt: brine.salt, water: brine.water, cure: brine.cure, all: brine.all };
  const injected = scaled(meat, (p.pumpPercent ?? 0) / 100);
  const part = (what: Measured) => times(over(what, brine.all), injected);
  return {
    nitrite: plus(part(brine.nitrite), cover.nitrite),
    salt: plus(part(brine.salt), cover.salt),
    water: plus(part(brine.water), cover.water),
    cure: plus(part(brine.cure), cover.cure),
    all: plus(injected, cover.all),
  };
}

export function figuresOf(p: AuditParams, brine: Bucket, cover: Bucket | null, whole: Whole, meat: Measured): PpmFigures {
  const source = { nitrite: brine.nitrite, brine: brine.all };
  const pickUp = p.pickUpPercent ?? USUAL_PICK_UP_PERCENT;
  const label = figureSays(p.pickUpPercent === undefined ? 'fig-pick-up-taken' : 'fig-pick-up-weighed', { percent: pickUp });
  return {
    ...(p.pumpPercent === undefined ? {} : { pumped: pumpedFigure(source, exactly(p.pumpPercent / 100)) }),
    ...(p.method === 'dry' ? {} : { pickUp: pickUpFigure(source, pickUp, label), equilibrium: evenFigure(whole.nitrite, plus(meat, whole.all)) }),
    dry: dryFigure(whole.nitrite, meat),
    ...(p.section === undefined || p.cureHours === undefined || p.method === 'dry' ? {} : { atPull: atPull(sized(p, p.section), p.cureHours, whole, meat) }),
    ...coveredIn(p, brine, cover, meat),
  };
}

/** The meat as one piece: smaller ones take up faster, and are given by their length. */
export const sized = ({ lengthMm, meatG }: Pick<AuditParams, 'lengthMm' | 'meatG'>, section: Section): SizedPiece => ({
  section,
  massG: meatG,
  ...(lengthMm === undefined ? {} : { lengthMm }),
});

/** What needle and tub give together, where it is said how thick it is and how long it lies: the tub holds what was not pumped, or a cover of its own. */
function coveredIn(p: AuditParams, brine: Bucket, cover: Bucket | null, meat: Measured): PpmFigures {
  if (p.method !== 'pumpAndCover' || p.section === undefined || p.cureHours === undefined || p.pumpPercent === undefined) return {};
  const share = exactly(p.pumpPercent / 100);
  const injected = times(meat, share);
  const left = Math.max(0, 1 - injected.value / brine.all.value);
  const tub = cover === null ? { nitrite: scaled(brine.nitrite, left), brine: scaled(brine.all, left) } : { nitrite: cover.nitrite, brine: cover.all };
  if (tub.brine.low <= 0) return {};
  const needle = { pickle: { nitrite: brine.nitrite, brine: brine.all }, share };
  return { covered: coveredFigure(sized(p, p.section), p.cureHours, needle, { cover: tub, meat: plus(meat, injected) }, HANDBOOK_RATES) };
}

/** The figure that is judged, and why (docs/science.md, “Ingoing nitrite”). */
export function applying(p: AuditParams, figures: PpmFigures): NitriteFigures {
  const [basis, why] = basisOf(p, figures);
  const applies = figures[basis];
  if (applies === undefined) throw new InputError('pumpPercent', inputSays('pump-missing'));
  const others = BASES.flatMap((other) => (other === basis || !bearsOn(p.method, other) ? [] : (figures[other] ?? [])));
  return { applies, judgement: judged(p, applies.value, methodOf(p.method, basis)), ...because(why), others, lowestPumped: null };
}

function basisOf(p: AuditParams, figures: PpmFigures): [PpmBasis, Message] {
  switch (p.method) {
    case 'pumped':
      return ['pumped', sheetSays('because-pumped-alone')];
    case 'pumpAndCover':
      if (figures.covered !== undefined)
        return figures.covered.value > (figures.pumped?.value ?? 0)
          ? ['covered', figureSays('because-cover-more')]
          : ['pumped', figureSays('because-cover-less')];
      return (figures.pumped?.value ?? 0) >= (figures.equilibrium?.value ?? 0)
        ? ['pumped', sheetSays('because-needle-not-less')]
        : ['equilibrium', sheetSays('because-cover-even')];
    case 'dry':
      return ['dry', sheetSays('because-dry')];
    case 'even':
      return ['equilibrium', figureSays('because-even')];
    case 'clock':
      return clockBasis(figures, sheetSays('pulled-by-clock'));
    case 'immersion':
      return immersionBasis(p, figures);
  }
}

function immersionBasis(p: AuditParams, figures: PpmFigures): [PpmBasis, Message] {
  const { section, cureHours } = p;
  if (section === undefined || cureHours === undefined) {
    return ['equilibrium', sheetSays('because-time-unsaid')];
  }
  const share = pieceUptake(sized(p, section), cureHours);
  const taken = sheetSays('taken-up', { n: cureHours / 24, percent: share * 100 });
  return share >= EVEN_FROM ? ['equilibrium', sheetSays('because-near-even', { taken })] : clockBasis(figures, taken);
}

/** Pulled in time: the pick-up figure, unless the model says that more has gone in by then. */
function clockBasis({ pickUp, atPull }: PpmFigures, reason: Message): [PpmBasis, Message] {
  return atPull !== undefined && atPull.value > (pickUp?.value ?? 0)
    ? ['atPull', sheetSays('because-model-more', { reason })]
    : ['pickUp', sheetSays('because-pick-up', { reason })];
}

/** Which figures say something about a way of curing. */
function bearsOn(method: CureMethod, basis: PpmBasis): boolean {
  if (method === 'dry') return basis === 'dry';
  if (basis === 'dry') return false;
  if (method === 'even') return basis === 'pickUp' || basis === 'equilibrium';
  if (method === 'pumped' || method === 'pumpAndCover') return basis === 'pumped' || basis === 'equilibrium' || basis === 'covered';
  if (basis === 'covered') return false;
  return basis !== 'pumped';
}

const methodOf = (method: CureMethod, basis: PpmBasis): NitriteMethod => (basis === 'pumped' ? 'pumped' : method === 'dry' ? 'dry' : 'immersion');

export function judged(p: AuditParams, ppm: number, method: NitriteMethod): NitriteJudgement {
  return judgeNitrite({
    ppm,
    product: p.product,
    ruleSet: p.ruleSet,
    method,
    ...(p.skinOn === undefined ? {} : { skinOn: p.skinOn }),
    ...(p.house === undefined ? {} : { house: p.house }),
  });
}

/** A dose that stands well inside the rules: what is aimed at, else three quarters of the limit; never outside them. */
export function targetPpm(p: AuditParams, { floor, limit }: NitriteJudgement): number {
  if (p.aimPpm !== undefined && p.aimPpm >= floor && p.aimPpm <= limit) return p.aimPpm;
  return Math.max(floor, Math.floor(limit * 0.75));
}

/** One figure of a changed recipe, as a bare number. */
function figureOf(id: string, p: AuditParams, brine: Bucket, cover: Bucket | null, meat: Measured): number {
  const whole = together(p, brine, cover, meat);
  const inBrine = brine.nitrite.value / brine.all.value;
  const even = whole.nitrite.value / (meat.value + whole.all.value);
  switch (id) {
    case 'nitrite-pumped':
      return (inBrine * (p.pumpPercent ?? 0) * 1e6) / 100;
    case 'nitrite-pick-up':
      return (inBrine * (p.pickUpPercent ?? USUAL_PICK_UP_PERCENT) * 1e6) / 100;
    case 'nitrite-dry':
      return (whole.nitrite.value / meat.value) * 1e6;
    case 'nitrite-at-pull':
      return p.section === undefined
        ? even * 1e6
        : Math.min(even, (whole.nitrite.value / whole.all.value) * pieceUptake(sized(p, p.section), p.cureHours ?? 0)) * 1e6;
    case 'nitrite-covered':
      return coveredIn(p, brine, cover, meat).covered?.value ?? even * 1e6;
    default:
      return even * 1e6;
  }
}

/** What the cure lines are to be multiplied by for the target, found from the figure itself: more cure also makes more brine. */
export function correction(p: AuditParams, brine: Bucket, cover: Bucket | null, { applies, judgement }: NitriteFigures): Correction | null {
  if (applies.value <= 0) return null;
  const ppm = targetPpm(p, judgement);
  const cures = [brine, ...(cover === null ? [] : [cover])];
  const withFactor = (factor: number) => {
    const more = (bucket: Bucket): Bucket => ({
      ...bucket,
      nitrite: scaled(bucket.nitrite, factor),
      all: exactly(bucket.all.value + (factor - 1) * bucket.cure.value),
    });
    const meat = exactly(p.meatG);
    const changed = more(brine);
    return figureOf(applies.id, p, changed, cover === null ? null : more(cover), meat);
  };
  let factor = ppm / applies.value;
  for (let i = 0; i < 8; i += 1) {
    const missed = ppm / withFactor(factor);
    factor *= missed;
    if (Math.abs(missed - 1) < 1e-9) break;
  }
  return { ppm, factor, cureG: factor * cures.reduce((sum, bucket) => sum + bucket.cure.value, 0) };
}

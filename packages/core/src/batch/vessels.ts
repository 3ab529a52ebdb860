import { HOUR_MS } from '../clock/spans.js';
import type { BatchDesign, Piece } from '../log/batchDesign.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { Vessel } from '../log/vessel.js';
import type { NitriteFigures } from '../cure/nitriteFigure.js';
import { asFigure } from '../units/figure.js';
import { exactly, over, weighed, type Measured } from '../units/measured.js';
import { judgedIn, sum, type BatchFacts } from './batchFacts.js';
import { batchFigures, injectedG, type BatchFigures } from './batchFigures.js';
import { withWater } from './design.js';
import type { SheetBrine } from './mixingSheet.js';
import { vesselSaid } from './vesselSaid.js';

/** How the pieces lie, or lay, for a while. */
interface Lying {
  vessels: readonly Vessel[];
  /** as it was logged, not as planned */
  isLogged: boolean;
  /** ms; null where they lie so still, or lay so to the end */
  untilMs: number | null;
}

/** A tub or a bag with its pieces and its part of the brine: judged by itself, as if it were a batch. */
export interface VesselState {
  vessel: Vessel;
  /** counted from 1: Tub 1, Bag 2 */
  n: number;
  /** its part of the brine that is around the meat, of one */
  share: Measured;
  /** that part, g */
  brineG: number;
  untilMs: number | null;
  design: BatchDesign;
  facts: BatchFacts;
  figures: BatchFigures;
}

/** A way that they lay for less is not judged: it was put right [T]. */
const SHORT_MS = 2 * HOUR_MS;
/** Poured by eye it may be so much more or less, of one [M]. */
const BY_EYE = 0.15;

/**
 * How the pieces lay from when they met the brine: as planned until the log says otherwise, each way for as long as it lasted. Empty where
 * all lie in one.
 *
 * @param metMs when meat and brine met, ms; null while they have not
 */
export function lyings({ vessels, pieces }: BatchDesign, standing: readonly StandingEntry[], metMs: number | null): Lying[] {
  const logged = standing.flatMap((entry) => (entry.kind === 'vessels' ? [{ at: Date.parse(entry.at), vessels: entry.vessels, isLogged: true }] : []));
  if (logged.length === 0) return vessels === undefined ? [] : [{ vessels, isLogged: false, untilMs: null }];
  const all: Vessel = { kind: 'tub', pieces: pieces.map(({ code }) => code) };
  const ways = [{ at: -Infinity, vessels: vessels ?? [all], isLogged: false }, ...logged.sort((a, b) => a.at - b.at)];
  return ways
    .map(({ at, ...way }, i) => ({ ...way, fromMs: Math.max(at, metMs ?? Infinity), untilMs: ways[i + 1]?.at ?? null }))
    .filter(({ fromMs, untilMs }) => untilMs === null || untilMs - fromMs > SHORT_MS)
    .map(({ fromMs: _from, ...way }) => way);
}

/** Every tub and bag that pieces lie in, or lay in, with what it comes to. */
export const vesselStates = (ways: readonly Lying[], design: BatchDesign, facts: BatchFacts): VesselState[] =>
  ways.flatMap((way) => {
    // What left on the way had its part of the brine, and leaves it empty behind.
    const held = way.vessels.map((vessel, i) => ({ vessel, n: i + 1 })).filter(({ vessel }) => layIn(vessel, facts) > 0);
    const shares = sharesOf(
      held.map(({ vessel }) => vessel),
      way.isLogged,
      design,
      facts,
    );
    return held.flatMap(({ vessel, n }, i) =>
      judgedIn(design.pieces, facts).some(({ code }) => vessel.pieces.includes(code))
        ? [vesselState(vessel, n, shares[i] ?? exactly(0), way.untilMs, design, facts)]
        : [],
    );
  });

/** The meat for which a vessel's part was poured, g green: also what left it since. */
const layIn = ({ pieces }: Vessel, { greenG, firstGreenG, carriedOffG }: BatchFacts): number =>
  pieces.reduce((g, code) => g + (greenG[code] ?? (carriedOffG[code] === undefined ? 0 : (firstGreenG[code] ?? 0))), 0);

/** What lies around the meat when the needle has had its part, g. */
function aroundG(design: BatchDesign, facts: BatchFacts): number {
  const bath = facts.brines.find(({ id }) => id !== 'pickle');
  if (bath === undefined) return 0;
  return design.school.kind === 'pumpSame' ? Math.max(0, bath.brineG - injectedG(design, facts)) : bath.brineG;
}

/** The parts of the brine: what was weighed is what it is, the rest is shared by the parts that were meant, or by the weight of the meat. */
function sharesOf(vessels: readonly Vessel[], isLogged: boolean, design: BatchDesign, facts: BatchFacts): Measured[] {
  const [first] = vessels;
  if (vessels.length === 1 && first?.brineG === undefined) return [exactly(1)];
  const allG = aroundG(design, facts);
  const weighedG = vessels.reduce((g, { brineG }) => g + (brineG ?? 0), 0);
  const rest = allG > 0 ? Math.max(0, 1 - weighedG / allG) : 0;
  const unweighed = vessels.filter(({ brineG }) => brineG === undefined);
  const byParts = unweighed.some(({ part }) => part !== undefined);
  const partOf = (vessel: Vessel) => (byParts ? (vessel.part ?? 1) : layIn(vessel, facts));
  const parts = unweighed.reduce((all, vessel) => all + partOf(vessel), 0);
  return vessels.map((vessel): Measured => {
    if (vessel.brineG !== undefined) return allG > 0 ? over(weighed(vessel.brineG, design.meatScaleStepG), exactly(allG)) : exactly(0);
    const value = parts > 0 ? (rest * partOf(vessel)) / parts : 0;
    return isLogged ? { value, low: value * (1 - BY_EYE), high: Math.min(1, value * (1 + BY_EYE)) } : exactly(value);
  });
}

function vesselState(vessel: Vessel, n: number, share: Measured, untilMs: number | null, design: BatchDesign, facts: BatchFacts): VesselState {
  const own = only(vessel.pieces);
  const pieces = design.pieces.filter(({ code }) => vessel.pieces.includes(code));
  const at = (part: number) => {
    const ownFacts: BatchFacts = {
      ...facts,
      firstGreenG: own(facts.firstGreenG),
      greenG: own(facts.greenG),
      keptGreenG: own(facts.keptGreenG),
      carriedOffG: own(facts.carriedOffG),
      pumpings: own(facts.pumpings),
      pulledG: own(facts.pulledG),
      driedG: own(facts.driedG),
      brines: facts.brines.map((brine) => partOfBrine(brine, factorOf(brine, part, { pieces, design, facts }))),
    };
    const ownDesign: BatchDesign = { ...design, pieces, school: withWater(design.school, design.school.waterG * part) };
    return { design: ownDesign, facts: ownFacts, figures: batchFigures(ownDesign, ownFacts) };
  };
  const state = at(share.value);
  const ends = share.low < share.high ? [at(share.low), at(share.high)].map(({ figures }) => figures.nitrite.applies) : [];
  const brineG = share.value * aroundG(design, facts);
  return { vessel, n, share, brineG, untilMs, ...state, figures: { ...state.figures, nitrite: withDoubt(state.figures.nitrite, ends) } };
}

/** The nitrite with what it would be if less or more had been poured. */
function withDoubt(nitrite: NitriteFigures, ends: readonly Measured[]): NitriteFigures {
  if (ends.length === 0) return nitrite;
  const { applies } = nitrite;
  const doubt = {
    value: applies.value,
    low: Math.min(applies.low, ...ends.map(({ low }) => low)),
    high: Math.max(applies.high, ...ends.map(({ high }) => high)),
  };
  return { ...nitrite, applies: asFigure(doubt, applies, () => applies.said) };
}

/** How much of a brine that was mixed goes with the pieces of a vessel, of one. */
function factorOf(brine: SheetBrine, part: number, { pieces, design, facts }: { pieces: readonly Piece[]; design: BatchDesign; facts: BatchFacts }): number {
  if (brine.id === 'pickle') return sum(only(pieces.map(({ code }) => code))(facts.greenG)) / Math.max(1, sum(facts.greenG));
  if (design.school.kind !== 'pumpSame' || brine.brineG <= 0) return part;
  return (injectedG({ ...design, pieces: [...pieces] }, facts) + part * aroundG(design, facts)) / brine.brineG;
}

const partOfBrine = (brine: SheetBrine, factor: number): SheetBrine => ({
  ...brine,
  waterG: brine.waterG * factor,
  saltG: brine.saltG * factor,
  sugarG: brine.sugarG * factor,
  cureG: brine.cureG * factor,
  brineG: brine.brineG * factor,
  ...(brine.acceleratorG === undefined ? {} : { acceleratorG: brine.acceleratorG * factor }),
  ...(brine.own === undefined ? {} : { own: brine.own.map((line) => ({ ...line, g: line.g * factor })) }),
  share: factor,
});

const only =
  (codes: readonly string[]) =>
  <T>(byPiece: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(byPiece).filter(([code]) => codes.includes(code)));

/** Worse before better: over the limit, under the floor, else the one nearer to the limit. */
const RANK = { over: 0, under: 1, ok: 2 } as const;

/** The vessels by how far off their nitrite is, the worst first. */
export const worstFirstVessels = (vessels: readonly VesselState[]): VesselState[] =>
  [...vessels].sort((a, b) => {
    const [one, other] = [a.figures.nitrite, b.figures.nitrite];
    const rank = RANK[one.judgement.verdict] - RANK[other.judgement.verdict];
    if (rank !== 0) return rank;
    const byPpm = other.applies.value - one.applies.value;
    return one.judgement.verdict === 'under' ? -byPpm : byPpm;
  });

/** The figures of the whole, with the nitrite of the vessel that is furthest off. */
export function judgedByVessel(figures: BatchFigures, vessels: readonly VesselState[]): BatchFigures {
  const [worst] = worstFirstVessels(vessels);
  if (worst === undefined) return figures;
  const of = vessels.length > 1 ? { of: vesselSaid(worst.vessel, worst.n) } : {};
  return { ...figures, nitrite: { ...worst.figures.nitrite, ...of } };
}

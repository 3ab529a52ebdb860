import { HOUR_MS } from '../clock/spans.js';
import type { PlannedStepId, SingleStepId } from '../log/stepId.js';
import { MIX_STEPS } from '../steps/mixSteps.js';
import type { InputName, ValuesOf } from '../steps/values.js';
import { brineWeight, type BrineWeights } from '../brine/brineStrength.js';
import { uptakeFromBath } from '../section/uptake.js';
import type { BatchDesign, Piece } from '../log/batchDesign.js';
import type { StepValues } from '../log/logEntry.js';
import { mixingSheet, OWN_LINE, type SheetBrine } from './mixingSheet.js';
import { isParting } from '../log/pieceEvent.js';
import { greenAt, hasLeft, leavesWith, type PieceFact } from './pieces.js';

/** Before and after one pumping of a piece, g. */
interface Pumping {
  beforeG: number;
  pumpedG: number;
}

/** What is known of the meat and the brine: as weighed, else as planned. */
export interface BatchFacts {
  /** what each piece weighed at first */
  firstGreenG: Record<string, number>;
  /** what lies in the brine, or lay in it: parts that went and pieces that left before are not counted */
  greenG: Record<string, number>;
  /** green weight of what is here now: what a yield is counted of */
  keptGreenG: Record<string, number>;
  /** what was cut away, all of it */
  trimmedOffG: number;
  /** how long it lies or lay in the brine, h: planned until it is pulled, or longer where it lies longer */
  lyingH: number;
  greenWeighed: boolean;
  /** whether meat and brine have met: what is mixed then is no longer weighed anew */
  isInBrine: boolean;
  brines: SheetBrine[];
  /** by piece code, in order of time */
  pumpings: Record<string, Pumping[]>;
  /** whether another pumping is still planned */
  repumpOpen: boolean;
  /** out of its brine, weighed or not */
  isPulled: boolean;
  pulledG: Record<string, number>;
  /** weighed in the drying, g */
  driedG: Record<string, number>;
  packedG: number | null;
  /** codes of the pieces that lay in the brine and are none of this batch's any more: they count for the brine, and are judged elsewhere or not at all */
  left: readonly string[];
  /** what each piece that left while it cured took along, as so much meat that was even, g: the brine is not for the others alone */
  carriedOffG: Record<string, number>;
}

/** The pieces that lie in the brine, or lay in it. */
export const inBrine = (pieces: readonly Piece[], { greenG }: BatchFacts): Piece[] => pieces.filter(({ code }) => greenG[code] !== undefined);

/** Those of them that are judged here: none that left. */
export const judgedIn = (pieces: readonly Piece[], facts: BatchFacts): Piece[] => inBrine(pieces, facts).filter(({ code }) => !facts.left.includes(code));

/** What a piece weighs by its last weight, g: dried, else pulled, else green; of a piece that was cut, its part. */
export function lastWeightG({ driedG, pulledG, greenG, keptGreenG }: BatchFacts, { code, greenG: ownG }: Piece): number {
  const weighed = driedG[code] ?? pulledG[code];
  const lay = greenG[code];
  return weighed === undefined || lay === undefined || lay === 0 ? ownG : (weighed * (keptGreenG[code] ?? lay)) / lay;
}

/** What the steps that are closed measured, by step. */
export type StepRecords = ReadonlyMap<PlannedStepId, StepValues>;

/** What a step measured, with its names and kinds. */
const measured = <Id extends SingleStepId>(records: StepRecords, id: Id): ValuesOf<Id> | undefined => records.get(id) as ValuesOf<Id> | undefined;

/** What happened to pieces beside the steps, and until when it changed what the brine is for, ms. */
interface Happened {
  facts: readonly PieceFact[];
  untilMs: number;
  /** when it was pulled, ms; not yet when not given */
  pulledMs?: number;
  /** see `lyingH` of the facts; as planned when not given */
  lyingH?: number;
}
const NOTHING: Happened = { facts: [], untilMs: Infinity };

/** Gathers the facts of a batch from its design and what its closed steps measured. */
export function batchFacts(design: BatchDesign, records: StepRecords, repumpOpen: boolean, happened: Happened = NOTHING): BatchFacts {
  const byPiece = <Id extends SingleStepId>(step: Id, name: InputName<Id>) => perPiece(design.pieces, records.get(step), name);
  const weighed = byPiece('weigh', 'greenG');
  const { pulledMs = Infinity } = happened;
  const firstGreenG = Object.fromEntries(design.pieces.map((piece) => [piece.code, weighed[piece.code] ?? piece.greenG]));
  // A piece that is thrown out of the tub leaves the brine to the others: what it would have taken up counts for them.
  const greenG = greenAt(
    firstGreenG,
    happened.facts.filter((fact) => fact.at <= happened.untilMs || (leavesWith(fact).length > 0 && fact.at < pulledMs)),
  );
  const cut = happened.facts.filter(({ event }) => isParting(event) || event.act === 'joined' || event.act === 'dropped');
  const keptGreenG = greenAt(firstGreenG, [...happened.facts.filter(({ at }) => at <= happened.untilMs), ...cut.filter(({ at }) => at > happened.untilMs)]);
  const first = byPiece('pump', 'pumpedG');
  const before = byPiece('repump', 'beforeG');
  const after = byPiece('repump', 'pumpedG');
  const pumpings = Object.fromEntries(design.pieces.map(({ code }) => [code, [...pumping(greenG[code], first[code]), ...pumping(before[code], after[code])]]));
  const packed = measured(records, 'pack')?.packedG;
  const brines = mixingSheet(design, sum(greenG)).map((brine) => asWeighed(brine, records));
  return {
    firstGreenG,
    greenG,
    keptGreenG,
    trimmedOffG: happened.facts.reduce((g, { event }) => g + ('offG' in event ? (event.offG ?? 0) : 0), 0),
    lyingH: happened.lyingH ?? design.cureDays * 24,
    greenWeighed: records.has('weigh'),
    isInBrine: records.has('meat-in'),
    brines,
    left: design.pieces.map(({ code }) => code).filter((code) => hasLeft(happened.facts, code)),
    carriedOffG: carriedOffG(design, firstGreenG, sum(greenG), brines, happened),
    pumpings,
    repumpOpen,
    isPulled: records.has('pull'),
    pulledG: byPiece('pull', 'pulledG'),
    driedG: byPiece('pellicle', 'driedG'),
    packedG: packed ?? null,
  };
}

/** What each piece took up that was thrown out of the tub on the way, as meat that is even. */
function carriedOffG(
  design: BatchDesign,
  firstGreenG: Record<string, number>,
  leftG: number,
  brines: readonly SheetBrine[],
  happened: Happened,
): Record<string, number> {
  const bathG = brines.find(({ id }) => id !== 'pickle')?.brineG ?? 0;
  const carried: Record<string, number> = {};
  if (bathG <= 0) return carried;
  for (const fact of happened.facts) {
    if (fact.at <= happened.untilMs || fact.at >= (happened.pulledMs ?? Infinity)) continue;
    for (const code of leavesWith(fact)) {
      const massG = firstGreenG[code] ?? 0;
      const piece = design.pieces.find((one) => one.code === code);
      if (piece === undefined || massG <= 0) continue;
      const meatPerBath = (leftG + massG) / bathG;
      const share = uptakeFromBath({ ...piece, massG }, (fact.at - happened.untilMs) / HOUR_MS, meatPerBath) * (1 + meatPerBath);
      carried[code] = massG * Math.min(1, share);
    }
  }
  return carried;
}

function asWeighed(planned: SheetBrine, records: StepRecords): SheetBrine {
  const values = measured(records, MIX_STEPS[planned.id]);
  if (values === undefined) return planned;
  const g = (name: keyof BrineWeights) => values[name] ?? planned[name];
  const weights = { waterG: g('waterG'), saltG: g('saltG'), sugarG: g('sugarG'), cureG: g('cureG') };
  // What nobody weighed is not in it.
  const acceleratorG = planned.acceleratorG === undefined ? {} : { acceleratorG: values.acceleratorG ?? 0 };
  const own = planned.own?.map((line, i) => ({ ...line, g: Number(records.get(MIX_STEPS[planned.id])?.[`${OWN_LINE}${i + 1}`] ?? 0) }));
  const brineG = brineWeight(weights) + (own ?? []).reduce((g, line) => g + line.g, 0);
  return { id: planned.id, ...weights, ...acceleratorG, ...(own === undefined ? {} : { own }), brineG, weighed: true };
}

function perPiece(pieces: readonly Piece[], values: StepValues | undefined, name: string): Record<string, number> {
  const found: Record<string, number> = {};
  for (const { code } of pieces) {
    const value = values?.[`${name}:${code}`];
    if (typeof value === 'number') found[code] = value;
  }
  return found;
}

const pumping = (beforeG: number | undefined, pumpedG: number | undefined): Pumping[] =>
  beforeG === undefined || pumpedG === undefined ? [] : [{ beforeG, pumpedG }];

export const sum = (byPiece: Record<string, number>): number => Object.values(byPiece).reduce((a, b) => a + b, 0);

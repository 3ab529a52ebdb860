import { HOUR_MS, HOUR_S } from '../clock/spans.js';
import type { PlannedStepId } from '../log/stepId.js';
import { chillGrowth, type ChillGrowth } from '../safety/chillGrowth.js';
import { coolingGates, type CoolingRule, type GateState } from '../safety/coolingGates.js';
import type { CoreReading } from '../safety/coreReadings.js';
import { doubtOf } from '../safety/thermometerDoubt.js';
import { pieceRead } from '../steps/gates.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { StepValues } from '../log/logEntry.js';
import { piecesAt, type PieceFact, type PieceNow } from './pieces.js';
import type { Piece } from '../log/batchDesign.js';
import type { StepSpec } from '../steps/step.js';

/** What hands read of the core of one piece: in one place or several, with a thermometer that was held against ice, or not. */
export interface HandReading {
  entryId: string;
  /** ms */
  at: number;
  by: string;
  /** the step that asked for it; null at a check between steps */
  stepId: PlannedStepId | null;
  lowestC: number;
  highestC: number;
  placesC: number[];
  isChecked: boolean;
}

export interface HandsOn {
  standing: readonly StandingEntry[];
  specs: readonly StepSpec[];
  /** who was there when */
  pieces: { design: { pieces: readonly Piece[] }; pieceFacts: readonly PieceFact[]; firstGreenG: Readonly<Record<string, number>> };
}

/** A core temperature of a step by its name: `instant1C:A`, `coreC`. */
const CORE_VALUE = /^(?:coreC|instant\dC)(?::[A-Za-z0-9]+)?$/;

/** Steps at which the core of a piece is read that was on the fire. */
const isOfCore = (spec: StepSpec | undefined): boolean => spec !== undefined && (spec.station === 'chill' || spec.id === 'core' || spec.id === 'pack');

/** Every hand's reading of each piece's core from the check on the fire on, in order of time. A reading of no piece that was named is of none. */
export function handReadings({ standing, specs, pieces }: HandsOn): Map<string, HandReading[]> {
  const found = new Map<string, HandReading[]>();
  const specOf = new Map(specs.map((spec) => [spec.id, spec]));
  const add = (code: string, reading: HandReading) => found.set(code, [...(found.get(code) ?? []), reading]);
  for (const entry of standing) {
    const at = Date.parse(entry.at);
    const base = { entryId: entry.id, at, by: entry.by, isChecked: 'read' in entry && entry.read?.isChecked === true };
    if (entry.kind === 'pit' && entry.event.act === 'check') {
      const { piece, placesC } = entry.event;
      add(piece, { ...base, stepId: null, placesC, lowestC: Math.min(...placesC), highestC: Math.max(...placesC) });
    } else if (entry.kind === 'done' && isOfCore(specOf.get(entry.stepId))) {
      for (const [code, placesC] of placesOf(entry.values, piecesAt(pieces, at)))
        add(code, { ...base, stepId: entry.stepId, placesC, lowestC: Math.min(...placesC), highestC: Math.max(...placesC) });
    }
  }
  for (const list of found.values()) list.sort((a, b) => a.at - b.at);
  return found;
}

/** The places read of each piece, by its code. */
function placesOf(values: StepValues, here: readonly PieceNow[]): Map<string, number[]> {
  const places = new Map<string, number[]>();
  for (const [name, value] of Object.entries(values)) {
    if (typeof value !== 'number' || !CORE_VALUE.test(name)) continue;
    const code = pieceRead(name, here);
    if (code !== null) places.set(code, [...(places.get(code) ?? []), value]);
  }
  return places;
}

/** A chill gate of one piece, by what hands read of it. Instants in ms. */
export interface CoolingState {
  stepId: PlannedStepId;
  piece: string;
  rule: CoolingRule;
  fromC: number;
  toC: number;
  limitH: number;
  state: GateState;
  /** when the gate's clock began at the latest that is known; null before, or where nobody knows */
  startedAt: number | null;
  /** hours, estimated between what the readings prove; null where neither pass nor fail is proven */
  tookH: number | null;
  leastH: number;
  mostH: number | null;
  /** the last reading above the temperature at which the clock begins */
  lastAbove: CoreReading | null;
  /** by what was read of this piece so far */
  growth: ChillGrowth;
}

/** The chill gates of every piece, from what hands read of that piece alone. */
export function coolingStates(
  gates: readonly { stepId: PlannedStepId; gate: 0 | 1 }[],
  pieces: readonly Piece[],
  read: ReadonlyMap<string, readonly HandReading[]>,
  offAt: number | null,
  guardOf: (code: string) => { rule: CoolingRule; saltPercent: number; nitritePpm: number },
): CoolingState[] {
  return pieces.flatMap(({ code, section }) => {
    const own = (read.get(code) ?? []).filter(({ at }) => offAt === null || at >= offAt);
    const doubtC = doubtOf(own.length > 0 && own.every(({ isChecked }) => isChecked));
    const readings = onceEach(own);
    const { rule, saltPercent, nitritePpm } = guardOf(code);
    const timed = readings.map(({ at, C }) => ({ s: at / 1000, C }));
    const growth = chillGrowth({ readings: timed, saltPercent, nitritePpm, ...(offAt === null ? {} : { heatOffS: offAt / 1000 }) });
    const passages = coolingGates(timed, rule, { section, doubtC, ...(offAt === null ? {} : { heatOffS: offAt / 1000 }) });
    return gates.flatMap(({ stepId, gate }): CoolingState[] => {
      const passage = passages[gate];
      if (passage === undefined) return [];
      const { from, to, limitS, startS, tookS, leastS, mostS, state } = passage;
      return [
        {
          stepId,
          piece: code,
          rule,
          fromC: from,
          toC: to,
          limitH: limitS / HOUR_S,
          state,
          startedAt: startS === null ? null : startS * 1000,
          tookH: tookS === null ? null : (tookS * 1000) / HOUR_MS,
          leastH: (leastS * 1000) / HOUR_MS,
          mostH: mostS === null ? null : (mostS * 1000) / HOUR_MS,
          lastAbove: readings.findLast(({ C }) => C > from) ?? null,
          growth,
        },
      ];
    });
  });
}

/** The highest place of each reading, each instant once: what is said to be warmer counts. */
function onceEach(read: readonly HandReading[]): CoreReading[] {
  const at = new Map<number, number>();
  for (const reading of read) at.set(reading.at, Math.max(reading.highestC, at.get(reading.at) ?? -Infinity));
  return [...at].map(([ms, C]) => ({ at: ms, C }));
}

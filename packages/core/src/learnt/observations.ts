import { HOUR_MS } from '../clock/spans.js';
import { cureCourse, type CureCourse } from '../batch/cureCourse.js';
import { sectionAt } from '../course/sectionAt.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { thicknessMm } from '../section/section.js';
import { cutFaceDepths } from './cutFace.js';
import type { SectionRun } from '../diffusion/sectionRun.js';
import type { TableVerdict } from '../log/tableVerdict.js';
import { VERDICTS, type Verdict } from './tasteTarget.js';

interface Observed {
  /** the entry that it stands in, and the piece */
  id: string;
  by: string;
  /** ISO instant */
  at: string;
  piece: string;
}

/** A cut face that a batch's log tells of. Depths in mm. */
export interface CutFaceObserved extends Observed {
  colouredMm: number;
  /** from rim to middle */
  halfMm: number;
  depths: number[];
}

/** A slice that a batch's log tells of: a fry test, or salt at table. */
export interface TastedObserved extends Observed {
  /** % salt by the model: of the outermost meat where it was fried, of the whole section at table */
  edgePercent: number;
  verdict: Verdict;
}

/** What was said of a batch at table. */
export interface SaidAtTable {
  /** the entry */
  id: string;
  by: string;
  /** ISO instant */
  at: string;
  /** every piece when not given */
  pieces?: readonly string[];
  verdict: TableVerdict;
  /** what to do next time; empty where nothing was said */
  nextTime: string;
}

/** Cells across the thickness: an edge is good for a few hundredths of a per cent. */
const ACROSS = 40;

/** What a batch has to say about how fast brine moves in this house's meat, and how its cooks like their salt. */
export function observations(record: BatchRecord): { cutFaces: CutFaceObserved[]; tasted: TastedObserved[]; atTable: SaidAtTable[] } {
  const last = record.entries.at(-1);
  if (last === undefined) return { cutFaces: [], tasted: [], atTable: [] };
  const state = replay(record, Date.parse(last.at));
  const courses = new Map<string, CureCourse>();
  const courseOf = (code: string): CureCourse => {
    const course = courses.get(code) ?? cureCourse(record, state, code);
    courses.set(code, course);
    return course;
  };
  const cutFaces: CutFaceObserved[] = [];
  const tasted: TastedObserved[] = [];
  const taste = (entry: { id: string; by: string; at: string }, piece: string, verdict: Verdict, of: (run: SectionRun) => number) => {
    const course = courseOf(piece);
    const atH = Math.max(0, (Date.parse(entry.at) - course.startsAt) / HOUR_MS);
    const run = sectionAt(course, { species: 'salt', atH, cellMm: Math.max(0.5, thicknessMm(course.section) / ACROSS) });
    tasted.push({ id: `${entry.id}:${piece}`, by: entry.by, at: entry.at, piece, edgePercent: of(run), verdict });
  };
  const atTable: SaidAtTable[] = [];
  for (const entry of state.standing) {
    // What a part shares with the whole that it was cut from, the whole tells.
    if (entry.seq <= (record.origin?.sharedEntries ?? 0)) continue;
    if (entry.kind === 'act' && entry.event.act === 'table') {
      const { act: _act, pieces, ...verdict } = entry.event;
      const code = pieces?.[0] ?? state.pieces[0]?.code;
      atTable.push({ id: entry.id, by: entry.by, at: entry.at, ...(pieces === undefined ? {} : { pieces }), verdict, nextTime: entry.reason ?? '' });
      // What is said of the salt while it lies in the brine is of no slice that anybody eats.
      const isPulled = Date.parse(entry.at) >= (state.closedAt('pull') ?? Infinity);
      if (verdict.salt !== undefined && code !== undefined && isPulled) taste(entry, code, verdict.salt, (run) => run.meanSalt());
    }
    if (entry.kind !== 'done') continue;
    const { id, by, at, values } = entry;
    for (const { code } of state.design.pieces) {
      const colouredMm = values[`colouredMm:${code}`];
      // A pumped piece is coloured by the needle: it says nothing about how fast brine comes in.
      if (typeof colouredMm !== 'number' || state.design.school.kind !== 'equilibrium') continue;
      const course = courseOf(code);
      cutFaces.push({ id: `${id}:${code}`, by, at, piece: code, colouredMm, halfMm: thicknessMm(course.section) / 2, depths: cutFaceDepths(course) });
    }
    const piece = state.pieces[0]?.code;
    if (piece !== undefined && isVerdict(values.taste)) taste(entry, piece, values.taste, (run) => run.sliceSalt());
  }
  return { cutFaces, tasted, atTable };
}

const isVerdict = (value: unknown): value is Verdict => VERDICTS.some((verdict) => verdict === value);

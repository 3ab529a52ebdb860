import { HOUR_MS } from '../clock/spans.js';
import { cureCourse, type CureCourse } from '../batch/cureCourse.js';
import { sectionAt } from '../course/sectionAt.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { thicknessMm } from '../section/section.js';
import { cutFaceDepths } from './cutFace.js';
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

/** A fry test that a batch's log tells of. */
export interface TastedObserved extends Observed {
  /** % salt of the outermost meat, by the model */
  edgePercent: number;
  verdict: Verdict;
}

/** Cells across the thickness: an edge is good for a few hundredths of a per cent. */
const ACROSS = 40;

/** What a batch has to say about how fast brine moves in this house's meat, and how its cooks like their salt. */
export function observations(record: BatchRecord): { cutFaces: CutFaceObserved[]; tasted: TastedObserved[] } {
  const last = record.entries.at(-1);
  if (last === undefined) return { cutFaces: [], tasted: [] };
  const state = replay(record, Date.parse(last.at));
  const courses = new Map<string, CureCourse>();
  const courseOf = (code: string): CureCourse => {
    const course = courses.get(code) ?? cureCourse(record, state, code);
    courses.set(code, course);
    return course;
  };
  const cutFaces: CutFaceObserved[] = [];
  const tasted: TastedObserved[] = [];
  for (const entry of state.standing) {
    // What a part shares with the whole that it was cut from, the whole tells.
    if (entry.kind !== 'done' || entry.seq <= (record.origin?.sharedEntries ?? 0)) continue;
    const { id, by, at, values } = entry;
    for (const { code } of state.design.pieces) {
      const colouredMm = values[`colouredMm:${code}`];
      // A pumped piece is coloured by the needle: it says nothing about how fast brine comes in.
      if (typeof colouredMm !== 'number' || state.design.school.kind !== 'equilibrium') continue;
      const course = courseOf(code);
      cutFaces.push({ id: `${id}:${code}`, by, at, piece: code, colouredMm, halfMm: thicknessMm(course.section) / 2, depths: cutFaceDepths(course) });
    }
    const { taste } = values;
    const piece = state.pieces[0]?.code;
    if (piece === undefined || !isVerdict(taste)) continue;
    const course = courseOf(piece);
    const atH = Math.max(0, (Date.parse(at) - course.startsAt) / HOUR_MS);
    const run = sectionAt(course, { species: 'salt', atH, cellMm: Math.max(0.5, thicknessMm(course.section) / ACROSS) });
    tasted.push({ id: `${id}:${piece}`, by, at, piece, edgePercent: run.sliceSalt(), verdict: taste });
  }
  return { cutFaces, tasted };
}

const isVerdict = (value: unknown): value is Verdict => VERDICTS.some((verdict) => verdict === value);

import { HOUR_MS } from '../clock/spans.js';
import type { SingleStepId } from '../log/stepId.js';
import { rulesOf } from '../cure/judgeNitrite.js';
import { CURED_PPM } from '../cure/ruleSet.js';
import { isByTheClock } from './design.js';
import { judgedIn } from './batchFacts.js';
import type { BatchRecord, BatchState, PieceCure, NotCuredFor } from './batchState.js';
import { lately } from '../units/lately.js';
import { cureCourse, HANDBOOK_DIFFUSIVITY, type CourseState } from './cureCourse.js';
import { COLOURED_AT_PPM, reachAtPull, type PieceReach, type ReachAtPullParams } from '../diffusion/reachAtPull.js';

/** What was taken up counts to this share of the dose where the meat is slow [M]. */
const SLOW_SHARE = 0.75;

const reached = lately((p: ReachAtPullParams): PieceReach[] => reachAtPull(p), 256);

/**
 * Every piece that is here and lies in the brine, or lay in it, judged from what was logged: as planned before, as it was after the pull, rested until
 * the fire. The even figure holds for nothing that is pulled before it is even.
 */
export function curedPieces(record: BatchRecord, state: CourseState & Pick<BatchState, 'vessels'>): PieceCure[] {
  const { vessels } = state;
  if (vessels.length === 0) return curedInOne(record, state);
  // A piece that was moved is judged by each tub that it lay in: the least that it may have got counts.
  const byVessel = vessels.flatMap((vessel) => curedInOne(record, { ...state, ...vessel }));
  return judgedIn(state.design.pieces, state.facts).flatMap(({ code }) => {
    const [least] = byVessel.filter((piece) => piece.code === code).sort((a, b) => Number(a.isCured) - Number(b.isCured) || a.leastPpm - b.leastPpm);
    return least === undefined ? [] : [least];
  });
}

function curedInOne(record: BatchRecord, state: CourseState): PieceCure[] {
  const { design, facts, figures } = state;
  const pieces = judgedIn(design.pieces, facts);
  const { meatIn, fire } = hoursOf(state);
  if (design.nitritePpm <= 0 || pieces.length === 0) return pieces.map(({ code }) => ({ ...NO_CURE_AT_ALL, code, lainDays: facts.lyingH / 24 }));
  const wanted = rulesOf(design.ruleSet, design.house).curedPpm ?? CURED_PPM;
  const diffusivity = design.diffusivity ?? HANDBOOK_DIFFUSIVITY;
  return pieces.flatMap((piece) => {
    const course = cureCourse(record, state, piece.code);
    const [reach] = reached({
      pieces: [{ code: piece.code, section: piece.section, lengthMm: piece.lengthMm, massG: facts.greenG[piece.code] ?? piece.greenG }],
      vessel: { meatG: course.meatG },
      stages: course.stages.nitrite,
      diffusivity: { low: diffusivity.low, typical: diffusivity.value, high: diffusivity.high },
      pullH: course.pullH,
      ...(fire === null ? {} : { fireH: Math.round(((fire - course.startsAt) / HOUR_MS) * 4) / 4 }),
    });
    if (reach === undefined) return [];
    const dose = isByTheClock(design.school) ? reach.meanPpm.typical : figures.nitrite.applies.value;
    const why: NotCuredFor | null =
      dose < wanted - 1e-6
        ? 'dose'
        : !reach.coloured
          ? 'middle'
          : reach.meanPpm.typical < wanted - 1e-6 || reach.meanPpm.low < SLOW_SHARE * wanted - 1e-6
            ? 'mean'
            : null;
    const lainDays = Math.max(0, course.pullH - (meatIn === null ? 0 : (meatIn - course.startsAt) / HOUR_MS)) / 24;
    return [{ ...reach, lainDays, isCured: why === null, isPale: why === null && reach.leastSlowPpm < COLOURED_AT_PPM, why }];
  });
}

const NO_CURE_AT_ALL: Omit<PieceCure, 'code' | 'lainDays'> = {
  leastPpm: 0,
  leastSlowPpm: 0,
  meanPpm: { low: 0, typical: 0, high: 0 },
  atMostPpm: 0,
  coloured: false,
  colouredFromDay: null,
  isCured: false,
  isPale: false,
  why: 'noCure',
};

/** When it went into the brine, and onto the fire, as logged or as planned, ms. */
function hoursOf({ step }: CourseState): { meatIn: number | null; fire: number | null } {
  const at = (id: SingleStepId) => {
    const found = step(id);
    return found === null ? null : found.closing === null ? found.dueAt : Date.parse(found.closing.at);
  };
  return { meatIn: at('meat-in'), fire: at('meat-on') };
}

import { programHours, type Stage } from '../diffusion/sectionProgram.js';
import { SectionRun } from '../diffusion/sectionRun.js';
import { stagesUntilPull, type CureCourse } from '../batch/cureCourse.js';

/** When a piece may be pulled, h from the start of its course; null where it is not reached within the time looked at. */
export interface PullWindow {
  /** every place has the nitrite that colours it */
  earliestH: number | null;
  /** every place has nine tenths of the mean: even */
  bestH: number | null;
  /** its mean passes what was aimed at by half a per cent: salty; null where the brine is not strong enough to come to it */
  latestH: number | null;
  /** h up to which was looked */
  lookedH: number;
}

/** Nitrite that colours the meat, ppm [T: 10 to 20]. */
export const COLOURED_PPM = 15;
/** Least ÷ mean that counts as even [M: docs/science.md, “The cure inside the meat”]. */
const EVEN_SHARE = 0.9;
/** So much over the salt that was aimed at tastes salty, % [M]. */
const SALTY_OVER = 0.5;
/** Longest that is looked ahead, h. */
const LONGEST_H = 60 * 24;

/**
 * The earliest, best and latest hour to pull, by the model: the course up to its pull, then on in the same brine (docs/science.md, “The cure inside the meat”). An
 * even cure cannot over-salt and has no latest hour; a brine that is stronger than its sheet has one.
 *
 * @param diffusivity m²/s at 3 °C; that of the course when not given
 */
export function pullWindow(course: CureCourse, cellMm: number, diffusivity = course.diffusivity.value): PullWindow {
  const salty = course.aimPercent + SALTY_OVER;
  const nitrite = watched(course, 'nitrite', cellMm, diffusivity, [(run) => run.leastSalt() * 1e4 >= COLOURED_PPM]);
  const salt = watched(course, 'salt', cellMm, diffusivity, [
    (run) => run.leastSalt() >= EVEN_SHARE * run.meanSalt(),
    (run) => (run.evenSalt() <= salty ? null : run.meanSalt() >= salty),
  ]);
  return { earliestH: nitrite[0] ?? null, bestH: salt[0] ?? null, latestH: salt[1] ?? null, lookedH: LONGEST_H };
}

/** Whether something is so by now; null where it never will be. */
type Question = (run: SectionRun) => boolean | null;

/** The first hour at which each question is answered yes, none of it looked for longer than needed. */
function watched(course: CureCourse, species: 'salt' | 'nitrite', cellMm: number, diffusivity: number, questions: readonly Question[]): (number | null)[] {
  const run = new SectionRun({ section: course.section, meatG: course.meatG, cellMm, stages: [], sampleHours: 3, diffusivity });
  const found: (number | null)[] = questions.map(() => null);
  let open = questions.length;
  const look = (): boolean => {
    open = 0;
    questions.forEach((question, i) => {
      if (found[i] !== null) return;
      const answer = question(run);
      if (answer === true) found[i] = run.elapsedH();
      else if (answer === false) open += 1;
    });
    return open === 0;
  };
  for (const stage of goingOn(course, species)) {
    run.play(stage, look);
    if (stage.kind === 'bath' && open === 0) break;
  }
  return found;
}

/** The stages in pump and brine, the brine going on for as long as is looked. */
function goingOn(course: CureCourse, species: 'salt' | 'nitrite'): Stage[] {
  const kept = stagesUntilPull(course, species);
  const brine = kept.findLast((stage) => stage.kind === 'bath');
  if (brine === undefined) return kept;
  const { closedSide: _turnedFromNowOn, ...open } = brine;
  return [...kept, { ...open, hours: Math.max(0, LONGEST_H - programHours(kept)), goesOn: true }];
}

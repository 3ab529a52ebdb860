import { programHours, type SimulateSectionParams, type Stage } from '../diffusion/sectionProgram.js';
import { SectionRun } from '../diffusion/sectionRun.js';
import { stagesUntilPull, type CureCourse } from './cureCourse.js';

/** When a piece may be pulled, h from the start of its course; null where it is not reached within the time looked at. */
export interface PullWindow {
  /** every place has the nitrite that colours it */
  earliestH: number | null;
  /** every place has nine tenths of the mean: even */
  bestH: number | null;
  /** h up to which was looked */
  lookedH: number;
}

/** Nitrite that colours the meat, ppm [T: 10 to 20]. */
export const COLOURED_PPM = 15;
/** Least ÷ mean that counts as even [M: handbook part 9]. */
export const EVEN_SHARE = 0.9;
/** Longest that is looked ahead, h. */
const LONGEST_H = 60 * 24;

/**
 * The earliest and the best hour to pull, by the model: the course up to its pull, then on in the same brine (handbook part 9). An even
 * cure cannot over-salt and has no latest day.
 */
export function pullWindow(course: CureCourse, cellMm: number, diffusivity?: number): PullWindow {
  const reached = (species: 'salt' | 'nitrite', enough: (run: SectionRun) => boolean): number | null => {
    const stages = goingOn(course, species);
    const params: SimulateSectionParams = {
      section: course.section,
      meatG: course.meatG,
      cellMm,
      stages: [],
      sampleHours: 3,
      ...(diffusivity === undefined ? {} : { diffusivity }),
    };
    const run = new SectionRun(params);
    let found: number | null = null;
    for (const stage of stages) {
      run.play(stage, () => {
        if (found === null && enough(run)) found = run.elapsedH();
        return found !== null;
      });
      if (found !== null) return found;
    }
    return found;
  };
  return {
    earliestH: reached('nitrite', (run) => run.leastSalt() * 1e4 >= COLOURED_PPM),
    bestH: reached('salt', (run) => run.leastSalt() >= EVEN_SHARE * run.meanSalt()),
    lookedH: LONGEST_H,
  };
}

/** The stages in pump and brine, the brine going on for as long as is looked. */
function goingOn(course: CureCourse, species: 'salt' | 'nitrite'): Stage[] {
  const kept = stagesUntilPull(course, species);
  const brine = kept.findLast((stage) => stage.kind === 'bath');
  return brine === undefined ? kept : [...kept, { ...brine, hours: Math.max(0, LONGEST_H - programHours(kept)), goesOn: true }];
}

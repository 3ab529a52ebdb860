import { SectionRun } from '../diffusion/sectionRun.js';
import { requireNumber } from '../units/require.js';
import { stagesUntilPull, type CureCourse } from '../batch/cureCourse.js';

/** What fresh water takes out, by the minute. */
export interface SoakPlan {
  minutes: number[];
  /** salt of the outermost slice, what the fry test tastes, % */
  edge: number[];
  mean: number[];
}

/** Longest soak that is looked at, h [T: 1 to 24 h for a ham]. */
const LONGEST_H = 24;
/** Looks: every five minutes at first, then every quarter, then every hour. */
const LOOKS = [
  { untilH: 2, everyH: 1 / 12 },
  { untilH: 6, everyH: 1 / 4 },
  { untilH: LONGEST_H, everyH: 1 },
] as const;

/**
 * The soak of a piece after its pull, in cold fresh water, changed as often as is asked (docs/science.md, “The cure inside the meat”).
 *
 * @param p.waterPerMeat water to a bath, as a multiple of the meat; 4 when not given
 * @param p.changes how often the water is changed in the time, evenly; none when not given
 * @throws InputError when a number cannot be
 */
export function soakPlan(course: CureCourse, p: { cellMm: number; waterPerMeat?: number; changes?: number }): SoakPlan {
  const waterG = requireNumber('waterPerMeat', p.waterPerMeat ?? 4, { above: 0, max: 100 }) * course.meatG;
  const changes = requireNumber('changes', p.changes ?? 0, { min: 0, max: 24 });
  const run = new SectionRun({ section: course.section, meatG: course.meatG, cellMm: p.cellMm, stages: [], sampleHours: 24 });
  for (const stage of stagesUntilPull(course, 'salt')) run.play(stage);
  const plan: SoakPlan = { minutes: [0], edge: [run.sliceSalt()], mean: [run.meanSalt()] };
  let hours = 0;
  let baths = 0;
  for (const { untilH, everyH } of LOOKS) {
    while (hours < untilH - 1e-9) {
      const fresh = hours >= (baths * LONGEST_H) / (changes + 1) - 1e-9;
      if (fresh) baths += 1;
      run.play({ kind: 'bath', hours: everyH, bathG: waterG, saltPercent: 0, goesOn: !fresh, sampleHours: everyH });
      hours += everyH;
      plan.minutes.push(hours * 60);
      plan.edge.push(run.sliceSalt());
      plan.mean.push(run.meanSalt());
    }
  }
  return plan;
}

/** Minutes until the outer slice is down to a percentage, straight between the looks; null where it never is. */
export function soakMinutes({ minutes, edge }: SoakPlan, saltPercent: number): number | null {
  requireNumber('saltPercent', saltPercent, { min: 0, max: 26, unit: '%' });
  const i = edge.findIndex((value) => value <= saltPercent);
  if (i <= 0) return i === 0 ? 0 : null;
  const [above, below] = [edge[i - 1] ?? 0, edge[i] ?? 0];
  const [from, to] = [minutes[i - 1] ?? 0, minutes[i] ?? 0];
  return from + ((above - saltPercent) / (above - below)) * (to - from);
}

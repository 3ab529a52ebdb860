import type { Stage } from '../diffusion/sectionProgram.js';
import { SectionRun } from '../diffusion/sectionRun.js';
import type { CureCourse, Species } from '../batch/cureCourse.js';

/**
 * The section as it is at an hour of its course.
 *
 * @param p.diffusivity m²/s at 3 °C; that of the course when not given
 */
export function sectionAt(course: CureCourse, p: { species: Species; atH: number; cellMm: number; diffusivity?: number }): SectionRun {
  const { section, meatG } = course;
  const run = new SectionRun({ section, meatG, cellMm: p.cellMm, stages: [], sampleHours: 24 * 366, diffusivity: p.diffusivity ?? course.diffusivity.value });
  for (const stage of stagesUntil(course.stages[p.species], p.atH))
    run.play(stage.kind === 'inject' ? stage : { ...stage, sampleHours: Math.max(stage.hours, 0.01) });
  return run;
}

/** Stages up to an hour, the last cut short. What is pumped at that very hour is in. */
function stagesUntil(stages: readonly Stage[], atH: number): Stage[] {
  let from = 0;
  return stages.flatMap((stage): Stage[] => {
    if (from > atH + 1e-9) return [];
    if (stage.kind === 'inject') return [stage];
    const hours = Math.min(stage.hours, atH - from);
    from += stage.hours;
    return hours <= 1e-9 ? [] : [{ ...stage, hours }];
  });
}

import type { SectionSimulation, SimulateSectionParams } from './sectionProgram.js';
import { SectionRun } from './sectionRun.js';

/**
 * Salt in a cross-section through brine, rest and soak (docs/science.md, “The cure inside the meat”): Fick's law in two dimensions, finite volumes, explicit in
 * time, in a well-stirred bath of limited volume. What the meat gains the bath loses, to rounding. Nitrite moves the same way: put its
 * percent in place of the salt's.
 *
 * @throws InputError for impossible geometry, times or percents, or cells so small that it would take minutes
 * @example simulateSection({ section: { shape: 'slab', thicknessMm: 40 }, meatG: 2000, stages: [{ kind: 'bath', hours: 168, bathG: 'infinite', saltPercent: 5 }] }).core.at(-1) // 2.9, 58 % of 5
 */
export function simulateSection(p: SimulateSectionParams): SectionSimulation {
  const run = new SectionRun(p);
  for (const stage of p.stages) run.play(stage);
  return run.simulation();
}

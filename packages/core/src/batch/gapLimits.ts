import type { BatchDesign } from '../log/batchDesign.js';
import { daysOf } from '../log/school.js';
import type { Process } from '../recipes/process.js';
import { afterH } from '../steps/afterH.js';
import type { StepSpec } from '../steps/step.js';

/** Hours between a job and the one that it counts from. */
export interface Gap {
  leastH: number;
  usualH: number;
  mostH: number;
}

/** When a piece may be pulled by the section model, h after the meat went in; null where the model has no word on it. */
export interface PullLimits {
  earliestH: number | null;
  latestH: number | null;
}

/**
 * How far a job may lie from the one that it counts from: the process says it, for the pull with the section model, which only narrows.
 * What is planned is always inside.
 */
export function gapLimits(spec: StepSpec, process: Process, design: BatchDesign, model?: PullLimits): Gap {
  if ('h' in spec.after) {
    const usualH = spec.after.h;
    if (spec.stretch === undefined) return { leastH: usualH, usualH, mostH: usualH + spec.graceH };
    return { leastH: Math.min(usualH, spec.stretch.leastH), usualH, mostH: Math.max(usualH, spec.stretch.mostH) };
  }
  const usualH = afterH(spec.after, design.cureDays);
  if (spec.after.cureShare !== 1) return { leastH: 0, usualH, mostH: Infinity };
  const days = daysOf(process.cureDays, design.school.kind);
  const leastH = Math.max(days.shortest * 24, model?.earliestH ?? 0);
  const mostH = Math.min(days.longest * 24, model?.latestH ?? Infinity);
  return { leastH: Math.min(usualH, leastH), usualH, mostH: Math.max(usualH, mostH) };
}

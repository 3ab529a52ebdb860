import { pullWindow, type CureCourse, type PullLimits } from '@bunkhouse/core';
import { expose } from 'comlink';

/** Coarse: a window is a matter of hours. */
const CELL_MM = 4;

const answers = {
  /** When a piece may be pulled, h after the meat went in: the earliest where it takes its cure slowly, the latest for a usual one. */
  pullLimits: (course: CureCourse): PullLimits => {
    const inH = course.marks.find((mark) => mark.kind === 'meatIn')?.atH ?? 0;
    const after = (h: number | null) => (h === null ? null : Math.max(0, h - inH));
    const slow = pullWindow(course, CELL_MM, course.diffusivity.low);
    return { earliestH: after(slow.earliestH), latestH: after(pullWindow(course, CELL_MM).latestH) };
  },
};
export type PullWindowWorker = typeof answers;
expose(answers);

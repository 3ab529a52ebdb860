import { pullWindow, type CureCourse } from '@bunkhouse/core';

/** Courses whose windows are asked for, one after the other. */
export interface PullWindowAsk {
  key: string;
  course: CureCourse;
}

/** h after the meat went in; null where the model has no word on it. */
export interface PullWindowReport {
  key: string;
  earliestH: number | null;
  latestH: number | null;
}

/** Coarse: a window is a matter of hours. */
const CELL_MM = 4;

addEventListener('message', ({ data: { key, course } }: MessageEvent<PullWindowAsk>) => {
  const inH = course.marks.find((mark) => mark.kind === 'meatIn')?.atH ?? 0;
  // The earliest for a piece that takes its cure slowly, the latest for a usual one.
  const slow = pullWindow(course, CELL_MM, course.diffusivity.low);
  const likely = pullWindow(course, CELL_MM);
  const after = (h: number | null) => (h === null ? null : Math.max(0, h - inH));
  const report: PullWindowReport = { key, earliestH: after(slow.earliestH), latestH: after(likely.latestH) };
  postMessage(report);
});

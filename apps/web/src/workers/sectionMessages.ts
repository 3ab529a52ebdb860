import type { CureCourse, PullWindow, SoakPlan } from '@bunkhouse/core';

/** What is asked of the worker. */
export interface SectionAsk {
  key: string;
  course: CureCourse;
  /** how often the water of the soak is changed in a day */
  soakChanges: number;
}

/** One species' course: figures per sample, and the field of every sample one after the other. */
export interface SpeciesCourse {
  timesH: number[];
  core: number[];
  mean: number[];
  edge: number[];
  fields: Float32Array;
}

/** All that a picture needs. */
export interface SectionAnswer {
  width: number;
  height: number;
  cellMm: number;
  salt: SpeciesCourse;
  nitrite: SpeciesCourse;
  window: PullWindow;
  soak: SoakPlan;
  balanceError: number;
  /** difference of the mean at the pull to a run with cells twice as wide, % salt */
  cellError: number;
}

export type SectionReport = { key: string; progress: number } | { key: string; answer: SectionAnswer } | { key: string; fault: string };

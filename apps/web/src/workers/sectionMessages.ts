import type { CureCourse, Message, PullWindow, SoakPlan } from '@bunkhouse/core';

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
  /** a slice from the edge, as it is fried and tasted */
  edge: number[];
  fields: Float32Array;
}

/** When to pull: as the diffusivity is taken, and where it is slow or fast. */
export interface PullWindows {
  likely: PullWindow;
  slow: PullWindow;
  fast: PullWindow;
}

/** How deep the colour reaches at the pull, mm. */
interface ColourDepths {
  likely: number;
  slow: number;
  fast: number;
}

/** All that a picture needs. */
export interface SectionAnswer {
  width: number;
  height: number;
  cellMm: number;
  salt: SpeciesCourse;
  nitrite: SpeciesCourse;
  windows: PullWindows;
  colouredMm: ColourDepths;
  soak: SoakPlan;
  balanceError: number;
  /** difference of the mean at the pull to a run with cells twice as wide, % salt */
  cellError: number;
}

export type SectionReport = { answer: SectionAnswer } | { fault: Message };

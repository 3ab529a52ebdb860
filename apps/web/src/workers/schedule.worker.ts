import { InputError, lookAtPlan, schedule, type Schedule, type ScheduleParams } from '@bunkhouse/core';

/** What is asked: how a plan stands, or a new one for everything. */
export interface ScheduleAsk {
  kind: 'look' | 'plan';
  params: ScheduleParams;
}

export type ScheduleReport = { answer: Schedule } | { fault: string };

addEventListener('message', ({ data: { kind, params } }: MessageEvent<ScheduleAsk>) => {
  let report: ScheduleReport;
  try {
    report = { answer: kind === 'look' ? lookAtPlan(params) : schedule(params) };
  } catch (error) {
    report = { fault: error instanceof InputError ? error.message : 'The plan could not be worked out.' };
  }
  postMessage(report);
});

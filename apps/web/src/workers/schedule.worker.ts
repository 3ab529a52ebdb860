import { expose } from 'comlink';
import { fitIn, lookAtPlan, schedule, type SchedulableBatch, type Schedule, type ScheduleParams, type Message } from '@bunkhouse/core';
import { workFault } from './workFault';

/** What is asked: how a plan stands, how to mend it, or where one more batch would fit in. */
export type ScheduleAsk = { kind: 'look' | 'mend'; params: ScheduleParams } | { kind: 'fit'; params: ScheduleParams; batch: SchedulableBatch };

export type ScheduleReport = { answer: Schedule } | { fault: Message };

const answers = {
  schedule: (ask: ScheduleAsk): ScheduleReport => {
    try {
      return { answer: answerOf(ask) };
    } catch (error) {
      return { fault: workFault(error, 'The plan could not be worked out.') };
    }
  },
};
export type ScheduleWorker = typeof answers;
expose(answers);

function answerOf(ask: ScheduleAsk): Schedule {
  switch (ask.kind) {
    case 'look':
      return lookAtPlan(ask.params);
    case 'mend':
      return schedule({ ...ask.params, mend: true });
    case 'fit':
      return fitIn(ask.params, ask.batch);
  }
}

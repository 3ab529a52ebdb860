import type { Schedule } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import { sayHere } from '../reader/here';
import { engage } from './engage';
import type { ScheduleAsk, ScheduleReport, ScheduleWorker } from './schedule.worker';

/** Asks the scheduler, in a worker of its own. */
function askSchedule(ask: ScheduleAsk): { answer: Promise<Schedule>; cancel: () => void } {
  const worker = engage<ScheduleWorker>(new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' }));
  const answer = worker.of<ScheduleReport>(worker.ask.schedule(ask)).then(
    (report) => {
      worker.end();
      if ('answer' in report) return report.answer;
      throw new Error(sayHere(report.fault));
    },
    () => {
      throw new Error('The plan could not be worked out on this device.');
    },
  );
  return { answer, cancel: worker.end };
}

/** An answer, whether a newer question is still open, or why there is none. */
export interface Asked {
  answer: Schedule | null;
  stale: boolean;
  fault: string | null;
}

/** The answer to a question, in a worker; the last one stays until the next is there. Null asks nothing. */
export function useAsk(ask: ScheduleAsk | null): Asked {
  const key = JSON.stringify(ask);
  const [known, setKnown] = useState<{ key: string; answer: Schedule | null; fault: string | null }>({ key: 'null', answer: null, fault: null });
  useEffect(() => {
    const asked = JSON.parse(key) as ScheduleAsk | null;
    if (asked === null) return undefined;
    const { answer, cancel } = askSchedule(asked);
    answer.then(
      (found) => setKnown({ key, answer: found, fault: null }),
      (error: Error) => setKnown({ key, answer: null, fault: error.message }),
    );
    return cancel;
  }, [key]);
  return { answer: ask === null ? null : known.answer, stale: known.key !== key, fault: known.key === key ? known.fault : null };
}

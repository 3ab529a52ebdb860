import type { Schedule, ScheduleParams } from '@bunkhouse/core';
import { useEffect, useState } from 'react';
import type { ScheduleAsk, ScheduleReport } from './schedule.worker';

/** Asks the scheduler, in a worker of its own. */
export function askSchedule(ask: ScheduleAsk): { answer: Promise<Schedule>; cancel: () => void } {
  const worker = new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' });
  const answer = new Promise<Schedule>((resolve, reject) => {
    worker.addEventListener('message', ({ data }: MessageEvent<ScheduleReport>) => {
      worker.terminate();
      if ('answer' in data) resolve(data.answer);
      else reject(new Error(data.fault));
    });
    worker.addEventListener('error', () => {
      worker.terminate();
      reject(new Error('The plan could not be worked out on this device.'));
    });
  });
  worker.postMessage(ask);
  return { answer, cancel: () => worker.terminate() };
}

/** How a plan stands: its clashes, and what would do away with them. The last answer stays until the next is there. */
export function useLook(params: ScheduleParams | null): { look: Schedule | null; fault: string | null } {
  const key = JSON.stringify(params);
  const [look, setLook] = useState<Schedule | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  useEffect(() => {
    const asked = JSON.parse(key) as ScheduleParams | null;
    if (asked === null) return undefined;
    const { answer, cancel } = askSchedule({ kind: 'look', params: asked });
    answer.then(
      (found) => {
        setLook(found);
        setFault(null);
      },
      (error: Error) => setFault(error.message),
    );
    return cancel;
  }, [key]);
  return { look, fault };
}

import type { LoggerFormat, LoggerReading, LoggerTally } from '@bunkhouse/core';
import { useEffect, useRef, useState } from 'react';
import { proxy } from 'comlink';
import { engage, WorkerDied, type Engaged } from './engage';
import type { LoggerWorker } from './logger.worker';

const start = () => engage<LoggerWorker>(new Worker(new URL('./logger.worker.ts', import.meta.url), { type: 'module' }));

const whyNot = (error: unknown, otherwise: string): string =>
  error instanceof WorkerDied ? 'This file cannot be read so.' : error instanceof Error ? error.message : otherwise;

/** What a whole file holds when it is read so, counted in a worker; what is known so far until it is at its end. */
export function useTally(file: File | null, format: LoggerFormat | null): { tally: LoggerTally | null; isWhole: boolean; fault: string | null } {
  const [known, setKnown] = useState<{ tally: LoggerTally | null; isWhole: boolean; fault: string | null }>({ tally: null, isWhole: false, fault: null });
  const key = JSON.stringify(format);
  useEffect(() => {
    setKnown({ tally: null, isWhole: false, fault: null });
    const own = JSON.parse(key) as LoggerFormat | null;
    if (file === null || own === null) return undefined;
    const worker = start();
    let isAsked = true;
    worker
      .of(
        worker.ask.count(
          file,
          own,
          proxy(({ tally }) => isAsked && setKnown({ tally, isWhole: false, fault: null })),
        ),
      )
      .then(
        ({ tally }) => isAsked && setKnown({ tally, isWhole: true, fault: null }),
        (error: unknown) => isAsked && setKnown({ tally: null, isWhole: true, fault: whyNot(error, 'This file cannot be read so.') }),
      );
    return () => {
      isAsked = false;
      worker.end();
    };
  }, [file, key]);
  return known;
}

/** Keeps a part of a file's readings, or throws; what was kept before stays kept. */
type Take = (readings: LoggerReading[]) => Promise<void>;

/** Brings a file's readings in, part by part. */
export function useBring(): {
  bring: (file: File, format: LoggerFormat, take: Take) => void;
  stop: () => void;
  state: 'idle' | 'running' | 'done' | 'broken';
  share: number;
  fault: string | null;
} {
  const worker = useRef<Engaged<LoggerWorker> | null>(null);
  const [state, setState] = useState<'idle' | 'running' | 'done' | 'broken'>('idle');
  const [share, setShare] = useState(0);
  const [fault, setFault] = useState<string | null>(null);
  const end = (how: 'idle' | 'done' | 'broken', why: string | null) => {
    worker.current?.end();
    worker.current = null;
    setState(how);
    setFault(why);
  };
  useEffect(() => () => worker.current?.end(), []);
  const bring = (file: File, format: LoggerFormat, take: Take) => {
    worker.current?.end();
    const own = (worker.current = start());
    setState('running');
    setShare(0);
    setFault(null);
    const takePart = proxy(async (readings: LoggerReading[], part: number) => {
      await take(readings);
      setShare(part);
    });
    own.of(own.ask.bring(file, format, takePart)).then(
      () => worker.current === own && end('done', null),
      (error: unknown) => worker.current === own && end('broken', whyNot(error, 'It could not be brought in.')),
    );
  };
  return { bring, stop: () => end('idle', null), state, share, fault };
}

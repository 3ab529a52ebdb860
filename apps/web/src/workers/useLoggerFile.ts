import type { LoggerFormat, LoggerReading, LoggerTally } from '@bunkhouse/core';
import { useEffect, useRef, useState } from 'react';
import type { LoggerAsked, LoggerSaid } from './logger.worker';

const start = () => new Worker(new URL('./logger.worker.ts', import.meta.url), { type: 'module' });

/** What a whole file holds when it is read so, counted in a worker; what is known so far until it is at its end. */
export function useTally(file: File | null, format: LoggerFormat | null): { tally: LoggerTally | null; isWhole: boolean; fault: string | null } {
  const [known, setKnown] = useState<{ tally: LoggerTally | null; isWhole: boolean; fault: string | null }>({ tally: null, isWhole: false, fault: null });
  const key = JSON.stringify(format);
  useEffect(() => {
    setKnown({ tally: null, isWhole: false, fault: null });
    const own = JSON.parse(key) as LoggerFormat | null;
    if (file === null || own === null) return undefined;
    const worker = start();
    worker.onmessage = ({ data }: MessageEvent<LoggerSaid>) => {
      if (data.kind === 'counted') setKnown({ tally: data.tally, isWhole: data.isWhole, fault: null });
      else if (data.kind === 'fault') setKnown({ tally: null, isWhole: true, fault: data.message });
    };
    worker.onerror = (event) => {
      event.preventDefault();
      setKnown({ tally: null, isWhole: true, fault: 'This file cannot be read so.' });
    };
    worker.postMessage({ kind: 'count', file, format: own } satisfies LoggerAsked);
    return () => worker.terminate();
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
  const worker = useRef<Worker | null>(null);
  const [state, setState] = useState<'idle' | 'running' | 'done' | 'broken'>('idle');
  const [share, setShare] = useState(0);
  const [fault, setFault] = useState<string | null>(null);
  const end = (how: 'idle' | 'done' | 'broken', why: string | null) => {
    worker.current?.terminate();
    worker.current = null;
    setState(how);
    setFault(why);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  const bring = (file: File, format: LoggerFormat, take: Take) => {
    worker.current?.terminate();
    const own = (worker.current = start());
    setState('running');
    setShare(0);
    setFault(null);
    own.onmessage = ({ data }: MessageEvent<LoggerSaid>) => {
      if (data.kind === 'brought') end('done', null);
      else if (data.kind === 'fault') end('broken', data.message);
      else if (data.kind === 'part')
        take(data.readings).then(
          () => {
            setShare(data.share);
            own.postMessage({ kind: 'go-on' } satisfies LoggerAsked);
          },
          (error: unknown) => end('broken', error instanceof Error ? error.message : 'It could not be brought in.'),
        );
    };
    own.onerror = (event) => {
      event.preventDefault();
      end('broken', 'This file cannot be read so.');
    };
    own.postMessage({ kind: 'bring', file, format } satisfies LoggerAsked);
  };
  return { bring, stop: () => end('idle', null), state, share, fault };
}

import type { CoreForecast, ForecastCoreParams } from '@bunkhouse/core';
import { useEffect, useRef, useState } from 'react';
import { sayHere } from '../shell/here';
import type { ForecastReport } from './forecast.worker';

/** A forecast, or why there is none; null where none was asked for, or none is there yet. */
export interface Foreseen {
  forecast: CoreForecast | null;
  fault: string | null;
}

const NOTHING: Foreseen = { forecast: null, fault: null };

/** When cores are there, worked out in a worker that stays; the last answers stay until the next are there. Null asks nothing. */
export function useForecasts(params: readonly (ForecastCoreParams | null)[]): Foreseen[] {
  const key = JSON.stringify(params);
  const worker = useRef<Worker | null>(null);
  const asked = useRef(0);
  const [known, setKnown] = useState<readonly Foreseen[]>([]);
  useEffect(
    () => () => {
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    const wanted = JSON.parse(key) as (ForecastCoreParams | null)[];
    if (wanted.every((one) => one === null)) return undefined;
    const own = (worker.current ??= new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' }));
    const id = (asked.current += 1);
    const said = ({ data }: MessageEvent<{ id: number; reports: (ForecastReport | null)[] }>) => {
      // An answer to an older question is better than none, unless a later one is there.
      if (data.id !== id) return;
      own.removeEventListener('message', said);
      setKnown(
        data.reports.map((report) =>
          report === null ? NOTHING : 'answer' in report ? { forecast: report.answer, fault: null } : { forecast: null, fault: sayHere(report.fault) },
        ),
      );
    };
    const died = () => {
      worker.current = null;
      setKnown(wanted.map(() => ({ forecast: null, fault: 'No forecast could be worked out on this device.' })));
    };
    own.addEventListener('message', said);
    own.addEventListener('error', died, { once: true });
    own.postMessage({ id, asked: wanted });
    return () => {
      own.removeEventListener('message', said);
      own.removeEventListener('error', died);
    };
  }, [key]);
  return params.map((one, i) => (one === null ? NOTHING : (known[i] ?? NOTHING)));
}

import type { CoreForecast, ForecastCoreParams } from '@bunkhouse/core';
import { useEffect, useRef, useState } from 'react';
import { sayHere } from '../reader/here';
import { engage, type Engaged } from './engage';
import type { ForecastReport, ForecastWorker } from './forecast.worker';

/** A forecast, or why there is none; null where none was asked for, or none is there yet. */
export interface Foreseen {
  forecast: CoreForecast | null;
  fault: string | null;
}

const NOTHING: Foreseen = { forecast: null, fault: null };

/** When cores are there, worked out in a worker that stays; the last answers stay until the next are there. Null asks nothing. */
export function useForecasts(params: readonly (ForecastCoreParams | null)[]): Foreseen[] {
  const key = JSON.stringify(params);
  const worker = useRef<Engaged<ForecastWorker> | null>(null);
  const [known, setKnown] = useState<readonly Foreseen[]>([]);
  useEffect(
    () => () => {
      worker.current?.end();
      worker.current = null;
    },
    [],
  );
  useEffect(() => {
    const wanted = JSON.parse(key) as (ForecastCoreParams | null)[];
    if (wanted.every((one) => one === null)) return undefined;
    const own = (worker.current ??= engage<ForecastWorker>(new Worker(new URL('./forecast.worker.ts', import.meta.url), { type: 'module' })));
    let isAsked = true;
    own.of(own.ask.forecasts(wanted)).then(
      (reports) => isAsked && setKnown(reports.map(foreseen)),
      () => {
        if (worker.current === own) worker.current = null;
        if (isAsked) setKnown(wanted.map(() => ({ forecast: null, fault: 'No forecast could be worked out on this device.' })));
      },
    );
    return () => void (isAsked = false);
  }, [key]);
  return params.map((one, i) => (one === null ? NOTHING : (known[i] ?? NOTHING)));
}

const foreseen = (report: ForecastReport | null): Foreseen =>
  report === null ? NOTHING : 'answer' in report ? { forecast: report.answer, fault: null } : { forecast: null, fault: sayHere(report.fault) };

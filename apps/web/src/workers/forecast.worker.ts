import { forecastCore, type CoreForecast, type ForecastCoreParams, type Message } from '@bunkhouse/core';
import { workFault } from './workFault';

export type ForecastReport = { answer: CoreForecast } | { fault: Message };

addEventListener('message', ({ data }: MessageEvent<{ id: number; asked: (ForecastCoreParams | null)[] }>) => {
  postMessage({ id: data.id, reports: data.asked.map((params) => (params === null ? null : report(params))) });
});

function report(params: ForecastCoreParams): ForecastReport {
  try {
    return { answer: forecastCore(params) };
  } catch (error) {
    return { fault: workFault(error, 'No forecast could be worked out.') };
  }
}

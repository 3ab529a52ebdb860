import { forecastCore, InputError, type CoreForecast, type ForecastCoreParams } from '@bunkhouse/core';

export type ForecastReport = { answer: CoreForecast } | { fault: string };

addEventListener('message', ({ data }: MessageEvent<{ id: number; asked: (ForecastCoreParams | null)[] }>) => {
  postMessage({ id: data.id, reports: data.asked.map((params) => (params === null ? null : report(params))) });
});

function report(params: ForecastCoreParams): ForecastReport {
  try {
    return { answer: forecastCore(params) };
  } catch (error) {
    return { fault: error instanceof InputError ? error.message : 'No forecast could be worked out.' };
  }
}

import { expose } from 'comlink';
import { forecastCore, type CoreForecast, type ForecastCoreParams, type Message } from '@bunkhouse/core';
import { workFault } from './workFault';

export type ForecastReport = { answer: CoreForecast } | { fault: Message };

const answers = {
  /** When each core is there; null where none is asked for. */
  forecasts: (asked: readonly (ForecastCoreParams | null)[]): (ForecastReport | null)[] => asked.map((params) => (params === null ? null : report(params))),
};
export type ForecastWorker = typeof answers;
expose(answers);

function report(params: ForecastCoreParams): ForecastReport {
  try {
    return { answer: forecastCore(params) };
  } catch (error) {
    return { fault: workFault(error, 'No forecast could be worked out.') };
  }
}

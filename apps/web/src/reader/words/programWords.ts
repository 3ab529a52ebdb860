import type { FinishWay, Medium, SmokeWay } from '@bunkhouse/core';

export const MEDIUM_WORDS: Readonly<Record<Medium, string>> = { smoker: 'Smoker', oven: 'Oven', steam: 'Steam', water: 'Water', cold: 'Cold air' };

export const SMOKE_WORDS: Readonly<Record<SmokeWay, string>> = { cold: 'Cold', low: 'Low', stepped: 'Stepped', hot: 'Hot' };

export const FINISH_WORDS: Readonly<Record<FinishWay, string>> = { smoker: 'Smoker', oven: 'Oven', waterBath: 'Water bath', simmer: 'Simmer', steam: 'Steam' };

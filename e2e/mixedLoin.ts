import type { Page } from '@playwright/test';
import { expect } from './test.js';

/** A loin whose brine was mixed an hour ago, through the API. */
export async function mixedLoin(page: Page): Promise<{ id: string; code: string }> {
  const id = crypto.randomUUID();
  const at = (minAgo: number) => new Date(Date.now() - minAgo * 60_000).toISOString();
  const post = async (path: string, data: object) => {
    const answer = await page.request.post(path, { data });
    expect(answer.status(), await answer.text()).toBe(201);
    return (await answer.json()) as { id: string; code: string };
  };
  const batch = await post('/api/batches', {
    id,
    product: 'canadian-bacon',
    pieces: [{ greenG: 2500, shape: 'round', thicknessMm: 85, lengthMm: 400 }],
    school: 'equilibrium',
    waterG: 1250,
    saltPercent: 2.3,
    sugarPercent: 1,
    nitritePpm: 150,
    ruleSet: 'us',
    cureDays: 14,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt: at(120),
    by: 'Tess',
  });
  const log = (stepId: string, minAgo: number, values: object) =>
    post(`/api/batches/${id}/log`, { id: crypto.randomUUID(), kind: 'done', stepId, at: at(minAgo), by: 'Tess', values });
  await log('weigh', 110, { 'greenG:A': 2500 });
  await log('mix', 60, { waterG: 1250, saltG: 77, sugarG: 37.5, cureG: 9.3 });
  return batch;
}

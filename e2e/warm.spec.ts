import { HOUR_MS } from '@bunkhouse/core';
import { expect, test } from './test.js';
import { loinAtThePull } from './cook.js';

test('a weight is taken from the scale once it has settled', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('bunkhouse.preferences', JSON.stringify({ system: 'metric', temperature: 'C', name: 'Tess' })));
  const id = crypto.randomUUID();
  const started = await page.request.post('/api/batches', {
    data: {
      id,
      product: 'canadian-bacon',
      pieces: [{ greenG: 2600, shape: 'round', thicknessMm: 80, lengthMm: 420 }],
      school: 'equilibrium',
      waterG: 1200,
      saltPercent: 2.3,
      sugarPercent: 1.1,
      nitritePpm: 150,
      ruleSet: 'us',
      cureDays: 9,
      meatScaleStepG: 5,
      cureScaleStepG: 0.1,
      startsAt: new Date().toISOString(),
      by: 'Tess',
    },
  });
  expect(started.status(), await started.text()).toBe(201);
  const answer = await page.request.post('/api/devices', { data: { name: 'By the sink', kind: 'scale', channels: [{ channel: 1, name: 'Pan' }], by: 'Tess' } });
  const { token } = (await answer.json()) as { token: string };
  const weigh = (g: number, stable: boolean) => page.request.post('/api/weights', { data: { g, stable }, headers: { authorization: `Bearer ${token}` } });
  await weigh(0, true);
  await page.goto(`/batches/${id}`);
  await expect(page.getByRole('button', { name: /take 0 g from the scale/ })).toBeDisabled();
  await weigh(1900, false);
  await expect(page.getByRole('button', { name: /take 1\s900 g from the scale/ })).toBeDisabled();
  await weigh(2585, true);
  await page.getByRole('button', { name: /take 2\s585 g from the scale/ }).click();
  await expect(page.getByLabel('Green weight', { exact: false }).first()).toHaveValue('2585');
});

test('a refrigerator whose compressor fails is told on every screen, its hours are added up, and four of them ask for a decision', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('bunkhouse.preferences', JSON.stringify({ system: 'metric', temperature: 'C', name: 'Tess' })));
  const id = await loinAtThePull(page, { days: 9, loggedDays: 4, thicknessMm: 60 });
  await page.goto('/readings');
  await page.getByText('Add a device', { exact: true }).click();
  await page.getByRole('button', { name: 'Refrigerator’s logger' }).click();
  await page.getByLabel('Its name', { exact: true }).fill('Top shelf');
  await page.getByRole('button', { name: 'Add my own' }).click();
  const token = await page.getByLabel('Token of the device').inputValue();
  expect(token).toMatch(/^[\w-]{32}$/);
  const now = Date.now();
  // Three days at 2.5 °C, then the compressor fails: over 40 °F after an hour and more of it.
  const hand = async (fromH: number, toH: number, failedAtH: number) => {
    const readings = Array.from({ length: Math.round((toH - fromH) * 12) }, (_, i) => {
      const h = fromH + i / 12;
      return { channel: 1, at: new Date(now + h * HOUR_MS).toISOString(), C: h < failedAtH ? 2.5 : Math.min(15, 2.5 + (h - failedAtH) * 1.5) };
    });
    const answer = await page.request.post('/api/readings', { data: { readings }, headers: { authorization: `Bearer ${token}` } });
    expect(answer.status(), await answer.text()).toBe(200);
  };
  await hand(-72, -6.2, -7.9);
  await page.goto(`/batches/${id}`);
  const cold = page.getByRole('region', { name: 'In the cold' });
  await expect(cold).toContainText('Refrigerator, in its cure');
  await expect(cold).toContainText(/[12]\d min/);
  await expect(page.getByRole('status', { name: 'Refrigerator is warm' })).toHaveCount(0);
  // Four hours and more in all: every batch that lies in it is told of.
  await hand(-6.2, 0, -7.9);
  await page.goto('/');
  await expect(page.getByRole('alert').filter({ hasText: 'Cold' })).toContainText(/over 4 °C for [4-6] h \d\d in all/, { timeout: 20_000 });
  await page.goto(`/batches/${id}`);
  const alarm = page.getByRole('alert', { name: 'Refrigerator is warm' });
  await expect(alarm).toContainText('decide with your food-safety plan');
  await alarm.getByRole('button', { name: 'Write what was decided' }).click();
  await alarm.getByLabel('What was decided, and by whom').fill('Thrown away, the core read 9 °C: Tess');
  await alarm.getByRole('button', { name: 'Log the decision' }).click();
  await expect(page.getByRole('status', { name: 'Refrigerator is warm' })).toContainText('by Wren: Thrown away');
});

import { HOUR_MS, DAY_MS } from '@bunkhouse/core';
import type { Locator, Page } from '@playwright/test';
import { expect } from './test.js';

/** A cook at the screen: finds things by what they say. */
export class Cook {
  constructor(readonly page: Page) {}

  /** Sets this device’s units and its clock to a past day, so that a batch of weeks can be played to its end. */
  static async onDuty(page: Page, clock: Date): Promise<Cook> {
    await page.addInitScript(() => {
      if (localStorage.getItem('bunkhouse.preferences') === null)
        localStorage.setItem('bunkhouse.preferences', JSON.stringify({ system: 'metric', temperature: 'C' }));
    });
    await page.clock.install({ time: clock });
    return new Cook(page);
  }

  async type(label: string, value: string): Promise<void> {
    await (await inSight(this.page.getByLabel(label, { exact: true }))).fill(value);
  }

  async press(name: string): Promise<void> {
    await this.page.getByRole('button', { name, exact: true }).click();
  }

  /** Moves the clock on the wall. */
  async wait(hours: number): Promise<void> {
    await this.page.clock.fastForward(Math.round(hours * 3600) * 1000);
  }

  /** The present step’s title, large on the batch page. */
  async expectNext(title: string): Promise<void> {
    await expect(this.page.getByRole('heading', { level: 2, name: title, exact: true })).toBeVisible();
  }

  /** Logs the present step and sees the next one come. */
  async log(button: string, values: Record<string, string>, next: string): Promise<void> {
    for (const [label, value] of Object.entries(values)) await this.type(label, value);
    await this.press(button);
    await this.expectNext(next);
  }

  async mixAsPlanned(button: string, next: string): Promise<void> {
    for (const line of ['Water and ice', 'Salt', 'Sugar', 'Cure #1']) await this.page.getByRole('button', { name: `${line}: weighed so` }).click();
    await this.press(button);
    await this.expectNext(next);
  }
}

/** Seven in the morning, so many days ago, by the clock of the browser’s time zone. */
export function sevenOClock(daysAgo: number): Date {
  const day = new Date(Date.now() - daysAgo * DAY_MS);
  day.setUTCHours(14, 0, 0, 0);
  return day;
}

/** A loin in an even cure, played through the API up to its pull, or past it. Answers the batch’s id. */
export async function loinAtThePull(
  page: Page,
  { days, loggedDays = days, thicknessMm, pulled = false }: { days: number; loggedDays?: number; thicknessMm: number; pulled?: boolean },
): Promise<string> {
  const inBrine = Date.now() - loggedDays * DAY_MS;
  const at = (hours: number) => new Date(inBrine + hours * HOUR_MS).toISOString();
  const id = crypto.randomUUID();
  const post = async (path: string, data: object) => {
    const answer = await page.request.post(path, { data });
    expect(answer.status(), await answer.text()).toBe(201);
  };
  await post('/api/batches', {
    id,
    product: 'canadian-bacon',
    pieces: [{ greenG: 2600, shape: 'round', thicknessMm, lengthMm: 420 }],
    school: 'equilibrium',
    waterG: 1200,
    saltPercent: 2.3,
    sugarPercent: 1.1,
    nitritePpm: 150,
    ruleSet: 'us',
    cureDays: days,
    meatScaleStepG: 5,
    cureScaleStepG: 0.1,
    startsAt: at(-4),
    by: 'Tess',
  });
  const log = (stepId: string, hours: number, values: object) =>
    post(`/api/batches/${id}/log`, { id: crypto.randomUUID(), kind: 'done', stepId, at: at(hours), by: 'Tess', values });
  await log('weigh', -3.8, { 'greenG:A': 2600 });
  // 2.3 % of 3800 g are 87.4 g; 9.1 g of cure #1 bring 150 ppm and 8.5 g of it.
  await log('mix', -3, { waterG: 1200, saltG: 78.9, sugarG: 41.8, cureG: 9.1 });
  await log('meat-in', 0, { brineC: 3 });
  for (let turn = 1; turn < loggedDays; turn += 1) await log(`turn-${turn}`, 24 * turn, { coldC: 3 });
  if (pulled) await log('pull', 24 * loggedDays - 0.05, { 'pulledG:A': 2690, firmness: 'firm', smell: 'fresh' });
  return id;
}

/** A field, with the fold that it may lie in opened. */
export async function inSight(field: Locator): Promise<Locator> {
  const fold = field.locator('xpath=ancestor::*[contains(@class, "MuiAccordion-root")]').last();
  if (!(await field.first().isVisible()) && (await fold.count()) > 0) await fold.getByRole('button').first().click();
  return field;
}

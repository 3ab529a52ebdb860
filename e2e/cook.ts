import { expect, type Page } from '@playwright/test';

/** A cook at the screen: finds things by what they say. */
export class Cook {
  constructor(readonly page: Page) {}

  /** Signs this device and sets its clock to a past day, so that a batch of weeks can be played to its end. */
  static async onDuty(page: Page, clock: Date): Promise<Cook> {
    await page.addInitScript(() => {
      if (localStorage.getItem('bunkhouse.preferences') === null)
        localStorage.setItem('bunkhouse.preferences', JSON.stringify({ system: 'metric', temperature: 'C', name: 'Tess' }));
    });
    await page.clock.install({ time: clock });
    return new Cook(page);
  }

  async type(label: string, value: string): Promise<void> {
    await this.page.getByLabel(label, { exact: true }).fill(value);
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

export const DAY_MS = 86_400_000;

/** Seven in the morning, so many days ago, by the clock of the browser’s time zone. */
export function sevenOClock(daysAgo: number): Date {
  const day = new Date(Date.now() - daysAgo * DAY_MS);
  day.setUTCHours(14, 0, 0, 0);
  return day;
}

import type { Page } from '@playwright/test';
import { expect } from '../test.js';
import { inSight, sevenOClock } from '../cook.js';

/** A field by its label: one that may stay empty says so behind it. */
const named = (label: string): RegExp => new RegExp(`^${label.replace(/[()]/g, '\\$&')}( \\(if read\\))?$`);

/** A cook who lives one of the days of practice at the screen, and how many taps and fields each thing costs. */
export class CookAtWork {
  private taps = 0;
  private fields = 0;
  private readonly costs: string[] = [];

  private constructor(
    readonly page: Page,
    private readonly day: string,
  ) {}

  /** So many days ago, at seven in the morning. */
  static async begins(page: Page, day: string, daysAgo: number, shown: { system: string; temperature: string } = { system: 'metric', temperature: 'C' }) {
    await page.addInitScript((preferences) => {
      if (localStorage.getItem('bunkhouse.preferences') === null) localStorage.setItem('bunkhouse.preferences', JSON.stringify(preferences));
    }, shown);
    // What cannot be tapped is told soon, by its name.
    page.setDefaultTimeout(15_000);
    await page.clock.install({ time: sevenOClock(daysAgo) });
    await page.goto('/new');
    return new CookAtWork(page, day);
  }

  get next() {
    return this.page.getByRole('region', { name: /^Next: / });
  }
  get log() {
    return this.page.getByRole('region', { name: 'Log', exact: true });
  }

  async tap(name: string | RegExp, within = this.page.locator('body')): Promise<void> {
    this.taps += 1;
    await within
      .getByRole('button', { name, exact: typeof name === 'string' })
      .first()
      .click();
  }

  async write(label: string, value: string, within = this.page.locator('body')): Promise<void> {
    this.fields += 1;
    await (await inSight(within.getByLabel(named(label)))).first().fill(value);
  }

  async choose(label: string, option: string, within = this.page.locator('body')): Promise<void> {
    this.taps += 1;
    await (await inSight(within.getByLabel(label, { exact: true }))).first().selectOption({ label: option });
  }

  /** Hours go by on the wall. */
  async wait(hours: number): Promise<void> {
    await this.page.clock.fastForward(Math.round(hours * 3600) * 1000);
  }

  async sees(title: string): Promise<void> {
    await expect(this.page.getByRole('heading', { level: 2, name: title, exact: true })).toBeVisible();
  }

  /** What was done costs so much, by its name, and is told at the end. */
  costOf(what: string): { taps: number; fields: number } {
    const cost = { taps: this.taps, fields: this.fields };
    this.costs.push(`${what} ${cost.taps} taps, ${cost.fields} fields`);
    this.taps = 0;
    this.fields = 0;
    return cost;
  }

  /** Every line of a mix as the sheet has it: each was weighed so. */
  async weighsAsPlanned(button: string): Promise<void> {
    const lines = this.page.getByRole('button', { name: /: weighed so/ });
    const names = await lines.evaluateAll((all) => all.map((one) => one.getAttribute('aria-label') ?? ''));
    for (const name of names) await this.tap(name);
    await this.tap(button);
  }

  /** Something that no plan asked for. */
  async did(
    act: string,
    { values = {}, words, about = false }: { values?: Readonly<Record<string, string>>; words?: string; about?: boolean } = {},
  ): Promise<void> {
    await this.tap('Something else was done', this.next);
    const form = this.page.getByRole('form', { name: 'Something else was done' });
    await this.choose('What was done', act, form);
    for (const [label, value] of Object.entries(values)) await this.write(label, value, form);
    if (words !== undefined) await this.write('With what, or what was seen', words, form);
    if (about) {
      await this.tap('It was earlier', form);
      await form.getByLabel('About then: nobody looked at the clock').check();
    }
    await this.tap('Log what was done', form);
    await expect(form).toHaveCount(0);
  }

  /** The present step is not done: one tap, and a ready reason. */
  async leavesOut(reason: string, next: string): Promise<void> {
    await this.tap('Leave this step out', this.next);
    await this.tap(reason, this.next);
    await this.sees(next);
  }

  /** On the rack for so many hours, tacky, and the fire lit: up to the meat on. */
  async driesAndLights(hours: number): Promise<void> {
    await this.tap('Log on the rack');
    await this.sees('Pellicle check');
    await this.wait(hours);
    await this.tap('Tacky and dull');
    await this.tap('Log surface');
    await this.sees('Light the smoker');
    await this.tap('Log smoker lit');
    await this.sees('Meat on');
    await this.wait(0.75);
  }

  /** What the record says of the day, line by line. */
  async reads(...lines: readonly (string | RegExp)[]): Promise<void> {
    const address = this.page.url().replace(/[#?].*/, '');
    await this.page.goto(`${address}/record`);
    const paper = this.page.getByRole('main');
    await expect(this.page.getByRole('heading', { level: 1 }).first()).toBeVisible();
    for (const line of lines) await expect(paper).toContainText(line);
    await this.page.goto(address);
  }

  /** Told when the day is over. */
  tells(): void {
    console.log(`${this.day}: ${this.costs.join('; ')}`);
  }
}

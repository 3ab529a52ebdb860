import { test as base, type BrowserContext } from '@playwright/test';

/** By how much the clock of house, browser and test is moved, ms: see scripts/shiftDate.mjs. */
export const OFFSET_MS = Number(process.env.BUNKHOUSE_TEST_OFFSET_MS ?? 0);

/** Moves the clock of a context's pages like that of the house. A page with a clock of its own, set by a test, keeps that. */
export async function atTestTime(context: BrowserContext): Promise<void> {
  if (OFFSET_MS === 0) return;
  await context.addInitScript((offsetMs) => {
    const Real = globalThis.Date;
    if (!Function.prototype.toString.call(Real).includes('[native code]') || (Real as { isShifted?: boolean }).isShifted === true) return;
    globalThis.Date = new Proxy(Real, {
      construct: (target, values: unknown[], as) => Reflect.construct(target, values.length === 0 ? [Real.now() + offsetMs] : values, as) as object,
      apply: () => new Real(Real.now() + offsetMs).toString(),
      get: (target, name) => (name === 'now' ? () => Real.now() + offsetMs : name === 'isShifted' ? true : (Reflect.get(target, name) as unknown)),
    });
  }, OFFSET_MS);
}

/** Every page of a test has the clock of the house; so has every other context that it opens. */
export const test = base.extend({
  context: async ({ context }, use) => {
    await atTestTime(context);
    await use(context);
  },
  browser: [
    async ({ browser }, use) => {
      const open = browser.newContext.bind(browser);
      browser.newContext = async (options) => {
        const context = await open(options);
        await atTestTime(context);
        return context;
      };
      await use(browser);
    },
    { scope: 'worker' },
  ],
});

export { expect } from '@playwright/test';

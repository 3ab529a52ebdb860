import type { Locator } from '@playwright/test';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Types a day, and an hour where there is one, into a field, section by section as a cook does. The house writes the day first, 24 hours. */
export async function writeMoment(within: Locator, label: string, moment: string): Promise<void> {
  const [date = '', time] = moment.split('T');
  const [year = '', month = '', day = ''] = date.split('-');
  const field = within.getByRole('group', { name: label, exact: true });
  await field.getByRole('spinbutton', { name: 'Day', exact: true }).click();
  const keys = [day, MONTHS[Number(month) - 1] ?? '', year, ...(time === undefined ? [] : time.split(':'))];
  for (const [i, part] of keys.entries()) {
    await field.page().keyboard.type(part);
    // Two digits of a day lead on by themselves; a month whose name others begin with does not.
    if (i === 1) await field.getByRole('spinbutton', { name: 'Year' }).click();
  }
}

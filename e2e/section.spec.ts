import { expect, test } from '@playwright/test';

test('the cure inside a ham: scrubbed from the needle to the plate, salt and nitrite', async ({ page }) => {
  await page.goto('/');
  const tag = page.getByRole('navigation', { name: 'Batches on the rail' }).getByRole('link', { name: /^HB-\d+ Bone-in ham .* at Cure,/ });
  await tag.first().click();
  const panel = page.getByRole('region', { name: 'The cure inside the meat' });
  const picture = panel.getByRole('img', { name: /^Section at day/ });
  await expect(picture).toBeVisible({ timeout: 30_000 });
  await expect(panel).toContainText('Coloured to the middle from day');
  await expect(panel).toContainText('modelled, not measured');

  // At the meat-in the middle between the needles has nothing; at the plate it has.
  await panel.getByRole('button', { name: 'meat in' }).click();
  await expect(picture).toHaveAccessibleName(/^Section at day 0\.\d, salt: core 0\.\d\d %/);
  await panel.getByRole('button', { name: 'the plate' }).click();
  await expect(picture).toHaveAccessibleName(/salt: core [12]\.\d\d %, mean [12]\.\d\d/);
  const time = panel.getByRole('slider', { name: 'Time in the cure' });
  await time.focus();
  const before = await time.inputValue();
  await page.keyboard.press('ArrowLeft');
  expect(Number(before) - Number(await time.inputValue())).toBeCloseTo(2.4, 1);
  await page.keyboard.press('Home');
  await expect(time).toHaveAttribute('aria-valuetext', 'day 0.0');

  await panel.getByRole('button', { name: 'Nitrite' }).click();
  await panel.getByRole('button', { name: 'the pull' }).click();
  await expect(picture).toHaveAccessibleName(/nitrite: core \d+ ppm, mean 1[2-6]\d/);
});

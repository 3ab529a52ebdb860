/* global HTMLInputElement, document, requestAnimationFrame -- what runs in the page */
// Scrubbing the section in a browser: time from a step of the handle to the painted picture, and frames in a second.
//   node benchmarks/scrub.mjs http://127.0.0.1:4180       (a running house with the demo)
import { chromium } from 'playwright-core';

const STEPS = 120;
const house = process.argv[2] ?? 'http://127.0.0.1:4180';
const runs = await fetch(`${house}/api/health`).then(
  (answer) => answer.ok,
  () => false,
);
if (!runs) {
  console.log(`no house runs at ${house}: start one to measure the scrubbing`);
  process.exit(0);
}
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const batches = await (await page.request.get(`${house}/api/batches`)).json();
const curing = batches.filter((batch) => batch.entries.some((entry) => entry.stepId === 'meat-in') && !batch.entries.some((entry) => entry.stepId === 'pull'));
for (const batch of curing) {
  await page.goto(`${house}/batches/${batch.id}`);
  const slider = page.getByRole('slider', { name: 'Time in the cure' });
  await slider.waitFor({ timeout: 60_000 });
  await slider.scrollIntoViewIfNeeded();
  const took = await slider.evaluate(async (input, steps) => {
    const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
    const times = [];
    const began = performance.now();
    for (let i = 0; i < steps; i += 1) {
      const from = performance.now();
      set.call(input, String((Number(input.max) * i) / steps));
      input.dispatchEvent(new Event('input', { bubbles: true }));
      // React commits before the event returns; the layout that follows is forced here, so that it counts.
      document.querySelector('.section-picture').getBoundingClientRect();
      times.push(performance.now() - from);
      await new Promise((done) => requestAnimationFrame(done));
    }
    const frames = (steps * 1000) / (performance.now() - began);
    times.sort((a, b) => a - b);
    return { median: times[Math.floor(steps / 2)], worst: times[Math.floor(steps * 0.95)], frames };
  }, STEPS);
  console.log(
    `${batch.code}: ${took.median.toFixed(1)} ms a step, ${took.worst.toFixed(1)} ms at the 95th percentile, ${took.frames.toFixed(0)} frames in a second`,
  );
}
await browser.close();

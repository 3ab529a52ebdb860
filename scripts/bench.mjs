import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './places.mjs';
import { run } from './run.mjs';
import { build, setUpPackages } from './setUp.mjs';
import { giveUp } from './steps.mjs';

try {
  await setUpPackages();
  await build();
  for (const file of readdirSync(join(ROOT, 'bench'))
    // Bad days take their time, and measure nothing: npm run faults.
    .filter((name) => name.endsWith('.mjs') && name !== 'faults.mjs')
    .sort()) {
    await run(process.execPath, [join(ROOT, 'bench', file)], { cwd: ROOT, show: true, fault: `bench/${file} failed` });
  }
} catch (error) {
  giveUp(error);
}

import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './places.mjs';
import { run } from './run.mjs';
import { build, setUpPackages } from './setUp.mjs';
import { giveUp } from './steps.mjs';

try {
  await setUpPackages();
  await build();
  for (const file of readdirSync(join(ROOT, 'benchmarks'))
    // Bad days and ten years at work take their time: npm run faults, npm run load.
    .filter((name) => name.endsWith('.mjs') && name !== 'faults.mjs' && name !== 'load.mjs')
    .sort()) {
    await run(process.execPath, [join(ROOT, 'benchmarks', file)], { cwd: ROOT, show: true, fault: `benchmarks/${file} failed` });
  }
} catch (error) {
  giveUp(error);
}

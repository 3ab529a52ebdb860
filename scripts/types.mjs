import { ROOT } from './places.mjs';
import { run } from './run.mjs';
import { setUpPackages } from './setUp.mjs';
import { giveUp, step } from './steps.mjs';

try {
  await setUpPackages();
  for (const part of ['packages/core', 'packages/words', 'packages/api', 'apps/devices', 'demo', 'apps/server', 'apps/web', '.']) {
    await step(`Types of ${part}`, async () => {
      await run('npx', ['tsc', '-p', part, '--noEmit'], { cwd: ROOT, fault: 'There are type errors' });
    });
  }
} catch (error) {
  giveUp(error);
}

import { spawnSync } from 'node:child_process';
import { expect, test } from './test.js';

test('bad days, a few of each: what was acknowledged is there once, in order, and the logs are whole', () => {
  test.setTimeout(360_000);
  const { stdout, stderr, status } = spawnSync(process.execPath, ['benchmarks/faults.mjs', '--short'], {
    encoding: 'utf8',
    timeout: 340_000,
    // Its clocks are set back and forth by itself.
    env: { ...process.env, BUNKHOUSE_TEST_OFFSET_MS: '' },
  });
  expect(`${stdout}${stderr}`).toContain('Every bad day was survived.');
  expect(stdout.match(/nothing lost, nothing twice, in order/g)).toHaveLength(/the disk full: not tried/.test(stdout) ? 7 : 8);
  expect(status).toBe(0);
});

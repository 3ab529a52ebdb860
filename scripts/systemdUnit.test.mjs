import { systemdUnit } from './systemdUnit.mjs';

test('the unit starts the house in its folder and starts it again when it failed', () => {
  const unit = systemdUnit({ root: '/srv/bunkhouse', node: '/usr/bin/node', user: 'cook', data: '/srv/data', port: 4180 });
  expect(unit).toContain('WorkingDirectory=/srv/bunkhouse\n');
  expect(unit).toContain('ExecStart=/usr/bin/node scripts/start.mjs\n');
  expect(unit).toContain('Environment=BUNKHOUSE_DATA=/srv/data\n');
  expect(unit).toMatch(/Restart=on-failure/);
  for (const line of unit.split('\n')) expect(line).toMatch(/^(|#.*|\[\w+\]|\w+=.+)$/);
});

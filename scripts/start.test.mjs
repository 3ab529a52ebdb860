import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { hashOf, isRoot, ROOT } from './places.mjs';
import { portIsFree, startPostgres } from './postgres.mjs';
import { DISK_FULL, knownFault } from './steps.mjs';

describe('faults in one plain sentence', () => {
  test.each([
    ['npm error code ENOTFOUND\nnpm error network request to somewhere failed', /There is no network/],
    ['E: Failed to fetch  Temporary failure resolving', /There is no network/],
    ['initdb: error: could not write file: No space left on device', /^The disk is full/],
    ['npm error ENOSPC: no space left on device, write', /^The disk is full/],
  ])('%j', (output, sentence) => expect(knownFault(output)).toMatch(sentence));

  test('what is not known is not guessed', () => {
    expect(knownFault('segmentation fault')).toBeNull();
    expect(DISK_FULL.split('. ')).toHaveLength(2);
  });

  const start = (env) => spawnSync(process.execPath, ['scripts/start.mjs'], { cwd: ROOT, encoding: 'utf8', env: { ...process.env, ...env } });

  test('a busy port: which one to take instead', async () => {
    const other = createServer();
    await new Promise((resolve) => other.listen(0, '127.0.0.1', resolve));
    const { port } = other.address();
    expect(await portIsFree(port)).toBe(false);
    // The question to the port must be answered or refused, not waited for.
    other.on('connection', (socket) => socket.destroy());
    const child = (await import('node:child_process')).spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: ROOT,
      env: { ...process.env, BUNKHOUSE_PORT: String(port) },
    });
    let said = '';
    child.stderr.on('data', (data) => (said += data));
    const code = await new Promise((resolve) => child.on('exit', resolve));
    other.close();
    expect(code).toBe(1);
    expect(said.trim()).toBe(`Port ${port} is busy. Stop the other program, or choose another port: BUNKHOUSE_PORT=${port + 1} npm start`);
  });

  test('a port that is none', () => {
    const { status, stderr } = start({ BUNKHOUSE_PORT: 'harbour' });
    expect(status).toBe(1);
    expect(stderr.trim()).toBe('BUNKHOUSE_PORT must be a port from 1 to 65535, not "harbour".');
  });
});

test('a build is stale when a source changed, and not because of what was built', () => {
  const folder = mkdtempSync(join(ROOT, '.stamp-test-'));
  const name = folder.slice(ROOT.length + 1);
  try {
    writeFileSync(join(folder, 'a.ts'), 'one');
    const before = hashOf([name]);
    mkdirSync(join(folder, 'dist'));
    writeFileSync(join(folder, 'dist/a.js'), 'built');
    expect(hashOf([name])).toBe(before);
    writeFileSync(join(folder, 'a.ts'), 'two');
    expect(hashOf([name])).not.toBe(before);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

describe('the cluster', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bunkhouse-cluster-'));
  const data = join(folder, 'pgdata');
  let database;
  afterAll(() => {
    database?.stop();
    rmSync(folder, { recursive: true, force: true });
  });

  test('is made whole where an earlier making was cut off', async () => {
    mkdirSync(join(folder, 'pgdata.making'), { recursive: true });
    writeFileSync(join(folder, 'pgdata.making/half'), 'made');
    database = await startPostgres(folder);
    expect(existsSync(join(data, 'PG_VERSION'))).toBe(true);
    expect(existsSync(join(folder, 'pgdata.making'))).toBe(false);
    expect(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[5]).toBe('127.0.0.1');
  }, 60_000);

  test('that still runs from a start that was killed is used again', async () => {
    const again = await startPostgres(folder);
    expect(again.url).toBe(database.url);
  });

  test('that was killed itself starts again', async () => {
    const pid = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
    process.kill(pid, 'SIGKILL');
    await new Promise((resolve) => setTimeout(resolve, 1500));
    database = await startPostgres(folder);
    const running = Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]);
    expect(running).not.toBe(pid);
  }, 60_000);

  test('in a folder that PostgreSQL cannot reach: which folder to take', async () => {
    if (!isRoot) return;
    const shut = mkdtempSync(join(tmpdir(), 'bunkhouse-shut-'));
    await expect(startPostgres(join(shut, 'inside'))).rejects.toThrow(/cannot reach .* Set BUNKHOUSE_DATA to a folder such as/);
    rmSync(shut, { recursive: true, force: true });
  });
});

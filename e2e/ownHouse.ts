import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import pg from 'pg';

const cluster = process.env.BUNKHOUSE_TEST_DATABASE ?? '';

/** A database of its own on the cluster of the tests. */
export async function emptyDatabase(): Promise<string> {
  const name = `own_${Date.now()}_${Math.floor(Math.random() * 1e6)}`;
  await query(cluster, `CREATE DATABASE ${name}`);
  return cluster.replace(/\/[^/]*$/, `/${name}`);
}

/** Asks a database; answers the rows. */
export async function query(url: string, sql: string, values: unknown[] = []): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query<Record<string, unknown>>(sql, values)).rows;
  } finally {
    await client.end();
  }
}

const freePort = () =>
  new Promise<number>((resolve) => {
    const probe = createServer();
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address !== null ? address.port : 0));
    });
  });

/** A house without the demo on a database: its address, and how to close it. */
export async function ownHouse(url: string): Promise<{ address: string; pid: number; close: () => Promise<void> }> {
  const port = await freePort();
  const server = spawn(process.execPath, ['--import', './scripts/shiftDate.mjs', 'apps/server/dist/main.js'], {
    env: { ...process.env, DATABASE_URL: url, BUNKHOUSE_PORT: String(port), BUNKHOUSE_DEMO: '0' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  // A test that fails on its way never closes it.
  process.once('exit', () => server.kill());
  let said = '';
  server.stderr.on('data', (data: Buffer) => (said += data.toString()));
  await new Promise<void>((resolve, reject) => {
    server.stdout.on('data', (data: Buffer) => /ready at/.test(data.toString()) && resolve());
    server.once('exit', () => reject(new Error(`the house did not open: ${said}`)));
  });
  return {
    address: `http://127.0.0.1:${port}`,
    pid: server.pid ?? 0,
    close: async () => {
      const gone = new Promise((resolve) => server.once('exit', resolve));
      server.kill('SIGTERM');
      await gone;
    },
  };
}

import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Role } from '@bunkhouse/api';
import { getDataSourceToken } from '@nestjs/typeorm';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { SESSION_COOKIE } from '../crew/asked.js';
import { newToken, tokenHash } from '../crew/secrets.js';
import { createApp } from '../createApp.js';
import { describeApi } from '../describe/describeApi.js';
import { holdAnswers, type HeldAnswers } from './heldAnswers.js';

/** A server on a database of its own, for the tests of one file. */
export interface TestHouse {
  app: NestExpressApplication;
  database: DataSource;
  /** requests of Juno, who is head cook */
  http: () => TestAgent;
  /** requests of somebody new, who may what a role may; by password unless said otherwise */
  as: (role: Role, name?: string, by?: 'pin' | 'password') => Promise<TestAgent>;
  /** Juno's cookie, for what is asked otherwise */
  cookie: string;
  /** requests of nobody */
  nobody: () => ReturnType<typeof request>;
  /** what it answered so far, against its own description: `close` throws where that was another */
  held: HeldAnswers;
  close: () => Promise<void>;
}

/** The cluster that the test command starts. */
function cluster(): string {
  const url = process.env.BUNKHOUSE_TEST_DATABASE;
  if (!url) throw new Error('These tests need a PostgreSQL: run them with "npm test" or "npm run check".');
  return url;
}

/** An empty database of its own: its address, and how to drop it. */
export async function emptyDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = `house_${randomUUID().slice(0, 8)}`;
  await admin(`CREATE DATABASE ${name}`);
  return { url: cluster().replace(/\/[^/]*$/, `/${name}`), drop: () => admin(`DROP DATABASE ${name}`) };
}

/** Opens an empty house. */
export async function openTestHouse(pgBin: string | null = null): Promise<TestHouse> {
  const { url, drop } = await emptyDatabase();
  const app = await createApp({ port: 0, host: '127.0.0.1', databaseUrl: url, demo: false, webRoot: null, pgBin, proxy: null, standInKey: null });
  const held = holdAnswers(app, describeApi(app));
  // At one port: browsers, and those who act for them here, keep cookies for it.
  await app.listen(0, '127.0.0.1');
  const database = app.get<DataSource>(getDataSourceToken());
  const as = async (role: Role, name = `${role} ${randomUUID().slice(0, 8)}`, by: 'pin' | 'password' = 'password') =>
    (await signedIn(app, database, { role, name, by })).http;
  const juno = await signedIn(app, database, { role: 'head', name: 'Juno', by: 'password' });
  return {
    app,
    database,
    http: () => juno.http,
    cookie: juno.cookie,
    as,
    nobody: () => request(app.getHttpServer()),
    held,
    close: async () => {
      await app.close();
      await drop();
      if (held.faults.length > 0) throw new Error(`Answered otherwise than described:\n${[...new Set(held.faults)].slice(0, 20).join('\n')}`);
    },
  };
}

export type TestAgent = ReturnType<typeof request.agent>;

/** Somebody with a session, without the time that hashing a password takes. */
async function signedIn(
  app: NestExpressApplication,
  database: DataSource,
  { role, name, by }: { role: Role; name: string; by: 'pin' | 'password' },
): Promise<{ http: TestAgent; cookie: string }> {
  const [id, token] = [randomUUID(), newToken()];
  await database.query(`INSERT INTO person (id, name, role, put_away, created_by, created_at) VALUES ($1, $2, $3, false, 'the test', $4)`, [
    id,
    name,
    role,
    new Date(),
  ]);
  await database.query(`INSERT INTO session (id, person_id, token_hash, by, device, started_at, seen_at) VALUES ($1, $2, $3, $4, 'A program', $5, $5)`, [
    randomUUID(),
    id,
    tokenHash(token),
    by,
    new Date(),
  ]);
  const cookie = `${SESSION_COOKIE}=${token}`;
  return { http: request.agent(app.getHttpServer()).set('Cookie', cookie), cookie };
}

async function admin(sql: string): Promise<void> {
  const source = await new DataSource({ type: 'postgres', url: cluster() }).initialize();
  await source.query(sql);
  await source.destroy();
}

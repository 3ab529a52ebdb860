import { randomUUID } from 'node:crypto';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { getDataSourceToken } from '@nestjs/typeorm';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { createApp } from '../createApp.js';

/** A server on a database of its own, for the tests of one file. */
export interface TestHouse {
  app: NestExpressApplication;
  database: DataSource;
  http: () => ReturnType<typeof request>;
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
  const app = await createApp({ port: 0, host: '127.0.0.1', databaseUrl: url, demo: false, webRoot: null, pgBin });
  await app.init();
  return {
    app,
    database: app.get<DataSource>(getDataSourceToken()),
    http: () => request(app.getHttpServer()),
    close: async () => {
      await app.close();
      await drop();
    },
  };
}

async function admin(sql: string): Promise<void> {
  const source = await new DataSource({ type: 'postgres', url: cluster() }).initialize();
  await source.query(sql);
  await source.destroy();
}

/** What the environment says. Read once, at the start. */
export interface Settings {
  port: number;
  host: string;
  databaseUrl: string;
  demo: boolean;
  /** folder of the built web app, or null to serve the API alone */
  webRoot: string | null;
  /** folder of PostgreSQL's own programs, for backups; null where they are not here */
  pgBin: string | null;
  /** proxies whose word on who asks is taken: `loopback`, or addresses with commas between; null for none */
  proxy: string | null;
  /** what the simulated devices beside this server are known by; null where there are none */
  standInKey: string | null;
}

/** The settings, for whoever asks Nest for them. */
export const SETTINGS = Symbol('settings');

const DEFAULT_PORT = 4180;

/** @throws Error with a plain sentence when a variable cannot be used */
export function readSettings(env: NodeJS.ProcessEnv, webRoot: string | null): Settings {
  const port = env.BUNKHOUSE_PORT === undefined || env.BUNKHOUSE_PORT === '' ? DEFAULT_PORT : Number(env.BUNKHOUSE_PORT);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Error(`BUNKHOUSE_PORT must be a port from 1 to 65535, not "${env.BUNKHOUSE_PORT}".`);
  if (!env.DATABASE_URL) throw new Error('DATABASE_URL is not set: start with "npm start", which sets it.');
  return {
    port,
    host: env.BUNKHOUSE_HOST ?? '127.0.0.1',
    databaseUrl: env.DATABASE_URL,
    demo: env.BUNKHOUSE_DEMO !== '0',
    webRoot,
    pgBin: env.BUNKHOUSE_PG_BIN || null,
    proxy: env.BUNKHOUSE_PROXY || null,
    standInKey: env.BUNKHOUSE_STAND_IN_KEY || null,
  };
}

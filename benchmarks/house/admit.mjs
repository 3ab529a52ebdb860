// A head cook with a session in a house of a script's own, without the screens: answers the cookie.
import { createHash, randomUUID } from 'node:crypto';
import pg from 'pg';

const TOKEN = 'the-one-who-measures-0123456789';
export const COOKIE = `bunkhouse_session=${TOKEN}`;

/** Lets somebody of a role into a house, once for each name; answers their cookie. */
export async function admit(url, { name = 'Wren', role = 'head', token = TOKEN } = {}) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query(
    `INSERT INTO person (id, name, role, put_away, created_by, created_at) VALUES ($1, $2, $3, false, 'a script', now())
     ON CONFLICT (lower(name)) DO UPDATE SET put_away = false RETURNING id`,
    [randomUUID(), name, role],
  );
  await client.query(
    `INSERT INTO session (id, person_id, token_hash, by, device, started_at, seen_at) VALUES ($1, $2, $3, 'password', 'A script', now(), now())
     ON CONFLICT (token_hash) DO NOTHING`,
    [randomUUID(), rows[0].id, createHash('sha256').update(token).digest()],
  );
  await client.end();
  return `bunkhouse_session=${token}`;
}

import { createHash, randomBytes, scrypt, timingSafeEqual, type ScryptOptions } from 'node:crypto';
import type { Message } from '@bunkhouse/core';
import { promisify } from 'node:util';
import { serverSays } from '@bunkhouse/api';

const scrypted = promisify<string, Buffer, number, ScryptOptions, Buffer>(scrypt);

/**
 * Two at a time: of the four threads that Node has for such work two stay free for whatever else waits there (a connection to the database
 * signs in by them too), however many try the door at once.
 */
const turns: Promise<unknown>[] = [Promise.resolve(), Promise.resolve()];
let turn = 0;
function derive(...work: Parameters<typeof scrypted>): Promise<Buffer> {
  turn = (turn + 1) % turns.length;
  const mine = (turns[turn] ?? Promise.resolve()).then(() => scrypted(...work));
  turns[turn] = mine.catch(() => undefined);
  return mine;
}

/** Cost of a guess: 32 MB and some 0.3 s of a core. One of the settings that OWASP's Password Storage Cheat Sheet gives for scrypt (value from memory). */
const COST = { N: 2 ** 15, r: 8, p: 3 };
const BYTES = 32;
const SALT_BYTES = 16;
const MAX_MEMORY = 128 * 1024 * 1024;

/** A PIN or password as it is kept: `scrypt$N$r$p$salt$hash`. */
export async function hashSecret(secret: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const { N, r, p } = COST;
  const hash = await derive(secret.normalize('NFKC'), salt, BYTES, { N, r, p, maxmem: MAX_MEMORY });
  return ['scrypt', N, r, p, salt.toString('base64url'), hash.toString('base64url')].join('$');
}

/** Nobody's secret: looked at where there is none, so that an answer takes as long. */
const NOBODYS = hashSecret(randomBytes(BYTES).toString('base64url'));

/** Whether a secret is the one that was kept. Takes the same time where none was. */
export async function isSecret(secret: string, kept: string | null): Promise<boolean> {
  const [, N, r, p, salt = '', hash = ''] = (kept ?? (await NOBODYS)).split('$');
  const said = await derive(secret.normalize('NFKC'), Buffer.from(salt, 'base64url'), BYTES, { N: Number(N), r: Number(r), p: Number(p), maxmem: MAX_MEMORY });
  return timingSafeEqual(said, Buffer.from(hash, 'base64url')) && kept !== null;
}

/** What a device keeps in its cookie. */
export const newToken = (): string => randomBytes(BYTES).toString('base64url');
export const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Why a PIN is too easily guessed, or null. */
export function weakPin(pin: string): Message | null {
  const digits = [...pin].map(Number);
  const step = (by: number) => digits.every((digit, i) => i === 0 || digit === ((digits[i - 1] ?? 0) + by + 10) % 10);
  if (step(0) || step(1) || step(-1)) return serverSays('pin-first-tried');
  if (/^(19|20)\d\d$/.test(pin)) return serverSays('pin-a-year');
  const half = pin.slice(0, pin.length / 2);
  return pin.length % 2 === 0 && pin === half + half ? serverSays('pin-twice') : null;
}

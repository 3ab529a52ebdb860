import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

/** The checkout. */
export const ROOT = resolve(import.meta.dirname, '..');

export const isRoot = process.getuid?.() === 0;

/** Where the database and files are kept: outside the checkout, and where PostgreSQL's own user can reach it. */
export function dataFolder(env = process.env) {
  if (env.BUNKHOUSE_DATA) return resolve(env.BUNKHOUSE_DATA);
  if (isRoot) return '/var/lib/bunkhouse';
  return join(env.XDG_DATA_HOME || join(homedir(), '.local/share'), 'bunkhouse');
}

const STAMPS = join(ROOT, '.stamp');

/** Whether a piece of set-up was finished for exactly these inputs. A set-up that was cut off leaves no stamp. */
export const stamped = (name, hash) => existsSync(join(STAMPS, name)) && readFileSync(join(STAMPS, name), 'utf8') === hash;

export function stamp(name, hash) {
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(join(STAMPS, name), hash);
}

/** A hash of files and of everything in folders, by name and content. */
export function hashOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths) addTo(hash, join(ROOT, path));
  return hash.digest('hex');
}

function addTo(hash, path) {
  if (!existsSync(path)) return;
  if (statSync(path).isDirectory()) {
    for (const name of readdirSync(path).sort()) if (name !== 'dist' && name !== 'node_modules') addTo(hash, join(path, name));
    return;
  }
  hash.update(path.slice(ROOT.length)).update('\0').update(readFileSync(path)).update('\0');
}

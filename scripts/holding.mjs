import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Plain } from './steps.mjs';

/** The port asked for, or the usual one. */
export function portAsked(usual) {
  const port = Number(process.env.BUNKHOUSE_PORT || usual);
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Plain(`BUNKHOUSE_PORT must be a port from 1 to 65535, not "${process.env.BUNKHOUSE_PORT}".`);
  return port;
}

/** One start at a time on a folder: two would stop each other's database. Answers how it is let go. */
export function holdFolder(folder) {
  const lock = join(folder, 'start.pid');
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
    const holder = Number(readFileSync(lock, 'utf8'));
    if (isStart(holder)) throw new Plain(`Another start (process ${holder}) is using ${folder}. Stop it first, or set BUNKHOUSE_DATA to another folder.`);
    writeFileSync(lock, String(process.pid));
  }
  return () => rmSync(lock, { force: true });
}

/** Whether a process is a start of ours, not a stranger with the number of one that was killed. */
function isStart(pid) {
  if (pid === process.pid) return false;
  try {
    return /scripts\/(start|dev)\.mjs/.test(readFileSync(`/proc/${pid}/cmdline`, 'utf8'));
  } catch {
    return false;
  }
}

/** Ends a child, by force where it does not go by itself. */
export function ended(child) {
  if (child.exitCode !== null || child.signalCode !== null) return undefined;
  return new Promise((resolve) => {
    child.once('exit', resolve);
    child.kill('SIGTERM');
    setTimeout(() => child.kill('SIGKILL'), 8000).unref();
  });
}

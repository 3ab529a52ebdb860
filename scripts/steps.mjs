// Telling what is done and how long it took, and failing in one plain sentence.

/** A fault that a person can act on: printed as it is, without a stack. */
export class Plain extends Error {}

export async function step(what, work) {
  const started = Date.now();
  process.stdout.write(`${what} ... `);
  try {
    const said = await work();
    console.log(`${said ?? 'done'} (${((Date.now() - started) / 1000).toFixed(1)} s)`);
  } catch (error) {
    console.log('failed');
    throw error;
  }
}

/** Prints what to do and leaves. */
export function giveUp(error) {
  console.error(`\n${plainly(error)}`);
  process.exit(1);
}

function plainly(error) {
  if (error instanceof Plain) return error.message;
  const text = String(error?.message ?? error);
  if (error?.code === 'ENOSPC' || /ENOSPC|No space left/i.test(text)) return DISK_FULL;
  if (error?.code === 'EACCES' || error?.code === 'EPERM')
    return `This folder may not be written: ${error.path ?? text}. Choose another one with BUNKHOUSE_DATA, or give yourself the right to it.`;
  return `That did not work: ${text}`;
}

export const DISK_FULL = 'The disk is full. Free some room and start again; nothing is lost.';

/** The sentence behind the output of a program that failed, or null where it is not a known one. */
export function knownFault(output) {
  if (/ENOSPC|No space left/i.test(output)) return DISK_FULL;
  if (
    /ENOTFOUND|EAI_AGAIN|ECONNREFUSED|ETIMEDOUT|ENETUNREACH|network|Temporary failure resolving|Could not resolve|Failed to fetch|Unable to connect/i.test(
      output,
    )
  ) {
    return 'There is no network, and the first set-up needs it for its packages. Connect this machine and start again; later starts need none.';
  }
  return null;
}

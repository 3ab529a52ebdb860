import { MINUTE_MS } from '../clock/spans.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import type { HandActId } from '../log/handAct.js';
import type { Resource } from '../schedule/scheduleTypes.js';

type Planned = { design: Pick<BatchState['design'], 'stores'> };

/** The smoker that a batch goes into: the planned one, else the house's first; null where the house has none. */
function smokerOf({ design }: Planned, resources: readonly Resource[]): string | null {
  const smokers = resources.filter(({ kind }) => kind === 'smoker');
  return (smokers.find(({ id }) => id === design.stores?.smoke) ?? smokers[0])?.id ?? null;
}

/**
 * Whether two batches go into one smoker: what is put on its fire is put on for both.
 *
 * @example sameFire(whole, part, [{ id: 'smoker', name: 'Smoker', kind: 'smoker', capacity: 4 }]) // true
 */
export function sameFire(one: Planned, other: Planned, resources: readonly Resource[]): boolean {
  const smoker = smokerOf(one, resources);
  return smoker !== null && smoker === smokerOf(other, resources);
}

/** With these all of it is over no fire any more. */
const AWAY: readonly HandActId[] = ['oven', 'pot', 'off'];

/**
 * Whether a batch is known to be in its smoker: its meat is on, its core was not read yet, nobody took it elsewhere, and no water or oven can
 * have followed by its program. Where a core that may have been reached ends the smoke, it is not known.
 *
 * @param now ms
 */
export function isOverFire(state: Pick<BatchState, 'design' | 'closedAt' | 'standing'>, process: BatchRecord['process'], now: number): boolean {
  const onAt = state.closedAt('meat-on');
  if (onAt === null || state.closedAt('core') !== null) return false;
  const wasTaken = state.standing.some(
    (entry) => entry.kind === 'act' && AWAY.includes(entry.event.act) && entry.event.pieces === undefined && Date.parse(entry.at) >= onAt,
  );
  const program = state.design.program ?? process.program ?? [];
  const elsewhere = program.findIndex(({ medium }) => medium !== 'smoker');
  if (wasTaken || program.length === 0) return false;
  if (elsewhere === -1) return true;
  const last = program[elsewhere - 1];
  return last?.untilMin !== undefined && last.untilCoreC === undefined && now < onAt + last.untilMin * MINUTE_MS;
}

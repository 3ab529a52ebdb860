/** What a person may do in this house. */
export const ROLES = ['head', 'cook', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

/** What a route asks of whoever calls it. `anybody` is open, `device` asks for a device’s token; the others for a person. */
export const RIGHTS = ['anybody', 'device', 'look', 'record', 'plan', 'run'] as const;
export type Right = (typeof RIGHTS)[number];
export type PersonalRight = Exclude<Right, 'anybody' | 'device'>;

/** look: see and print. record: log what was done. plan: start, change, decide. run: people, settings, backup. */
const MAY: Record<Role, readonly PersonalRight[]> = {
  reader: ['look'],
  helper: ['look', 'record'],
  cook: ['look', 'record', 'plan'],
  head: ['look', 'record', 'plan', 'run'],
};

/** Whether a role has a right: `may('helper', 'plan')` is false. */
export const may = (role: Role, right: PersonalRight): boolean => MAY[role].includes(right);

/** Kinds of entry that change what was decided: for those who plan. A helper says what was done. */
const DECIDING = new Set(['skipped', 'replanned', 'ended', 'pieces']);

/** Which right it takes to log an entry, or to take one back: what is decided of an alarm is a cook’s, too. */
export const rightToLog = (entry: { kind: string; event?: { act: string } }): PersonalRight =>
  DECIDING.has(entry.kind) || (entry.kind === 'pit' && entry.event?.act === 'decided') ? 'plan' : 'record';

import type { LogEntry } from '../log/logEntry.js';
import type { DesignChanges } from '../log/designChanges.js';
import { programSaid } from '../recipes/cookProgram.js';
import { bookSays } from '../say/english/book.js';
import { nameSaid } from '../say/english/names.js';
import type { Message } from '../say/message.js';
import type { StepSpec } from '../steps/step.js';

/** What a database gives back may stand in another order than it was written in. */
const IN_ORDER = [
  'pumpPercent',
  'pickleSaltPercent',
  'saltPercent',
  'thicknessShare',
  'skinOn',
  'cureDays',
  'coldC',
  'soakMin',
  'startsAt',
  'readyBy',
  'stepAt',
  'stores',
  'program',
] as const satisfies (keyof DesignChanges)[];

type Steps = readonly { spec: Pick<StepSpec, 'id' | 'title'> }[];

/**
 * What a change of plan changes, in a line: an entry keeps the change, and whoever reads it has his own units and hours. Where nobody writes
 * why, its plain English stands as the reason.
 *
 * @example planSaid({ cureDays: 9 }, steps).message // '9 days of cure'
 */
export function planSaid(changes: DesignChanges, steps: Steps): Message {
  const said = IN_ORDER.filter((name) => changes[name] !== undefined).flatMap((name) => partSaid(name, changes, steps) ?? []);
  return (
    said.reduce<Message | null>((line, part) => (line === null ? part : bookSays('after-each-other', { one: line, other: part })), null) ??
    bookSays('plan-other')
  );
}

/** Why an entry was written, in somebody's own words; undefined where nobody wrote any. */
export const ownReason = (entry: Pick<LogEntry, 'kind' | 'reason'> & { changes?: DesignChanges }, steps: Steps): string | undefined =>
  entry.kind === 'replanned' && entry.changes !== undefined && entry.reason === planSaid(entry.changes, steps).message ? undefined : entry.reason;

function partSaid(name: (typeof IN_ORDER)[number], changes: DesignChanges, steps: Steps): Message | null {
  const { cureDays, coldC, soakMin, stepAt = {}, startsAt, readyBy, program, pumpPercent, pickleSaltPercent, saltPercent, thicknessShare, skinOn } = changes;
  switch (name) {
    case 'cureDays':
      return cureDays === undefined ? null : bookSays('plan-days', { days: cureDays });
    case 'coldC':
      return coldC === undefined ? null : bookSays('plan-cold', { coldC });
    case 'soakMin':
      return soakMin === undefined ? null : bookSays('plan-soak', { min: soakMin });
    case 'stepAt': {
      const jobs = Object.entries(stepAt);
      const [[id, at] = ['', '']] = jobs;
      if (jobs.length !== 1 || at === undefined) return bookSays('plan-jobs', { n: jobs.length });
      return bookSays('plan-job', { job: nameSaid(steps.find(({ spec }) => spec.id === id)?.spec.title ?? id), at: Date.parse(at) });
    }
    case 'startsAt':
      return startsAt === undefined ? null : bookSays('plan-start', { at: Date.parse(startsAt) });
    case 'readyBy':
      return readyBy === undefined ? null : bookSays('plan-ready', { at: Date.parse(readyBy) });
    case 'stores':
      return bookSays('plan-stores');
    case 'program':
      return program === undefined ? null : bookSays('plan-program', { program: programSaid(program) ?? bookSays('plan-other') });
    case 'pumpPercent':
      return pumpPercent === undefined ? null : bookSays('plan-pump', { percent: pumpPercent });
    case 'pickleSaltPercent':
      return pickleSaltPercent === undefined ? null : bookSays('plan-pickle', { percent: pickleSaltPercent });
    case 'saltPercent':
      return saltPercent === undefined ? null : bookSays('plan-salt', { percent: saltPercent });
    case 'thicknessShare':
      return thicknessShare === undefined ? null : bookSays('plan-thickness', { percent: thicknessShare * 100 });
    case 'skinOn':
      return skinOn === undefined ? null : bookSays(skinOn ? 'plan-skin-on' : 'plan-skin-off');
  }
}

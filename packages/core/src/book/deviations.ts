import { failedGates, unreadInputs } from '../steps/gates.js';
import { isEaten } from '../log/ending.js';
import { DAY_MS } from '../clock/spans.js';
import { isTurn } from '../log/stepId.js';
import type { DoneEntry, LogEntry } from '../log/logEntry.js';
import { piecesAt } from '../batch/pieces.js';
import { asWritten } from '../say/asWritten.js';
import { nameSaid } from '../say/english/names.js';
import { bookSays } from '../say/english/book.js';
import type { Message } from '../say/message.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import { alarmKeySaid } from '../pit/alarmSaid.js';
import { ownReason, planSaid } from './planSaid.js';

/** Something that did not go as it should, and what was decided: what an inspector looks for first. */
export interface Deviation {
  /** the entry that tells it; of what nobody wrote, what it is */
  entryId: string;
  /** ISO instant */
  at: string;
  /** nobody, where it was not written */
  by: string;
  kind: 'missed' | 'gate' | 'unread' | 'leftOut' | 'correction' | 'withdrawn' | 'decided' | 'dropped' | 'early' | 'replanned' | 'ended';
  /** what it is about, in a few words */
  what: string;
  said: Message;
  /** what was written */
  reason: string;
}

/** A pull that many days before the planned one is still that day's work. */
const A_TURN_D = 0.5;

/** Changes of the hours are planning, no deviation. */
const PLANNING = ['stepAt', 'startsAt', 'readyBy', 'stores'];

/** Everything in a log that was not as planned, in the order it was written; then what was due and never written. */
export function deviations({ entries }: BatchRecord, state: BatchState): Deviation[] {
  const { steps, standing } = state;
  const title = (stepId: string) => nameSaid(steps.find(({ spec }) => spec.id === stepId)?.spec.title ?? stepId);
  const stepOf = (id: string): Message | null => {
    const entry = entries.find((other) => other.id === id);
    if (entry === undefined) return null;
    return 'stepId' in entry ? title(entry.stepId) : 'replaces' in entry ? stepOf(entry.replaces) : null;
  };
  const written = entries.flatMap((entry): Deviation[] => {
    const deviation = (kind: Deviation['kind'], said: Message): Deviation[] => [
      { entryId: entry.id, at: entry.at, by: entry.by, kind, what: said.message, said, reason: ownReason(entry, steps) ?? '' },
    ];
    switch (entry.kind) {
      case 'done': {
        const now = standing.find(({ id }) => id === entry.id);
        const spec = steps.find((step) => step.spec.id === entry.stepId)?.spec;
        if (now?.kind !== 'done' || spec === undefined || entry.reason === undefined) return [];
        const pieces = piecesAt(state, Date.parse(now.at));
        if (failedGates(spec, now.values, pieces).length > 0) return deviation('gate', title(entry.stepId));
        const [first, ...more] = unreadInputs(spec, now.values, pieces);
        if (first === undefined) return deviation('early', shortCure(state, entry) ?? title(entry.stepId));
        const unread = more.reduce<Message>((line, input) => bookSays('after-each-other', { one: line, other: nameSaid(input.label) }), nameSaid(first.label));
        return deviation('unread', bookSays('dev-unread', { step: title(entry.stepId), unread }));
      }
      case 'skipped':
        return deviation('leftOut', bookSays('dev-left-out', { step: title(entry.stepId) }));
      case 'correction':
        return deviation('correction', bookSays('dev-corrected', { step: stepOf(entry.replaces) ?? asWritten('') }));
      case 'withdrawn':
        return deviation('withdrawn', takenBack(entries, entry.replaces, stepOf));
      case 'replanned':
        return Object.keys(entry.changes).every((name) => PLANNING.includes(name))
          ? []
          : deviation('replanned', bookSays('dev-replanned', { plan: planSaid(entry.changes, steps) }));
      case 'pit':
        return entry.event.act === 'decided' ? deviation('decided', bookSays('dev-decided', { alarm: alarmKeySaid(entry.event.alarm) })) : [];
      case 'pieces':
        return entry.event.act === 'dropped' ? deviation('dropped', bookSays('dev-dropped', { piece: entry.event.piece })) : [];
      case 'ended':
        if (entry.how === undefined || !isEaten(entry.how)) return deviation('ended', bookSays(entry.how === 'spoilt' ? 'dev-spoilt' : 'dev-ended'));
        return entry.reason === '' ? [] : deviation('ended', bookSays('dev-eaten'));
      case 'lot':
        return entry.reason === undefined ? [] : deviation('gate', bookSays('dev-lot', { kind: entry.draw.of }));
      case 'vessels':
      case 'act':
      case 'note':
        return [];
    }
  });
  return [...written, ...missedTurns(state)];
}

/** A pull before the days that were planned: after how many it was. */
function shortCure({ design, closedAt }: BatchState, { stepId, at }: DoneEntry): Message | null {
  const inAt = closedAt('meat-in');
  if (stepId !== 'pull' || inAt === null) return null;
  const days = (Date.parse(at) - inAt) / DAY_MS;
  return days < design.cureDays - A_TURN_D ? bookSays('dev-short-cure', { days, planned: design.cureDays }) : null;
}

/** `1, 3–6`: numbers that follow each other as one. */
const inRuns = (numbers: readonly number[]): string =>
  numbers
    .reduce<[from: number, to: number][]>((runs, n) => {
      const last = runs.at(-1);
      return last?.[1] === n - 1 ? [...runs.slice(0, -1), [last[0], n]] : [...runs, [n, n]];
    }, [])
    .map(([from, to]) => (from === to ? `${from}` : `${from}–${to}`))
    .join(', ');

/** Turns that were due before it was pulled and that nobody wrote, as one. */
function missedTurns({ steps, closedAt }: BatchState): Deviation[] {
  const pulledAt = closedAt('pull') ?? Infinity;
  const missed = steps.filter(({ spec, status, dueAt }) => status === 'missed' && isTurn(spec.id) && dueAt < pulledAt);
  const last = missed.at(-1);
  if (last === undefined) return [];
  const turns = inRuns(missed.map(({ spec }) => Number(spec.id.replace('turn-', ''))));
  const said = bookSays('dev-missed', { n: missed.length, turns });
  return [{ entryId: 'missed', at: new Date(last.dueAt).toISOString(), by: '', kind: 'missed', what: said.message, said, reason: '' }];
}

function takenBack(entries: readonly LogEntry[], id: string, stepOf: (id: string) => Message | null): Message {
  const step = stepOf(id);
  if (step !== null) return bookSays('dev-taken-back', { step });
  return bookSays(entries.find((entry) => entry.id === id)?.kind === 'replanned' ? 'dev-plan-back' : 'dev-entry-back');
}

import type { LogEntry } from '../log/logEntry.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { chillWatch } from './chillWatch.js';
import { pitWatch, type ChannelReadings } from './pitWatch.js';

/** What a piece has shown: heat, cure in its middle, first and second chill gate. */
type ShownOf = 'heat' | 'reach' | 'gate-1' | 'gate-2';

/** A verdict that stood as met once, and does not any more. */
export interface TakenBack {
  piece: string;
  of: ShownOf;
  /** as it stood: the sum of lethality, ppm in the middle, s that the gate took */
  before: number;
  /** ms; when it was taken back, and by which entry: null where a probe's own readings did it */
  at: number;
  entry: LogEntry | null;
}

/** So many entries of the log are looked back over. */
const MOST_BACK = 16;

/**
 * Verdicts that were met by the log and the readings as they stood before, and are not met now: a later reading was warmer, an entry was
 * corrected or withdrawn. Each with the figure that stood, and with what took it back. From the pull on.
 *
 * @param now ms
 */
export function takenBack(record: BatchRecord, channels: readonly ChannelReadings[], now: number): TakenBack[] {
  const { entries } = record;
  const pulled = entries.findIndex((entry) => entry.kind === 'done' && entry.stepId === 'pull');
  if (pulled === -1) return [];
  const met = metAt(record, channels, now);
  const found = new Map<string, TakenBack>();
  for (let k = entries.length; k > Math.max(pulled, entries.length - MOST_BACK); k -= 1) {
    const entry = entries[k] ?? null;
    if (entry !== null && !changesVerdicts(entry)) continue;
    const last = entries[k - 1];
    // What stood just before this entry was written; with no entry, when the last one was.
    const thenMs = entry !== null ? Date.parse(entry.recordedAt) - 1 : Date.parse(last?.recordedAt ?? '');
    for (const [key, stood] of metBefore({ ...record, entries: entries.slice(0, k) }, channels, thenMs))
      if (!met.has(key) && !found.has(key)) found.set(key, { ...stood, at: entry === null ? now : Date.parse(entry.recordedAt), entry });
  }
  return [...found.values()];
}

/** A core's temperature by its name. */
const CORE_VALUE = /^(?:coreC|instant\dC|probeC)\b/;

/** Whether an entry can take a verdict back: what was read, put right, taken out, or done to a piece or its probe. */
function changesVerdicts(entry: LogEntry): boolean {
  if (entry.kind === 'done') return Object.keys(entry.values).some((name) => CORE_VALUE.test(name));
  return entry.kind === 'correction' || entry.kind === 'withdrawn' || entry.kind === 'pieces' || entry.kind === 'vessels' || entry.kind === 'pit';
}

/** What stood before does not change: so many states of logs are kept. */
const MOST_KEPT = 64;
const kept = new Map<string, Met>();

/** The same of a log as it stood before its last entries: what was worked out once is kept. */
function metBefore(record: BatchRecord, channels: readonly ChannelReadings[], then: number): Met {
  const read = channels.map(({ readings, isChecked }) => `${readings.filter(({ at }) => at <= then).length} ${readings[0]?.C ?? ''} ${String(isChecked)}`);
  const key = [record.id, record.entries.length, record.entries.at(-1)?.id, then, ...read].join(' ');
  const known = kept.get(key) ?? metAt(record, channels, then);
  kept.delete(key);
  kept.set(key, known);
  const [oldest] = kept.keys();
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
  return known;
}

type Met = ReadonlyMap<string, { piece: string; of: ShownOf; before: number }>;

/** What is met by a log at a time, with its figure. */
function metAt(record: BatchRecord, channels: readonly ChannelReadings[], now: number): Met {
  const state = replay(record, now);
  const cook = pitWatch(state, record.process, channels, now);
  const chill = chillWatch(state, record.process, channels, cook, now);
  const met = new Map<string, { piece: string; of: ShownOf; before: number }>();
  const add = (piece: string, of: ShownOf, before: number) => met.set(`${of}:${piece}`, { piece, of, before });
  for (const { code, isCured, leastPpm } of state.cured) if (isCured) add(code, 'reach', leastPpm);
  for (const { piece, lethality } of cook?.pieces ?? []) if (lethality.reachedAtS !== null) add(piece, 'heat', lethality.sum);
  for (const { piece, gates } of chill?.pieces ?? [])
    gates.forEach(({ state: stands, tookS }, i) => stands === 'pass' && add(piece, i === 0 ? 'gate-1' : 'gate-2', tookS ?? 0));
  return met;
}

import type {
  DoneEntry,
  SkippedEntry,
  CorrectionEntry,
  EndedEntry,
  ReplannedEntry,
  PitEntry,
  PieceEntry,
  VesselsEntry,
  ActEntry,
  LotEntry,
  LogEntry,
} from './logEntry.js';

type Act = DoneEntry | SkippedEntry | EndedEntry | ReplannedEntry | PitEntry | PieceEntry | VesselsEntry | ActEntry | LotEntry;

/** An act as it stands after every correction: the entry, with what it first said when it was corrected. */
export type StandingEntry = Act & { corrections: CorrectionEntry[] };

/**
 * The acts that stand, in the order they were written: corrections applied, withdrawn ones gone.
 * Replaying any log gives the same standing acts whatever lies between an entry and its correction.
 */
export function standingEntries(entries: readonly LogEntry[]): StandingEntry[] {
  const root = rootsOf(entries);
  const withdrawn = new Set(entries.flatMap((entry) => (entry.kind === 'withdrawn' ? [root.get(entry.replaces) ?? entry.replaces] : [])));
  const corrections = new Map<string, CorrectionEntry[]>();
  for (const entry of entries) {
    if (entry.kind !== 'correction') continue;
    const of = root.get(entry.replaces) ?? entry.replaces;
    corrections.set(of, [...(corrections.get(of) ?? []), entry]);
  }
  return entries.flatMap((entry) => {
    if (entry.kind === 'correction' || entry.kind === 'withdrawn' || entry.kind === 'note' || withdrawn.has(entry.id)) return [];
    return [corrected(entry, corrections.get(entry.id) ?? [])];
  });
}

function corrected(entry: Act, corrections: CorrectionEntry[]): StandingEntry {
  const last = corrections.at(-1);
  if (last === undefined) return { ...entry, corrections };
  if (entry.kind === 'done') return { ...entry, at: last.at, values: last.values, reason: last.reason, corrections };
  return { ...entry, at: last.at, corrections };
}

/** The first entry behind each correction. */
function rootsOf(entries: readonly LogEntry[]): Map<string, string> {
  const root = new Map<string, string>();
  for (const entry of entries) {
    if (entry.kind === 'correction') root.set(entry.id, root.get(entry.replaces) ?? entry.replaces);
  }
  return root;
}

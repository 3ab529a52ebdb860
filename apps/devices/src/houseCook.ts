import type { SimulatedCookOptions } from './simulatedCook.js';

/** What of a batch, as the open API gives it, a simulated thermometer goes by. */
export interface WatchedBatch {
  id: string;
  design: { pieces: { section: Record<string, unknown> }[] };
  process: { program?: { chamberC: number; untilMin?: number }[] };
  entries: {
    kind: string;
    at: string;
    stepId?: string;
    values?: Record<string, unknown>;
    event?: { act: string; probes?: { device: string; channel: number }[] };
  }[];
}

const MOST_S = 36 * 3600;

/** The same chance for the same thing. */
export const seedOf = (id: string): number => [...id].reduce((hash, letter) => (hash * 31 + letter.charCodeAt(0)) | 0, 7);

/**
 * The cook that a device hangs in: the last batch whose channels are its own and whose meat is on the fire. Null where there is none.
 */
export function cookOfDevice(batches: readonly WatchedBatch[], device: string): { batchId: string; onMs: number; options: SimulatedCookOptions } | null {
  for (const batch of [...batches].reverse()) {
    const hung = batch.entries.findLast(({ event }) => event?.act === 'probes')?.event?.probes ?? [];
    const doneAt = (step: string) => batch.entries.find((entry) => entry.kind === 'done' && entry.stepId === step);
    const on = doneAt('meat-on');
    if (!hung.some((probe) => probe.device === device) || on === undefined || doneAt('into-cold') !== undefined) continue;
    const onMs = Date.parse(on.at);
    const raised = doneAt('raise');
    const [first, second] = batch.process.program ?? [];
    const raisedS = raised === undefined ? (first?.untilMin ?? Infinity) * 60 : (Date.parse(raised.at) - onMs) / 1000;
    const wrapped = batch.entries.find(({ event }) => event?.act === 'wrap');
    const coreC = on.values?.coreC;
    return {
      batchId: batch.id,
      onMs,
      options: {
        seed: seedOf(batch.id),
        diameterMm: thickness(batch.design.pieces[0]?.section),
        coreC: typeof coreC === 'number' ? coreC : 5,
        startC: (first?.chamberC ?? 90) - 6,
        settings: [{ fromS: 0, C: first?.chamberC ?? 90 }, ...(second === undefined ? [] : [{ fromS: raisedS, C: second.chamberC }])],
        doorsS: batch.entries.flatMap(({ event, at }) => (event?.act === 'spritz' ? [(Date.parse(at) - onMs) / 1000 - 45] : [])),
        shallow: 0,
        ...(wrapped === undefined ? {} : { wrappedS: (Date.parse(wrapped.at) - onMs) / 1000 }),
      },
    };
  }
  return null;
}

function thickness(section: Record<string, unknown> | undefined): number {
  const sizes = ['thicknessMm', 'diameterMm', 'widthMm', 'heightMm'].flatMap((name) => (typeof section?.[name] === 'number' ? [section[name]] : []));
  return sizes.length === 0 ? 120 : Math.min(...sizes);
}

/** A cook that is older than this is over, whatever its log says. */
export const isRunning = (onMs: number, now: number): boolean => now > onMs && now - onMs < MOST_S * 1000;

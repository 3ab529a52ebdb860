import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { bookLines, replay, type BatchRecord, type BookLine } from '@bunkhouse/core';

/** Logs and books as this program wrote them at each of its earlier shapes, with what they came to. See docs/formats.md. */
const KEPT = join(import.meta.dirname, '../kept');
const read = (name: string): unknown => JSON.parse(readFileSync(join(KEPT, name), 'utf8'));

type Figures = Record<string, number | string | null>;
const figures = read('figures.json') as Record<string, Record<string, Figures>>;
const names = readdirSync(KEPT).filter((name) => name !== 'figures.json');

/** A book keeps only what a part has of its own. What it was cut from is looked at by the tests of the import. */
const wholes = (name: string) => {
  const { exportedAt, batches } = read(name) as { exportedAt: string; batches: (BatchRecord & { cutFrom?: string })[] };
  return batches.filter(({ cutFrom }) => cutFrom === undefined).map((record) => ({ record, at: Date.parse(exportedAt) }));
};

/** What a log comes to: its figures with their doubt, its lines in the book, where each step stands. */
function comesTo(record: BatchRecord, at: number): Figures {
  const state = replay(record, at);
  const { applies } = state.figures.nitrite;
  return {
    ...Object.fromEntries(bookLines(record, state).map(({ key, actual }) => [key, plainly(actual)])),
    outcome: state.outcome,
    salt: state.figures.salt.value,
    nitriteLow: applies.low,
    nitrite: applies.value,
    nitriteHigh: applies.high,
    steps: state.steps.map(({ spec, status }) => `${spec.id} ${status}`).join(', '),
  };
}

/** What is said rather than counted was kept as it is said plainly. */
const plainly = (value: BookLine['actual']): Figures[string] => (typeof value === 'object' && value !== null ? value.message : value);

const rounded = (of: Figures): Figures =>
  Object.fromEntries(Object.entries(of).map(([key, value]) => [key, typeof value === 'number' ? Number(value.toPrecision(9)) : value]));

test('one of each kind of entry is among them', () => {
  const kinds = new Set(names.flatMap(wholes).flatMap(({ record }) => record.entries.map(({ kind }) => kind)));
  expect([...kinds].sort()).toEqual(['correction', 'done', 'ended', 'lot', 'note', 'pieces', 'pit', 'replanned', 'skipped', 'withdrawn']);
});

/** Lines that the book has had since: nothing of them was written then. */
const SINCE: Figures = { table: null };

describe.each(names)('%s', (name) => {
  test.each(wholes(name).map(({ record, at }) => [record.id, record, at] as const))('batch %s comes to what it always came to', (id, record, at) => {
    const kept = figures[name]?.[id];
    expect(kept).toBeDefined();
    expect(rounded(comesTo(record, at))).toEqual({ ...SINCE, ...kept });
  });
});

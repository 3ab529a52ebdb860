import { DAY_MS, HOUR_MS } from '../clock/spans.js';
import type { BatchRecord } from '../batch/batchState.js';
import { replay } from '../batch/replay.js';
import { deviations } from './deviations.js';
import { ENDINGS } from '../log/ending.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { checkEntry } from '../check/checkEntry.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const at = (h: number) => new Date(START + h * HOUR_MS).toISOString();
const LATER = START + 40 * DAY_MS;
const fresh: BatchRecord = { id: 'own', code: 'PB-3', design: usualDesign('pastrami', at(0)), process: processFor('pastrami'), entries: [] };
const end = (record: BatchRecord, said: object): string[] =>
  checkEntry(record, { id: 'e', kind: 'ended', by: 'Juno', at: at(300), reason: '', ...said }, LATER).map(({ field, code }) => `${field} ${code}`);
const withEnd = (record: BatchRecord, said: object): BatchRecord => ({
  ...record,
  entries: [...record.entries, { id: 'e', kind: 'ended', by: 'Juno', at: at(300), recordedAt: at(300), seq: 1, reason: '', ...said }],
});

test('served without a core that was read is asked what it is; with words it is written, and the record names it', () => {
  expect(end(fresh, { how: 'served' })).toEqual(['reason served-unread']);
  expect(end(fresh, { how: 'given', reason: 'Raw, to Tess, who bakes it' })).toEqual([]);
  const given = withEnd(fresh, { how: 'given', reason: 'Raw, to Tess, who bakes it' });
  expect(replay(given, LATER)).toMatchObject({ outcome: 'finished', ending: 'given', endedAt: Date.parse(at(300)), next: null });
  expect(deviations(given, replay(given, LATER)).map(({ kind, what, reason }) => [kind, what, reason])).toEqual([
    ['ended', 'Eaten without being packed', 'Raw, to Tess, who bakes it'],
  ]);
});

test('spoilt and thrown away ask why, and are no food', () => {
  for (const how of ['spoilt', 'thrown-away'] as const) {
    expect(end(fresh, { how })).toHaveLength(1);
    expect(end(fresh, { how, reason: 'Smelled when opened' })).toEqual([]);
    expect(replay(withEnd(fresh, { how, reason: 'Smelled when opened' }), LATER)).toMatchObject({ outcome: 'thrownAway', ending: how });
  }
});

test('what was written before there were endings was thrown away', () => {
  expect(replay(withEnd(fresh, { reason: 'Smelled when opened' }), LATER)).toMatchObject({ outcome: 'thrownAway', ending: 'thrown-away' });
});

test('over the limit it is served to nobody, whatever is written', () => {
  const strong = { ...fresh, design: { ...fresh.design, nitritePpm: 400 } };
  expect(end(strong, { how: 'served', reason: 'It tasted very good' })).toEqual(['entry nitrite-over']);
  expect(end(strong, { how: 'thrown-away', reason: 'Too much of the cure' })).toEqual([]);
});

test('no other end is known, and none after the end', () => {
  expect(end(fresh, { how: 'eaten' })).toEqual(['how which-ending']);
  for (const how of ENDINGS) expect(end(withEnd(fresh, { reason: 'Smelled when opened' }), { how, reason: 'And once more' })).toEqual(['entry thrown-away']);
});

import fc from 'fast-check';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { HOUR_MS } from '../clock/spans.js';
import { HAND_ACTS, type HandAct, type HandActAmounts } from '../log/handAct.js';
import type { EntryDraft } from '../log/entryFault.js';
import { HAND_ACT_SPECS } from '../steps/handActs.js';
import { handActSaid } from '../steps/handActSaid.js';
import { begunFrom, loinFrom } from '../testing/loin.js';
import { checkEntry } from './checkEntry.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const loin = loinFrom(START);
const draftOf = (event: unknown, h: number, more: object = {}) =>
  ({ id: 'own', by: 'Juno', at: new Date(START + h * HOUR_MS).toISOString(), kind: 'act', event, ...more }) as EntryDraft;
const faults = (record: BatchRecord, event: unknown, h = 30) => checkEntry(record, draftOf(event, h), START + 40 * HOUR_MS).map(({ field }) => field);
const started = loin(begunFrom(START));

test.each(HAND_ACTS)('%s can be written at any time of a batch, with nothing read, and before its first step', (act) => {
  expect(faults(started, { act })).toEqual([]);
  expect(faults(loin(), { act }, 0.1)).toEqual([]);
});

/** Any act, with any of what it may be read at. */
const anyAct: fc.Arbitrary<HandAct> = fc.constantFrom(...HAND_ACTS).chain((act) =>
  fc
    .record(
      Object.fromEntries(HAND_ACT_SPECS[act].takes.map((name): [keyof HandActAmounts, fc.Arbitrary<number>] => [name, fc.integer({ min: 1, max: 50 })])),
      {
        requiredKeys: [],
      },
    )
    .map((amounts) => ({ act, ...amounts })),
);

test('what was done beside the plan is told and changes nothing that is worked out: no step, no figure, no finding, in any order', () => {
  fc.assert(
    fc.property(fc.array(fc.record({ event: anyAct, h: fc.double({ min: 0, max: 39, noNaN: true }) }), { maxLength: 6 }), (done) => {
      const acts = done.map(({ event, h }, i) => {
        const draft = draftOf(event, h, { id: `act${i}` });
        expect(checkEntry(started, draft, START + 40 * HOUR_MS)).toEqual([]);
        return { ...draft, seq: 10 + i, recordedAt: draft.at };
      });
      const [without, withThem] = [started, loin([...begunFrom(START), ...acts])].map((record) => replay(record, START + 40 * HOUR_MS));
      const derived = (state = without) => ({
        steps: state?.steps.map(({ spec, status, dueAt }) => [spec.id, status, dueAt]),
        figures: state?.figures,
        findings: state?.findings,
        cooling: state?.cooling,
      });
      expect(derived(withThem)).toEqual(derived());
      expect(withThem?.standing.filter(({ kind }) => kind === 'act')).toHaveLength(acts.length);
    }),
    { numRuns: 60 },
  );
});

test('what cannot have been is told at its field', () => {
  expect(faults(started, { act: 'danced' })).toEqual(['event.act']);
  expect(faults(started, null)).toEqual(['event.act']);
  expect(faults(started, { act: 'table', salt: 'right', doneness: 'over' })).toEqual([]);
  expect(faults(started, { act: 'table', salt: 'delicious', smoke: null })).toEqual(['event.salt', 'event.smoke']);
  expect(faults(started, { act: 'massage', salt: 'right' })).toEqual(['event.salt']);
  expect(faults(started, { act: 'hang', humidityPercent: 140 })).toEqual(['event.humidityPercent']);
  expect(faults(started, { act: 'hang', C: Number.NaN })).toEqual(['event.C']);
  expect(faults(started, { act: 'fresh-water', times: 0 })).toEqual(['event.times']);
  expect(faults(started, { act: 'prick', C: 4 })).toEqual(['event.C']);
  expect(faults(started, { act: 'massage', pieces: ['B'] })).toEqual(['event.pieces']);
  expect(faults(started, { act: 'massage', pieces: [] })).toEqual(['event.pieces']);
  expect(faults(started, { act: 'massage', pieces: ['A'] })).toEqual([]);
  expect(faults(started, { act: 'massage' }, 50)).toEqual(['at']);
});

test('what was thrown away is not carved; what was done can be taken back', () => {
  const ended = loin([
    ...begunFrom(START),
    { id: 'end', seq: 4, kind: 'ended', reason: 'It smelled bad', by: 'Wren', at: new Date(START + 20 * HOUR_MS).toISOString(), recordedAt: '' },
  ]);
  expect(faults(ended, { act: 'carve' })).toEqual(['entry']);
  const written = { ...draftOf({ act: 'massage' }, 20), seq: 4, recordedAt: '' };
  const back: EntryDraft = {
    id: 'back',
    by: 'Juno',
    at: new Date(START + 31 * HOUR_MS).toISOString(),
    kind: 'withdrawn',
    replaces: 'own',
    reason: 'Wrong batch',
  };
  const record = loin([...begunFrom(START), written]);
  expect(checkEntry(record, back, START + 40 * HOUR_MS)).toEqual([]);
  const after = replay(loin([...record.entries, { ...back, seq: 5, recordedAt: '' }]), START + 40 * HOUR_MS);
  expect(after.standing.some(({ kind }) => kind === 'act')).toBe(false);
});

test('it is said in one line, with what was read', () => {
  expect(handActSaid({ act: 'hang', C: 11, humidityPercent: 75 }).message).toBe('Hung in the air, 11 °C, 75 % humidity');
  expect(handActSaid({ act: 'fresh-water', times: 3, pieces: ['A', 'B'] }).message).toBe('Fresh water, piece A, B, 3 times');
  expect(handActSaid({ act: 'massage' }).message).toBe('Massaged');
});

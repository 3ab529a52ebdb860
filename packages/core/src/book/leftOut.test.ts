import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { checkEntry } from '../check/checkEntry.js';
import { HOUR_MS } from '../clock/spans.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { StepValues } from '../log/logEntry.js';
import { begunFrom, loinFrom } from '../testing/loin.js';
import { bookLines } from './bookLines.js';
import { deviations } from './deviations.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const PULLED_H = 14 * 24 + 4;

/** A cook at the log: what he writes is checked as the house checks it. */
class Hand {
  constructor(private record: BatchRecord = loinFrom(START)(begunFrom(START))) {}
  faults(draft: object, h: number): string[] {
    return checkEntry(this.record, this.draft(draft, h), START + h * HOUR_MS).map(({ code }) => code);
  }
  done(stepId: string, h: number, values: StepValues = {}): this {
    return this.write({ kind: 'done', stepId, values }, h);
  }
  leaves(stepId: string, h: number, reason = 'There sooner'): this {
    return this.write({ kind: 'skipped', stepId, reason }, h);
  }
  at(h: number) {
    return { state: replay(this.record, START + h * HOUR_MS), record: this.record };
  }
  private write(draft: object, h: number): this {
    expect(this.faults(draft, h)).toEqual([]);
    const one = this.draft(draft, h);
    this.record = { ...this.record, entries: [...this.record.entries, { ...one, seq: this.record.entries.length + 1, recordedAt: one.at }] };
    return this;
  }
  private draft(draft: object, h: number): EntryDraft {
    return { id: `h${h}`, by: 'Juno', at: new Date(START + h * HOUR_MS).toISOString(), ...draft } as EntryDraft;
  }
}

const pulled = () =>
  new Hand()
    .done('pull', PULLED_H, { 'pulledG:A': 2690, firmness: 'firm', smell: 'fresh' })
    .done('fry', PULLED_H + 0.2, { taste: 'right' })
    .leaves('soak-in', PULLED_H + 0.3, 'Tasted right');

test('rack, skin and an hour of heating are left out with a word each, and the meat goes on', () => {
  const hand = pulled()
    .leaves('rack', PULLED_H + 0.4, 'Wet on purpose')
    .leaves('pellicle', PULLED_H + 0.5, 'Wet on purpose')
    .leaves('light', PULLED_H + 0.6, 'Done together with another step');
  const { state, record } = hand.at(PULLED_H + 1);
  expect(state.next?.spec.id).toBe('meat-on');
  expect(deviations(record, state).filter(({ kind }) => kind === 'leftOut')).toHaveLength(4);
});

test('meat that was racked and never looked at has no hours of drying in the book', () => {
  const { state, record } = pulled()
    .done('rack', PULLED_H + 0.4)
    .leaves('pellicle', PULLED_H + 9)
    .at(PULLED_H + 10);
  expect(bookLines(record, state).find(({ key }) => key === 'dry')?.actual).toBeNull();
});

test('a turn that nobody made is left out by name, and the next one comes', () => {
  const { state } = new Hand().leaves('turn-1', 30, 'Nobody was here').at(31);
  expect(state.step('turn-1')?.status).toBe('skipped');
  expect(state.next?.spec.id).toBe('turn-2');
});

test('what dose, core and gates stand on is not left out, and nothing is without a reason', () => {
  expect(new Hand(loinFrom(START)()).faults({ kind: 'skipped', stepId: 'weigh', reason: 'There sooner' }, 1)).toEqual(['not-left-out']);
  for (const stepId of ['pull', 'core', 'into-cold', 'gate-first', 'gate-second', 'pack'])
    expect(new Hand().faults({ kind: 'skipped', stepId, reason: 'There sooner' }, 30)).toEqual(['not-left-out']);
  expect(pulled().faults({ kind: 'skipped', stepId: 'rack', reason: 'no' }, PULLED_H + 1)).toEqual(['why-left-out']);
});

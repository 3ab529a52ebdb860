import { HOUR_MS } from '../clock/spans.js';
import type { BatchRecord, BatchState } from '../batch/batchState.js';
import { replay } from '../batch/replay.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { LogEntry } from '../log/logEntry.js';
import type { Vessel } from '../log/vessel.js';
import { processFor } from '../recipes/processes.js';
import { usualDesign } from '../recipes/usualDesign.js';
import { checkEntry } from './checkEntry.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const at = (h: number) => new Date(START + h * HOUR_MS).toISOString();
const tub = (pieces: string[], more: Partial<Vessel> = {}): Vessel => ({ kind: 'tub', pieces, ...more });

/** A batch of two loins with its log. */
class Hands {
  record: BatchRecord;
  constructor() {
    const usual = usualDesign('canadian-bacon', at(0), 'equilibrium');
    const [piece] = usual.pieces;
    if (piece === undefined) throw new Error('a piece');
    const pieces = [
      { ...piece, greenG: 2750 },
      { ...piece, code: 'B', greenG: 2500 },
    ];
    const design = { ...usual, pieces, school: { kind: 'equilibrium', waterG: 4000 } as const, nitritePpm: 120 };
    this.record = { id: 'own', code: 'CB-9', design, process: processFor('canadian-bacon'), entries: [] };
  }
  log(h: number, entry: object): this {
    const seq = this.record.entries.length + 1;
    const whole = { id: `e${seq}`, by: 'Juno', at: at(h), recordedAt: at(h), seq, ...entry } as LogEntry;
    this.record = { ...this.record, entries: [...this.record.entries, whole] };
    return this;
  }
  faults(h: number, entry: object): string[] {
    return checkEntry(this.record, { id: 'new', by: 'Juno', at: at(h), ...entry } as EntryDraft, START + h * HOUR_MS).map(
      ({ field, code }) => `${field} ${code}`,
    );
  }
  state = (h: number): BatchState => replay(this.record, START + h * HOUR_MS);
  mixed(): this {
    this.log(0, { kind: 'done', stepId: 'weigh', values: { 'greenG:A': 2750, 'greenG:B': 2500 } });
    const [brine] = this.state(0).facts.brines;
    if (brine === undefined) throw new Error('no brine');
    const { waterG, saltG, sugarG, cureG } = brine;
    this.log(1, { kind: 'done', stepId: 'mix', values: { waterG, saltG, sugarG, cureG } });
    return this.log(4, { kind: 'done', stepId: 'meat-in', values: { brineC: 3 } });
  }
}
const lies = (vessels: Vessel[]) => ({ kind: 'vessels', vessels });

test('poured by eye the figure carries its doubt; weighed it does not', () => {
  const byEye = new Hands().mixed().log(4.1, lies([tub(['A'], { part: 1 }), tub(['B'], { part: 1 })]));
  const wide = byEye.state(5).vessels[1]?.figures.nitrite.applies;
  const brineG = (byEye.state(5).facts.brines[0]?.brineG ?? 0) / 2;
  const known = new Hands().mixed().log(4.1, lies([tub(['A'], { brineG }), tub(['B'], { brineG })]));
  const narrow = known.state(5).vessels[1]?.figures.nitrite.applies;
  expect(narrow?.value).toBeCloseTo(wide?.value ?? 0, 6);
  expect((wide?.high ?? 0) - (wide?.low ?? 0)).toBeGreaterThan(8 * ((narrow?.high ?? 0) - (narrow?.low ?? 0)));
});

test('moved on the way, a piece is judged by each tub that it lay in; what was put right within two hours is not', () => {
  const apart = [tub(['A'], { part: 1 }), tub(['B'], { part: 1 })];
  const hands = new Hands().mixed().log(4.1, lies(apart));
  expect(hands.state(5).vessels.map(({ untilMs }) => untilMs)).toEqual([null, null]);
  hands.log(5, lies([tub(['A', 'B'])]));
  expect(hands.state(6).vessels).toHaveLength(1);
  hands.log(60, lies(apart));
  const { vessels } = hands.state(61);
  expect(vessels.map(({ vessel, untilMs }) => [vessel.pieces.join(), untilMs === null])).toEqual([
    ['A,B', false],
    ['A', true],
    ['B', true],
  ]);
  expect(hands.state(61).cured.map(({ code }) => code)).toEqual(['A', 'B']);
});

test('what lies where is asked about when it cannot be', () => {
  const hands = new Hands().mixed();
  expect(hands.faults(5, lies([tub(['A']), tub(['B'])]))).toEqual([]);
  expect(hands.faults(5, lies([tub(['A'])]))).toEqual(['vessels piece-lies-nowhere']);
  expect(hands.faults(5, lies([tub(['A', 'B']), tub(['B'])]))).toEqual(['vessels.1.pieces piece-lies-twice']);
  expect(hands.faults(5, lies([tub(['A']), tub(['B', 'C'])]))).toEqual(['vessels.1.pieces piece-not-here']);
  expect(hands.faults(5, lies([tub(['A'], { brineG: 9000 }), tub(['B'])]))).toEqual(['vessels poured-more']);
  expect(hands.faults(5, lies([tub(['A'], { brineG: 0 }), tub(['B'])]))[0]).toMatch(/^vessels\.0\.brineG /);
  expect(hands.faults(5, { kind: 'vessels', vessels: 'two' })).toEqual(['vessels which-vessels']);
  hands.log(220, { kind: 'done', stepId: 'pull', values: { 'pulledG:A': 2800, 'pulledG:B': 2550, firmness: 'firm', smell: 'fresh' } });
  expect(hands.faults(221, lies([tub(['A']), tub(['B'])]))).toEqual(['at lies-no-more']);
  // What was so before can be written after.
  expect(hands.faults(100, lies([tub(['A']), tub(['B'])]))).toEqual([]);
});

test('taken back, all lie in one again', () => {
  const hands = new Hands().mixed().log(4.1, lies([tub(['A']), tub(['B'])]));
  const id = hands.record.entries.at(-1)?.id ?? '';
  expect(hands.faults(6, { kind: 'withdrawn', replaces: id, reason: 'Wrong batch' })).toEqual([]);
  expect(hands.log(6, { kind: 'withdrawn', replaces: id, reason: 'Wrong batch' }).state(6).vessels).toEqual([]);
});

describe('a piece that leaves its tub', () => {
  const CHILD = '3b241101-e2bb-4255-8caf-4136c566a962';
  const apart = [tub(['A'], { part: 1 }), tub(['B'], { part: 1 })];
  const parted = { kind: 'pieces', event: { act: 'parted', pieces: ['B'], to: CHILD } };

  test.each(['parted', 'dropped'])('%s: its part of the brine stays behind with it, and the other tub is what it was', (act) => {
    const hands = new Hands().mixed().log(4.1, lies(apart));
    const before = hands.state(60).vessels[0]?.figures.nitrite.applies.value ?? 0;
    hands.log(61, act === 'parted' ? parted : { kind: 'pieces', event: { act, piece: 'B' }, reason: 'Smelt off, thrown away' });
    const { vessels, figures, cured } = hands.state(62);
    expect(vessels.map(({ n, vessel }) => [n, vessel.pieces.join()])).toEqual([[1, 'A']]);
    expect(vessels[0]?.share.value).toBeCloseTo(0.5, 9);
    expect(figures.nitrite.applies.value).toBeCloseTo(before, 6);
    expect(cured.map(({ code }) => code)).toEqual(['A']);
  });

  test('what went is judged by its own tub, not by the one that it never lay in', () => {
    const hands = new Hands().mixed().log(4.1, lies([tub(['A'], { part: 3 }), tub(['B'], { part: 1 })]));
    const [heavy, light] = hands.state(60).vessels.map(({ figures }) => figures.nitrite.applies.value);
    hands.log(61, parted);
    const origin = { batchId: 'own', code: 'CB-9', sharedEntries: hands.record.entries.length, line: ['own'] };
    const other = replay({ ...hands.record, id: CHILD, origin }, START + 62 * HOUR_MS);
    expect(other.vessels.map(({ vessel }) => vessel.pieces.join())).toEqual(['B']);
    expect(other.figures.nitrite.applies.value).toBeCloseTo(light ?? 0, 6);
    expect(heavy).not.toBeCloseTo(light ?? 0, 0);
  });
});

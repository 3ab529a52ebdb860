import { HOUR_MS } from '../clock/spans.js';
import fc from 'fast-check';
import type { BatchDesign } from '../log/batchDesign.js';
import { sum } from '../batch/batchFacts.js';
import { checkEntry } from './checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { LogEntry, StepValues } from '../log/logEntry.js';
import type { PieceEvent } from '../log/pieceEvent.js';
import { greenAt, type PieceFact } from '../batch/pieces.js';
import { processFor } from '../recipes/processes.js';
import { processOf } from '../recipes/recipe.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { STARTER_RECIPES } from '../recipes/starterRecipes.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = Date.parse('2026-10-05T07:00:00.000Z');
const at = (h: number) => new Date(START + h * HOUR_MS).toISOString();
const CHILD = '3b241101-e2bb-4255-8caf-4136c566a962';

/** A brisket in two pieces, worked on by hand. */
class Hands {
  record: BatchRecord;
  private n = 0;
  constructor(design: Partial<BatchDesign> = {}) {
    const usual = usualDesign('pastrami', at(0));
    const [piece] = usual.pieces;
    if (piece === undefined) throw new Error('a piece');
    this.record = {
      id: 'parent',
      code: 'PB-1',
      design: {
        ...usual,
        pieces: [
          { ...piece, greenG: 4000 },
          { ...piece, code: 'B', greenG: 2000 },
        ],
        school: { kind: 'equilibrium', waterG: 3000 },
        ...design,
      },
      process: processFor('pastrami'),
      entries: [],
    };
  }
  faults(draft: object, h: number): string[] {
    return checkEntry(this.record, this.draft(draft, h), START + h * HOUR_MS).map(({ message }) => message);
  }
  write(draft: object, h: number): this {
    expect(this.faults(draft, h)).toEqual([]);
    const entry = { ...this.draft(draft, h), seq: this.record.entries.length + 1, recordedAt: at(h) };
    this.n += 1;
    this.record = { ...this.record, entries: [...this.record.entries, entry] };
    return this;
  }
  done(stepId: string, values: StepValues, h: number): this {
    return this.write({ kind: 'done', stepId, values }, h);
  }
  piece(event: PieceEvent, h: number, reason?: string): this {
    return this.write({ kind: 'pieces', event, ...(reason === undefined ? {} : { reason }) }, h);
  }
  state(h = 2000) {
    return replay(this.record, START + h * HOUR_MS);
  }
  private draft(draft: object, h: number): EntryDraft {
    return { id: `e${this.n}`, by: 'Wren', at: at(h), ...draft } as EntryDraft;
  }
  /** into the brine, lain, pulled */
  cured(): this {
    this.done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const [brine] = this.state(0).facts.brines;
    this.done(
      'mix',
      {
        waterG: 3000,
        saltG: Math.round((brine?.saltG ?? 0) / 5) * 5,
        sugarG: Math.round((brine?.sugarG ?? 0) / 5) * 5,
        cureG: Number((brine?.cureG ?? 0).toFixed(1)),
      },
      1,
    );
    return this.done('meat-in', { brineC: 3 }, 4).done('pull', { 'pulledG:A': 4160, 'pulledG:B': 2080, firmness: 'firm', smell: 'fresh' }, 4 + 9 * 24);
  }
}

const split: PieceEvent = { act: 'split', piece: 'A', staysG: 1560, goesG: 2600, to: CHILD };

describe('green weight that is left of each piece', () => {
  test('a piece that is cut keeps its share; the batch that the other part became has only that', () => {
    const fact = (isOurs: boolean): PieceFact => ({ at: 0, event: split, isOurs });
    expect(greenAt({ A: 4000, B: 2000 }, [fact(false)])).toEqual({ A: 1500, B: 2000 });
    expect(greenAt({ A: 4000, B: 2000 }, [fact(true)])).toEqual({ A: 2500 });
  });

  test('cut again and again, tied together and thrown away: no gram is made or lost but what was thrown away', () => {
    const share = fc.double({ min: 0.1, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(fc.record({ share, piece: fc.constantFrom('A', 'B', 'C'), act: fc.constantFrom('split', 'joined', 'dropped', 'parted') }), { maxLength: 12 }),
        (acts) => {
          const first = { A: 4000, B: 2000, C: 900 };
          const facts = acts.map(({ share: s, piece, act }, i): PieceFact => {
            const event: PieceEvent =
              act === 'split'
                ? { act, piece, staysG: 1000 * (1 - s), goesG: 1000 * s, to: `child ${i}` }
                : act === 'joined'
                  ? { act, piece, to: piece === 'A' ? 'B' : 'A' }
                  : act === 'parted'
                    ? { act, pieces: [piece], to: `child ${i}` }
                    : { act, piece };
            return { at: i, event, isOurs: false };
          });
          let goneG = 0;
          facts.forEach(({ event }, i) => {
            const before = greenAt(first, facts.slice(0, i));
            const g = before[event.act === 'parted' ? (event.pieces[0] ?? '') : event.piece] ?? 0;
            if (event.act === 'split') goneG += (g * event.goesG) / (event.staysG + event.goesG);
            if (event.act === 'dropped' || event.act === 'parted') goneG += g;
          });
          expect(sum(greenAt(first, facts)) + goneG).toBeCloseTo(6900, 6);
        },
      ),
    );
  });
});

describe('a brisket that is cut when it is pulled, one half boiled, the other smoked', () => {
  const hands = new Hands().cured().piece(split, 4 + 9 * 24 + 0.2);
  const boiled = STARTER_RECIPES.find(({ id }) => id === 'cured-beef');
  if (boiled === undefined) throw new Error('a recipe to boil by');
  const child: BatchRecord = {
    ...hands.record,
    id: CHILD,
    code: 'PB-1b',
    process: processOf(boiled.recipe),
    origin: { batchId: 'parent', code: 'PB-1', sharedEntries: hands.record.entries.length, line: ['parent'] },
  };

  test('both keep the nitrite and the salt that they were cured with, and their own share of the weight', () => {
    const [parent, other] = [hands.state(), replay(child, START + 2000 * HOUR_MS)];
    expect(other.figures.nitrite.applies.value).toBe(parent.figures.nitrite.applies.value);
    expect(parent.pieces.map(({ code, greenG }) => [code, greenG])).toEqual([
      ['A', 1500],
      ['B', 2000],
    ]);
    expect(other.pieces.map(({ code, greenG }) => [code, greenG])).toEqual([['A', 2500]]);
    expect(parent.pieces[0]?.lengthMm).toBeCloseTo((380 * 1500) / 4000, 6);
  });

  test('each goes on by its own recipe: the boiled one is not dried and sees no smoke', () => {
    const next = (state: ReturnType<typeof replay>) => state.steps.filter(({ closing }) => closing === null).map(({ spec }) => spec.id);
    expect(next(hands.state())).toContain('rack');
    const other = replay(child, START + 2000 * HOUR_MS);
    expect(next(other)).not.toContain('rack');
    expect(other.steps.filter(({ spec }) => spec.station === 'smoke')).toEqual([]);
    expect(other.steps.find(({ spec }) => spec.id === 'pull')?.status).toBe('done');
  });

  test('what was written before the cut is put right in the log that it was written in, for both', () => {
    const [weigh] = hands.record.entries;
    const draft: EntryDraft = {
      id: 'c',
      kind: 'correction',
      replaces: weigh?.id ?? '',
      values: { 'greenG:A': 4100, 'greenG:B': 2000 },
      reason: 'Read wrongly',
      by: 'Wren',
      at: at(0),
    };
    expect(checkEntry(child, draft, START + 2000 * HOUR_MS)[0]?.message).toMatch(/written for PB-1, which this was cut from/);
    expect(checkEntry(hands.record, draft, START + 2000 * HOUR_MS)).toEqual([]);
    const corrected: LogEntry = { ...draft, seq: 6, recordedAt: at(500) };
    const both = [hands.record, child].map((record) => replay({ ...record, entries: [...record.entries, corrected] }, START + 2000 * HOUR_MS));
    expect(both.map(({ facts }) => facts.firstGreenG.A)).toEqual([4100, 4100]);
  });

  test('a yield is counted of the part’s own green weight', () => {
    const weights = { ...child, entries: [...child.entries] };
    const packed = replay(weights, START + 2000 * HOUR_MS).facts.keptGreenG;
    expect(packed).toEqual({ A: 2500 });
  });

  test('a part of the part has its share of the share', () => {
    const again: LogEntry = {
      id: 'g',
      kind: 'pieces',
      event: { act: 'split', piece: 'A', staysG: 1300, goesG: 1300, to: 'grandchild' },
      seq: 6,
      by: 'Wren',
      at: at(230),
      recordedAt: at(230),
    };
    const grandchild: BatchRecord = {
      ...child,
      id: 'grandchild',
      entries: [...child.entries, again],
      origin: { batchId: CHILD, code: 'PB-1b', sharedEntries: 6, line: [CHILD, 'parent'] },
    };
    expect(replay(grandchild, START + 2000 * HOUR_MS).facts.keptGreenG).toEqual({ A: 1250 });
    expect(replay({ ...child, entries: grandchild.entries }, START + 2000 * HOUR_MS).facts.keptGreenG).toEqual({ A: 1250 });
  });

  test('it cannot be taken back: the other part is a batch by now', () => {
    const entry = hands.record.entries.at(-1);
    expect(hands.faults({ kind: 'withdrawn', replaces: entry?.id, reason: 'Not so' }, 500)).toEqual([expect.stringMatching(/batch of its own by now/)]);
  });
});

describe('whole pieces that go their own way', () => {
  const parted: PieceEvent = { act: 'parted', pieces: ['B'], to: CHILD };
  const lying = () => {
    const hands = new Hands().done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const cureG = Number((hands.state(0).facts.brines[0]?.cureG ?? 0).toFixed(1));
    return hands.done('mix', { waterG: 3000, saltG: 180, sugarG: 70, cureG }, 1).done('meat-in', { brineC: 3 }, 4);
  };
  const childOf = (hands: Hands): BatchRecord => ({
    ...hands.record,
    id: CHILD,
    code: 'PB-1b',
    origin: { batchId: 'parent', code: 'PB-1', sharedEntries: hands.record.entries.length, line: ['parent'] },
  });
  const done = (record: BatchRecord, stepId: string, values: StepValues, h: number): BatchRecord => ({
    ...record,
    entries: [
      ...record.entries,
      { kind: 'done', id: `c${h}`, stepId, values, seq: record.entries.length + 1, by: 'Wren', at: at(h), recordedAt: at(h) } as LogEntry,
    ],
  });

  test('one is pulled days before the other: each has its own pull, its own days, its own reach', () => {
    const hands = lying().piece(parted, 4 + 5 * 24);
    const other = done(childOf(hands), 'pull', { 'pulledG:B': 2060, firmness: 'firm', smell: 'fresh' }, 4 + 5 * 24 + 0.2);
    hands.done('pull', { 'pulledG:A': 4160, firmness: 'firm', smell: 'fresh' }, 4 + 9 * 24);
    const [stays, goes] = [hands.state(), replay(other, START + 300 * HOUR_MS)];
    expect([stays.pieces.map(({ code }) => code), goes.pieces.map(({ code }) => code)]).toEqual([['A'], ['B']]);
    expect([stays.cured.map(({ code }) => code), goes.cured.map(({ code }) => code)]).toEqual([['A'], ['B']]);
    expect(stays.cured[0]?.lainDays).toBeCloseTo(9, 1);
    expect(goes.cured[0]?.lainDays).toBeCloseTo(5, 1);
    expect(goes.step('pull')?.status).toBe('done');
    expect([stays.facts.keptGreenG, goes.facts.keptGreenG]).toEqual([{ A: 4000 }, { B: 2000 }]);
  });

  test('what goes was cured beside what stays; what stays has the brine for itself, less what was carried off', () => {
    const hands = lying();
    const whole = hands.state(5).figures.nitrite.applies.value;
    hands.piece(parted, 30);
    const share = hands.state(31).figures.nitrite.applies.value / whole;
    expect(share).toBeGreaterThan(1.05);
    expect(share).toBeLessThan(9250 / 7250);
    expect(replay(childOf(hands), START + 31 * HOUR_MS).figures.nitrite.applies.value).toBeCloseTo(whole, 9);
    // What is known of that brine does not change when it is pulled.
    const later = lying().piece(parted, 30).done('pull', { 'pulledG:A': 4150, firmness: 'firm', smell: 'fresh' }, 220);
    expect(later.state(230).figures.nitrite.applies.value / whole).toBeCloseTo(share, 6);
  });

  test('pumped too much, one is over the limit: what went its own way is judged by its own needle', () => {
    const needle = { kind: 'pumpAndCover', waterG: 3000, pumpPercent: 10, repumpPercent: 0, pickleSaltPercent: 12, syringeML: 60, spacingMm: 25 } as const;
    const hands = new Hands({ school: needle }).done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    for (const brine of hands.state(0).facts.brines) {
      const { waterG, saltG, sugarG, cureG } = brine;
      hands.done(
        brine.id === 'pickle' ? 'mix-pickle' : 'mix-cover',
        { waterG, saltG: Math.round(saltG), sugarG: Math.round(sugarG), cureG: Number(cureG.toFixed(1)) },
        1,
      );
    }
    hands.write({ kind: 'done', stepId: 'pump', values: { pickleC: 3, 'pumpedG:A': 5200, 'pumpedG:B': 2200 }, reason: 'The needle ran away with A' }, 3);
    expect(hands.state(4).findings.map(({ code }) => code)).toContain('nitrite-over');
    hands.piece(parted, 4);
    const other = replay(childOf(hands), START + 5 * HOUR_MS);
    expect(other.figures.pump.map(({ code }) => code)).toEqual(['B']);
    expect(other.findings.map(({ code }) => code)).not.toContain('nitrite-over');
    expect(hands.state(5).findings.map(({ code }) => code)).toContain('nitrite-over');
  });

  test('before the brine each has one of its own, for its own weight', () => {
    const hands = new Hands().done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0).piece(parted, 0.3);
    expect(hands.state(1).facts.greenG).toEqual({ A: 4000 });
    expect(hands.state(1).figures.nitrite.applies.value).toBeCloseTo(150, 6);
    expect(replay(childOf(hands), START + HOUR_MS).facts.greenG).toEqual({ B: 2000 });
  });

  test('all, none, or one that is not there cannot; and it is not taken back', () => {
    const hands = lying();
    const faults = (event: object) => hands.faults({ kind: 'pieces', event }, 40);
    expect(faults(parted)).toEqual([]);
    expect(faults({ ...parted, pieces: ['A', 'B'] })).toEqual([expect.stringMatching(/All of them stay one batch/)]);
    expect(faults({ ...parted, pieces: [] })).toHaveLength(1);
    expect(faults({ ...parted, pieces: ['Z'] })).toHaveLength(1);
    expect(faults({ ...parted, pieces: 'A' })).toHaveLength(1);
    expect(faults({ ...parted, to: 'next' })).toEqual([expect.stringMatching(/needs to be a batch/)]);
    hands.piece(parted, 40);
    const entry = hands.record.entries.at(-1);
    expect(hands.faults({ kind: 'withdrawn', replaces: entry?.id, reason: 'Not so' }, 50)).toEqual([expect.stringMatching(/batch of its own by now/)]);
    expect(hands.faults({ kind: 'pieces', event: parted }, 50)).toHaveLength(1);
  });
});

describe('a piece that is cut before the brine', () => {
  test('the brine is worked out for what is left', () => {
    const hands = new Hands().done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const before = hands.state().facts.brines[0]?.cureG ?? 0;
    hands.piece({ ...split, staysG: 1500, goesG: 2500 }, 0.3);
    const { facts, figures } = hands.state();
    expect(facts.greenG).toEqual({ A: 1500, B: 2000 });
    expect(figures.nitrite.applies.value).toBeCloseTo(150, 6);
    expect((facts.brines[0]?.cureG ?? 0) / before).toBeCloseTo(6500 / 9000, 2);
  });

  test('a piece that is boned and weighed again is worked out anew; what was cut away is kept', () => {
    const hands = new Hands().done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0).piece({ act: 'boned', piece: 'A', offG: 400, weighsG: 3600 }, 0.2);
    expect(hands.state().facts).toMatchObject({ greenG: { A: 3600, B: 2000 }, trimmedOffG: 400 });
  });
});

describe('a piece that leaves', () => {
  test('thrown out of the tub it leaves its cure to the others, but for what it took up in a day', () => {
    const hands = new Hands();
    hands.done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const cureG = Number((hands.state(0).facts.brines[0]?.cureG ?? 0).toFixed(1));
    hands.done('mix', { waterG: 3000, saltG: 180, sugarG: 70, cureG }, 1).done('meat-in', { brineC: 3 }, 4);
    const whole = hands.state(5).figures.nitrite.applies.value;
    hands.piece({ act: 'dropped', piece: 'B' }, 30, 'Smelt off, thrown away');
    const share = hands.state(31).figures.nitrite.applies.value / whole;
    expect(share).toBeGreaterThan(1.05);
    expect(share).toBeLessThan(9250 / 7250);
    expect(hands.state(31).facts.carriedOffG.B).toBeGreaterThan(300);
    // It has to be weighed no more.
    expect(hands.faults({ kind: 'done', stepId: 'pull', values: { 'pulledG:A': 4150, firmness: 'firm', smell: 'fresh' } }, 220)).toEqual([]);
  });

  test('a piece that left is written down even where the others are over the limit by it: then they go no further', () => {
    const hands = new Hands();
    hands.done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const cureG = Number((hands.state(0).facts.brines[0]?.cureG ?? 0).toFixed(1));
    hands.done('mix', { waterG: 3000, saltG: 180, sugarG: 70, cureG }, 1).done('meat-in', { brineC: 3 }, 4);
    hands.piece({ act: 'dropped', piece: 'A' }, 4.1, 'Smelt off, thrown away');
    expect(hands.state(31).findings.map(({ code }) => code)).toContain('nitrite-over');
    expect(hands.faults({ kind: 'done', stepId: 'pull', values: { 'pulledG:B': 2080, firmness: 'firm', smell: 'fresh' } }, 220)[0]).toMatch(/over the limit/);
  });

  test('thrown out late it took its share along: the good one is not called overdosed', () => {
    const hands = new Hands();
    hands.done('weigh', { 'greenG:A': 4000, 'greenG:B': 2000 }, 0);
    const cureG = Number((hands.state(0).facts.brines[0]?.cureG ?? 0).toFixed(1));
    hands.done('mix', { waterG: 3000, saltG: 180, sugarG: 70, cureG }, 1).done('meat-in', { brineC: 3 }, 4);
    const whole = hands.state(5).figures.nitrite.applies.value;
    hands.piece({ act: 'dropped', piece: 'B' }, 24 * 9, 'Fell on the floor');
    expect(hands.state(24 * 9 + 1).figures.nitrite.applies.value / whole).toBeLessThan(1.06);
    expect(hands.state(24 * 9 + 1).facts.brines[0]?.cureG).toBe(cureG);
  });

  test('pulled and thrown away it changes no figure of the cure', () => {
    const hands = new Hands().cured();
    const before = hands.state().figures.nitrite.applies.value;
    hands.piece({ act: 'dropped', piece: 'B' }, 221, 'Fell on the floor');
    expect(hands.state().figures.nitrite.applies.value).toBe(before);
    expect(hands.state().facts.keptGreenG).toEqual({ A: 4000 });
  });

  test('two tied together are one from then on', () => {
    const hands = new Hands().cured().piece({ act: 'joined', piece: 'B', to: 'A' }, 221);
    expect(hands.state().pieces.map(({ code, greenG }) => [code, greenG])).toEqual([['A', 6000]]);
  });
});

describe('what cannot be', () => {
  const pulled = new Hands().cured();
  test.each<[string, object, RegExp]>([
    ['a piece that is not there', { ...split, piece: 'Z' }, /no such piece/],
    ['half of it lost', { ...split, staysG: 200, goesG: 300 }, /500 g of a piece of 4000 g green/],
    ['kilograms for grams', { ...split, staysG: 1.5, goesG: 2.5 }, /at least 50 g/],
    ['more cut away than it weighs', { act: 'trimmed', piece: 'A', offG: 4500 }, /4500 g cut away from a piece of 4000 g: look at the unit/],
    ['no weight', { ...split, goesG: undefined }, /a weight is missing/],
    ['text for a weight', { ...split, goesG: '2500' }, /a weight is missing/],
    ['nowhere to go', { ...split, to: '../x' }, /needs to be a batch/],
    ['tied to itself', { act: 'joined', piece: 'A', to: 'A' }, /which other piece/],
    ['something unknown', { act: 'juggled', piece: 'A' }, /nothing that is done to a piece/],
    ['ten times its weight', { act: 'netted', piece: 'A', weighsG: 40000 }, /far from the 4000 g/],
  ])('%s is refused', (_what, event, message) => {
    expect(pulled.faults({ kind: 'pieces', event }, 222)[0]).toMatch(message);
  });

  test('a piece is not cut while it lies in the brine, the last one not dropped, and none without a reason', () => {
    const hands = new Hands({ pieces: [{ ...usualDesign('pastrami', at(0)).pieces[0], code: 'A', greenG: 4000 } as BatchDesign['pieces'][number]] });
    hands.done('weigh', { 'greenG:A': 4000 }, 0).done('mix', { waterG: 3000, saltG: 140, sugarG: 55, cureG: 17.2 }, 1).done('meat-in', { brineC: 3 }, 4);
    expect(hands.faults({ kind: 'pieces', event: split }, 30)[0]).toMatch(/lies in the brine/);
    expect(hands.faults({ kind: 'pieces', event: { act: 'dropped', piece: 'A' }, reason: 'Thrown away' }, 30)[0]).toMatch(/last piece/);
    expect(pulled.faults({ kind: 'pieces', event: { act: 'dropped', piece: 'A' } }, 222)[0]).toMatch(/Write why/);
    expect(pulled.faults({ kind: 'pieces', event: null }, 222)[0]).toMatch(/What happened/);
  });
});

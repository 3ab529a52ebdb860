import fc from 'fast-check';
import { HOUR_MS } from '../clock/spans.js';
import { packLabel } from './packLabel.js';
import { pieceReleases } from '../pit/pieceReleases.js';
import type { BatchDesign } from '../log/batchDesign.js';
import { checkEntry } from '../check/checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { StepValues } from '../log/logEntry.js';
import type { PieceEvent } from '../log/pieceEvent.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';

/** 130 °F, where the lethality table begins [P: FSIS Cooking Guideline, revised Appendix A; value from memory]. */
const LETHAL_C = (130 - 32) / 1.8;

const said = (sentences: { message: string }[]): string[] => sentences.map(({ message }) => message);

const START = Date.parse('2026-10-05T08:00:00Z');

/** Hands that write down what they did, as the house would take it. */
class Hands {
  record: BatchRecord;
  private n = 0;
  constructor(design: BatchDesign, product: string = design.product) {
    this.record = { id: 'b', code: 'T-1', design, process: processFor(product), entries: [] };
  }
  private write(draft: object, hours: number): string[] {
    const at = new Date(START + hours * HOUR_MS).toISOString();
    const entry = { id: `e${(this.n += 1)}`, by: 'Wren', at, ...draft } as unknown as EntryDraft;
    const faults = checkEntry(this.record, entry, START + hours * HOUR_MS).map(({ field, message }) => `${field}: ${message}`);
    if (faults.length > 0) return faults;
    this.record = { ...this.record, entries: [...this.record.entries, { ...entry, seq: this.n, recordedAt: at }] };
    return [];
  }
  done = (stepId: string, hours: number, values: StepValues, reason?: string) =>
    this.write({ kind: 'done', stepId, values, ...(reason === undefined ? {} : { reason }) }, hours);
  piece = (event: PieceEvent, hours: number, reason?: string) => this.write({ kind: 'pieces', event, ...(reason === undefined ? {} : { reason }) }, hours);
  correct = (stepId: string, hours: number, values: StepValues, reason: string) => {
    const entry = this.record.entries.findLast((one) => one.kind === 'done' && one.stepId === stepId);
    return this.write({ kind: 'correction', replaces: entry?.id, values, reason }, hours);
  };
  goOnFrom({ record, n }: Hands): void {
    this.record = record;
    this.n = n;
  }
  must(faults: string[]): this {
    expect(faults).toEqual([]);
    return this;
  }
  state = (hours: number) => replay(this.record, START + hours * HOUR_MS);
  findings = (hours: number) => this.state(hours).findings.map(({ code }) => code);
}

const loin = usualDesign('canadian-bacon', new Date(START).toISOString());
const [piece] = loin.pieces;
if (piece === undefined) throw new Error('a piece');
const twoLoins: BatchDesign = {
  ...loin,
  pieces: [
    { ...piece, greenG: 2600 },
    { ...piece, code: 'B', greenG: 2400 },
  ],
};

/** Weighed, mixed by its sheet, in the brine for some days, pulled, on the fire at hour `fireH`. */
function onTheFire(hands: Hands, days: number, reason?: string): number {
  const { pieces } = hands.record.design;
  const each = (name: string, g: (green: number) => number) => Object.fromEntries(pieces.map(({ code, greenG }) => [`${name}:${code}`, Math.round(g(greenG))]));
  hands.must(
    hands.done(
      'weigh',
      0.1,
      each('greenG', (g) => g),
    ),
  );
  const brine = hands.state(0.2).facts.brines[0];
  if (brine === undefined) throw new Error('a brine');
  const { waterG, saltG, sugarG, cureG } = brine;
  hands.must(hands.done('mix', 1, { waterG, saltG: Number(saltG.toFixed(1)), sugarG: Number(sugarG.toFixed(1)), cureG: Number(cureG.toFixed(1)) }));
  hands.must(hands.done('meat-in', 4, { brineC: 3 }));
  const pullH = 4 + days * 24;
  const pulled = { ...each('pulledG', (g) => g * 1.03), firmness: 'firm', smell: 'fresh' };
  hands.must(hands.done('pull', pullH, pulled, reason));
  hands.must(hands.done('fry', pullH + 0.3, { taste: 'right' }));
  hands.must(hands.done('soak-in', pullH + 0.5, {}));
  hands.must(hands.done('soak-out', pullH + 1, { taste: 'right' }));
  hands.must(hands.done('rack', pullH + 1.2, {}));
  hands.must(hands.done('pellicle', pullH + 13, { surface: 'tacky' }));
  hands.must(hands.done('light', pullH + 13.5, {}));
  const fireH = pullH + 14.5;
  hands.must(hands.done('meat-on', fireH, { chamberC: 80, coreC: 5 }));
  hands.must(hands.done('raise', fireH + 2, { chamberC: 80, coreC: 40 }));
  return fireH;
}

describe('each piece by its own readings', () => {
  test('one piece checked releases the other of nothing: the check stays open, and says of whom it is waited for', () => {
    const hands = new Hands(twoLoins);
    const fireH = onTheFire(hands, 9);
    expect(hands.done('core', fireH + 3, {})[0]).toMatch(/Read at least one of the pieces/);
    hands.must(hands.done('core', fireH + 3, { 'instant1C:A': 66, 'instant2C:A': 65, 'instant3C:A': 67 }));
    expect(hands.state(fireH + 3).next?.spec.id).toBe('core');
    hands.must(hands.done('core', fireH + 3.1, { 'instant1C:B': 52, 'instant2C:B': 53 }));
    expect(hands.state(fireH + 3.2).next?.spec.id).toBe('core');
    // A is not read again: what was read of it stands.
    hands.must(hands.done('core', fireH + 4, { 'instant1C:B': 65, 'instant2C:B': 66 }));
    expect(hands.state(fireH + 4).next?.spec.id).toBe('into-cold');
  });

  test('with a reason a piece that nobody read goes on; it is not shown, and no pack with it is fully cooked', () => {
    const hands = new Hands(twoLoins);
    const fireH = onTheFire(hands, 9);
    const ofA = { 'instant1C:A': 66, 'instant2C:A': 65.5, 'instant3C:A': 67 };
    hands.must(hands.done('core', fireH + 3, ofA, 'B fell apart at the probe, not read'));
    hands.must(hands.done('into-cold', fireH + 3.5, { 'coreC:A': 62 }));
    hands.must(hands.done('gate-first', fireH + 6, { 'coreC:A': 24 }, 'B was not read, Wren'));
    hands.must(hands.done('gate-second', fireH + 12, { 'coreC:A': 3.5 }, 'B was not read, Wren'));
    const state = hands.state(fireH + 13);
    expect(state.cooling.filter(({ piece: code }) => code === 'A').map((gate) => gate.state)).toEqual(['pass', 'pass']);
    expect(state.cooling.filter(({ piece: code }) => code === 'B').map((gate) => gate.state)).not.toContain('pass');
    expect(pieceReleases(hands.record, state, START + (fireH + 13) * HOUR_MS).map(({ cooked }) => cooked)).toEqual(['met', 'notShown']);
    expect(said(packLabel(hands.record, state).keeping)).toContain('Cook before eating.');
  });

  test('each by its own: both read, both pass, and the label says fully cooked', () => {
    const hands = new Hands(twoLoins);
    const fireH = onTheFire(hands, 9);
    const both = (A: number, B: number, name = 'coreC') => ({ [`${name}:A`]: A, [`${name}:B`]: B });
    hands.must(hands.done('core', fireH + 3, { ...both(66, 65.5, 'instant1C'), ...both(66, 65.5, 'instant2C'), ...both(66, 66, 'instant3C') }));
    hands.must(hands.done('into-cold', fireH + 3.5, both(62, 60)));
    hands.must(hands.done('gate-first', fireH + 6, both(24, 25)));
    hands.must(hands.done('gate-second', fireH + 12, both(3.5, 3)));
    const state = hands.state(fireH + 13);
    expect(state.cooling.map((gate) => gate.state)).toEqual(['pass', 'pass', 'pass', 'pass']);
    expect(said(packLabel(hands.record, state).keeping)).toContain('Fully cooked.');
  });

  test('whatever was read, left out or explained: no batch with a piece that was not shown to be there is fully cooked', () => {
    // Pairs of a core on the fire and what it had cooled to; what was not read is left out. The fire is told on from one log.
    const begun = new Hands(twoLoins);
    const fireH = onTheFire(begun, 9);
    const core = fc.option(fc.double({ min: 40, max: 75, noNaN: true }), { nil: undefined });
    fc.assert(
      fc.property(fc.tuple(core, core, core), fc.tuple(core, core, core), fc.boolean(), (placesA, placesB, explained) => {
        const hands = new Hands(twoLoins);
        hands.goOnFrom(begun);
        const reason = explained ? 'Read as well as it went, Wren' : undefined;
        const read = (code: string, places: (number | undefined)[]) =>
          Object.fromEntries(places.flatMap((C, i) => (C === undefined ? [] : [[`instant${i + 1}C:${code}`, C]])));
        hands.done('core', fireH + 3, { ...read('A', placesA), ...read('B', placesB) }, reason);
        hands.done('into-cold', fireH + 3.5, {}, 'Nobody read it, Wren');
        hands.done('gate-first', fireH + 6, { 'coreC:A': 24, 'coreC:B': 24 }, 'Read late, Wren');
        hands.done('gate-second', fireH + 12, { 'coreC:A': 3, 'coreC:B': 3 }, 'Read late, Wren');
        const keeping = said(packLabel(hands.record, hands.state(fireH + 13)).keeping);
        // Under 130 °F no time is enough; of what nobody read nothing is known.
        const cannotBe = (places: (number | undefined)[]) => places.every((C) => C === undefined) || Math.min(...places.map((C) => C ?? Infinity)) < LETHAL_C;
        expect(keeping.includes('Fully cooked.') && (cannotBe(placesA) || cannotBe(placesB))).toBe(false);
      }),
      { numRuns: 60, examples: [[[66, 66, 66], [66, 66, 66], false]] },
    );
  });
});

describe('dose and reach', () => {
  test('a loin pulled on day one asks for a decision, whatever its ppm, and is meat that is not cured from then on', () => {
    const hands = new Hands(loin);
    hands.must(hands.done('weigh', 0.1, { 'greenG:A': 2600 }));
    hands.must(hands.done('mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }));
    hands.must(hands.done('meat-in', 4, { brineC: 3 }));
    const pull = { 'pulledG:A': 2640, firmness: 'springy', smell: 'fresh' };
    expect(hands.done('pull', 28, pull)[0]).toMatch(/^reason: By the model the middle had \d.*does not count as cured.*Put it back, or write what was decided/);
    hands.must(hands.done('pull', 28, pull, 'Cooked as fresh meat, Wren'));
    const state = hands.state(30);
    expect(state.figures.nitrite.judgement.verdict).toBe('ok');
    expect(state.findings.map(({ code }) => code)).toContain('not-cured');
    expect(state.cured[0]).toMatchObject({ isCured: false, why: 'middle' });
    expect(state.cooling.map(({ rule }) => rule)).toEqual(['notCured', 'notCured']);
    expect(packLabel(hands.record, state)).toMatchObject({ keepsDays: 3 });
    expect(said(packLabel(hands.record, state).keeping).join(' ')).toMatch(/Not cured in the middle/);
  });

  test('a cure that is planned too short is told before it is begun; the days of a recipe excuse nothing', () => {
    const plan = (days: number) => new Hands({ ...loin, cureDays: days }).findings(0);
    expect(plan(2)).toContain('reach-short');
    expect(plan(14)).not.toContain('reach-short');
  });

  test('not cured in the middle it does not go into a cold smoke; a hot one stays open to it', () => {
    const [smoke, ...rest] = processFor('canadian-bacon').program ?? [];
    if (smoke === undefined) throw new Error('a smoke');
    const cold = new Hands({ ...loin, program: [{ ...smoke, chamberC: 22, untilMin: 600 }, ...rest] });
    cold.must(cold.done('weigh', 0.1, { 'greenG:A': 2600 }));
    cold.must(cold.done('mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }));
    cold.must(cold.done('meat-in', 4, { brineC: 3 }));
    cold.must(cold.done('pull', 28, { 'pulledG:A': 2640, firmness: 'springy', smell: 'fresh' }, 'Taken out for the diary'));
    for (const [id, h, values] of [
      ['fry', 28.3, { taste: 'right' }],
      ['soak-in', 28.5, {}],
      ['soak-out', 29, { taste: 'right' }],
      ['rack', 29.2, {}],
      ['pellicle', 41, { surface: 'tacky' }],
    ] as const)
      cold.must(cold.done(id, h, values));
    expect(cold.done('light', 42, {})[0]).toMatch(/not cured is not smoked cold, at 22 °C.*Change its program first/);
    const hot = new Hands(loin);
    onTheFire(hot, 1, 'Taken out for the diary');
  });

  test('two thicknesses in one tub have each a reach of their own, and the worst is named', () => {
    const thick = { ...piece, code: 'B', greenG: 6000, section: { shape: 'round', diameterMm: 170 } as const };
    const hands = new Hands({ ...loin, cureDays: 9, pieces: [piece, thick] });
    const state = hands.state(0);
    expect(state.cured.map(({ isCured }) => isCured)).toEqual([true, false]);
    expect(state.findings.find(({ code }) => code === 'reach-short')?.message).toMatch(/^Piece B/);
  });

  test('four days at 15 °C with reasons are no quiet matter', () => {
    const hands = new Hands({ ...loin, cureDays: 9 });
    hands.must(hands.done('weigh', 0.1, { 'greenG:A': 2600 }));
    hands.must(hands.done('mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }));
    hands.must(hands.done('meat-in', 4, { brineC: 3 }));
    for (let day = 1; day <= 4; day += 1) hands.must(hands.done(`turn-${day}`, 4 + 24 * day, { coldC: 15 }, 'The compressor is broken'));
    expect(hands.state(110).findings.find(({ code }) => code === 'warm-cure')).toMatchObject({
      level: 'stop',
      message: expect.stringMatching(/Throw it away/) as string,
    });
    // A door that stood open once is none.
    const once = new Hands({ ...loin, cureDays: 9 });
    once.must(once.done('weigh', 0.1, { 'greenG:A': 2600 }));
    once.must(once.done('mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }));
    once.must(once.done('meat-in', 4, { brineC: 3 }));
    once.must(once.done('turn-1', 28, { coldC: 8 }, 'The door stood open'));
    once.must(once.done('turn-2', 52, { coldC: 3 }));
    expect(once.findings(60)).not.toContain('warm-cure');
  });
});

describe('weights and corrections', () => {
  test('a weight after the needle is never a green weight, whatever was done meanwhile', () => {
    const ham = new Hands(usualDesign('ham-bone-in', new Date(START).toISOString()));
    const [own] = ham.record.design.pieces;
    const greenG = own?.greenG ?? 0;
    ham.must(ham.done('weigh', 0.1, { 'greenG:A': greenG }));
    const tenth = (x: number) => Number(x.toFixed(1));
    for (const [id, h] of [
      ['mix-pickle', 1],
      ['mix-cover', 1.5],
    ] as const) {
      const brine = ham.state(h).facts.brines.find((one) => one.id === (id === 'mix-pickle' ? 'pickle' : 'cover'));
      if (brine === undefined) throw new Error('a brine');
      ham.must(ham.done(id, h, { waterG: tenth(brine.waterG), saltG: tenth(brine.saltG), sugarG: tenth(brine.sugarG), cureG: tenth(brine.cureG) }));
    }
    const pumpedG = Math.round(greenG * 1.1);
    ham.must(ham.done('pump', 5, { pickleC: 3, 'pumpedG:A': pumpedG }));
    const before = ham.state(5.1).figures;
    ham.must(ham.piece({ act: 'netted', piece: 'A', weighsG: pumpedG - 40 }, 5.5));
    const after = ham.state(5.6);
    expect(after.facts.greenG.A).toBe(greenG);
    expect(after.figures.pump[0]?.percent.value).toBeCloseTo(before.pump[0]?.percent.value ?? 0, 9);
    expect(after.findings.map(({ code }) => code)).not.toContain('pump-low');
  });

  test('the truth can always be written: a corrected core opens its step again, and is done anew after what was built on it', () => {
    const hands = new Hands(loin);
    const fireH = onTheFire(hands, 9);
    hands.must(hands.done('core', fireH + 3, { instant1C: 66, instant2C: 65, instant3C: 67 }));
    hands.must(hands.done('into-cold', fireH + 3.5, { coreC: 62 }));
    hands.must(hands.correct('core', fireH + 3, { instant1C: 55, instant2C: 55, instant3C: 56 }, 'Read in the wrong row'));
    const state = hands.state(fireH + 4);
    expect(state.next?.spec.id).toBe('core');
    expect(pieceReleases(hands.record, state, START + (fireH + 4) * HOUR_MS)[0]?.cooked).not.toBe('met');
    hands.must(hands.done('core', fireH + 5, { instant1C: 66, instant2C: 66, instant3C: 67 }));
    expect(hands.state(fireH + 5).next?.spec.id).toBe('gate-first');
  });

  test('a gate that a correction turns into eleven hours asks at the pack for what was decided', () => {
    const hands = new Hands(loin);
    const fireH = onTheFire(hands, 9);
    hands.must(hands.done('core', fireH + 3, { instant1C: 66, instant2C: 65, instant3C: 67 }));
    hands.must(hands.done('into-cold', fireH + 3.5, { coreC: 52 }));
    hands.must(hands.done('gate-first', fireH + 6, { coreC: 24 }));
    hands.must(hands.correct('gate-first', fireH + 14.5, { coreC: 45 }, 'It was really at night, and warmer'));
    hands.must(hands.done('gate-first', fireH + 16, { coreC: 20 }, 'Wren wrote it as it was'));
    expect(hands.state(fireH + 17).findings.map(({ code }) => code)).toContain('chill-failed');
  });

  test('a smell that was truly bad can be written, and opens the pull again', () => {
    const hands = new Hands(loin);
    onTheFire(hands, 9);
    const pull = { 'pulledG:A': 2678, firmness: 'firm', smell: 'bad' };
    hands.must(hands.correct('pull', 4 + 9 * 24, pull, 'It smelt off, I did not dare to write it'));
    expect(hands.state(300).next?.spec.id).toBe('pull');
  });

  test('a temperature that cannot be is refused at its field, one that is unlikely is kept with a reason', () => {
    const hands = new Hands(loin);
    const fireH = onTheFire(hands, 9);
    expect(hands.done('core', fireH + 3, { instant1C: 130, instant2C: 131, instant3C: 132 })[0]).toMatch(
      /^values\.instant1C: .*Did it show 130 °F\? That is 54\.4 °C/,
    );
    hands.must(hands.done('core', fireH + 3, { instant1C: 66, instant2C: 65, instant3C: 67 }));
    expect(hands.done('into-cold', fireH + 3.5, { coreC: 125 })[0]).toMatch(/no core gets hotter/i);
    hands.must(hands.done('into-cold', fireH + 3.5, { coreC: 62 }));
    expect(hands.done('gate-first', fireH + 5.5, { coreC: -2.8 })[0]).toMatch(/Did it show 27 °C, typed as °F/);
    const cold = new Hands(loin);
    cold.must(cold.done('weigh', 0.1, { 'greenG:A': 2600 }));
    cold.must(cold.done('mix', 1, { waterG: 1170, saltG: 80, sugarG: 41, cureG: 9 }));
    expect(cold.done('meat-in', 4, { brineC: -9.4 })[0]).toMatch(/This brine freezes at/);
  });
});

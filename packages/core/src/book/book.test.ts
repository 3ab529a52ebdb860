import type { BatchDesign } from '../log/batchDesign.js';
import { HOUR_MS } from '../clock/spans.js';
import { loinFrom, begunFrom } from '../testing/loin.js';
import { loggedFrom } from '../testing/logged.js';
import type { LogEntry } from '../log/logEntry.js';
import { checkEntry } from '../check/checkEntry.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { bookLines, sideBySide } from './bookLines.js';
import { deviations } from './deviations.js';
import { ledgerLine } from './ledgerLine.js';
import { packLabel } from './packLabel.js';

const said = (sentences: { message: string }[]): string[] => sentences.map(({ message }) => message);

const START = Date.parse('2026-10-05T07:00:00.000Z');
const done = loggedFrom(START);
const record = loinFrom(START);
const DAY = 24;

/** A loin from start to packed, with what an inspector would look at. */
const whole = (over: Partial<Record<string, LogEntry>> = {}): BatchRecord =>
  record(
    [
      ...begunFrom(START),
      done(4, 'pull', 4 + 14 * DAY, { 'pulledG:A': 2710, firmness: 'firm', smell: 'fresh' }),
      done(5, 'fry', 4 + 14 * DAY + 0.3, { taste: 'salty' }),
      done(6, 'soak-in', 4 + 14 * DAY + 0.5, {}),
      done(7, 'soak-out', 4 + 14 * DAY + 1.5, { taste: 'right' }),
      done(8, 'rack', 4 + 14 * DAY + 1.75, {}),
      done(9, 'pellicle', 4 + 14 * DAY + 13.75, { surface: 'tacky', 'driedG:A': 2650 }),
      done(10, 'light', 4 + 14 * DAY + 14, {}),
      done(11, 'meat-on', 4 + 14 * DAY + 15, { chamberC: 80, coreC: 5 }),
      done(12, 'raise', 4 + 14 * DAY + 17.5, { chamberC: 82, coreC: 40 }),
      done(13, 'core', 4 + 14 * DAY + 20, { probeC: 67, instant1C: 66, instant2C: 65.5, instant3C: 65 }),
      done(14, 'into-cold', 4 + 14 * DAY + 20.5, { coreC: 60 }),
      done(15, 'gate-first', 4 + 14 * DAY + 23, { coreC: 25 }),
      done(16, 'gate-second', 4 + 14 * DAY + 29, { coreC: 3 }),
      done(17, 'even-out', 4 + 14 * DAY + 29.5, {}),
      done(18, 'freezer', 4 + 15 * DAY + 29, {}),
      done(19, 'pack', 4 + 15 * DAY + 30, { coreC: 2.5, packedG: 2236 }),
    ].map((entry) => over[entry.id] ?? entry),
  );
const stateOf = (of: BatchRecord) => replay(of, START + 60 * DAY * HOUR_MS);
const cell = (of: BatchRecord, key: string) => bookLines(of, stateOf(of)).find((line) => line.key === key);

describe('what the book says of a batch', () => {
  test('planned stands beside what was measured, worked out by hand', () => {
    expect(cell(whole(), 'yield')?.actual).toBeCloseTo((2236 / 2600) * 100, 9);
    expect(cell(whole(), 'days')).toMatchObject({ planned: 14, actual: 14 });
    expect(cell(whole(), 'soak')).toMatchObject({ planned: 45, actual: 60 });
    expect(cell(whole(), 'core')).toMatchObject({ planned: 64, actual: 65 });
    expect(cell(whole(), 'fire')?.actual).toBeCloseTo(5, 9);
    expect(cell(whole(), 'taste')?.actual).toBe('right');
    expect(cell(whole(), 'pump')?.actual).toBeNull();
  });

  test('what was not measured is not guessed', () => {
    const begun = record(begunFrom(START));
    const known = bookLines(begun, stateOf(begun)).filter(({ station, actual }) => ['soak', 'dry', 'cook', 'pack'].includes(station) && actual !== null);
    expect(known.map(({ key }) => key)).toEqual(['deviations']);
  });

  test('a batch that lives has no line; one that is packed has', () => {
    const begun = record(begunFrom(START));
    expect(ledgerLine(begun, stateOf(begun), 'Wren')).toBeNull();
    expect(ledgerLine(whole(), stateOf(whole()), 'Wren')).toMatchObject({
      code: 'T-1',
      outcome: 'finished',
      greenG: 2600,
      packedG: 2236,
      cureDays: 14,
      soakMin: 60,
      taste: 'right',
      coreC: 65,
      deviations: 0,
      by: 'Wren',
      cutFrom: null,
    });
  });
});

describe('deviations', () => {
  test('a gate that was passed with a reason, a step left out, a correction and its taking back, each with what was written', () => {
    const pull = whole().entries.find((entry) => entry.kind === 'done' && entry.stepId === 'pull');
    const soft: LogEntry = {
      ...(pull as LogEntry & { kind: 'done' }),
      values: { 'pulledG:A': 2710, firmness: 'soft', smell: 'fresh' },
      reason: 'Only at one end',
    };
    const base = whole({ [soft.id]: soft });
    const written = { by: 'Juno', at: new Date(START).toISOString(), recordedAt: new Date(START).toISOString() };
    const entries: LogEntry[] = [
      ...base.entries,
      { ...written, id: 'c', seq: 20, kind: 'correction', replaces: base.entries[0]?.id ?? '', values: { 'greenG:A': 2610 }, reason: 'Misread' },
      { ...written, id: 'p', seq: 21, kind: 'replanned', changes: { stepAt: { pack: written.at } }, reason: 'Hours' },
      { ...written, id: 'q', seq: 22, kind: 'replanned', changes: { cureDays: 15 }, reason: 'Thicker than thought' },
    ];
    const found = deviations({ ...base, entries }, stateOf({ ...base, entries }));
    expect(found.map(({ kind, what, reason }) => [kind, what, reason])).toEqual([
      ['gate', 'Pull', 'Only at one end'],
      ['correction', 'Trim and weigh corrected', 'Misread'],
      ['replanned', 'Plan changed: 15 days of cure', 'Thicker than thought'],
      ['missed', 'Turns 1–13 not logged', ''],
    ]);
  });
});

describe('side by side', () => {
  test('what is the same is not told apart; what differs is', () => {
    const other = whole();
    const saltier = { ...other, design: { ...other.design, saltPercent: 2.5 } };
    const lines = sideBySide([whole(), saltier].map((of) => bookLines(of, stateOf(of))));
    const differing = lines.filter(({ differs }) => differs).map(({ key }) => key);
    expect(differing).toEqual(['salt']);
    expect(lines.find(({ key }) => key === 'salt')?.cells.map(({ planned }) => planned)).toEqual([2.3, 2.5]);
    const packed = whole({ [whole().entries.at(-1)?.id ?? '']: done(19, 'pack', 4 + 15 * DAY + 30, { coreC: 2.5, packedG: 2100 }) });
    const heavier = sideBySide([whole(), packed].map((of) => bookLines(of, stateOf(of))));
    expect(heavier.filter(({ differs }) => differs).map(({ key }) => key)).toEqual(['packed', 'yield']);
  });
});

describe('what stands on a pack', () => {
  const label = (of: BatchRecord) => packLabel(of, stateOf(of));
  test('ingredients by falling weight: 110 g of water taken up, 2.2 % salt, 1.1 % sugar, spice, and the preservative last', () => {
    expect(label(whole()).ingredients.map(({ message }) => message)).toEqual([
      'pork',
      'water',
      'salt',
      'sugar',
      'coriander seed',
      'sodium nitrite (preservative)',
    ]);
  });

  test('the cook’s own lines stand on it, the recipe’s spice does not where it was left out, and a ready mix brings its sugar', () => {
    const { design, ...rest } = whole();
    const mixing = rest.entries.find((entry) => entry.kind === 'done' && entry.stepId === 'mix');
    const ownLines = [
      { name: 'Soy sauce', g: 60, saltPercent: 16, waterPercent: 70 },
      { name: 'Garlic', g: 12 },
    ];
    const named = (changed: Partial<BatchDesign>, weighed: Record<string, number> = {}) => {
      const entries = rest.entries.map((entry) => (entry === mixing && entry.kind === 'done' ? { ...entry, values: { ...entry.values, ...weighed } } : entry));
      return label({ ...rest, entries, design: { ...design, ...changed } }).ingredients.map(({ message }) => message);
    };
    const own = named({ ownLines, withoutSpices: true }, { ownG1: 60, ownG2: 0 });
    expect(own).toContain('soy sauce');
    // What nobody weighed is not in it.
    expect(own).not.toContain('garlic');
    expect(own).not.toContain('coriander seed');
    const mix = { name: 'Ready mix', nitritePercent: 0.6, nitratePercent: 0, saltPercent: 68, mayPump: false };
    const dose = { by: 'label', gPerKg: 40, per: 'meat' } as const;
    expect(named({ dose, cure: { ...mix, sugarPercent: 31 } }, { sugarG: 0 })).toContain('sugar');
    expect(named({ dose, cure: mix }, { sugarG: 0 })).not.toContain('sugar');
  });

  test('what was not read to be cooked through is cooked before it is eaten', () => {
    expect(said(label(whole()).keeping)).toEqual(['Keep at 4 °C or below.', 'Fully cooked.']);
    const cool = done(13, 'core', 4 + 14 * DAY + 20, { probeC: 62, instant1C: 61, instant2C: 60, instant3C: 60 });
    expect(said(label(whole({ [cool.id]: cool })).keeping)).toContain('Cook before eating.');
    const begun = record(begunFrom(START));
    expect(said(label(begun).keeping)).toContain('Cook before eating.');
  });

  test('without a cure it says so, names no preservative, and keeps days', () => {
    const salted = {
      ...whole(),
      design: { ...whole().design, nitritePpm: 0, cure: { name: 'No cure', nitritePercent: 0, nitratePercent: 0, saltPercent: 0 } },
    };
    expect(label(salted)).toMatchObject({
      keepsDays: 3,
      ingredients: expect.not.arrayContaining([expect.objectContaining({ code: 'has-nitrite' })]) as unknown[],
    });
  });
});

test('sliced warm: at 8 °C it is too warm to slice, at 4 °C it is not; a reason lets it go on', () => {
  const ready = { ...whole(), entries: whole().entries.slice(0, -1) };
  const at = Date.parse(whole().entries.at(-1)?.at ?? '');
  const pack = (coreC: number, reason?: string) => {
    const { seq: _seq, recordedAt: _recordedAt, ...draft } = done(19, 'pack', (at - START) / HOUR_MS, { coreC, packedG: 2236 });
    return checkEntry(ready, { ...draft, ...(reason === undefined ? {} : { reason }) }, at);
  };
  expect(pack(8)).toMatchObject([{ field: 'reason', message: expect.stringMatching(/^Too warm to slice/) as string }]);
  expect(pack(4)).toEqual([]);
  expect(pack(8, 'Eaten warm, at once')).toEqual([]);
});

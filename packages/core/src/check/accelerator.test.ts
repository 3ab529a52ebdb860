import { HOUR_MS } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { loggedFrom } from '../testing/logged.js';
import { checkEntry } from './checkEntry.js';
import { requireDesign } from '../batch/design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { LogEntry } from '../log/logEntry.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = Date.parse('2026-10-05T08:00:00Z');
const ms = (hours: number) => START + hours * HOUR_MS;
const done = loggedFrom(START);
const loin = usualDesign('canadian-bacon', new Date(START).toISOString());
const after = (design: BatchDesign, entries: LogEntry[] = [], hours = 2) =>
  replay({ id: 'b', code: 'T-1', design, process: processFor(design.product), entries }, ms(hours));
const codesOf = (design: BatchDesign, entries: LogEntry[] = []) => after(design, entries).findings.map(({ code }) => code);

describe('ascorbate or erythorbate as a line of the brine', () => {
  test('in a brine that lies until even it is a share of meat and water together', () => {
    const [brine] = after({ ...loin, acceleratorPpm: 500 }).facts.brines;
    if (brine === undefined || loin.school.kind !== 'equilibrium') throw new Error('a brine');
    const meatG = loin.pieces.reduce((sum, { greenG }) => sum + greenG, 0);
    // 500 mg for each kilogram of meat and brine.
    expect((brine.acceleratorG ?? 0) / (5e-4 * (meatG + brine.brineG))).toBeCloseTo(1, 2);
    expect(after(loin).facts.brines[0]).not.toHaveProperty('acceleratorG');
  });

  test('in a pickle the needle brings it: so many ppm of what is pumped', () => {
    const ham = { ...usualDesign('ham-bone-in', new Date(START).toISOString()), acceleratorPpm: 400 };
    if (ham.school.kind !== 'pumpAndCover') throw new Error('a pumped ham');
    const pickle = after(ham).facts.brines.find(({ id }) => id === 'pickle');
    const pumped = (ham.school.pumpPercent + ham.school.repumpPercent) / 100;
    expect((((pickle?.acceleratorG ?? 0) / (pickle?.brineG ?? 1)) * pumped * 1e6) / 400).toBeCloseTo(1, 2);
  });

  test('it is weighed with the cure; left out, it is not in it, and nothing is refused for it', () => {
    const design = { ...loin, acceleratorPpm: 500 };
    const record = { id: 'b', code: 'T-1', design, process: processFor('canadian-bacon'), entries: [done(1, 'weigh', 0.2, { 'greenG:A': 2600 })] };
    const [brine] = replay(record, ms(0.5)).facts.brines;
    const line = ({ waterG, saltG, sugarG, cureG }: NonNullable<typeof brine>) => ({ waterG, saltG, sugarG, cureG });
    if (brine === undefined) throw new Error('a brine');
    const { seq: _seq, recordedAt: _recordedAt, ...mixed } = done(2, 'mix', 1, { ...line(brine), acceleratorG: 1.8 });
    expect(checkEntry(record, mixed, ms(1.2))).toEqual([]);
    const { acceleratorG: _left, ...without } = mixed.kind === 'done' ? mixed.values : {};
    expect(checkEntry(record, { ...mixed, values: without }, ms(1.2))).toEqual([]);
    expect(checkEntry(record, { ...mixed, values: { ...without, acceleratorG: -1 } }, ms(1.2))).not.toEqual([]);
    const weighed = (values: object) => after(design, [...record.entries, { ...done(2, 'mix', 1, {}), values } as LogEntry]).facts.brines[0]?.acceleratorG;
    expect(weighed({ ...without, acceleratorG: 1.8 })).toBe(1.8);
    expect(weighed(without)).toBe(0);
  });

  test('pumped belly bacon in the US is told of it, other bacon and other rules are not [P: 9 CFR 424.22(b), value from memory]', () => {
    const school = { ...usualDesign('ham-bone-in', loin.startsAt).school };
    const belly: BatchDesign = { ...usualDesign('belly-bacon', loin.startsAt), school };
    expect(codesOf(belly)).toContain('accelerator-missing');
    expect(codesOf({ ...belly, acceleratorPpm: 300 })).toContain('accelerator-missing');
    expect(codesOf({ ...belly, acceleratorPpm: 550 })).not.toContain('accelerator-missing');
    expect(codesOf({ ...belly, ruleSet: 'eu', nitritePpm: 110 })).not.toContain('accelerator-missing');
    expect(codesOf(usualDesign('belly-bacon', loin.startsAt))).not.toContain('accelerator-missing');
    expect(codesOf(loin)).not.toContain('accelerator-missing');
  });

  test.each([-1, 551, Number.NaN])('%d ppm is refused', (acceleratorPpm) => {
    expect(() => requireDesign({ ...loin, acceleratorPpm })).toThrow(InputError);
  });
});

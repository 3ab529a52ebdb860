import { HOUR_MS } from '../clock/spans.js';
import fc from 'fast-check';
import { checkEntry } from './checkEntry.js';
import type { EntryDraft } from '../log/entryFault.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { LogEntry, StepValues } from '../log/logEntry.js';
import { designStops, planBatch } from '../batch/planBatch.js';
import { processFor } from '../recipes/processes.js';
import { replay } from '../batch/replay.js';
import type { BatchRecord } from '../batch/batchState.js';
import { usualDesign } from '../recipes/usualDesign.js';

const START = '2026-10-05T07:00:00.000Z';
const at = (hours: number) => new Date(Date.parse(START) + hours * HOUR_MS).toISOString();
const ms = (hours: number) => Date.parse(START) + hours * HOUR_MS;

/** A batch under the hands of a test: logs what is allowed and gives back the faults of what is not. */
class Cook {
  record: BatchRecord;
  private made = 0;

  constructor(design: BatchDesign) {
    this.record = { id: 'b', code: 'T-1', design, process: processFor(design.product), entries: [] };
  }

  try(draft: { kind: LogEntry['kind'] } & Record<string, unknown>, hours: number, now = hours): string[] {
    this.made += 1;
    const full = { id: `e${this.made}`, by: 'Test', at: at(hours), ...draft } as unknown as EntryDraft;
    const faults = checkEntry(this.record, full, ms(now));
    if (faults.length === 0) {
      this.record = { ...this.record, entries: [...this.record.entries, { ...full, seq: this.made, recordedAt: at(now) }] };
    }
    return faults.map((fault) => `${fault.field}: ${fault.message}`);
  }

  log(stepId: string, hours: number, values: StepValues = {}, reason?: string): string[] {
    return this.try({ kind: 'done', stepId, values, ...(reason === undefined ? {} : { reason }) }, hours);
  }

  state(hours: number) {
    return replay(this.record, ms(hours));
  }
}

const mixed = (cook: Cook, id: string) => {
  const brine = cook.state(0).facts.brines.find((b) => b.id === id);
  if (brine === undefined) throw new Error('no such brine');
  return { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: brine.cureG };
};

/** A ham brought to the point where the meat goes in. */
function hamToMeatIn(pumpedG: number): Cook {
  const cook = new Cook(usualDesign('ham-bone-in', START));
  expect(cook.log('weigh', 0.2, { 'greenG:A': 7400 })).toEqual([]);
  expect(cook.log('mix-pickle', 1, mixed(cook, 'pickle'))).toEqual([]);
  expect(cook.log('mix-cover', 1.5, mixed(cook, 'cover'))).toEqual([]);
  expect(cook.log('pump', 4, { pickleC: 3, 'pumpedG:A': pumpedG })).toEqual([]);
  return cook;
}

describe('a planned batch', () => {
  test('the usual ham is dated from Prep to Pack, in order, with a turn a day', () => {
    const plan = planBatch(processFor('ham-bone-in'), usualDesign('ham-bone-in', START));
    const due = plan.steps.filter((step) => !step.spec.missable).map((step) => step.dueAt);
    expect([...due].sort((a, b) => a - b)).toEqual(due);
    expect(plan.steps.filter((step) => step.spec.missable).map((step) => step.spec.title)).toEqual([
      'Turn 1',
      'Turn 2',
      'Turn 3',
      'Turn 4',
      'Turn 5',
      'Turn 6',
    ]);
    const pull = plan.steps.find((step) => step.spec.id === 'pull');
    const meatIn = plan.steps.find((step) => step.spec.id === 'meat-in');
    expect(((pull?.dueAt ?? 0) - (meatIn?.dueAt ?? 0)) / HOUR_MS).toBe(7 * 24);
    expect(new Set(plan.steps.map((step) => step.spec.station))).toEqual(new Set(['prep', 'cure', 'soak', 'dry', 'smoke', 'cook', 'chill', 'pack']));
  });

  test.each(['ham-bone-in', 'canadian-bacon', 'pastrami'])('%s by either school: 150 ppm, no stop, every need is a step before it', (product) => {
    for (const kind of ['equilibrium', 'pumpAndCover'] as const) {
      const plan = planBatch(processFor(product), usualDesign(product, START, kind));
      expect(plan.figures.nitrite.applies.value).toBeCloseTo(150, 6);
      expect(plan.figures.nitrite.judgement.verdict).toBe('ok');
      expect(plan.figures.salt.value).toBeCloseTo(usualDesign(product, START, kind).saltPercent, 6);
      expect(plan.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
      plan.steps.forEach((step, i) => {
        const before = plan.steps.slice(0, i).map((other) => other.spec.id);
        expect(before).toEqual(expect.arrayContaining(step.spec.needs));
        if (step.spec.after.step !== 'start') expect(before).toContain(step.spec.after.step);
      });
    }
  });

  test('an overdose is a stop that says what would be right', () => {
    const design = { ...usualDesign('canadian-bacon', START), nitritePpm: 260 };
    const [stop] = designStops(processFor('canadian-bacon'), design);
    expect(stop?.message).toMatch(/260 ppm is over the limit of 200 ppm\. Right would be 150 ppm: 9\.\d g of Cure #1 instead of 16\.\d g/);
  });

  test('under the floor warns, and names what to aim at', () => {
    const plan = planBatch(processFor('canadian-bacon'), { ...usualDesign('canadian-bacon', START), nitritePpm: 80 });
    expect(plan.findings.map((finding) => [finding.level, finding.code])).toContainEqual(['warn', 'nitrite-under']);
  });

  test('an unpumped ham that lies two weeks is not cured in the middle: the model says so before it is begun', () => {
    const plan = planBatch(processFor('ham-bone-in'), { ...usualDesign('ham-bone-in', START, 'equilibrium'), cureDays: 14 });
    expect(plan.findings.find(({ code }) => code === 'reach-short')?.message).toMatch(
      /middle has \d.* ppm after 14(\.\d)? days, where 20 ppm leave a colour\. It is reached on day \d+/,
    );
  });

  test('a coarse scale makes the doubt cross the floor', () => {
    const plan = planBatch(processFor('canadian-bacon'), { ...usualDesign('canadian-bacon', START), cureScaleStepG: 5 });
    expect(plan.findings.map((finding) => finding.code)).toContain('doubt-under');
  });
});

describe('plan beside actual', () => {
  test('the real pump replaces the planned one: 10 % and 1.905 % at 1250 ppm of pickle are 148.8 ppm', () => {
    const cook = hamToMeatIn(8140);
    expect(cook.state(4).figures.pump[0]?.percent.value).toBeCloseTo(12, 9);
    expect(cook.log('meat-in', 4.5, { brineC: 3.5 })).toEqual([]);
    expect(cook.log('repump', 88, { 'beforeG:A': 8180, 'pumpedG:A': 8321 })).toEqual([]);
    const { nitrite, pump } = cook.state(89).figures;
    expect(pump[0]?.percent.value).toBeCloseTo(10 + (141 / 7400) * 100, 9);
    const pumped = [nitrite.applies, ...nitrite.others].find((figure) => figure.id === 'nitrite-pumped');
    expect(pumped?.value).toBeCloseTo(0.00125 * (10 + (141 / 7400) * 100) * 1e4, 3);
    expect(pumped?.value).toBeCloseTo(148.8, 1);
    expect(pumped?.low).toBeLessThan(148.8);
    expect(pumped?.high).toBeGreaterThan(148.9);
  });

  test('a heavier leg changes the brine before it is mixed, not after', () => {
    const cook = new Cook(usualDesign('ham-bone-in', START));
    cook.log('weigh', 0, { 'greenG:A': 8000 });
    expect(mixed(cook, 'pickle').cureG).toBeCloseTo((8000 * 0.12 * 1.15 * 20) / 1000, 6);
    cook.log('mix-pickle', 1, { waterG: 900, saltG: 130, sugarG: 55, cureG: 20 });
    expect(mixed(cook, 'pickle').cureG).toBe(20);
  });

  test('a late step pushes the ones that follow, and one done late moves them for good', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    const dueOf = (id: string, hours: number) => cook.state(hours).steps.find((step) => step.spec.id === id)?.dueAt ?? 0;
    expect(dueOf('mix', 0)).toBe(ms(0.5));
    expect(dueOf('mix', 5)).toBe(ms(5.5));
    expect(cook.state(5).next).toMatchObject({ urgency: 'overdue', dueAt: ms(0) });
    cook.log('weigh', 6, { 'greenG:A': 2600 });
    expect(dueOf('mix', 6)).toBe(ms(6.5));
    expect(cook.state(6).steps.find((step) => step.spec.id === 'mix')?.plannedAt).toBe(ms(0.5));
  });

  test('a turn that was not made is missed once the next is due, and may still be logged with its real time', () => {
    const cook = hamToMeatIn(8140);
    cook.log('meat-in', 5, { brineC: 3 });
    expect(cook.state(5 + 25).next?.spec.id).toBe('turn-1');
    const state = cook.state(5 + 49);
    expect(state.steps.find((step) => step.spec.id === 'turn-1')?.status).toBe('missed');
    expect(state.next?.spec.id).toBe('turn-2');
    expect(cook.try({ kind: 'done', stepId: 'turn-1', values: { coldC: 3 } }, 5 + 26, 5 + 49)).toEqual([]);
    expect(cook.state(5 + 49).steps.find((step) => step.spec.id === 'turn-1')?.status).toBe('done');
  });
});

describe('what the log refuses', () => {
  test('meat into brine above 4 °C needs a written reason', () => {
    const cook = hamToMeatIn(8140);
    expect(cook.log('meat-in', 5, { brineC: 6 })).toEqual([expect.stringMatching(/^reason: The brine is warmer than 4 °C/)]);
    expect(cook.log('meat-in', 5, { brineC: 6 }, 'Ice is on its way, ten minutes')).toEqual([]);
    expect(cook.state(6).findings.map((finding) => finding.code)).toContain('warm-brine');
  });

  test('a pumped weight below the green weight', () => {
    const cook = new Cook(usualDesign('ham-bone-in', START));
    cook.log('weigh', 0, { 'greenG:A': 7400 });
    cook.log('mix-pickle', 1, mixed(cook, 'pickle'));
    cook.log('mix-cover', 1, mixed(cook, 'cover'));
    expect(cook.log('pump', 4, { pickleC: 3, 'pumpedG:A': 7300 })).toEqual([expect.stringMatching(/^values.pumpedG:A: Piece A weighed 7400 g before/)]);
    expect(cook.log('pump', 4, { pickleC: 3, 'pumpedG:A': 18 })[0]).toMatch(/cannot weigh 18 g/);
  });

  test('a brine with too much cure cannot be logged as mixed', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    const [fault] = cook.log('mix', 1, { ...mixed(cook, 'brine'), cureG: 30 });
    expect(fault).toMatch(/^values.cureG: .* is over the limit of 200 ppm.*pour it away/);
  });

  test.each([
    ['the cure nearly left out', { cureG: 2 }, /^reason: Cure: 2 g where the sheet says 9\.\d g/],
    ['salt by the wrong scale', { saltG: 300 }, /^reason: Salt: 300 g where the sheet says/],
    ['half the water', { waterG: 600 }, /^reason: Water: 600 g where/],
  ])('%s is asked about before it is a brine', (_what, wrong, message) => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    const values = { ...mixed(cook, 'brine'), ...wrong };
    expect(cook.log('mix', 1, values)[0]).toMatch(message);
  });

  test('a dose a little low that falls under the floor is asked about too', () => {
    const cook = new Cook({ ...usualDesign('canadian-bacon', START), nitritePpm: 125 });
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    const brine = mixed(cook, 'brine');
    expect(cook.log('mix', 1, { ...brine, cureG: brine.cureG * 0.9 })[0]).toMatch(/^reason: 112\.\d ppm is under the floor of 120 ppm/);
    expect(cook.log('mix', 1, { ...brine, cureG: brine.cureG * 0.9 }, 'The jar is empty, more comes tomorrow')).toEqual([]);
  });

  test('too much pumped is kept with a reason, but the meat does not go on until it is drained and weighed again', () => {
    const cook = new Cook(usualDesign('ham-bone-in', START));
    cook.log('weigh', 0, { 'greenG:A': 7400 });
    cook.log('mix-pickle', 1, mixed(cook, 'pickle'));
    cook.log('mix-cover', 1, mixed(cook, 'cover'));
    expect(cook.log('pump', 4, { pickleC: 3, 'pumpedG:A': 8700 })[0]).toMatch(/^reason: .*Drain the piece/);
    expect(cook.log('pump', 4, { pickleC: 3, 'pumpedG:A': 8700 }, 'Syringe ran on, draining it now')).toEqual([]);
    expect(cook.log('meat-in', 5, { brineC: 3 })[0]).toMatch(/^entry: .*over the limit/);
    const pump = cook.record.entries.at(-1);
    expect(cook.try({ kind: 'correction', replaces: pump?.id, values: { pickleC: 3, 'pumpedG:A': 8200 }, reason: 'Drained and weighed again' }, 5)).toEqual([]);
    expect(cook.log('meat-in', 5.5, { brineC: 3 })).toEqual([]);
  });

  test('the future, and before the step it depends on', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    expect(cook.try({ kind: 'done', stepId: 'weigh', values: { 'greenG:A': 2600 } }, 3, 1)[0]).toMatch(/^at: That time is still to come/);
    expect(cook.log('mix', 1, mixed(cook, 'brine'))[0]).toMatch(/^entry: Trim and weigh comes first/);
    cook.log('weigh', 2, { 'greenG:A': 2600 });
    expect(cook.try({ kind: 'done', stepId: 'mix', values: mixed(cook, 'brine') }, 1, 3)[0]).toMatch(/^at: That is before/);
  });

  test('the same step twice, a step that is not there, values that are not asked for or not numbers', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    expect(cook.log('weigh', 0, { 'greenG:A': 0 })[0]).toMatch(/more than 0/);
    expect(cook.log('weigh', 0, { 'greenG:A': 26 })[0]).toMatch(/far from the 2600 g/);
    // Kilograms where pounds stand, and the other way round, are 2.2 times off.
    expect(cook.log('weigh', 0, { 'greenG:A': 2600 * 0.4536 })[0]).toMatch(/far from the 2600 g/);
    expect(cook.log('weigh', 0, { 'greenG:A': 2600 / 0.4536 })[0]).toMatch(/far from the 2600 g/);
    expect(cook.log('weigh', 0, { 'greenG:A': 'heavy' })[0]).toMatch(/must be a number/);
    expect(cook.log('weigh', 0, {})[0]).toMatch(/missing/);
    expect(cook.log('weigh', 0, { 'greenG:A': 2600, evil: 1 })[0]).toMatch(/does not ask/);
    expect(cook.log('weigh', 0, { 'greenG:A': 2600 })).toEqual([]);
    expect(cook.log('weigh', 1, { 'greenG:A': 2600 })[0]).toMatch(/^entry: Trim and weigh was already logged/);
    expect(cook.log('nonsense', 1)[0]).toMatch(/no such step/);
  });

  test('a pull before the shortest days asks for a reason, a bad smell stops', () => {
    const cook = hamToMeatIn(8140);
    cook.log('meat-in', 5, { brineC: 3 });
    cook.try({ kind: 'skipped', stepId: 'repump', reason: 'Took enough the first time' }, 80);
    const values = { 'pulledG:A': 8200, firmness: 'firm', smell: 'fresh' };
    expect(cook.log('pull', 5 + 4 * 24, values)[0]).toMatch(/^reason: This is before the shortest/);
    expect(cook.log('pull', 5 + 7 * 24, { ...values, smell: 'bad' }, 'Looks fine to me though')[0]).toMatch(/^values.smell: A bad smell ends the batch/);
    expect(cook.log('pull', 5 + 7 * 24, values)).toEqual([]);
    expect(cook.try({ kind: 'ended', reason: 'Fell on the floor' }, 200)).toEqual([]);
    expect(cook.state(201)).toMatchObject({ outcome: 'thrownAway', next: null });
    expect(cook.log('soak-in', 201)[0]).toMatch(/thrown away/);
  });
});

/** A loin cured, smoked and at the chill gates. */
function loinAtChill(): Cook {
  const cook = new Cook(usualDesign('canadian-bacon', START));
  cook.log('weigh', 0, { 'greenG:A': 2600 });
  cook.log('mix', 1, mixed(cook, 'brine'));
  cook.log('meat-in', 4, { brineC: 3 });
  cook.log('pull', 340, { 'pulledG:A': 2650, firmness: 'firm', smell: 'fresh' });
  expect(cook.log('fry', 340, { taste: 'right' })).toEqual([]);
  expect(cook.try({ kind: 'skipped', stepId: 'soak-in', reason: 'Fry test tastes right' }, 340)).toEqual([]);
  cook.log('rack', 341);
  expect(cook.log('pellicle', 352, { surface: 'wet' })).toEqual([]);
  return cook;
}

describe('looks, gates and the end', () => {
  test('a surface that is not tacky leaves the step open for two hours more', () => {
    const cook = loinAtChill();
    expect(cook.state(352).next).toMatchObject({ spec: { id: 'pellicle' }, dueAt: ms(354) });
    expect(cook.state(352).steps.find((step) => step.spec.id === 'soak-out')?.status).toBe('skipped');
  });

  function toCold(): Cook {
    const cook = loinAtChill();
    cook.log('pellicle', 354, { surface: 'tacky' });
    cook.log('light', 354.5);
    cook.log('meat-on', 355.5, { chamberC: 80, coreC: 5 });
    cook.log('raise', 358, { chamberC: 82, coreC: 48 });
    expect(cook.log('core', 360, { probeC: 66, instant1C: 65, instant2C: 62, instant3C: 66 })).toEqual([]);
    expect(cook.state(360).next?.spec.id).toBe('core');
    expect(cook.log('core', 360.5, { probeC: 67, instant1C: 66, instant2C: 65, instant3C: 67 })).toEqual([]);
    cook.log('into-cold', 361, { coreC: 60 });
    return cook;
  }

  test('the lowest of the three instant-read places decides; gates met: packed, 83 % of green', () => {
    const cook = toCold();
    expect(cook.log('gate-first', 363, { coreC: 25 })).toEqual([]);
    expect(cook.log('gate-second', 368, { coreC: 3.5 })).toEqual([]);
    expect(cook.log('even-out', 368.5, {})).toEqual([]);
    expect(cook.log('freezer', 391.4, {})).toEqual([]);
    expect(cook.log('pack', 392, { coreC: 3, packedG: 2158 })).toEqual([]);
    const state = cook.state(393);
    expect(state).toMatchObject({ outcome: 'finished', station: null, endedAt: ms(392) });
    expect(state.figures.yield?.value).toBeCloseTo(83, 6);
    expect(cook.log('weigh', 394, { 'greenG:A': 2600 })[0]).toMatch(/packed/);
  });

  test('what a refrigerator will do to a whole ham is said before the cook, a loin passes, and meat without cure of its size misses', () => {
    const told = (design: BatchDesign) => planBatch(processFor(design.product), design).findings.find(({ code }) => code === 'chill-ahead')?.message;
    expect(told(usualDesign('ham-bone-in', START))).toMatch(
      /household refrigerator takes about \d\d?(\.\d)? h .* gate, where (5|10) h are allowed\. In a bag in ice water/,
    );
    expect(told(usualDesign('canadian-bacon', START))).toBeUndefined();
    expect(told({ ...usualDesign('canadian-bacon', START), nitritePpm: 0 })).toMatch(/where (1\.5|5) h are allowed/);
    // Once the core was read on its way down, the chill itself tells.
    const cook = toCold();
    expect(cook.state(359).findings.map(({ code }) => code)).not.toContain('chill-ahead');
  });

  test('cooled by the longer gates of cured meat: that they want an accelerator is said, of a quick chill nothing', () => {
    const codes = (C: number, hours: number) => {
      const cook = toCold();
      expect(cook.log('gate-first', 361.2, { coreC: 50 })).toEqual([]);
      expect(cook.log('gate-first', hours, { coreC: C })).toEqual([]);
      return cook.state(hours).findings.map(({ code }) => code);
    };
    expect(codes(24, 364)).toContain('slow-chill');
    expect(codes(24, 362.2)).not.toContain('slow-chill');
    // With so much of it weighed into the brine there is nothing to say; with less of it, how much there is.
    const slow = toCold();
    slow.log('gate-first', 361.2, { coreC: 50 });
    slow.log('gate-first', 364, { coreC: 24 });
    const told = (acceleratorG: number) => {
      const entries = slow.record.entries.map((entry) =>
        entry.kind === 'done' && entry.stepId === 'mix' ? { ...entry, values: { ...entry.values, acceleratorG } } : entry,
      );
      const record = { ...slow.record, entries, design: { ...slow.record.design, acceleratorPpm: 300 } };
      return replay(record, ms(364)).findings.find(({ code }) => code === 'slow-chill')?.message;
    };
    expect(told(1.15)).toBeUndefined();
    expect(told(0.4)).toMatch(/it has 1\d\d/);
    expect(told(0)).toMatch(/in it: the slow chill is not fully met\. By a model .* Decide with/);
  });

  test('a first gate that took longer than 5 hours wants a written decision', () => {
    const cook = toCold();
    expect(cook.log('gate-first', 363, { coreC: 45 })).toEqual([]);
    expect(cook.log('gate-first', 367.5, { coreC: 26 })[0]).toMatch(/^reason: First chill gate is not shown to be met: .* may have taken \d\.\d h, where 5 h/);
    expect(cook.log('gate-first', 367.5, { coreC: 26 }, 'Thrown to the dogs, said Juno')).toEqual([]);
  });

  test('a gate ends with a reading, not with a reckoning: read an hour too late it is not shown to be met', () => {
    const cook = toCold();
    expect(cook.log('gate-first', 367.2, { coreC: 15 })[0]).toMatch(/^reason: First chill gate is not shown to be met/);
    // Read at 45 °C once its five hours were over: that proves that it was not.
    expect(cook.log('gate-first', 362, { coreC: 50 })).toEqual([]);
    expect(cook.log('gate-first', 367.2, { coreC: 45 })).toEqual([]);
    expect(cook.log('gate-first', 368, { coreC: 20 })[0]).toMatch(/^reason: The first chill gate was not met/);
  });

  test('meat whose dose turns out to be over the limit goes no further, however far it is: neither to the cold nor into a pack', () => {
    const cook = toCold();
    const mix = cook.record.entries.find((entry) => entry.kind === 'done' && entry.stepId === 'mix');
    const brine = mixed(cook, 'brine');
    expect(cook.try({ kind: 'correction', replaces: mix?.id, values: { ...brine, cureG: 30 }, reason: 'The scale stood on ounces' }, 1, 362)).toEqual([]);
    expect(cook.state(362).figures.nitrite.judgement.verdict).toBe('over');
    expect(cook.log('gate-first', 363, { coreC: 25 })[0]).toMatch(/^entry: .*over the limit of 200 ppm. If the weights are right, the meat must not be eaten/);
    expect(cook.try({ kind: 'ended', reason: 'Far too much cure in it' }, 363)).toEqual([]);
  });

  test('under 100 ppm the shorter gates hold', () => {
    const cook = toCold();
    const weak = {
      ...cook.record,
      design: { ...cook.record.design, nitritePpm: 60 },
      entries: cook.record.entries.filter((entry) => entry.kind !== 'done' || entry.stepId !== 'mix'),
    };
    expect(replay(weak, ms(361)).cooling[0]).toMatchObject({ limitH: 1.5 });
    expect(cook.state(361).cooling[0]).toMatchObject({ limitH: 5, tookH: null });
  });
});

describe('corrections', () => {
  test('the corrected entry counts, the first one stays readable, and the last of several wins', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    expect(cook.try({ kind: 'correction', replaces: 'e1', values: { 'greenG:A': 2700 }, reason: 'Read the wrong line' }, 0, 1)).toEqual([]);
    expect(cook.try({ kind: 'correction', replaces: 'e2', values: { 'greenG:A': 2650 }, reason: 'And again the wrong one' }, 0, 2)).toEqual([]);
    const state = cook.state(2);
    expect(state.facts.greenG).toEqual({ A: 2650 });
    expect(state.standing[0]?.corrections).toHaveLength(2);
    expect(cook.record.entries).toHaveLength(3);
    expect(cook.record.entries[0]).toMatchObject({ values: { 'greenG:A': 2600 } });
    expect(cook.try({ kind: 'correction', replaces: 'e1', values: { 'greenG:A': -5 }, reason: 'Nonsense this time' }, 0, 2)[0]).toMatch(/more than 0/);
    expect(cook.try({ kind: 'correction', replaces: 'e99', values: {}, reason: 'Nothing to correct' }, 0, 2)[0]).toMatch(/no such entry/);
  });

  test('a correction that contradicts later weights is refused, not swallowed', () => {
    const cook = hamToMeatIn(8140);
    expect(cook.try({ kind: 'correction', replaces: 'e1', values: { 'greenG:A': 8300 }, reason: 'Read the wrong line' }, 0.2, 5)[0]).toMatch(
      /^values.greenG:A: .*less after pumping/,
    );
    expect(
      cook.try({ kind: 'correction', replaces: 'e2', values: { waterG: 200, saltG: 500, sugarG: 0, cureG: 20 }, reason: 'Read the wrong line' }, 1, 5)[0],
    ).toMatch(/holds at most/);
  });

  test('an entry is taken back only while nothing was built on it', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    cook.log('mix', 1, mixed(cook, 'brine'));
    expect(cook.try({ kind: 'withdrawn', replaces: 'e1', reason: 'Wrong batch' }, 2)[0]).toMatch(/Mix the brine was logged after it/);
    expect(cook.try({ kind: 'withdrawn', replaces: 'e2', reason: 'Wrong batch' }, 2)).toEqual([]);
    expect(cook.state(2).next?.spec.id).toBe('mix');
  });

  test('replaying does not depend on where notes, corrections and withdrawals of others lie between', () => {
    const cook = new Cook(usualDesign('canadian-bacon', START));
    cook.log('weigh', 0, { 'greenG:A': 2600 });
    cook.log('mix', 1, mixed(cook, 'brine'));
    cook.log('meat-in', 4, { brineC: 3 });
    cook.try({ kind: 'correction', replaces: 'e1', values: { 'greenG:A': 2620 }, reason: 'Read the wrong line' }, 0.1, 5);
    cook.try({ kind: 'note', reason: 'Tub two' }, 5);
    const expected = cook.state(6);
    fc.assert(
      fc.property(fc.shuffledSubarray(cook.record.entries, { minLength: cook.record.entries.length }), (entries) => {
        const firstOf = (id: string) => entries.findIndex((entry) => entry.id === id);
        fc.pre(firstOf('e1') < firstOf('e4'));
        const state = replay({ ...cook.record, entries }, ms(6));
        expect(state.facts).toEqual(expected.facts);
        expect(state.next).toEqual(expected.next);
      }),
    );
  });
});

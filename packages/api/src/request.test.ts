import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { BatchRequest } from './batchRequest.js';
import { datesFault } from './datesFault.js';
import { LogEntryRequest } from './logEntryRequest.js';
import { toDraft } from './toDraft.js';
import { toDesign } from './toDesign.js';

const ID = '3b241101-e2bb-4255-8caf-4136c566a962';
const loin = {
  id: ID,
  product: 'canadian-bacon',
  pieces: [{ greenG: 2600, shape: 'round', thicknessMm: 85, lengthMm: 400 }],
  school: 'equilibrium',
  waterG: 1200,
  saltPercent: 2.3,
  sugarPercent: 1,
  nitritePpm: 150,
  ruleSet: 'us',
  cureDays: 14,
  meatScaleStepG: 5,
  cureScaleStepG: 0.1,
  startsAt: '2026-10-05T07:00:00Z',
  by: 'Juno',
};

const faults = <T extends object>(type: new () => T, body: object) =>
  validateSync(plainToInstance(type, body), { whitelist: true, forbidNonWhitelisted: true }).map((error) => error.property);

describe('a batch request', () => {
  test('a whole one passes, and becomes a design with lettered pieces', () => {
    expect(faults(BatchRequest, loin)).toEqual([]);
    const design = toDesign(plainToInstance(BatchRequest, { ...loin, pieces: [...loin.pieces, { ...loin.pieces[0], shape: 'slab' }] }));
    expect(design.pieces.map((piece) => [piece.code, piece.section])).toEqual([
      ['A', { shape: 'round', diameterMm: 85 }],
      ['B', { shape: 'slab', thicknessMm: 85 }],
    ]);
    expect(design.school).toEqual({ kind: 'equilibrium', waterG: 1200 });
  });

  test('a cure by its label and the house’s own rules become part of the design', () => {
    const cure = { name: 'Ours', nitritePercent: 4, nitratePercent: 0, saltPercent: 96, mayPump: false };
    const body = { ...loin, cure, ruleSet: 'house', houseLimit: 140, houseFloor: 80 };
    expect(faults(BatchRequest, body)).toEqual([]);
    expect(toDesign(plainToInstance(BatchRequest, body))).toMatchObject({ cure, ruleSet: 'house', house: { limit: 140, bellyLimit: 140, floor: 80 } });
    expect(toDesign(plainToInstance(BatchRequest, loin))).toMatchObject({ cure: { name: 'Cure #1' } });
    expect(toDesign(plainToInstance(BatchRequest, loin)).house).toBeUndefined();
  });

  test.each([
    ['cure', { cure: 'the pink one' }],
    ['cure', { cure: { name: 'Ours', nitritePercent: 60, nitratePercent: 0, saltPercent: 40 } }],
    ['cure', { cure: { name: '', nitritePercent: 6, nitratePercent: 0, saltPercent: 94 } }],
    ['cure', { cure: { name: 'Ours', nitritePercent: 6, nitratePercent: 0 } }],
    ['houseLimit', { ruleSet: 'house', houseFloor: 80 }],
    ['houseFloor', { ruleSet: 'house', houseLimit: 80, houseFloor: 'none' }],
    ['product', { product: 'tofu' }],
    ['pieces', { pieces: [] }],
    ['pieces', { pieces: 'a leg' }],
    ['pieces', { pieces: [{ greenG: -5, shape: 'round', thicknessMm: 85, lengthMm: 400 }] }],
    ['pieces', { pieces: Array.from({ length: 13 }, () => loin.pieces[0]) }],
    ['waterG', { waterG: 0 }],
    ['waterG', { waterG: '1200' }],
    ['saltPercent', { saltPercent: Number.NaN }],
    ['nitritePpm', { nitritePpm: 1e9 }],
    ['startsAt', { startsAt: 'yesterday' }],
    ['startsAt', { startsAt: '2026-W41' }],
    ['startsAt', { startsAt: '2026-13-45T07:00:00Z' }],
    ['by', { by: '' }],
    ['hack', { hack: 1 }],
  ])('%s is refused in %j', (field, wrong) => {
    expect(faults(BatchRequest, { ...loin, ...wrong })).toEqual([field]);
  });

  test('the pump’s numbers are asked for only where it pumps', () => {
    expect(faults(BatchRequest, { ...loin, school: 'pumpAndCover' })).toEqual(['pumpPercent', 'repumpPercent', 'pickleSaltPercent', 'syringeML', 'spacingMm']);
  });

  test('a start more than a year away is a slip of the finger', () => {
    const now = Date.parse('2026-10-05T07:00:00Z');
    const fault = (startsAt: string, readyBy?: string) => datesFault({ startsAt, ...(readyBy === undefined ? {} : { readyBy }) }, now);
    expect(fault('2026-10-09T07:00:00Z')).toBeNull();
    expect(fault('2062-10-09T07:00:00Z')?.message).toMatch(/a year away/);
    expect(fault('2006-10-09T07:00:00Z')?.message).toMatch(/a year ago/);
    expect(fault('soon')?.message).toMatch(/date and a time/);
    expect(fault('2026-10-09T07:00:00Z', '2026-11-09T07:00:00Z')).toBeNull();
    expect(fault('2026-10-09T07:00:00Z', '2026-01-09T07:00:00Z')?.message).toMatch(/past/);
    expect(fault('2026-10-09T07:00:00Z', '2026-10-09T07:00:00Z')?.message).toMatch(/before the meat comes on/);
    expect(fault('2026-10-09T07:00:00Z', '2029-10-09T07:00:00Z')?.message).toMatch(/more than a year/);
    expect(fault('2026-10-09T07:00:00Z', 'then')?.message).toMatch(/date and a time/);
  });
});

describe('a log entry request', () => {
  const done = { id: ID, kind: 'done', at: '2026-10-05T07:00:00Z', by: ' Juno ', stepId: 'weigh', values: { 'greenG:A': 2600 } };

  test('each kind asks for what it needs', () => {
    expect(faults(LogEntryRequest, done)).toEqual([]);
    expect(faults(LogEntryRequest, { ...done, stepId: undefined })).toEqual(['stepId']);
    expect(faults(LogEntryRequest, { ...done, kind: 'correction' })).toEqual(['replaces', 'reason']);
    expect(faults(LogEntryRequest, { ...done, kind: 'erased' })).toContain('kind');
    expect(faults(LogEntryRequest, { ...done, values: 'heavy' })).toEqual(['values']);
    expect(faults(LogEntryRequest, { ...done, seen: -1 })).toEqual(['seen']);
  });

  test('a draft keeps only what its kind has use for', () => {
    const draft = toDraft(plainToInstance(LogEntryRequest, { ...done, replaces: ID, reason: '  ' }));
    expect(draft).toEqual({ id: ID, kind: 'done', at: '2026-10-05T07:00:00.000Z', by: 'Juno', stepId: 'weigh', values: { 'greenG:A': 2600 } });
  });
});

import 'reflect-metadata';
import { PLANNED_PRODUCTS, planBatch, processFor, SCHOOLS } from '@bunkhouse/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { BatchRequest } from './batchRequest.js';
import { toDesign } from './toDesign.js';
import { requestOf, usualRequest } from './usualRequest.js';

const asked = { id: '3b241101-e2bb-4255-8caf-4136c566a962', by: 'Juno', startsAt: '2026-10-05T07:00:00Z' };

describe.each(PLANNED_PRODUCTS)('the usual %s', (product) => {
  test.each(SCHOOLS)('by %s passes its own rules and plans without a stop', (school) => {
    const request = usualRequest(product, { ...asked, school });
    expect(validateSync(plainToInstance(BatchRequest, request), { whitelist: true, forbidNonWhitelisted: true })).toEqual([]);
    const plan = planBatch(processFor(product), toDesign(request));
    expect(plan.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
    expect(plan.figures.nitrite.judgement.verdict).toBe('ok');
    // One brine for needle and tub is right only by the clock, and its needle alone brings less than the floor: both are to be said, and where floor and limit are one, the doubt of its scales.
    const inherent = school === 'pumpSame' ? ['by-the-clock', 'pump-under', 'doubt-over'] : [];
    expect(plan.findings.filter(({ level, code }) => level === 'warn' && code !== 'reach-short' && !inherent.includes(code))).toEqual([]);
  });
});

test('a product without a process is not guessed', () => {
  expect(() => usualRequest('sausage' as 'pastrami', asked)).toThrow(/no process yet for "sausage"/);
});

test.each(PLANNED_PRODUCTS)('a %s like another: the request of a design gives that design again, with its bone, skin, fat, cold and house rules', (product) => {
  for (const school of SCHOOLS) {
    const usual = usualRequest(product, { ...asked, school });
    const design = toDesign({
      ...usual,
      pieces: usual.pieces.map((piece) => ({ ...piece, boneMm: 22, skinOn: true, fatCapMm: 8 })),
      ruleSet: 'house',
      houseLimit: 140,
      houseFloor: 90,
      coldC: 2,
      diffusivity: { value: 2.6e-10, low: 2.2e-10, high: 3.1e-10, cutFaces: 4 },
    });
    expect(toDesign(requestOf(design, asked))).toEqual(design);
  }
});

test('pieces that lie apart: numbers of tubs become tubs in their order, whatever number was left out, and come back', () => {
  const usual = usualRequest('canadian-bacon', asked);
  const [piece] = usual.pieces;
  if (piece === undefined) throw new Error('a piece');
  const request = { ...usual, pieces: [3, 1, 3].map((vessel) => ({ ...piece, vessel })), vesselKind: 'bag' as const, sharedAlike: true };
  expect(validateSync(plainToInstance(BatchRequest, request), { whitelist: true, forbidNonWhitelisted: true })).toEqual([]);
  const design = toDesign(request);
  expect(design.vessels).toEqual([
    { kind: 'bag', pieces: ['B'], part: 1 },
    { kind: 'bag', pieces: ['A', 'C'], part: 1 },
  ]);
  expect(toDesign(requestOf(design, asked))).toEqual(design);
  // All in one is no vessel at all.
  expect(toDesign({ ...request, pieces: request.pieces.map((one) => ({ ...one, vessel: 2 })) }).vessels).toBeUndefined();
  for (const vessel of [0, 1.5, 13]) {
    const wrong = plainToInstance(BatchRequest, { ...request, pieces: [{ ...piece, vessel }] });
    expect(validateSync(wrong)).toHaveLength(1);
  }
});

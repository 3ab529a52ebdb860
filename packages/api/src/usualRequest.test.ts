import 'reflect-metadata';
import { PLANNED_PRODUCTS, planBatch, processFor, SCHOOLS } from '@bunkhouse/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { BatchRequest, toDesign } from './batchRequest.js';
import { usualRequest } from './usualRequest.js';

const asked = { id: '3b241101-e2bb-4255-8caf-4136c566a962', by: 'Juno', startsAt: '2026-10-05T07:00:00Z' };

describe.each(PLANNED_PRODUCTS)('the usual %s', (product) => {
  test.each(SCHOOLS)('by %s passes its own rules and plans without a stop', (school) => {
    const request = usualRequest(product, { ...asked, school });
    expect(validateSync(plainToInstance(BatchRequest, request), { whitelist: true, forbidNonWhitelisted: true })).toEqual([]);
    const plan = planBatch(processFor(product), toDesign(request));
    expect(plan.findings.filter((finding) => finding.level === 'stop')).toEqual([]);
    expect(plan.figures.nitrite.judgement.verdict).toBe('ok');
  });
});

test('a product without a process is not guessed', () => {
  expect(() => usualRequest('picnic' as 'pastrami', asked)).toThrow(/no process yet for "picnic"/);
});

import 'reflect-metadata';
import { ENGLISH, PASTED_WORDS, SHEET_WORDS } from '@bunkhouse/core';
import { getMetadataStorage, validateSync } from 'class-validator';
import { plainToInstance } from 'class-transformer';
import * as api from '../index.js';
import { fieldFaults } from '../fieldFaults.js';
import type { RuleContext } from '../shapes/ruleContext.js';
import { API_WORDS } from './apiWords.js';
import { REFUSAL_WORDS } from './refusalWords.js';
import { RULE_WORDS } from './ruleWords.js';

test('a code is one sentence, in core and on the wire', () => {
  const codes = [ENGLISH, PASTED_WORDS, SHEET_WORDS, RULE_WORDS, REFUSAL_WORDS].flatMap((words) => Object.keys(words));
  expect(codes.filter((code, i) => codes.indexOf(code) !== i)).toEqual([]);
});

test('no sentence names a unit that readers differ in, nor writes a part of a number: both stand in places', () => {
  const own = (template: string) => template.replace(/\{[^{}]*\}/g, '').replace(/Channels are counted .*|Temperatures are C or F\.|.*2026-10-05T.*/, '');
  expect(Object.values(API_WORDS).filter((template) => /°|\d (g|kg|mm|mL|L|in|lb|oz)\b|\d\.\d/.test(own(template)))).toEqual([]);
});

/** What a rule of ours says, it says by code. The lists of shapes that hold answers and books say nothing of their own. */
test('every rule that says something says it by code', () => {
  const rules = Object.entries(api)
    .filter(([name, shape]) => /Request$|Query$/.test(name) && typeof shape === 'function')
    .flatMap(([name, shape]) =>
      getMetadataStorage()
        .getTargetValidationMetadatas(shape as new () => object, '', false, false)
        .map((rule) => [`${name}.${rule.propertyName}`, rule.message, (rule.context as RuleContext | undefined)?.said] as const),
    )
    .filter(([, message]) => message !== undefined && message !== '');
  expect(rules.length).toBeGreaterThan(250);
  expect(rules.filter(([, message, said]) => said === undefined || said.message !== message || !Object.hasOwn(API_WORDS, said.code))).toEqual([]);
});

test('a fault at a field bears the code of the rule and what it is about', () => {
  const piece = plainToInstance(api.PieceRequest, { greenG: 50, shape: 'slab', thicknessMm: 60, lengthMm: 300, colour: 'red' });
  expect(fieldFaults(validateSync(piece, { whitelist: true, forbidNonWhitelisted: true }))).toEqual([
    { field: 'colour', code: 'not-asked-for', args: { name: 'colour' }, message: '"colour" is not asked for here.' },
    { field: 'greenG', code: 'piece-green-least', args: { leastG: 100 }, message: 'Less than 100 g is no piece to cure. Look at the unit.' },
  ]);
});

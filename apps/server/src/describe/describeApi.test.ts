import 'reflect-metadata';
import { Validator } from '@seriousme/openapi-schema-validator';
import { Ajv2020 } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import type { OpenAPIObject } from '@nestjs/swagger';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

let house: TestHouse;
let document: OpenAPIObject;
beforeAll(async () => {
  house = await openTestHouse();
  document = (await house.nobody().get('/api/openapi.json')).body as OpenAPIObject;
}, 60_000);
afterAll(() => house.close());

const operations = () =>
  Object.entries(document.paths).flatMap(([path, ways]) =>
    (Object.entries(ways) as [string, { security?: object[]; 'x-right'?: string; responses: Record<string, unknown>; requestBody?: object }][]).map(
      ([way, operation]) => ({ path, way, operation }),
    ),
  );

test('the description is valid OpenAPI 3.1, by a parser that is not ours and the schema of the OpenAPI Initiative', async () => {
  expect(document.openapi).toBe('3.1.0');
  const validator = new Validator();
  const { valid, errors } = await validator.validate(structuredClone(document) as object as Record<string, unknown>);
  expect({ valid, errors: JSON.stringify(errors ?? null).slice(0, 2000) }).toEqual({ valid: true, errors: 'null' });
  expect(validator.version).toBe('3.1');
  // It would say so: a description without the one thing that each needs.
  const broken = structuredClone(document) as object as Record<string, unknown>;
  delete broken.info;
  expect((await new Validator().validate(broken)).valid).toBe(false);
});

test('every schema in it is JSON Schema 2020-12, and closed: what no rule names is not there', () => {
  const ajv = new Ajv2020({ strict: true, strictTypes: false, strictRequired: false, allowUnionTypes: true });
  (addFormats as unknown as (to: Ajv2020) => void)(ajv);
  ajv.addVocabulary(['components', 'discriminator']);
  ajv.addSchema({ components: document.components }, 'api');
  const schemas = document.components?.schemas ?? {};
  expect(Object.keys(schemas).length).toBeGreaterThan(90);
  for (const [name, schema] of Object.entries(schemas)) {
    expect(() => ajv.compile({ $ref: `api#/components/schemas/${name}` })).not.toThrow();
    expect({ name, closed: (schema as { additionalProperties?: unknown }).additionalProperties }).toEqual({ name, closed: false });
  }
});

test('both ways of signing in are described, and each route says which it takes', () => {
  expect(document.components?.securitySchemes).toMatchObject({
    device: { type: 'http', scheme: 'bearer' },
    person: { type: 'apiKey', in: 'cookie', name: 'bunkhouse_session' },
  });
  for (const { path, way, operation } of operations()) {
    const right = operation['x-right'];
    const scheme = right === 'device' ? [{ device: [] }] : right === 'anybody' ? [] : [{ person: [] }];
    expect({ path, way, security: operation.security }).toEqual({ path, way, security: scheme });
    if (right !== 'anybody') expect({ path, way, answers: Object.keys(operation.responses) }).toMatchObject({ answers: expect.arrayContaining(['401']) });
  }
  expect(new Set(operations().map(({ operation }) => operation['x-right']))).toEqual(new Set(['anybody', 'device', 'look', 'record', 'plan', 'run']));
});

test('a request is described by the very rules that refuse it', () => {
  const schemas = document.components?.schemas as Record<string, { properties: Record<string, object>; required: string[] }>;
  expect(schemas.PieceRequest?.properties.greenG).toEqual({ type: 'number', minimum: 100, maximum: 60000 });
  expect(schemas.BatchRequest?.properties.pieces).toMatchObject({ type: 'array', minItems: 1, items: { $ref: '#/components/schemas/PieceRequest' } });
  expect(schemas.BatchRequest?.required).toContain('sugarPercent');
  // Salt and water are not asked for where a label says how much, or a rub has none.
  expect(schemas.BatchRequest?.required).not.toContain('saltPercent');
  expect(schemas.BatchRequest?.required).not.toContain('readyBy');
  expect(schemas.SettingsRequest?.properties.rawDays).toEqual({ anyOf: [{ type: 'integer', minimum: 30, maximum: 36500 }, { type: 'null' }] });
  expect(schemas.SettingsRequest?.required).toContain('rawDays');
  const ledger = document.paths['/api/ledger']?.get?.parameters as { name: string; required: boolean; schema: object }[];
  expect(ledger.find(({ name }) => name === 'skip')).toMatchObject({ required: false, schema: { type: 'integer', minimum: 0 } });
});

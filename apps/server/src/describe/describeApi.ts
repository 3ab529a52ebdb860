import type { Right } from '@bunkhouse/api';
import { refsIn, schemasNamed, withMappings } from '@bunkhouse/api/schema';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { SESSION_COOKIE } from '../crew/asked.js';
import { VERSION } from '../health/version.js';

const SCHEMAS = '#/components/schemas/';
const REFUSAL = `${SCHEMAS}ErrorResponse`;
type Operation = NonNullable<OpenAPIObject['paths'][string]['get']> & { 'x-right'?: Right };
const WAYS = ['get', 'post', 'put', 'delete', 'patch'] as const;

/**
 * The whole API, described: every request and every answer by the rules of its class in packages/api, and nowhere else. Who signs in, and what
 * any route may refuse, is said here once.
 */
export function describeApi(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder()
    .setOpenAPIVersion('3.1.0')
    .setTitle('Bunkhouse')
    .setDescription('Wet-cured meat from raw cut to record. Weights in g, sizes in mm, temperatures in °C, times as ISO instants.')
    .setVersion(VERSION)
    .setLicense('MIT', 'https://opensource.org/license/mit')
    .addServer('/')
    .addBearerAuth(
      { type: 'http', scheme: 'bearer', description: 'The token of a device, which was shown once. It hands readings and weights in, nothing else.' },
      'device',
    )
    .addCookieAuth(
      SESSION_COOKIE,
      {
        type: 'apiKey',
        in: 'cookie',
        name: SESSION_COOKIE,
        description: 'A person, signed in by POST /api/session. x-right says what a person must be allowed to.',
      },
      'person',
    )
    .build();
  const document = SwaggerModule.createDocument(app, config);
  for (const path of Object.values(document.paths))
    for (const way of WAYS) {
      const operation = path[way];
      if (operation !== undefined) complete(operation);
    }
  const names = [...new Set(refsIn(document.paths, SCHEMAS))];
  const schemas = withMappings(schemasNamed(names, SCHEMAS), SCHEMAS);
  document.components = { ...document.components, schemas: schemas as NonNullable<OpenAPIObject['components']>['schemas'] };
  return document;
}

/** Who may, and what is answered where something is in the way. */
function complete(operation: Operation): void {
  const right = operation['x-right'];
  operation.security = right === 'device' ? [{ device: [] }] : right === undefined || right === 'anybody' ? [] : [{ person: [] }];
  const refusals: [number, string, boolean][] = [
    [400, 'Something that was sent cannot be: each fault at its field', operation.requestBody !== undefined || (operation.parameters ?? []).length > 0],
    [401, 'Nobody is signed in, or no device has this token', right !== 'anybody'],
    [403, 'Whoever asks may not, or another site’s page sent it', true],
    [413, 'That is too much at once', operation.requestBody !== undefined],
    [415, 'It was sent packed, or as something that is not taken', operation.requestBody !== undefined],
    [503, 'The database does not answer just now; nothing was written', true],
  ];
  for (const [status, description, may] of refusals) if (may) operation.responses[String(status)] ??= { description };
  // A refusal is JSON, whatever the answer would have been.
  for (const [status, response] of Object.entries(operation.responses))
    if (Number(status) >= 400 && isRefusal(response)) Object.assign(response ?? {}, { content: { 'application/json': { schema: { $ref: REFUSAL } } } });
}

/** Whether nothing else is said of an answer's content: health has one of its own. */
const isRefusal = (response: unknown): boolean => refsIn(response, SCHEMAS).every((name) => name === 'ErrorResponse');

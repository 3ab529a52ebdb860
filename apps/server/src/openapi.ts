import { ALARM_MINUTES, DEVICE_KINDS, MOST_POSTED, ROLES } from '@bunkhouse/api';
import { LOT_KINDS, MOST_PIECES, PRODUCTS, SCHOOLS, TOOL_KINDS, VERDICTS } from '@bunkhouse/core';
import type { INestApplication } from '@nestjs/common';
import { DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import { VERSION } from './health/version.js';

type Schema = NonNullable<NonNullable<OpenAPIObject['components']>['schemas']>[string];

export const ERROR_SCHEMA = { schema: { $ref: '#/components/schemas/ErrorResponse' } };

const text: Schema = { type: 'string' };
const instant: Schema = { type: 'string', format: 'date-time' };
const grams: Schema = { type: 'number', description: 'g' };
const orNull = (schema: Schema): Schema => ({ ...schema, nullable: true });
const object = (properties: Record<string, Schema>, optional: string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((key) => !optional.includes(key)),
});

const RESPONSES: Record<string, Schema> = {
  ErrorResponse: object(
    {
      statusCode: { type: 'integer' },
      message: { type: 'string', description: 'a sentence that a cook understands' },
      errors: { type: 'array', items: object({ field: text, message: text }) },
    },
    ['errors'],
  ),
  HealthResponse: object({ status: { type: 'string', enum: ['ok', 'down'] }, database: text, version: text }),
  HouseResponse: object({
    name: text,
    demo: { type: 'boolean' },
    settings: { type: 'object', additionalProperties: true, description: 'how the house shows numbers, what it goes by: see SettingsRequest' },
  }),
  LogEntry: {
    ...object(
      {
        id: { type: 'string', format: 'uuid' },
        seq: { type: 'integer' },
        kind: { type: 'string', enum: ['done', 'skipped', 'correction', 'withdrawn', 'ended', 'replanned', 'pit', 'pieces', 'lot', 'note'] },
        by: text,
        sentBy: { type: 'string', description: 'who was signed in on the device that handed it in, where that was somebody else' },
        at: instant,
        recordedAt: instant,
      },
      ['sentBy'],
    ),
    description: 'done and skipped name a stepId, correction and withdrawn the entry they replace; done and correction carry values in g and °C',
    additionalProperties: true,
  },
  BatchResponse: object(
    {
      id: { type: 'string', format: 'uuid' },
      code: text,
      design: { type: 'object', additionalProperties: true, description: 'what was decided at the start' },
      process: { type: 'object', additionalProperties: true, description: 'the steps, as they were when the batch was started' },
      entries: { type: 'array', items: { $ref: '#/components/schemas/LogEntry' } },
      createdBy: text,
      createdAt: instant,
      origin: object({
        batchId: { type: 'string', format: 'uuid' },
        code: text,
        sharedEntries: { type: 'integer', description: 'the first entries of the log, which the two share' },
        line: { type: 'array', items: { type: 'string', format: 'uuid' }, description: 'every batch that it was cut from, the nearest first' },
      }),
    },
    ['origin'],
  ),
  FamilyMember: object({
    id: { type: 'string', format: 'uuid' },
    code: text,
    name: text,
    from: orNull({ type: 'string', format: 'uuid' }),
    greenG: grams,
    packedG: orNull(grams),
    outcome: { type: 'string', enum: ['live', 'finished', 'thrownAway'] },
  }),
};

const observed: Record<string, Schema> = {
  id: { type: 'string', description: 'the entry and the piece' },
  batchId: { type: 'string', format: 'uuid' },
  code: text,
  name: text,
  piece: text,
  by: text,
  at: instant,
  leftOut: { type: 'boolean' },
};
const number = (description: string): Schema => ({ type: 'number', description });
RESPONSES.HousePlan = object({
  hours: object({
    timeZone: text,
    week: {
      type: 'array',
      minItems: 7,
      maxItems: 7,
      description: 'from Sunday',
      items: { type: 'array', items: object({ fromMin: number('from midnight, min'), toMin: number('from midnight, min') }) },
    },
    daysOff: { type: 'array', items: { type: 'string', format: 'date' } },
    hands: { type: 'integer' },
    nightWatch: { type: 'array', items: text, description: 'stations whose jobs are done at night, too' },
  }),
  resources: {
    type: 'array',
    items: object(
      {
        id: text,
        name: text,
        kind: { type: 'string', enum: ['refrigerator', 'smoker', 'tub'] },
        capacity: number('L, racks or tubs'),
        closed: { type: 'array', description: 'when it is out of order', items: object({ from: instant, to: instant, why: text }) },
      },
      ['closed'],
    ),
  },
});
const reading = object({ at: instant, C: number('°C') });
const list = (schema: Schema): Schema => ({ type: 'array', items: schema });
RESPONSES.DeviceResponse = object({
  id: { type: 'string', format: 'uuid' },
  name: text,
  kind: { type: 'string', enum: [...DEVICE_KINDS] },
  channels: list(object({ channel: { type: 'integer' }, name: text, last: orNull(reading) })),
  store: orNull({ type: 'string', description: 'the refrigerator that a logger hangs in, by its id in the plan of the house' }),
  weight: orNull(object({ g: number('g'), stable: { type: 'boolean', description: 'false while it still settled' }, at: instant })),
  simulated: { type: 'boolean', description: 'nobody measured what it reads' },
  createdBy: text,
  createdAt: instant,
  heardAt: orNull(instant),
});
RESPONSES.DeviceTokenResponse = object({ device: { $ref: '#/components/schemas/DeviceResponse' }, token: { type: 'string', description: 'shown once' } });
RESPONSES.TakenResponse = object({
  taken: { type: 'integer' },
  known: { type: 'integer', description: 'were there already, with the same temperature' },
  refused: list(object({ line: { type: 'integer', description: 'place in the list, from 0' }, reason: text })),
});
RESPONSES.SeriesResponse = object({
  everyS: number('length of a step, s'),
  channels: list(
    object({
      device: { type: 'string', format: 'uuid' },
      channel: { type: 'integer' },
      at: list(number('ms since 1970: mean time of the step')),
      C: list(number('mean, °C')),
      low: list(number('°C')),
      high: list(number('°C')),
    }),
  ),
});
const words = (schema: string[]): Schema => ({ type: 'string', enum: schema });
const trend: Record<string, Schema> = {
  id: { type: 'string', format: 'uuid' },
  code: text,
  product: words([...PRODUCTS]),
  endedAt: instant,
  yieldPercent: orNull(number('% of green weight')),
  saltPercent: number('when even, % of meat and water'),
  taste: orNull(words([...VERDICTS])),
  cureDays: orNull(number('days')),
  thicknessMm: number('mm'),
};
RESPONSES.TrendPoint = object(trend);
RESPONSES.LedgerRow = object({
  ...trend,
  name: text,
  school: words([...SCHOOLS]),
  recipe: orNull(object({ id: text, version: { type: 'integer' } })),
  cutFrom: orNull({ type: 'string', description: 'the code of the batch that it was cut from' }),
  startedAt: instant,
  outcome: words(['finished', 'thrownAway']),
  greenG: grams,
  pulledG: orNull(grams),
  packedG: orNull(grams),
  nitritePpm: number('ingoing, mg NaNO2 per kg'),
  pumpPercent: orNull(number('% of green weight')),
  soakMin: orNull(number('min')),
  coreC: orNull(number('°C, the lowest place')),
  deviations: { type: 'integer' },
  borne: list(object({ of: words([...LOT_KINDS]), lot: { type: 'string', format: 'uuid' }, g: number('g') })),
  costPerKg: orNull(number('materials for each kilogram packed, in the house’s money')),
  by: text,
});
RESPONSES.LedgerResponse = object({
  total: { type: 'integer' },
  greenG: grams,
  packedG: grams,
  yieldPercent: orNull(number('mean, % of green weight')),
  rows: list({ $ref: '#/components/schemas/LedgerRow' }),
});
const day: Schema = { type: 'string', format: 'date' };
RESPONSES.LotResponse = object({
  id: { type: 'string', format: 'uuid' },
  kind: words([...LOT_KINDS]),
  name: text,
  number: text,
  supplier: text,
  receivedOn: day,
  bestBefore: orNull(day),
  amountG: grams,
  takenG: grams,
  price: orNull(number('what all of it cost, in the house’s money')),
  batches: { type: 'integer' },
  putAway: { type: 'boolean' },
  by: text,
  at: instant,
});
RESPONSES.LotBatch = object({
  id: { type: 'string', format: 'uuid' },
  code: text,
  name: text,
  outcome: words(['live', 'finished', 'thrownAway']),
  g: grams,
  at: instant,
  by: text,
});
RESPONSES.ToolResponse = object({
  id: { type: 'string', format: 'uuid' },
  name: text,
  size: { ...object({ kind: words([...TOOL_KINDS]) }), additionalProperties: true, description: 'with the size that matters of its kind: g, mm or °C' },
  putAway: { type: 'boolean' },
  by: text,
  at: instant,
  checks: list(
    object({
      id: { type: 'string', format: 'uuid' },
      by: text,
      at: instant,
      reading: { type: 'object', additionalProperties: true, description: 'what it showed in ice, boiling or plain water' },
    }),
  ),
});
const place = { x: number('share of the width'), y: number('share of the height') };
RESPONSES.PictureResponse = object({
  id: { type: 'string', format: 'uuid' },
  batchId: { type: 'string', format: 'uuid' },
  piece: text,
  width: { type: 'integer' },
  height: { type: 'integer' },
  by: text,
  at: instant,
  reading: orNull(
    object({
      marks: object({ meat: object({ ...place, rx: number('half its width'), ry: number('half its height') }), pink: object(place), grey: object(place) }),
      shares: object({
        greyPercent: number('% of the face'),
        low: number('%'),
        high: number('%'),
        neitherPercent: number('% that is close to neither mark'),
        apart: number('how different the marks are'),
      }),
      by: text,
      at: instant,
    }),
  ),
});
const fate = words(['new', 'known', 'longer', 'differs']);
RESPONSES.ImportResponse = object({
  written: { type: 'boolean', description: 'false for a preview' },
  house: text,
  recipes: list(object({ id: text, name: text, fate })),
  batches: list(
    object(
      {
        id: { type: 'string', format: 'uuid' },
        code: text,
        name: text,
        fate,
        as: { type: 'string', description: 'the code that it gets here, where its own is taken' },
      },
      ['as'],
    ),
  ),
  devices: { type: 'integer' },
  lots: { type: 'integer' },
  readings: { type: 'integer', description: 'five minutes of a channel each' },
});
RESPONSES.RecipeResponse = object({
  id: text,
  putAway: { type: 'boolean' },
  versions: list(
    object({
      version: { type: 'integer' },
      recipe: { type: 'object', additionalProperties: true, description: 'see docs/formats.md' },
      reason: text,
      by: text,
      at: instant,
    }),
  ),
});
RESPONSES.PersonResponse = object({
  id: { type: 'string', format: 'uuid' },
  name: text,
  role: words([...ROLES]),
  endsAt: orNull(instant),
  putAway: { type: 'boolean' },
  hasPin: { type: 'boolean' },
  hasPassword: { type: 'boolean' },
  pinClosed: { type: 'boolean' },
  seenAt: orNull(instant),
});
RESPONSES.SessionResponse = object({
  house: text,
  demo: { type: 'boolean' },
  first: orNull({ ...words(['here', 'elsewhere']), description: 'nobody is of the crew yet: the head cook is made here, or at the machine itself' }),
  person: orNull(object({ id: { type: 'string', format: 'uuid' }, name: text, role: words([...ROLES]) })),
  locked: { type: 'boolean' },
  tablet: orNull(text),
  people: list(object({ name: text, pin: { type: 'string', description: 'in the made-up house only' } }, ['pin'])),
  lockMin: orNull({ type: 'integer' }),
});
RESPONSES.OpenSession = object({
  id: { type: 'string', format: 'uuid' },
  name: text,
  by: words(['pin', 'password']),
  tablet: orNull(text),
  device: text,
  startedAt: instant,
  seenAt: instant,
  here: { type: 'boolean' },
});
RESPONSES.TabletResponse = object({ id: { type: 'string', format: 'uuid' }, name: text, madeBy: text, madeAt: instant, seenAt: orNull(instant) });
RESPONSES.CalendarFeedResponse = object({
  path: orNull({ type: 'string', description: 'the secret address on this server' }),
  alarmMin: orNull({ type: 'integer', description: 'minutes before a job at which a telephone rings' }),
});
RESPONSES.LearntResponse = object({
  diffusivity: object({
    value: number('m²/s at 3 °C'),
    low: number('one piece in ten lies under it'),
    high: number('one piece in ten lies over it'),
    cutFaces: { type: 'integer' },
  }),
  cutFaces: {
    type: 'array',
    items: object({
      ...observed,
      colouredMm: number('how deep the colour reached, mm'),
      halfMm: number('from rim to middle, mm'),
      expectedMm: number('how deep the model says, mm'),
    }),
  },
  taste: object({ percent: number('salt that tastes right at the edge, %'), spread: number('one standard deviation, %'), verdicts: { type: 'integer' } }),
  tasted: {
    type: 'array',
    items: object({
      ...observed,
      edgePercent: number('salt of the outermost meat by the model, %'),
      verdict: { type: 'string', enum: [...VERDICTS] },
      impliedPercent: number('what it alone would put the taste at, %'),
    }),
  },
});

/** The whole API, described: requests from the rules that validate them, responses from here. */
export function describeApi(app: INestApplication): OpenAPIObject {
  const config = new DocumentBuilder()
    .setTitle('Bunkhouse')
    .setDescription('Wet-cured meat from raw cut to record. Weights in g, temperatures in °C, times as ISO instants.')
    .setVersion(VERSION)
    .addBearerAuth({ type: 'http', scheme: 'bearer', description: 'the token of a device' })
    .build();
  const document = SwaggerModule.createDocument(app, config);
  const requests = validationMetadatasToSchemas({ refPointerPrefix: '#/components/schemas/' }) as Record<string, Schema>;
  // The decorators know that pieces is an array, not of what.
  const pieces: Schema = { type: 'array', items: { $ref: '#/components/schemas/PieceRequest' }, minItems: 1, maxItems: MOST_PIECES };
  const batchRequest = requests.BatchRequest as { properties: Record<string, Schema> };
  batchRequest.properties.pieces = pieces;
  const planRequest = requests.HousePlanRequest as { properties: Record<string, Schema> };
  planRequest.properties.week = { type: 'array', items: { $ref: '#/components/schemas/DayRequest' }, minItems: 7, maxItems: 7 };
  planRequest.properties.resources = { type: 'array', items: { $ref: '#/components/schemas/ResourceRequest' }, maxItems: 40 };
  const storeRequest = requests.ResourceRequest as { properties: Record<string, Schema> };
  storeRequest.properties.closed = { type: 'array', items: { $ref: '#/components/schemas/ClosedRequest' }, maxItems: 20 };
  const feedRequest = requests.CalendarFeedRequest as { properties: Record<string, Schema> };
  feedRequest.properties.alarmMin = { type: 'integer', enum: [...ALARM_MINUTES, null], nullable: true };
  const deviceRequest = requests.DeviceRequest as { properties: Record<string, Schema> };
  deviceRequest.properties.channels = { type: 'array', items: { $ref: '#/components/schemas/ChannelRequest' }, minItems: 1, maxItems: 64 };
  for (const name of ['ReadingsRequest', 'BroughtReadingsRequest']) {
    const readingsRequest = requests[name] as { properties: Record<string, Schema> };
    readingsRequest.properties.readings = {
      type: 'array',
      maxItems: MOST_POSTED,
      items: { type: 'object', properties: { channel: { type: 'integer' }, at: instant, C: number('°C; or F, °F') }, required: ['channel', 'at'] },
    };
  }
  batchRequest.properties.diffusivity = { $ref: '#/components/schemas/DiffusivityRequest' };
  const logRequest = requests.LogEntryRequest as { properties: Record<string, Schema> };
  logRequest.properties.recipe = { $ref: '#/components/schemas/RecipeOfBatch' };
  batchRequest.properties.recipe = { $ref: '#/components/schemas/RecipeOfBatch' };
  batchRequest.properties.cure = { $ref: '#/components/schemas/CureRequest' };
  document.components = { ...document.components, schemas: { ...document.components?.schemas, ...requests, ...RESPONSES } };
  return document;
}

import { LOG_ENTRY_KINDS, LOT_KINDS, MEDIA, PRODUCTS, SCHOOLS, STATIONS, TENDING_ACTS, TOOL_KINDS } from '@bunkhouse/core';

import { DEVICE_KINDS } from './deviceRequest.js';

/** The version of the documents that are written; older ones are read, too. */
export const BOOK_VERSION = 2;

type Schema = Readonly<Record<string, unknown>>;

const object = (properties: Record<string, Schema>, optional: readonly string[] = []): Schema => ({
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  additionalProperties: false,
});
const list = (items: Schema, maxItems: number): Schema => ({ type: 'array', items, maxItems });
const text = (maxLength: number, more: Schema = {}): Schema => ({ type: 'string', maxLength, ...more });
const words = (of: readonly string[]): Schema => ({ type: 'string', enum: of });
const number = (description: string, more: Schema = {}): Schema => ({ type: 'number', description, ...more });
const uuid: Schema = { type: 'string', format: 'uuid' };
const instant: Schema = { type: 'string', format: 'date-time' };
const slug = text(60, { pattern: '^[a-z0-9-]+$' });
const name = text(60, { minLength: 1 });
const who = text(40, { minLength: 1 });
const whole: Schema = { type: 'integer', minimum: 1 };
const grams = number('g', { minimum: 0, maximum: 1e6 });
const celsius = number('°C', { minimum: -50, maximum: 400 });
const ref = (to: string): Schema => ({ $ref: `#/$defs/${to}` });

const program = list(
  object(
    {
      name: text(40, { minLength: 1 }),
      chamberC: celsius,
      medium: words(MEDIA),
      smoke: { type: 'boolean' },
      pan: { type: 'boolean' },
      untilMin: number('min from the meat going on', { exclusiveMinimum: 0 }),
      untilCoreC: celsius,
      first: list(words(TENDING_ACTS), 8),
      repeats: list(object({ act: words(TENDING_ACTS), everyMin: number('min', { minimum: 5 }) }), 8),
      marks: list(object({ act: words(TENDING_ACTS), atCoreC: celsius }), 8),
    },
    ['untilMin', 'untilCoreC', 'first'],
  ),
  12,
);
const size = number('mm', { exclusiveMinimum: 0, maximum: 1500 });
const section: Schema = {
  type: 'object',
  required: ['shape'],
  properties: {
    shape: words(['slab', 'round', 'ellipse', 'rectangle']),
    thicknessMm: size,
    diameterMm: size,
    widthMm: size,
    heightMm: size,
    bone: object({ diameterMm: size, xMm: number('mm'), yMm: number('mm') }, ['xMm', 'yMm']),
    closedSide: words(['top', 'bottom']),
    fatCapMm: number('mm', { minimum: 0, maximum: 100 }),
  },
  additionalProperties: false,
};
const percent = number('%', { minimum: 0, maximum: 130 });
const cure = object({ name, nitritePercent: percent, nitratePercent: percent, saltPercent: percent, sugarPercent: percent, mayPump: { type: 'boolean' } }, [
  'sugarPercent',
  'mayPump',
]);
const days = object({ shortest: number('days'), usual: number('days'), longest: number('days') });
const cureDays = object(Object.fromEntries(SCHOOLS.map((school) => [school, days])));
const spices = list(object({ name, gPerKg: number('g for each kg of meat', { exclusiveMinimum: 0, maximum: 100 }) }), 24);
const hours = number('h', { minimum: 0, maximum: 10_000 });
const share = object({ low: number('share'), high: number('share') });

const recipe = object(
  {
    name,
    product: words(PRODUCTS),
    prefix: text(4, { pattern: '^[A-Z]{1,4}$' }),
    school: words(SCHOOLS),
    piece: object({ greenG: grams, section, lengthMm: size }),
    trim: text(400),
    saltPercent: percent,
    sugarPercent: percent,
    nitritePpm: number('ingoing, mg NaNO2 per kg', { minimum: 0, maximum: 700 }),
    strongSaltPercent: number('% of the brine', { minimum: 6, maximum: 26 }),
    cure,
    waterPerMeat: number('kg for each kg of meat', { exclusiveMinimum: 0 }),
    pumpPercent: percent,
    repumpPercent: percent,
    pickleSaltPercent: percent,
    spices,
    cureDays,
    turnEveryH: hours,
    soakH: hours,
    dryH: hours,
    program,
    cookH: hours,
    restH: hours,
    coreTargetC: celsius,
    firstGateH: hours,
    secondGateH: hours,
    evenOutH: hours,
    packedPercent: share,
    checks: list(object({ station: words(STATIONS), say: text(200) }), 24),
    note: text(2000),
  },
  ['strongSaltPercent'],
);

const input: Schema = {
  type: 'object',
  required: ['kind', 'name', 'label'],
  properties: {
    kind: words(['mass', 'temperature', 'depth', 'choice']),
    name: text(40, { pattern: '^[A-Za-z0-9]+$' }),
    label: text(120),
    each: words(['piece']),
    of: words(['core', 'rawCore', 'coolingCore', 'chamber', 'water', 'brine', 'cold']),
    optional: { type: 'boolean' },
    allowZero: { type: 'boolean' },
    options: list(object({ value: text(40), label: text(120) }), 20),
  },
  additionalProperties: false,
};
const limits = object({ cured: number('°C or h'), uncured: number('°C or h') });
const step = object(
  {
    id: slug,
    station: words(STATIONS),
    title: text(120),
    act: text(120),
    task: text(4000),
    needs: list(slug, 20),
    after: {
      oneOf: [object({ step: slug, h: hours }), object({ step: slug, cureShare: number('share of the days of cure', { minimum: 0, maximum: 2 }) })],
    },
    stretch: object({ leastH: hours, mostH: hours }),
    handsMin: number('min', { minimum: 0 }),
    graceH: hours,
    inputs: list(input, 20),
    gates: list(
      object(
        {
          inputs: list(text(40), 10),
          max: number(''),
          min: number(''),
          oneOf: list(text(40), 20),
          onFail: words(['reason', 'again', 'stop']),
          againH: hours,
          reasonFrom: number(''),
          say: text(400),
        },
        ['max', 'min', 'oneOf', 'againH', 'reasonFrom'],
      ),
      10,
    ),
    notBeforeCureShare: object({ step: slug, share: number('share'), say: text(400) }),
    cooling: object({ gate: { enum: [0, 1] }, fromC: celsius, toC: limits, limitH: limits, say: text(400) }, ['gate', 'fromC', 'toC', 'limitH']),
    missable: { type: 'boolean' },
    skippable: { type: 'boolean' },
    skippedWith: slug,
    only: words(SCHOOLS),
    repeatEveryH: number('h', { exclusiveMinimum: 1 }),
  },
  ['stretch', 'handsMin', 'notBeforeCureShare', 'cooling', 'missable', 'skippable', 'skippedWith', 'only', 'repeatEveryH'],
);
const process = object(
  {
    product: words(PRODUCTS),
    version: whole,
    name,
    prefix: text(4, { pattern: '^[A-Z]{1,4}$' }),
    cureDays,
    usual: object(
      {
        school: words(SCHOOLS),
        greenG: grams,
        section,
        lengthMm: size,
        saltPercent: percent,
        sugarPercent: percent,
        waterPerMeat: number(''),
        pumpPercent: percent,
        repumpPercent: percent,
        pickleSaltPercent: percent,
        packedShare: share,
        nitritePpm: number('ppm'),
        strongSaltPercent: percent,
        cure,
        spices,
      },
      ['packedShare', 'nitritePpm', 'strongSaltPercent', 'cure', 'spices'],
    ),
    coreTargetC: celsius,
    program,
    notAboveGreen: { type: 'boolean' },
    steps: list(step, 60),
    note: text(2000),
    recipe: object({ id: slug, version: whole }),
  },
  ['program', 'note', 'recipe'],
);

const design = object(
  {
    product: words(PRODUCTS),
    pieces: { ...list(object({ code: text(4, { pattern: '^[A-Z0-9]+$' }), greenG: grams, section, lengthMm: size }), 12), minItems: 1 },
    school: {
      oneOf: [
        object({ kind: { const: 'equilibrium' }, waterG: grams, strongSaltPercent: percent }, ['strongSaltPercent']),
        object({
          kind: { const: 'pumpAndCover' },
          waterG: grams,
          pumpPercent: percent,
          repumpPercent: percent,
          pickleSaltPercent: percent,
          syringeML: number('mL', { exclusiveMinimum: 0 }),
          spacingMm: size,
        }),
      ],
    },
    saltPercent: percent,
    sugarPercent: percent,
    nitritePpm: number('ingoing, mg NaNO2 per kg', { minimum: 0, maximum: 2000 }),
    cure,
    acceleratorPpm: number('ascorbate or erythorbate, mg per kg', { minimum: 0, maximum: 550 }),
    ruleSet: words(['us', 'canada', 'eu', 'uk', 'house']),
    house: object({
      name,
      limit: number('ppm'),
      bellyLimit: number('ppm'),
      dryLimit: number('ppm'),
      dryBellyLimit: number('ppm'),
      floor: number('ppm'),
      usualTarget: number('ppm'),
      source: text(200),
    }),
    cureDays: number('days', { minimum: 0.5, maximum: 60 }),
    coldC: celsius,
    stepAt: { type: 'object', additionalProperties: instant, maxProperties: 120 },
    readyBy: instant,
    stores: { type: 'object', additionalProperties: slug, maxProperties: 10 },
    program,
    soakMin: number('min', { minimum: 0 }),
    diffusivity: object({ value: number('m²/s'), low: number('m²/s'), high: number('m²/s'), cutFaces: { type: 'integer', minimum: 0 } }),
    meatScaleStepG: number('g', { exclusiveMinimum: 0 }),
    cureScaleStepG: number('g', { exclusiveMinimum: 0 }),
    startsAt: instant,
  },
  ['acceleratorPpm', 'house', 'coldC', 'stepAt', 'readyBy', 'stores', 'program', 'soakMin', 'diffusivity'],
);

const values: Schema = {
  type: 'object',
  maxProperties: 80,
  propertyNames: { pattern: '^[A-Za-z0-9]{1,40}(:[A-Z0-9]{1,4})?$' },
  additionalProperties: { type: ['number', 'string'], maxLength: 80 },
};
const piece = text(10, { pattern: '^[A-Za-z0-9]+$' });
const event: Schema = {
  type: 'object',
  required: ['act'],
  properties: {
    act: text(20),
    piece,
    probes: list(object({ device: uuid, channel: { type: 'integer', minimum: 1, maximum: 64 }, reads: piece, targetC: celsius }, ['targetC']), 24),
    placesC: list(celsius, 6),
    probeC: celsius,
    waterC: celsius,
    alarm: text(80),
    staysG: grams,
    goesG: grams,
    offG: grams,
    weighsG: grams,
    to: text(40),
  },
  additionalProperties: false,
};
const entry = object(
  {
    id: uuid,
    seq: whole,
    kind: words(LOG_ENTRY_KINDS),
    by: who,
    sentBy: who,
    at: instant,
    recordedAt: instant,
    stepId: slug,
    replaces: uuid,
    values,
    changes: { type: 'object', maxProperties: 20, description: 'see DesignChanges of the core' },
    event,
    draw: object({ of: words(LOT_KINDS), lot: uuid, g: grams }),
    read: object(
      {
        tool: uuid,
        name: text(40),
        isChecked: { type: 'boolean' },
        shown: { type: 'object', propertyNames: { pattern: '^[A-Za-z][A-Za-z0-9]{0,39}(:[A-Z0-9]{1,4})?$' }, maxProperties: 60, additionalProperties: celsius },
      },
      ['isChecked'],
    ),
    reason: text(1000),
  },
  ['sentBy', 'stepId', 'replaces', 'values', 'changes', 'event', 'draw', 'read', 'reason'],
);

const batch = object(
  {
    id: uuid,
    code: text(40, { pattern: '^[A-Z]{1,4}-[0-9]{1,9}[a-z0-9-]*$' }),
    createdBy: who,
    createdAt: instant,
    design,
    process,
    cutFrom: uuid,
    cutAfter: whole,
    entries: list(entry, 5000),
  },
  ['cutFrom', 'cutAfter'],
);

const device = object(
  {
    id: uuid,
    name: text(60, { minLength: 1 }),
    kind: words(DEVICE_KINDS),
    channels: list(object({ channel: { type: 'integer', minimum: 1, maximum: 64 }, name: text(60) }), 64),
    store: { anyOf: [slug, { type: 'null' }] },
    simulated: { type: 'boolean' },
    createdBy: who,
    createdAt: instant,
  },
  ['store'],
);

const checked: Schema = {
  type: 'object',
  required: ['kind'],
  properties: {
    kind: words(['thermometer', 'hydrometer']),
    iceC: number('°C', { minimum: -10, maximum: 10 }),
    boilC: number('°C', { minimum: 70, maximum: 110 }),
    altitudeM: number('m above the sea', { minimum: -450, maximum: 5000 }),
    waterReads: number('by its own scale', { minimum: -10, maximum: 20 }),
    waterC: number('°C', { minimum: 0, maximum: 40 }),
  },
  additionalProperties: false,
};
const tool = object({
  id: uuid,
  name: text(40, { minLength: 1 }),
  size: {
    type: 'object',
    required: ['kind'],
    properties: {
      kind: words(TOOL_KINDS),
      stepC: number('°C', { exclusiveMinimum: 0, maximum: 5 }),
      device: uuid,
      channel: { type: 'integer', minimum: 1, maximum: 64 },
      scale: words(['sg60F', 'salometer', 'baume']),
      calibrationC: number('°C', { minimum: 4, maximum: 30 }),
      stepG: number('g', { exclusiveMinimum: 0, maximum: 1000 }),
      mostG: number('g', { exclusiveMinimum: 0, maximum: 1e6 }),
      lengthMm: size,
      holes: { type: 'integer', minimum: 1, maximum: 60 },
    },
    additionalProperties: false,
  },
  putAway: { type: 'boolean' },
  by: who,
  at: instant,
  checks: list(object({ id: uuid, by: who, at: instant, reading: checked }), 2000),
});

const place = { x: number('share of the width', { minimum: 0, maximum: 1 }), y: number('share of the height', { minimum: 0, maximum: 1 }) };
const half = number('share', { minimum: 0.02, maximum: 1 });
const share100 = number('%', { minimum: 0, maximum: 100 });
const picture = object({
  id: uuid,
  batch: uuid,
  piece,
  by: who,
  at: instant,
  jpeg: { type: 'string', contentEncoding: 'base64', contentMediaType: 'image/jpeg', maxLength: 3_000_000, pattern: '^[A-Za-z0-9+/]+={0,2}$' },
  readings: list(
    object({
      id: uuid,
      marks: object({ meat: object({ ...place, rx: half, ry: half }), pink: object(place), grey: object(place) }),
      shares: object({
        greyPercent: share100,
        low: share100,
        high: share100,
        neitherPercent: share100,
        apart: number('CIE L*a*b*', { minimum: 0, maximum: 300 }),
      }),
      by: who,
      at: instant,
    }),
    100,
  ),
});

/** The schema of a book: recipes, batches with their logs, devices and readings. One batch or one recipe is a book with nothing else in it. */
export const BOOK_SCHEMA = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'bunkhouse-book-2',
  title: 'Bunkhouse book, version 2',
  description: 'Weights in g, sizes in mm, temperatures in °C, times as ISO instants. Each batch holds what is its own of the log.',
  ...object(
    {
      format: { const: 'bunkhouse-book' },
      version: { const: BOOK_VERSION },
      exportedAt: instant,
      house: text(80),
      plan: { anyOf: [{ type: 'object', description: 'see HousePlan of the core' }, { type: 'null' }] },
      recipes: list(
        object({
          id: slug,
          putAway: { type: 'boolean' },
          versions: { ...list(object({ version: whole, recipe: ref('recipe'), reason: text(400), by: who, at: instant }), 1000), minItems: 1 },
        }),
        2000,
      ),
      devices: list(ref('device'), 500),
      lots: list(
        object(
          {
            id: uuid,
            kind: words(LOT_KINDS),
            name,
            number: text(40),
            supplier: text(60),
            receivedOn: { type: 'string', format: 'date' },
            bestBefore: { anyOf: [{ type: 'string', format: 'date' }, { type: 'null' }] },
            amountG: number('g', { minimum: 0, maximum: 1e7 }),
            price: { anyOf: [number('in the money of the house', { minimum: 0, maximum: 1e7 }), { type: 'null' }] },
            putAway: { type: 'boolean' },
            by: who,
            at: instant,
          },
          ['bestBefore', 'price'],
        ),
        20_000,
      ),
      tools: list(ref('tool'), 500),
      leftOut: list(object({ id: text(60), by: who, at: instant }), 20_000),
      batches: list(ref('batch'), 20_000),
      pictures: list(ref('picture'), 20_000),
      readings: list(
        object({
          device: uuid,
          channel: { type: 'integer', minimum: 1, maximum: 64 },
          from: { ...instant, description: 'the beginning of five minutes' },
          s: list(number('s from the beginning', { minimum: 0, maximum: 300 }), 3001),
          C: list(celsius, 3001),
        }),
        2_000_000,
      ),
    },
    ['plan', 'readings'],
  ),
  $defs: { recipe, batch, device, tool, picture },
} as const;

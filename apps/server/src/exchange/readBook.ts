import { Ajv2020, type ErrorObject } from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import { serverSays, BOOK_VERSION, type Book, type BookBatch } from '@bunkhouse/api';
import { BOOK_SCHEMA } from '@bunkhouse/api/schema';
import { attempt, changedDesign, checkFaults, replay, requireDesign, requireRecipe, standingEntries, HOUR_MS, type Message } from '@bunkhouse/core';
import { refused } from '../errors/refusals.js';
import { requirePicture } from '../pictures/darkroom.js';

const ajv = new Ajv2020({ strict: true, discriminator: true, strictTypes: false, strictRequired: false, allErrors: false });
(addFormats as unknown as (to: Ajv2020) => void)(ajv);
const isBook = ajv.compile<Book>(BOOK_SCHEMA);

const refuse = (field: string, { code, args, message }: Message) => refused([{ field, code, args, message }]);

/**
 * The book that a document is, looked at from end to end; or a refusal that names the place. Nothing is written by it.
 *
 * @throws BadRequestException
 */
export function readBook(document: unknown): Book {
  const { format, version } = (document ?? {}) as { format?: unknown; version?: unknown };
  if (typeof document !== 'object' || document === null || Array.isArray(document) || format !== 'bunkhouse-book')
    throw refuse('format', serverSays('no-book'));
  if (typeof version === 'number' && version > BOOK_VERSION) throw refuse('version', serverSays('newer-book', { version, most: BOOK_VERSION }));
  if (typeof version === 'number' && version < BOOK_VERSION) return readBook(broughtUp(document, version));
  if (!isBook(document)) throw refuse(...placeOf(isBook.errors ?? []));
  for (const [i, { versions }] of document.recipes.entries()) {
    const sorted = [...versions].sort((a, b) => a.version - b.version);
    if (sorted.some(({ version: n }, k) => n !== k + 1)) throw refuse(`recipes/${i}/versions`, serverSays('recipe-versions-gap'));
    for (const { version: n, recipe } of versions) inPlace(`recipes/${i}, version ${n}`, () => requireRecipe(recipe));
  }
  checkBatches(document.batches);
  checkTools(document.tools);
  checkPictures(document);
  for (const [i, { s, C }] of (document.readings ?? []).entries())
    if (s.length !== C.length) throw refuse(`readings/${i}`, serverSays('times-for-temperatures', { times: s.length, temperatures: C.length }));
  return document;
}

/** What each version had not yet. */
const SINCE: readonly Record<string, unknown>[] = [{ tools: [], pictures: [] }];
/** What came into it while it was written: the first books of version 1 had no lots. */
const ON_THE_WAY: readonly Record<string, unknown>[] = [{ lots: [] }];

/** A document of an earlier version as the next one would have written it. */
function broughtUp(document: object, version: number): object {
  const added = Number.isInteger(version) ? SINCE[version - 1] : undefined;
  if (added === undefined) throw refuse('version', serverSays('no-such-book-version', { version }));
  const early = Object.keys(added).find((name) => Object.hasOwn(document, name));
  if (early !== undefined) throw refuse(early, serverSays('book-version-had-no', { version, name: early }));
  return { ...ON_THE_WAY[version - 1], ...document, ...added, version: version + 1 };
}

function checkTools(tools: Book['tools']): void {
  for (const [i, { size, checks, name }] of tools.entries())
    for (const [k, { reading }] of checks.entries()) {
      const [fault] = checkFaults(size, reading);
      if (fault !== undefined) throw refuse(`tools/${i} (${name})/checks/${k}/${fault.field}`, fault);
    }
}

/** Each belongs to a batch of the book, and is a picture by its head. Whether it opens is seen where it is written. */
function checkPictures({ batches, pictures }: Book): void {
  const pieces = new Map(batches.map(({ id, design }) => [id, new Set(design.pieces.map(({ code }) => code))]));
  for (const [i, { batch, piece, jpeg }] of pictures.entries()) {
    if (pieces.get(batch)?.has(piece) !== true) throw refuse(`pictures/${i}`, serverSays('picture-of-no-piece'));
    requirePicture(Buffer.from(jpeg.slice(0, 64), 'base64'));
  }
}

function checkBatches(batches: readonly BookBatch[]): void {
  const ids = new Set<string>();
  const entryIds = new Set<string>();
  for (const [i, batch] of batches.entries()) {
    const at = `batches/${i} (${batch.code})`;
    if (ids.has(batch.id)) throw refuse(at, serverSays('batch-twice'));
    ids.add(batch.id);
    const first = batch.entries[0]?.seq ?? 1;
    for (const [k, entry] of batch.entries.entries()) {
      if (entryIds.has(entry.id)) throw refuse(`${at}/entries/${k}`, serverSays('entry-twice'));
      entryIds.add(entry.id);
      if (entry.seq < first || (k > 0 && entry.seq <= (batch.entries[k - 1]?.seq ?? 0))) throw refuse(`${at}/entries/${k}`, serverSays('log-out-of-order'));
      if (batch.cutFrom === undefined && entry.seq !== k + 1) throw refuse(`${at}/entries/${k}`, serverSays('entry-missing', { n: k + 1 }));
      if (Date.parse(entry.recordedAt) < Date.parse(entry.at) - HOUR_MS) throw refuse(`${at}/entries/${k}`, serverSays('written-before-done'));
    }
    inPlace(at, () => requireDesign(batch.design));
    if (batch.cutFrom !== undefined) continue;
    inPlace(`${at}/entries`, () => {
      for (const entry of standingEntries(batch.entries)) if (entry.kind === 'replanned') changedDesign(batch.design, batch.process, entry.changes);
      return replay({ ...batch }, Date.parse(batch.entries.at(-1)?.at ?? batch.createdAt));
    });
  }
  for (const [i, { cutFrom, code }] of batches.entries())
    if (cutFrom !== undefined && !ids.has(cutFrom)) throw refuse(`batches/${i} (${code})`, serverSays('cut-from-missing'));
}

/** Whatever the core says of a part, with its place. */
function inPlace(place: string, check: () => unknown): void {
  const tried = attempt(() => {
    try {
      return check();
    } catch (error) {
      // A log that contradicts itself in a way that no check names is no log of ours.
      if (error instanceof TypeError || error instanceof RangeError) throw refuse(place, serverSays('part-contradicts'));
      throw error;
    }
  });
  if ('fault' in tried) throw refuse(`${place}/${tried.fault.field}`, tried.fault);
}

/** The first fault of a document: where, and what in plain words. */
function placeOf(errors: readonly ErrorObject[]): [string, Message] {
  const [error] = errors;
  const place = (error?.instancePath ?? '').replace(/^\//, '').slice(0, 200);
  const what = WRONG[error?.keyword ?? '']?.((error?.params ?? {}) as Record<string, unknown>) ?? serverSays('not-as-written');
  return [place === '' ? 'document' : place, serverSays('book-place', { place: place === '' ? serverSays('whole-document') : place, what })];
}

/** What each rule of the schema says in plain words. */
const WRONG: Readonly<Record<string, (params: Record<string, unknown>) => Message>> = {
  required: ({ missingProperty }) => serverSays('property-missing', { name: String(missingProperty) }),
  additionalProperties: ({ additionalProperty }) => serverSays('property-strange', { name: String(additionalProperty) }),
  type: ({ type }) => serverSays('should-be', { what: String(type) }),
  discriminator: () => serverSays('other-kind'),
  enum: () => serverSays('other-word'),
  const: ({ allowedValue }) => serverSays('should-be', { what: JSON.stringify(allowedValue) }),
  format: ({ format }) => serverSays('no-format', { format: String(format) }),
  maxLength: ({ limit }) => serverSays('letters-over', { most: Number(limit) }),
  maxItems: ({ limit }) => serverSays('items-over', { most: Number(limit) }),
};

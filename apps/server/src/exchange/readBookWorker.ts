import { HttpException } from '@nestjs/common';
import { parentPort, workerData } from 'node:worker_threads';
import type { Book } from '@bunkhouse/api';
import { readBookBytes } from './readBookBytes.js';

/** A part of a book on its way to the thread that writes it: small enough to be taken between two other requests. */
type BookPart = { key: keyof Book; items: unknown[] } | { key: keyof Book; value: unknown };
export type BookAnswer = { part: BookPart } | { done: true } | { refused: unknown };

const ITEMS = 20;

if (parentPort !== null) {
  const port = parentPort;
  const parts = read((workerData as { bytes: Uint8Array }).bytes);
  // One part at a time, when it is asked for.
  port.on('message', () => {
    const next = parts.next();
    port.postMessage(next.done === true ? ({ done: true } satisfies BookAnswer) : next.value);
  });
}

function* read(bytes: Uint8Array): Generator<BookAnswer> {
  let book: Book;
  try {
    book = readBookBytes(bytes);
  } catch (error) {
    if (!(error instanceof HttpException)) throw error;
    yield { refused: error.getResponse() };
    return;
  }
  for (const [name, value] of Object.entries(book) as [keyof Book, unknown][]) {
    if (!Array.isArray(value)) yield { part: { key: name, value } };
    else if (value.length === 0) yield { part: { key: name, items: [] } };
    else for (let i = 0; i < value.length; i += ITEMS) yield { part: { key: name, items: value.slice(i, i + ITEMS) } };
  }
}

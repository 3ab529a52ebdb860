import type { Book } from '@bunkhouse/api';
import { refused } from '../errors/refusals.js';
import { isStorable } from '../errors/storableText.js';
import { requireShape } from './documentShape.js';
import { readBook } from './readBook.js';
import { serverSays } from '@bunkhouse/api';

/**
 * The book that a file is, from its bytes: its shape first, then what it says. Nothing is written by it.
 *
 * @throws BadRequestException
 */
export function readBookBytes(bytes: Uint8Array): Book {
  requireShape(bytes);
  const document = parsed(bytes);
  if (!isStorable(document)) throw refused([{ field: 'document', ...serverSays('unstorable-text') }]);
  return readBook(document);
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(bytes)) as unknown;
  } catch {
    throw refused([{ field: 'document', ...serverSays('no-json') }]);
  }
}

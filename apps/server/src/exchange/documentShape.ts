import { refused } from '../errors/refusals.js';
import { serverSays } from '@bunkhouse/api';

/** Deeper than this no document of ours goes, and no more parts stand in one: what is more is made to hurt. */
const MOST_DEPTH = 40;
const MOST_PARTS = 12_000_000;

const [QUOTE, BACKSLASH, OPEN, CLOSE, OPEN_LIST, CLOSE_LIST, COMMA] = ['"', '\\', '{', '}', '[', ']', ','].map((sign) => sign.charCodeAt(0)) as [
  number,
  number,
  number,
  number,
  number,
  number,
  number,
];

/**
 * Looks over the bytes of a JSON document before anything is made of it: how deep it goes and how many parts it has.
 *
 * @throws BadRequestException for one that no house of ours wrote
 */
export function requireShape(bytes: Uint8Array): void {
  let [depth, parts] = [0, 0];
  for (let i = 0; i < bytes.length; i += 1) {
    const byte = bytes[i];
    if (byte === QUOTE) {
      for (i += 1; i < bytes.length && bytes[i] !== QUOTE; i += 1) if (bytes[i] === BACKSLASH) i += 1;
    } else if (byte === OPEN || byte === OPEN_LIST) {
      depth += 1;
      if (depth > MOST_DEPTH) throw refused([{ field: 'document', ...serverSays('book-too-deep') }]);
    } else if (byte === CLOSE || byte === CLOSE_LIST) depth -= 1;
    else if (byte === COMMA) {
      parts += 1;
      if (parts > MOST_PARTS) throw refused([{ field: 'document', ...serverSays('book-too-many-parts') }]);
    }
  }
}

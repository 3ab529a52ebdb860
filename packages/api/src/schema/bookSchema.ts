import { Book, BOOK_VERSION } from '../book.js';
import { schemasOf, type Schema } from './schemasOf.js';

const { Book: book, ...$defs } = schemasOf([Book], '#/$defs/');

/** The schema of a book, as its classes say it. */
export const BOOK_SCHEMA: Schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: `bunkhouse-book-${BOOK_VERSION}`,
  title: `Bunkhouse book, version ${BOOK_VERSION}`,
  description:
    'Recipes, batches with their logs, devices and readings. One batch or one recipe is a book with nothing else in it. Weights in g, sizes in mm, temperatures in °C, times as ISO instants. Each batch holds what is its own of the log.',
  ...book,
  $defs,
};

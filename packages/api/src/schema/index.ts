export { refsIn, schemasNamed, schemasOf, withMappings, type Schema } from './schemasOf.js';
export { BOOK_SCHEMA } from './bookSchema.js';

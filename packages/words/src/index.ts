export { readerOf } from './readerOf.js';
export { sayTo } from './sayTo.js';

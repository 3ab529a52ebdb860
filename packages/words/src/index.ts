export { readerOf } from './readerOf.js';
export { sayTo } from './sayTo.js';
export { withQuantities } from './withQuantities.js';

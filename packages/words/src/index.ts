export { sayTo, type Language } from './sayTo.js';

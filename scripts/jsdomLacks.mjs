import { TextDecoder, TextEncoder } from 'node:util';

// What every browser has and jsdom does not.
globalThis.TextEncoder ??= TextEncoder;
globalThis.TextDecoder ??= TextDecoder;

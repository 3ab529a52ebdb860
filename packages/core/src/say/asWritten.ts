import type { Message } from './message.js';

/** A sentence that somebody wrote, or that is older than the words: it stands as it is. */
export const asWritten = (text: string): Message => ({ code: 'as-written', args: { text }, message: text });

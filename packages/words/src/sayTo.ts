import { fieldName } from './fieldNames.js';
import { ENGLISH, writtenOut, type Message, type Reader } from '@bunkhouse/core';

/** Sentences by their code, in one language. What it does not know is said in English. */
type Language = Readonly<Partial<Record<string, string>>>;

/**
 * How sentences are said to somebody: in the units, numbers, clock and language that they read. What has no template, since somebody
 * wrote it or it is older than the words, stands as it was written.
 *
 * @example sayTo({ ...PLAIN, temperature: 'F' })(message) // 'Water does not get hotter than 212 °F.'
 */
export function sayTo(reader: Reader, language: Language = ENGLISH): (message: Message) => string {
  const say = ({ code, args, message }: Message): string => {
    const template = language[code] ?? (ENGLISH as Language)[code];
    if (template === undefined) return message;
    return writtenOut(template, typeof args.field === 'string' ? { ...args, field: fieldName(args.field) } : args, reader, say);
  };
  return say;
}

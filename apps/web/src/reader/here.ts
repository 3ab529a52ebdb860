import { ENGLISH, nameSaid, PLAIN, type Message, type Reader } from '@bunkhouse/core';
import { readerOf, sayTo } from '@bunkhouse/words';
import { languageHere } from './language';

/** How whoever holds this device reads, by what they chose and what the house writes. */
export const readerHere = (shown: Pick<Reader, 'system' | 'temperature'>): Reader =>
  readerOf({ ...languageHere(), ...shown }, Intl.DateTimeFormat().resolvedOptions().timeZone);

/** What core says. What the house says of a request comes behind the first screen: before it is there, a refusal is said in plain English. */
let words: Readonly<Record<string, string>> = ENGLISH;
void import('@bunkhouse/api/words').then(
  ({ API_WORDS }) => (words = { ...ENGLISH, ...API_WORDS }),
  () => undefined,
);

let here: Reader = PLAIN;

/** Whoever holds this device reads so from now on. For what is said outside of a screen; a screen asks `useSay`. */
export const setReader = (reader: Reader): void => void (here = reader);

export const sayHere = (message: Message): string => sayTo(here, words)(message);

/** What a step, or something at it, is called here: a batch keeps names in plain English. */
export const nameHere = (kept: string): string => sayHere(nameSaid(kept));

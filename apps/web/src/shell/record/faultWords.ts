import type { EntryFault } from '@bunkhouse/core';
import type { Preferences } from '../preferences';
import { digits, inWords } from '../quantities';

/** A fault at a field in the reader's unit: a temperature that cannot be is said as it was typed. */
export function faultWords(fault: EntryFault | undefined, shown: Preferences): string | undefined {
  const wrong = fault?.temperature;
  if (fault === undefined || wrong === undefined || shown.temperature === 'C') return fault?.message;
  const typed = inWords(wrong.C, 'temperature', shown);
  if (wrong.likelyC === null) return `${typed}? ${wrong.code === 'cannot-be' ? 'That cannot be.' : 'That is unlikely.'} Read it again.`;
  // In °F a number was typed that a thermometer in °C showed, or the other way round.
  const inF = (wrong.C * 9) / 5 + 32;
  const sameNumber = Math.abs(wrong.likelyC - inF) < 0.06;
  return sameNumber
    ? `${typed}? Did the thermometer show ${digits(inF, 1)} °C? That is ${inWords(wrong.likelyC, 'temperature', shown)}.`
    : `${typed}? Did it show ${digits(wrong.C, 1)} °F? That is ${inWords(wrong.likelyC, 'temperature', shown)}.`;
}

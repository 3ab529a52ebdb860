import { asWritten } from '../say/asWritten.js';
import { PIT_WORDS, pitSays } from '../say/english/pit.js';
import type { Message } from '../say/message.js';
import { CHAMBER } from '../log/pitEvent.js';
import type { PitAlarm } from './chamberAlarms.js';

/** What a kind of alarm is called. */
export const alarmSaid = (kind: PitAlarm['kind']): Message => pitSays(`alarm-${kind}`);

/**
 * An alarm as the log names it, by its kind and whom it concerns.
 *
 * @example alarmKeySaid('come-up:A').message // 'Too long to warm up, piece A'
 */
export function alarmKeySaid(key: string): Message {
  const [kind = '', subject = ''] = key.split(':');
  if (!isKind(kind)) return asWritten(key);
  return subject === '' || subject === CHAMBER ? alarmSaid(kind) : pitSays('alarm-of-piece', { alarm: alarmSaid(kind), piece: subject });
}

const isKind = (kind: string): kind is PitAlarm['kind'] => Object.hasOwn(PIT_WORDS, `alarm-${kind}`) && kind !== 'of-piece';

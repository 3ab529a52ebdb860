import type { HandAct, HandActId } from '../log/handAct.js';
import { actSays } from '../say/english/acts.js';
import type { Message } from '../say/message.js';

/** What was done, alone. */
export const handActNamed = (act: HandActId): Message => actSays(`did-${act}`);

/** What was done, to which pieces, with what was read, weighed or counted at it. */
export function handActSaid({ act, pieces, C, humidityPercent, g, forMin, times }: HandAct): Message {
  const amounts = [
    times === undefined ? null : actSays('act-times', { times }),
    g === undefined ? null : actSays('act-g', { g }),
    forMin === undefined ? null : actSays('act-min', { min: forMin }),
    C === undefined ? null : actSays('act-C', { C }),
    humidityPercent === undefined ? null : actSays('act-humidity', { percent: humidityPercent }),
  ];
  const said = amounts.reduce<Message>((before, more) => (more === null ? before : actSays('act-with', { before, more })), actSays('act-nothing'));
  return actSays('act-whole', { did: handActNamed(act), piece: pieces === undefined ? 'all' : pieces.join(', '), with: said });
}

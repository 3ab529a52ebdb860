import type { HandAct, HandActId } from '../log/handAct.js';
import type { TableVerdict } from '../log/tableVerdict.js';
import { actSays } from '../say/english/acts.js';
import type { Message } from '../say/message.js';

/** What was done, alone. */
export const handActNamed = (act: HandActId): Message => actSays(`did-${act}`);

/** What was done, to which pieces, with what was read, weighed or counted at it. */
export function handActSaid({ act, pieces, C, humidityPercent, g, forMin, times, ...judged }: HandAct): Message {
  const amounts = [
    times === undefined ? null : actSays('act-times', { times }),
    g === undefined ? null : actSays('act-g', { g }),
    forMin === undefined ? null : actSays('act-min', { min: forMin }),
    C === undefined ? null : actSays('act-C', { C }),
    humidityPercent === undefined ? null : actSays('act-humidity', { percent: humidityPercent }),
  ];
  const said = [...amounts, ...verdictSaid(judged)].reduce<Message>(
    (before, more) => (more === null ? before : actSays('act-with', { before, more })),
    actSays('act-nothing'),
  );
  return actSays('act-whole', { did: handActNamed(act), piece: pieces === undefined ? 'all' : pieces.join(', '), with: said });
}

/** What was said at table: `salty, smoke right. Next time: soak an hour`; null where nothing was. */
export function atTableSaid(verdict: TableVerdict, nextTime: string): Message | null {
  const [first, ...more] = verdictSaid(verdict);
  const said = first === undefined ? null : more.reduce<Message>((before, next) => actSays('act-with', { before, more: next }), first);
  if (nextTime === '') return said;
  return said === null ? actSays('table-next', { next: nextTime }) : actSays('table-and-next', { said, next: nextTime });
}

const verdictSaid = ({ salt, firmness, smoke, doneness }: TableVerdict): Message[] => [
  ...(salt === undefined ? [] : [actSays(`salt-${salt}`)]),
  ...(firmness === undefined ? [] : [actSays(`firmness-${firmness}`)]),
  ...(smoke === undefined ? [] : [actSays(`smoke-${smoke}`)]),
  ...(doneness === undefined ? [] : [actSays(`doneness-${doneness}`)]),
];

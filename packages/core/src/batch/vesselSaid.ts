import type { Vessel } from '../log/vessel.js';
import { batchSays } from '../say/english/batch.js';
import type { Message } from '../say/message.js';

/** `tub 1`, `bag 2`: in a sentence. */
export const vesselSaid = ({ kind }: Pick<Vessel, 'kind'>, n: number): Message => batchSays(kind === 'bag' ? 'in-bag' : 'in-tub', { n });

/**
 * What lies where, in a line.
 *
 * @example vesselsSaid([{ kind: 'tub', pieces: ['A'] }, { kind: 'bag', pieces: ['B'], brineG: 900 }]).message // 'Where it lies: tub 1: A, brine by eye; bag 2: B, with 900 g of brine'
 */
export function vesselsSaid(vessels: readonly Vessel[]): Message {
  const all = vessels
    .map((vessel, i) => {
      const said = { vessel: vesselSaid(vessel, i + 1), pieces: vessel.pieces.join(', ') };
      return vessel.brineG === undefined ? batchSays('lies-in', said) : batchSays('lies-with', { ...said, brineG: vessel.brineG });
    })
    .reduce<Message | null>((line, part) => (line === null ? part : batchSays('lies-all', { one: line, other: part })), null);
  return batchSays('lies-where', { all: all ?? batchSays('nothing') });
}

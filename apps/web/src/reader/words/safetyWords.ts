import { COME_UP, type PieceWatch, type SafetyClock } from '@bunkhouse/core';
import type { Preferences } from '../../reader/preferences';
import { digits, inWords } from '../quantities';
import { clockTime, span } from '../times';

export interface SafetySaid {
  title: string;
  fact: string;
  source: string;
}

const SOURCES: Readonly<Record<Exclude<SafetyClock['rule'], 'lethality'>, string>> = {
  rest: 'USDA consumer guidance for whole-muscle pork and beef. Value from memory.',
  'come-up': 'FSIS Cooking Guideline, for a product that is not validated otherwise. Value from memory.',
  'cold-zone': 'Common practice: smoked cold, salt and nitrite are the only guard.',
};

/** A clock in a sentence: what was met and when, or what is still wanting. */
export function safetyWords(clock: SafetyClock, onAt: number, piece: PieceWatch, preferences: Preferences): SafetySaid {
  const at = clock.atS === null ? '' : clockTime(onAt + clock.atS * 1000);
  const C = (value: number, decimals = 0) => inWords(value, 'temperature', preferences, decimals);
  const long = span(clock.value * 1000);
  const stray = strayWords(piece);
  const unread = `${clock.unreadS < 60 ? '' : ` ${span(clock.unreadS * 1000)} were not read, and are not counted.`}${stray}`;
  const source = clock.rule === 'lethality' ? piece.table.source : SOURCES[clock.rule];
  const isRead = piece.counted.length > 0;
  switch (clock.rule) {
    case 'lethality':
      return {
        title: 'By time at temperature',
        source,
        fact:
          clock.state === 'met'
            ? `Done by time at ${at}: the lethality sum came to 1.${piece.targetC < 63 || (piece.counted.at(-1)?.C ?? 0) < 62.7 ? ` ${C(63)} is not needed.` : ''}${unread}`
            : clock.state === 'notBegun'
              ? isRead
                ? `Not begun: nothing counts below ${C(54.4)}.${unread}`
                : 'No probe reads it: nothing is counted. The check in three places decides.'
              : `${digits(Math.floor(clock.value * 100) / 100, 2)} of 1. It is added up from every minute above ${C(54.4)}.${unread}`,
      };
    case 'rest':
      return {
        title: `${C(63)} and a rest of 3 min`,
        source,
        fact:
          clock.state === 'met'
            ? `Met at ${at}.`
            : clock.state === 'notBegun'
              ? `The core has not read ${C(63)} yet.`
              : `${digits(clock.value / 60, 1)} of 3 min at ${C(63)} or more.`,
      };
    case 'come-up':
      return {
        title: `Come-up, ${C(COME_UP.fromC)} to ${C(COME_UP.toC)} in ${COME_UP.mostH} h`,
        source,
        fact:
          clock.state === 'failed'
            ? `Failed: ${long}. Decide with your food-safety plan; write what was decided.`
            : clock.state === 'notShown'
              ? `Not shown: by what was read it may have taken ${long}.`
              : clock.state === 'met'
                ? `Met: it took ${long} at the most.`
                : clock.state === 'notBegun'
                  ? isRead
                    ? `Not begun: the core is not over ${C(10)}.`
                    : 'No probe reads it: nobody knows.'
                  : `${long} of 6 h so far, all rises and falls together until it is done.`,
      };
    case 'cold-zone':
      return { title: `Between ${C(4)} and ${C(60)}`, source, fact: clock.state === 'notBegun' ? 'No core is read.' : `${long} so far.` };
  }
}

/** What was read and proves nothing, in a sentence; and what the thermometer may be off. */
function strayWords({ notCounted, doubtC }: PieceWatch): string {
  const n = notCounted.length;
  const said = n === 0 ? '' : ` ${n === 1 ? '1 reading is' : `${n} readings are`} kept and not counted: no core moves so.`;
  return doubtC > 1 ? `${said} The thermometer was never held against ice: what it may be off is taken away.` : said;
}

import type { Finding } from '../cure/finding.js';
import { COLOURED_AT_PPM } from '../diffusion/reachAtPull.js';
import { batchSays } from '../say/english/batch.js';
import type { Message } from '../say/message.js';
import type { Found } from './found.js';
import type { PieceCure } from './batchState.js';

/** How far the cure comes in each piece, or came: the worst is named. */
export function reachFindings({ cured, facts, closing }: Pick<Found, 'cured' | 'facts' | 'closing'>): Finding[] {
  const isPulled = facts.isPulled;
  const worst = cured.filter(({ why }) => why === 'middle' || why === 'mean').sort((a, b) => a.leastPpm - b.leastPpm)[0];
  const of = ({ code }: PieceCure, fact: Message) => (cured.length > 1 ? batchSays('of-the-piece', { piece: code, fact }) : fact);
  if (worst !== undefined) {
    const fact = of(worst, shortfall(worst, isPulled));
    const more = batchSays('others-too', { others: cured.filter(({ code, isCured }) => code !== worst.code && !isCured).length });
    if (isPulled) return [{ level: 'warn', ...batchSays('not-cured', { fact, isOver: closing('pack') === null ? 'no' : 'yes', more }) }];
    return [{ level: 'warn', ...batchSays('reach-short', { fact, until: until(worst), more }) }];
  }
  const [pale] = cured.filter(({ isPale }) => isPale).sort((a, b) => a.leastSlowPpm - b.leastSlowPpm);
  if (pale === undefined) return [];
  const fact = of(pale, batchSays('cured-by-the-model', { leastPpm: pale.leastPpm }));
  return [{ level: 'note', ...batchSays('reach-pale', { fact, isPulled: isPulled ? 'yes' : 'no' }) }];
}

/** What it falls short of: in the middle, or as a mean. */
function shortfall({ why, leastPpm, meanPpm, lainDays: days }: PieceCure, isPulled: boolean): Message {
  if (why !== 'middle') return batchSays(isPulled ? 'took-up' : 'takes-up', { meanPpm: meanPpm.typical, days });
  return batchSays(isPulled ? 'middle-had' : 'middle-has', { leastPpm, days, colourPpm: COLOURED_AT_PPM });
}

/** When the middle is reached. */
function until({ why, colouredFromDay }: PieceCure): Message {
  if (why !== 'middle') return batchSays('nothing');
  return colouredFromDay === null ? batchSays('never-reached') : batchSays('reached-on-day', { day: colouredFromDay });
}

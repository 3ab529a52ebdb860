import type { CureDays, PullWindow } from '@bunkhouse/core';
import { memo } from 'react';
import { digits } from '../shell/quantities';
import type { PullWindows } from '../workers/sectionMessages';
import { TableHead } from './TableHead';

/** Earliest, best and latest day to pull by the model, each with its doubt, and the trade's days beside them. */
export const PullDays = memo(function PullDays({ windows, days }: { windows: PullWindows; days: CureDays | undefined }) {
  const { likely } = windows;
  return (
    <table className="book pull-days">
      <caption className="sr">Days of the pull</caption>
      <TableHead columns={['Pull', { numbers: 'model, day' }, { numbers: 'trade' }]} />
      <tbody>
        <tr>
          <th scope="row">
            Earliest <small>coloured to the middle</small>
          </th>
          <td className="n">{dayWords(likely.earliestH, windows.fast.earliestH, windows.slow.earliestH, likely.lookedH)}</td>
          <td className="n">{days === undefined ? '' : digits(days.shortest, 0)}</td>
        </tr>
        <tr>
          <th scope="row">
            Best <small>even</small>
          </th>
          <td className="n">{dayWords(likely.bestH, windows.fast.bestH, windows.slow.bestH, likely.lookedH)}</td>
          <td className="n">{days === undefined ? '' : digits(days.usual, 0)}</td>
        </tr>
        <tr>
          <th scope="row">
            Latest <small>{likely.latestH === null ? 'cannot over-salt' : 'saltier than aimed at'}</small>
          </th>
          <td className="n">{likely.latestH === null ? 'none' : dayWords(likely.latestH, windows.fast.latestH, windows.slow.latestH, likely.lookedH)}</td>
          <td className="n">{days === undefined ? '' : digits(days.longest, 0)}</td>
        </tr>
      </tbody>
    </table>
  );
});

/** `16.5 (13 to 21)`. */
function dayWords(likelyH: number | null, fastH: number | null, slowH: number | null, lookedH: number): string {
  const looked = digits(lookedH / 24, 0);
  if (likelyH === null) return fastH === null ? `over ${looked}` : `over ${looked} (from ${day(fastH)})`;
  return `${day(likelyH)} (${fastH === null ? looked : day(fastH)} to ${slowH === null ? `over ${looked}` : day(slowH)})`;
}

const day = (h: number): string => digits(h / 24, h < 24 * 20 ? 1 : 0);

/** When to pull, in a sentence. */
export function windowWords({ earliestH, bestH, lookedH }: PullWindow, pullH: number): string {
  const day = (h: number) => `day ${digits(h / 24, 1)}`;
  if (earliestH === null) return `By the model the middle does not take colour within ${digits(lookedH / 24, 0)} days. Pump it.`;
  const best = bestH === null ? `not even within ${digits(lookedH / 24, 0)} days` : `even from ${day(bestH)}`;
  const planned =
    pullH < earliestH
      ? `Planned for ${day(pullH)}, before that: the middle would stay grey.`
      : bestH !== null && pullH >= bestH
        ? `Planned for ${day(pullH)}: even by then.`
        : `Planned for ${day(pullH)}: coloured, not yet even.`;
  return `Coloured to the middle from ${day(earliestH)}, ${best}. ${planned}`;
}

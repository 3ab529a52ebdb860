import type { WaterSplit } from '@bunkhouse/core';
import { usePreferences } from '../shell/preferences';
import { inWords } from '../shell/quantities';

/** The water of a brine in its three parts, to their shares. */
export function HotAndIce({ split, hotC, coldC }: { split: WaterSplit; hotC: number; coldC: number }) {
  const preferences = usePreferences();
  const parts = [
    { id: 'hot', name: 'Hot', at: inWords(hotC, 'temperature', preferences, 0), grams: split.hotG },
    { id: 'cold', name: 'Cold', at: inWords(coldC, 'temperature', preferences, 0), grams: split.coldG },
    { id: 'ice', name: 'Ice', at: '', grams: split.iceG },
  ].filter((part) => part.grams > 0.5);
  const total = parts.reduce((sum, part) => sum + part.grams, 0);
  return (
    <ul className="hot-ice">
      {parts.map((part) => (
        <li key={part.id} className={part.id} style={{ flexGrow: Math.max(0.2, part.grams / total) }}>
          <span className="label">
            {part.name} {part.at}
          </span>
          <b className="num">{inWords(part.grams, 'mass', preferences)}</b>
        </li>
      ))}
    </ul>
  );
}

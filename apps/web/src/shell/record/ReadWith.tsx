import { trulyRead, type HandThermometer } from '@bunkhouse/core';
import { useId } from 'react';
import { useTools } from '../../data/tools';
import { usePreferences } from '../preferences';
import { inWords } from '../quantities';

/** The thermometers that are held in the hand, and the one that this cook holds. */
export function useThermometers(): { all: HandThermometer[]; own: HandThermometer | null } {
  const { data: tools = [] } = useTools();
  const { thermometer } = usePreferences();
  const all = tools.flatMap(({ id, name, size, checks, putAway }) =>
    size.kind === 'thermometer' && size.device === undefined && !putAway ? [{ id, name, size, checks }] : [],
  );
  return { all, own: all.find(({ id }) => id === thermometer) ?? null };
}

/** With which thermometer it was read; remembered for the next time. Nothing where the house has written none down. */
export function ReadWith({ shown, at }: { shown: readonly (number | undefined)[]; at: number }) {
  const { all, own } = useThermometers();
  const preferences = usePreferences();
  const id = useId();
  if (all.length === 0) return null;
  const moved =
    own === null
      ? []
      : shown.flatMap((C) => {
          if (C === undefined || !Number.isFinite(C)) return [];
          const truly = trulyRead(own, C, at);
          return truly === C ? [] : [`${inWords(C, 'temperature', preferences)} counts as ${inWords(truly, 'temperature', preferences)}`];
        });
  return (
    <div className="field read-with">
      <label className="label" htmlFor={id}>
        Read with
      </label>
      <select id={id} className="box" value={own?.id ?? ''} onChange={(event) => preferences.change({ thermometer: event.target.value })}>
        <option value="">a thermometer that is not written down</option>
        {all.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </select>
      {own !== null && (
        <small className="hint" role="status">
          {own.checks.length === 0
            ? 'Never checked in ice: it counts as it shows. Stores has the check.'
            : moved.length === 0
              ? 'Corrected by its last check.'
              : `By its last check, ${moved.join('; ')}.`}
        </small>
      )}
    </div>
  );
}

import { Pick } from '../../kit/Pick';
import { trulyRead, type HandThermometer } from '@bunkhouse/core';
import { useTools } from '../../data/tools';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';

const styles = {
  readWith: { maxWidth: '420px' },
} as const;

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
    <Pick
      sx={styles.readWith}
      label="Read with"
      value={own?.id ?? ''}
      onChange={(thermometer) => preferences.change({ thermometer })}
      hint={own === null ? undefined : <span role="status">{countsAs(own, moved)}</span>}
    >
      <option value="">a thermometer that is not written down</option>
      {all.map((one) => (
        <option key={one.id} value={one.id}>
          {one.name}
        </option>
      ))}
    </Pick>
  );
}

function countsAs({ checks }: HandThermometer, moved: readonly string[]): string {
  if (checks.length === 0) return 'Never checked in ice: it counts as it shows. Stores has the check.';
  return moved.length === 0 ? 'Corrected by its last check.' : `By its last check, ${moved.join('; ')}.`;
}

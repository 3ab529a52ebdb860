import FormControl from '@mui/material/FormControl';
import FormHelperText from '@mui/material/FormHelperText';
import OutlinedInput from '@mui/material/OutlinedInput';
import { DAY_MIN } from '@bunkhouse/core';
import { useState } from 'react';

/** What a cook types for a time of day: `7`, `7:30`, `0730`, `19.30`. Minutes from midnight, 24:00 included; null for no time. */
export function readClock(text: string): number | null {
  const found = /^\s*(\d{1,2})(?:[:.h ]?(\d{2}))?\s*$/.exec(text);
  if (found === null) return null;
  const minutes = Number(found[1]) * 60 + Number(found[2] ?? 0);
  return Number(found[2] ?? 0) < 60 && minutes <= DAY_MIN ? minutes : null;
}

export const clock = (minutes: number): string => `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;

/** A time of day on the clock of twenty-four hours, whatever the browser is set to. */
export function ClockField({
  label,
  value,
  onChange,
  error,
}: {
  label: string;
  value: number;
  onChange: (minutes: number) => void;
  error?: string | undefined;
}) {
  const [typed, setTyped] = useState<string | null>(null);
  const wrong = typed !== null && readClock(typed) === null;
  return (
    <FormControl fullWidth>
      <OutlinedInput
        fullWidth
        autoComplete="off"
        error={wrong || error !== undefined}
        inputProps={{ inputMode: 'numeric', 'aria-label': label }}
        value={typed ?? (Number.isNaN(value) ? '' : clock(value))}
        onChange={(event) => {
          setTyped(event.target.value);
          onChange(readClock(event.target.value) ?? Number.NaN);
        }}
        onBlur={() => !wrong && setTyped(null)}
      />
      {error !== undefined && (
        <FormHelperText error role="alert">
          {error}
        </FormHelperText>
      )}
    </FormControl>
  );
}

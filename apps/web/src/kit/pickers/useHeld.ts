import dayjs, { type Dayjs } from 'dayjs';
import { useMemo, useState } from 'react';
import { languageHere, type Language } from '../../reader/language';

/** How a moment is kept: as a date and time field of a page keeps it. */
export const MOMENT = 'YYYY-MM-DDTHH:mm';
export const DAY = 'YYYY-MM-DD';

/** A year that is being typed is 2, 20 and 202 before it is 2026: until then there is none. */
const FIRST_YEAR = 2000;

/** Where a calendar has room beside the field; else it fills the screen. */
export const ROOM = '(pointer: fine) and (min-width: 720px)';

export interface PickerProps {
  label: string;
  /** as `pattern` writes it; anything else is not written yet */
  value: string;
  /** empty while it is not written to its end */
  onChange: (value: string) => void;
  error?: string | undefined;
}

/** What stands in the field while it is being typed, which the form does not know: for it there is no such time yet. */
export function useHeld({ value, onChange }: Pick<PickerProps, 'value' | 'onChange'>, pattern: string) {
  const [held, setHeld] = useState<{ moment: Dayjs | null; said: string } | null>(null);
  const isKept = dayjs(value).isValid() && value !== '';
  const isHeld = held !== null && (held.said === value || (held.said === '' && !isKept));
  // One value, one object: the field takes every further one for a further time, and begins anew.
  const kept = useMemo(() => (isKept ? dayjs(value) : null), [isKept, value]);
  return {
    moment: isHeld ? held.moment : kept,
    change: (moment: Dayjs | null) => {
      const said = moment?.isValid() === true && moment.year() >= FIRST_YEAR ? moment.format(pattern) : '';
      setHeld({ moment, said });
      onChange(said);
    },
  };
}

/** How the day in the button to the calendar is read aloud; one object a language, for a further one makes the calendar anew. */
const READ_ALOUD = { dayFirst: { fullDate: 'D MMM YYYY' }, monthFirst: { fullDate: 'MMM D, YYYY' } } as const satisfies Record<Language['dates'], object>;
export const readAloud = () => READ_ALOUD[languageHere().dates];

/** What the field says below it. */
export const underneath = (error: string | undefined) => ({
  textField: { error: error !== undefined, helperText: error, slotProps: { formHelperText: error === undefined ? {} : { role: 'alert' } } },
});

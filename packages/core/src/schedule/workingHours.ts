import { DAY_MIN } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { addDays, instantOf, localDay } from '../clock/localTime.js';
import { inputSays } from '../say/english/inputs.js';

/** When somebody is there to do a job, by the clocks of the house. */
export interface WorkingHours {
  /** `America/Denver` */
  timeZone: string;
  /** seven days from Sunday, each with its spans in minutes from midnight; none for a day off */
  week: { fromMin: number; toMin: number }[][];
  /** days on which nobody works: `2026-12-25` */
  daysOff: string[];
  /** how many jobs can be done at once */
  hands: number;
  /** stations whose jobs are done at night, too */
  nightWatch: string[];
}

/** @throws InputError where a span is upside down, or a date is none */
export function requireHours(hours: WorkingHours): WorkingHours {
  instantOf('2026-01-01', 0, hours.timeZone);
  requireNumber('hands', hours.hands, { min: 1, max: 50 });
  if (!Array.isArray(hours.week) || hours.week.length !== 7) throw new InputError('week', inputSays('week-of-seven'));
  hours.week.forEach((spans, day) => {
    spans.forEach(({ fromMin, toMin }, i) => {
      requireNumber(`week.${day}.${i}.fromMin`, fromMin, { min: 0, max: DAY_MIN, unit: 'min' });
      requireNumber(`week.${day}.${i}.toMin`, toMin, { min: 0, max: DAY_MIN, unit: 'min' });
      if (toMin <= fromMin) throw new InputError(`week.${day}.${i}.toMin`, inputSays('day-ends-before'));
    });
  });
  for (const date of hours.daysOff) instantOf(date, 0, hours.timeZone);
  return hours;
}

/** The spans of work that touch a time, as instants, in order. */
export function workSpans(hours: WorkingHours, from: number, to: number): { from: number; to: number }[] {
  const off = new Set(hours.daysOff);
  const spans: { from: number; to: number }[] = [];
  let { date, weekday } = localDay(from, hours.timeZone);
  while (instantOf(date, 0, hours.timeZone) < to) {
    if (!off.has(date)) {
      for (const { fromMin, toMin } of hours.week[weekday] ?? []) {
        const span = { from: instantOf(date, fromMin, hours.timeZone), to: instantOf(date, toMin, hours.timeZone) };
        if (span.to > from && span.from < to) spans.push(span);
      }
    }
    date = addDays(date, 1);
    weekday = (weekday + 1) % 7;
  }
  return spans;
}

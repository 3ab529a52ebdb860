import dayjs from 'dayjs';
import { useCallback, useState } from 'react';

/** How many days are shown, from near to far. */
export const SPANS = { '7': 'Week', '21': 'Three weeks', '84': 'Season' } as const;
type Span = keyof typeof SPANS;
const NEAR_TO_FAR = Object.keys(SPANS) as Span[];
const FURTHEST_DAYS = 366;

export interface View {
  span: Span;
  days: number;
  /** ms; midnight of the first day */
  from: number;
  /** whether it stands where it opens */
  isHome: boolean;
  show: (span: Span) => void;
  /** nearer or further, by one step */
  zoom: (by: 1 | -1) => void;
  /** by so many days */
  pan: (days: number) => void;
  home: () => void;
}

/** What part of the year is looked at: from Monday of this week, moved by whole days. */
export function useView(now: number): View {
  const [span, setSpan] = useState<Span>('21');
  const [off, setOff] = useState(0);
  const monday = dayjs(now)
    .startOf('day')
    .subtract((dayjs(now).day() + 6) % 7, 'day');
  const pan = useCallback((days: number) => setOff((so) => Math.max(-FURTHEST_DAYS, Math.min(FURTHEST_DAYS, so + days))), []);
  const zoom = useCallback((by: 1 | -1) => setSpan((so) => NEAR_TO_FAR[NEAR_TO_FAR.indexOf(so) + by] ?? so), []);
  return {
    span,
    days: Number(span),
    from: monday.add(off, 'day').valueOf(),
    isHome: off === 0,
    show: setSpan,
    zoom,
    pan,
    home: () => setOff(0),
  };
}

/** The end of a view, ms. */
export const endOf = ({ from, days }: View): number => dayjs(from).add(days, 'day').valueOf();

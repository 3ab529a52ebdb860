import { serverSays } from '@bunkhouse/api';
import { nameSaid, STATION_NAMES, type CalendarEvent, type Message, MINUTE_MS } from '@bunkhouse/core';
import dayjs, { type Dayjs } from 'dayjs';
import timezone from 'dayjs/plugin/timezone.js';
import utc from 'dayjs/plugin/utc.js';
import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventRepeatingFreq, ICalEventStatus, type ICalCalendar, type ICalEventData } from 'ical-generator';
import { tzlib_get_ical_block, tzlib_get_timezones } from 'timezones-ical-library';

dayjs.extend(utc);
dayjs.extend(timezone);

/** Clients that keep to it ask again so often, s. */
const REFRESH_S = 900;
const UTC = 'Etc/UTC';
const KNOWN_ZONES = new Set(tzlib_get_timezones() as string[]);

export interface CalendarParams {
  name: string;
  /** how the house says its sentences */
  say: (message: Message) => string;
  timeZone: string;
  /** minutes before each job; null for no alarm */
  alarmMin: number | null;
  /** where a batch is opened, from its id; null where the house has no address of its own */
  addressOf: ((batchId: string) => string) | null;
}

/** Jobs as iCalendar [RFC 5545], times by the clocks of the house. */
export function writeCalendar(events: readonly CalendarEvent[], params: CalendarParams): string {
  const { name, timeZone } = params;
  const zone = KNOWN_ZONES.has(timeZone) ? timeZone : UTC;
  const calendar = ical({
    name,
    prodId: { company: 'Bunkhouse', product: 'Calendar', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: REFRESH_S,
    timezone: { name: zone, generator: (tz) => blockOf(tz) },
  });
  for (const event of events) {
    const data = { ...dataOf(event, params), timezone: zone };
    add(calendar, { ...data, ...repeatingOf(event) });
    for (const { of, at } of event.series?.moved ?? []) add(calendar, { ...data, start: instant(at), end: endOf(at, event), recurrenceId: instant(of) });
  }
  return calendar.toString();
}

/** The rules of a zone as a calendar carries them with it. */
function blockOf(zone: string): string | null {
  const [block = ''] = tzlib_get_ical_block(zone);
  return block === '' ? null : block;
}

/** An instant as the library reads it: a plain date would be written by the clocks of this server. */
const instant = (at: number): Dayjs => dayjs.utc(at);
const endOf = (at: number, { minutes }: CalendarEvent): Dayjs => instant(at + minutes * MINUTE_MS);

const STATUS = { planned: ICalEventStatus.CONFIRMED, done: ICalEventStatus.CONFIRMED, cancelled: ICalEventStatus.CANCELLED } as const;

function dataOf(event: CalendarEvent, { say, alarmMin, addressOf }: CalendarParams): ICalEventData {
  const done = event.status === 'done';
  const title = say(nameSaid(event.title));
  return {
    id: event.uid,
    sequence: event.sequence,
    stamp: instant(event.changedAt),
    start: instant(event.at),
    end: endOf(event.at, event),
    summary: done ? say(serverSays('job-done', { title, code: event.code })) : `${title}, ${event.code}`,
    description: `${say(event.task)}\n\n${say(serverSays('log-in-house'))}`,
    categories: [{ name: STATION_NAMES[event.station] }],
    status: STATUS[event.status],
    ...(addressOf === null ? {} : { url: addressOf(event.batchId) }),
    alarms:
      alarmMin === null || event.status !== 'planned'
        ? []
        : [{ type: ICalAlarmType.display, triggerBefore: alarmMin * 60, description: `${title}, ${event.code}` }],
  };
}

function repeatingOf({ series }: CalendarEvent): Pick<ICalEventData, 'repeating'> {
  if (series === undefined) return {};
  return {
    repeating: {
      freq: ICalEventRepeatingFreq.DAILY,
      interval: series.everyDays,
      count: series.count,
      ...(series.without.length === 0 ? {} : { exclude: series.without.map(instant) }),
    },
  };
}

const add = (calendar: ICalCalendar, data: ICalEventData): void => void calendar.createEvent(data);

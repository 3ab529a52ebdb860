import type { CalendarFeedRequest, CalendarFeedResponse } from '@bunkhouse/api';
import useSWR, { mutate } from 'swr';
import { request } from './request';

const FEED = '/api/calendar/feed';
/** Every job of the house as an iCalendar file. */
export const FILE_ADDRESS = '/api/calendar/bunkhouse.ics';

/** Where calendars outside subscribe. `undefined` until the first answer. */
export const useFeed = (): CalendarFeedResponse | undefined => useSWR<CalendarFeedResponse, Error>(FEED, request, { revalidateOnFocus: false }).data;

export async function changeFeed(asked: CalendarFeedRequest): Promise<void> {
  await mutate(FEED, await request<CalendarFeedResponse>(FEED, asked), { revalidate: false });
}

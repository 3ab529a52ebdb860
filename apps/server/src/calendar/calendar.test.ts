import { DAY_MS } from '@bunkhouse/core';
import { randomUUID } from 'node:crypto';
import type { BatchResponse, CalendarFeedResponse, LogEntryRequest } from '@bunkhouse/api';
import { usualRequest } from '@bunkhouse/api';
import ICAL from 'ical.js';
import { openTestHouse, type TestHouse } from '../testing/testHouse.js';

const ZONE = 'America/Denver';

let house: TestHouse;
beforeAll(async () => {
  house = await openTestHouse();
  const week = Array.from({ length: 7 }, () => ({ fromMin: 420, toMin: 1080 }));
  const resources = [{ id: 'smoker', name: 'Smoker', kind: 'smoker', capacity: 4 }];
  const kept = await house.http().post('/api/house/plan').send({ timeZone: ZONE, week, daysOff: [], hands: 2, nightWatch: [], resources, by: 'Wren' });
  expect(kept.status).toBe(200);
});
afterAll(() => house.close());

async function started(startsAt: number): Promise<BatchResponse> {
  const answer = await house
    .http()
    .post('/api/batches')
    .send(usualRequest('canadian-bacon', { id: randomUUID(), by: 'Juno', startsAt: new Date(startsAt).toISOString() }));
  expect(answer.status).toBe(201);
  return answer.body as BatchResponse;
}

const entry = (part: Partial<LogEntryRequest>) => ({ id: randomUUID(), by: 'Juno', at: new Date().toISOString(), ...part });

async function logged(batch: BatchResponse, part: Partial<LogEntryRequest>): Promise<BatchResponse> {
  const answer = await house.http().post(`/api/batches/${batch.id}/log`).send(entry(part));
  expect(answer.body).toHaveProperty('entries');
  return answer.body as BatchResponse;
}

/** What a client makes of the answer: read by a library of another hand. */
async function read(path: string): Promise<ICAL.Component> {
  const answer = await house.http().get(path).buffer(true);
  expect(answer.status).toBe(200);
  expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
  return new ICAL.Component(ICAL.parse(answer.text) as string[]);
}

const eventsOf = (calendar: ICAL.Component) => calendar.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component));
const find = (calendar: ICAL.Component, uid: string) => {
  const found = eventsOf(calendar).find((event) => event.uid === uid && event.recurrenceId === null);
  if (found === undefined) throw new Error(`no event ${uid}`);
  return found;
};
const instantOf = (time: ICAL.Time): number => time.convertToZone(ICAL.Timezone.utcTimezone).toJSDate().getTime();
/** Every client asks the same house by the same name. */
const fetched = (batch: BatchResponse) => house.http().get(`/api/batches/${batch.id}/calendar.ics`).set('Host', 'house.test');
const fileOf = (batch: BatchResponse) => read(`/api/batches/${batch.id}/calendar.ics`);

describe('a batch as an iCalendar file', () => {
  test('each job once, with an id that stays, its time in the zone of the house, an alarm and the way back', async () => {
    const batch = await started(Date.now() + 90 * DAY_MS);
    const calendar = await fileOf(batch);
    const zones = calendar.getAllSubcomponents('vtimezone');
    expect(zones.map((zone) => zone.getFirstPropertyValue('tzid'))).toEqual([ZONE]);
    const [zone] = zones;
    if (zone === undefined) throw new Error('no zone');
    ICAL.TimezoneService.register(zone);
    const weigh = find(calendar, `${batch.id}-weigh`);
    expect(weigh.component.getFirstProperty('dtstart')?.getParameter('tzid')).toBe(ZONE);
    expect(instantOf(weigh.startDate)).toBe(Math.floor(Date.parse(batch.design.startsAt) / 1000) * 1000);
    expect(weigh.summary).toBe(`Trim and weigh, ${batch.code}`);
    expect(String(weigh.component.getFirstPropertyValue('url'))).toMatch(new RegExp(`/batches/${batch.id}$`));
    const alarm = weigh.component.getFirstSubcomponent('valarm');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT15M');
    const ids = eventsOf(calendar).map((event) => event.uid);
    expect(new Set(ids).size).toBe(ids.length);
  });

  test('turns come again day after day at the same time by the clocks, over the night when the clocks change, too', async () => {
    // A loin whose fortnight holds the second Sunday of March: from standard to summer time.
    const thisYear = new Date().getUTCFullYear();
    const [march = 0] = [thisYear, thisYear + 1].map((year) => Date.UTC(year, 2, 5, 15)).filter((at) => at > Date.now());
    const batch = await started(march);
    const calendar = await fileOf(batch);
    const turn = find(calendar, `${batch.id}-turn`);
    expect(turn.isRecurring()).toBe(true);
    const rule = turn.component.getFirstPropertyValue('rrule') as unknown as ICAL.Recur;
    expect([rule.freq, rule.count]).toEqual(['DAILY', 13]);
    // Planned by the hour, the turns after that night lie an hour later by the clocks: each of them says so for itself.
    const moved = eventsOf(calendar).filter((event) => event.uid === turn.uid && event.recurrenceId !== null);
    for (const one of moved) turn.relateException(one);
    const iterator = turn.iterator();
    const times: number[] = [];
    for (let next = iterator.next() as ICAL.Time | undefined; next; next = iterator.next() as ICAL.Time | undefined)
      times.push(instantOf((turn.getOccurrenceDetails(next) as unknown as { startDate: ICAL.Time }).startDate));
    expect(times).toHaveLength(13);
    times.slice(1).forEach((at, i) => expect(at - (times[i] ?? 0)).toBe(DAY_MS));
    expect(moved.length).toBeGreaterThan(0);
  });

  test('a change of the plan is an update: the same ids, a higher sequence, another time', async () => {
    const batch = await started(Date.now() + DAY_MS);
    const before = find(await fileOf(batch), `${batch.id}-pull`);
    await logged(batch, { kind: 'replanned', changes: { cureDays: 16 }, reason: 'Two more days' });
    const calendar = await fileOf(batch);
    const after = find(calendar, `${batch.id}-pull`);
    expect(after.sequence).toBeGreaterThan(before.sequence);
    expect(after.startDate.toJSDate().getTime() - before.startDate.toJSDate().getTime()).toBe(2 * DAY_MS);
    expect((find(calendar, `${batch.id}-turn`).component.getFirstPropertyValue('rrule') as unknown as ICAL.Recur).count).toBe(15);
  });

  test('what is left out, no longer planned or thrown away is cancelled, and rings no more', async () => {
    const batch = await started(Date.now() + DAY_MS);
    const pumped = await logged(batch, { kind: 'replanned', changes: { pumpPercent: 8, cureDays: 6 }, reason: 'Pump it' });
    expect(find(await fileOf(batch), `${batch.id}-pump`).component.getFirstPropertyValue('status')).toBe('CONFIRMED');
    await logged(batch, { kind: 'withdrawn', replaces: pumped.entries.at(-1)?.id ?? '', reason: 'Not pumped after all' });
    const back = find(await fileOf(batch), `${batch.id}-pump`);
    expect(back.component.getFirstPropertyValue('status')).toBe('CANCELLED');
    expect(back.component.getFirstSubcomponent('valarm')).toBeNull();
    await logged(batch, { kind: 'ended', reason: 'The meat did not come.' });
    const calendar = await fileOf(batch);
    for (const event of eventsOf(calendar)) {
      expect(event.component.getFirstPropertyValue('status')).toBe('CANCELLED');
      expect(event.component.getFirstSubcomponent('valarm')).toBeNull();
    }
  });

  test('nothing logged, nothing changed: two readings are the same to the letter', async () => {
    const batch = await started(Date.now() - 60_000);
    const [first, second] = [await fetched(batch), await fetched(batch)];
    expect(first.text).toBe(second.text);
    expect(first.text).toMatch(/\r\n/);
    expect(Math.max(...first.text.split('\r\n').map((line) => Buffer.byteLength(line)))).toBeLessThanOrEqual(75);
  });
});

describe('the feed', () => {
  const feed = async () => (await house.http().get('/api/calendar/feed')).body as CalendarFeedResponse;
  const asked = (part: object) =>
    house
      .http()
      .post('/api/calendar/feed')
      .send({ alarmMin: 15, renew: false, by: 'Wren', ...part });

  test('there is none until somebody asks for it; its address is secret and can be renewed, which ends the one before', async () => {
    expect(await feed()).toEqual({ path: null, alarmMin: 15 });
    expect((await house.http().get('/api/feeds/guess/bunkhouse.ics')).status).toBe(404);
    const first = (await asked({})).body as CalendarFeedResponse;
    expect(first.path).toMatch(/^\/api\/feeds\/[\w-]{32}\/bunkhouse\.ics$/);
    const batch = await started(Date.now() + DAY_MS);
    expect(find(await read(first.path ?? ''), `${batch.id}-weigh`).summary).toContain(batch.code);
    expect(((await asked({ alarmMin: 60 })).body as CalendarFeedResponse).path).toBe(first.path);
    const alarm = find(await read(first.path ?? ''), `${batch.id}-weigh`).component.getFirstSubcomponent('valarm');
    expect(String(alarm?.getFirstPropertyValue('trigger'))).toBe('-PT1H');
    const renewed = (await asked({ renew: true, alarmMin: null })).body as CalendarFeedResponse;
    expect(renewed.path).not.toBe(first.path);
    const ended = await house.http().get(first.path ?? '');
    expect(ended.status).toBe(404);
    expect((ended.body as { message: string }).message).toMatch(/ask the house for the new one/);
    expect(find(await read(renewed.path ?? ''), `${batch.id}-weigh`).component.getFirstSubcomponent('valarm')).toBeNull();
    expect((await feed()).path).toBe(renewed.path);
  });

  test.each([
    [{ alarmMin: 7 }, 'alarmMin'],
    [{ renew: 'yes' }, 'renew'],
  ])('%j is refused at %s', async (part, field) => {
    const answer = await asked(part);
    expect(answer.status).toBe(400);
    expect((answer.body as { errors: { field: string }[] }).errors.map((error) => error.field)).toEqual([field]);
  });
});

test('of two people who change one plan, the later is told', async () => {
  const batch = await started(Date.now() + DAY_MS);
  const seen = batch.entries.length;
  await logged(batch, { kind: 'replanned', changes: { cureDays: 15 }, reason: 'A day more', seen });
  const late = await house
    .http()
    .post(`/api/batches/${batch.id}/log`)
    .send(entry({ kind: 'replanned', changes: { cureDays: 13 }, reason: 'A day less', seen, by: 'Abel' }));
  expect(late.status).toBe(409);
  expect((late.body as { message: string }).message).toMatch(/^Juno changed this plan since you looked at it/);
});

import { localMinute, replay, STATIONS, DAY_MS } from '@bunkhouse/core';
import { demoHouse } from './demoHouse.js';
import { processOfRequest } from './demoRecipes.js';
import { playBatch } from './playBatch.js';
import { idFrom } from './random.js';
import type { LogEntry } from '@bunkhouse/core';
import { toDesign } from '@bunkhouse/api';

// Mornings, nights, and the night when the clocks change.
describe.each(['2026-11-23T06:05:00', '2027-03-28T02:30:00', '2028-02-29T23:59:00'])('the made-up house on %s', (today) => {
  const now = Date.parse(today);
  const house = demoHouse(now);
  const states = house.batches.map(({ request, entries }) =>
    replay(
      {
        id: request.id,
        code: '',
        design: toDesign(request),
        process: processOfRequest(request),
        entries: entries.map((entry, i) => ({ ...entry, seq: i + 1, recordedAt: entry.at }) as LogEntry),
      },
      now,
    ),
  );

  test('has a batch at every station, one job due and one overdue', () => {
    const live = states.filter((state) => state.outcome === 'live');
    expect(new Set(live.map((state) => state.station))).toEqual(new Set(STATIONS));
    expect(live.filter((state) => state.next?.urgency === 'overdue')).toHaveLength(1);
    expect(live.filter((state) => state.next?.urgency === 'due').length).toBeGreaterThanOrEqual(1);
  });

  test('has two finished seasons, and nothing that is to come', () => {
    const ended = states.filter((state) => state.outcome === 'finished').map((state) => state.endedAt ?? 0);
    expect(ended.filter((at) => at > now - 180 * DAY_MS).length).toBeGreaterThanOrEqual(6);
    expect(ended.filter((at) => at < now - 300 * DAY_MS).length).toBeGreaterThanOrEqual(6);
    expect(house.batches.flatMap(({ entries }) => entries).every((entry) => Date.parse(entry.at) <= now)).toBe(true);
  });

  test('what can wait was done by day: no turn and no re-pump at night', () => {
    const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
    const hours = house.batches
      .flatMap(({ entries }) => entries)
      .filter(({ stepId }) => stepId !== undefined && /^(turn-\d+|repump)$/.test(stepId))
      .map(({ at }) => localMinute(Date.parse(at), zone) / 60);
    expect(hours.length).toBeGreaterThan(50);
    expect(hours.filter((hour) => hour < 6 || hour > 22)).toEqual([]);
  });

  test('nothing in it is over the limit', () => {
    expect(states.flatMap((state) => state.findings).filter((finding) => finding.level === 'stop')).toEqual([]);
  });
});

const afternoon = demoHouse(Date.parse('2026-11-23T14:20:00'));

test('the same instant gives the same house, down to the ids', () => {
  expect(demoHouse(Date.parse('2026-11-23T14:20:00'))).toEqual(afternoon);
  expect(idFrom('a')).not.toBe(idFrom('b'));
  expect(idFrom('a')).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
});

test('an entry that a real cook could not write is not written for the demo either', () => {
  const [first] = afternoon.batches;
  if (first === undefined) throw new Error('no batches');
  const { request } = first;
  expect(() =>
    playBatch({ ...request, nitritePpm: 900 }, { seed: 1, cooks: ['Wren'], idOf: (n) => idFrom(`x${n}`), until: Date.parse('2026-11-23T14:20:00') }),
  ).toThrow(/over the limit/);
});

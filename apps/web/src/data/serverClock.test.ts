import { houseTime, noteServerDate } from './serverClock';

describe('the time of the house', () => {
  beforeEach(() => {
    jest.useFakeTimers({ now: Date.parse('2026-11-23T14:00:00Z') });
  });
  afterEach(() => {
    noteServerDate('Mon, 23 Nov 2026 14:00:00 GMT');
    jest.useRealTimers();
  });

  test('a device that runs five minutes ahead is held back, so that nothing is logged in the future', () => {
    noteServerDate('Mon, 23 Nov 2026 13:55:00 GMT');
    expect(houseTime()).toBeLessThanOrEqual(Date.parse('2026-11-23T13:55:01Z'));
    expect(houseTime()).toBeGreaterThan(Date.parse('2026-11-23T13:54:00Z'));
  });

  test('a device that runs behind keeps its own time: a past time is never refused', () => {
    noteServerDate('Mon, 23 Nov 2026 14:10:00 GMT');
    expect(houseTime()).toBe(Date.parse('2026-11-23T14:00:00Z'));
  });

  test('no date, or nonsense, changes nothing', () => {
    noteServerDate(null);
    noteServerDate('yesterday');
    expect(houseTime()).toBe(Date.parse('2026-11-23T14:00:00Z'));
  });
});

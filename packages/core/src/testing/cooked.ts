import { HOUR_MS } from '../clock/spans.js';
import type { ChannelReadings } from '../pit/pitWatch.js';
import type { LogEntry, PitEntry } from '../log/logEntry.js';
import type { PitEvent } from '../log/pitEvent.js';
import type { TimedReading } from '../safety/coreReadings.js';
import { loggedFrom } from './logged.js';
import { begunFrom } from './loin.js';

/** For tests: the thermometer of a loin. */
export const DEVICE = '00000000-0000-4000-8000-000000000001';

/** For tests: the hour at which a usual loin goes on the fire. */
export const ON_H = 200;

/** For tests: a loin that is on the fire, everything before it logged; entries of its pit; curves by s after it went on. */
export function onTheFire(start: number) {
  const done = loggedFrom(start);
  const entries: LogEntry[] = [
    ...begunFrom(start),
    done(4, 'pull', 175, { 'pulledG:A': 2700 }),
    done(5, 'soak-in', 175.5, {}),
    done(6, 'soak-out', 176.3, {}),
    done(7, 'rack', 177, {}),
    done(8, 'pellicle', 190, { 'driedG:A': 2600 }),
    done(9, 'light', 199, {}),
    done(10, 'meat-on', ON_H, { chamberC: 78, coreC: 6 }),
  ];
  const pit = (seq: number, hours: number, event: PitEvent, reason?: string): PitEntry => {
    const at = new Date(start + hours * HOUR_MS).toISOString();
    return { id: `p${seq}`, seq, kind: 'pit', event, by: 'Wren', at, recordedAt: at, ...(reason === undefined ? {} : { reason }) };
  };
  const hung = pit(11, ON_H, {
    act: 'probes',
    probes: [
      { device: DEVICE, channel: 1, reads: 'chamber' },
      { device: DEVICE, channel: 2, reads: 'A' },
    ],
  });
  const channel = (n: number, readings: TimedReading[]): ChannelReadings => ({
    device: DEVICE,
    channel: n,
    readings: readings.map(({ s, C }) => ({ at: start + ON_H * HOUR_MS + s * 1000, C })),
  });
  return { done, entries, pit, hung, channel };
}

/** For tests: a curve read every so often. */
export const every = (from: number, to: number, C: (s: number) => number, step = 60): TimedReading[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => ({ s: from + i * step, C: C(from + i * step) }));

import type { SingleStepId } from '../log/stepId.js';
import { heldFor } from '../steps/heldFor.js';
import { coldAlarms, coldWatch, WARM_MOST_S, type ColdWatch } from './coldWatch.js';
import type { PitLog } from './pitLog.js';
import { told, type ToldAlarm } from './pitWatch.js';
import type { HoldName } from '../log/batchDesign.js';
import type { BatchState } from '../batch/batchState.js';
import type { TimedReading, CoreReading } from '../safety/coreReadings.js';
import type { Resource } from '../schedule/scheduleTypes.js';

/** Where a batch lay in the cold, and when, ms; until null where it still does. */
interface ColdPlace {
  hold: HoldName;
  store: Resource;
  fromMs: number;
  untilMs: number | null;
}

/** Between which steps meat that is cold must stay cold. While it comes down through the gates it is the warm thing itself. */
const COLD: readonly { hold: HoldName; from: SingleStepId; until: SingleStepId }[] = [
  { hold: 'cure', ...heldFor('cure') },
  { hold: 'dry', ...heldFor('dry') },
  { hold: 'chill', from: 'gate-second', until: 'pack' },
];

/** The refrigerators that a batch lay in, in order of time: the planned ones, else the house's first. */
export function coldPlaces(state: BatchState, resources: readonly Resource[]): ColdPlace[] {
  const refrigerators = resources.filter(({ kind }) => kind === 'refrigerator');
  return COLD.flatMap(({ hold, from, until }): ColdPlace[] => {
    const fromMs = state.closedAt(from);
    const store = refrigerators.find(({ id }) => id === state.design.stores?.[hold]) ?? refrigerators[0];
    return fromMs === null || store === undefined ? [] : [{ hold, store, fromMs, untilMs: state.closedAt(until) ?? state.endedAt }];
  });
}

/** What was read in the refrigerators that a batch lay in: place by place, and the warm time in all. */
export interface ColdLying {
  places: (ColdPlace & { watch: ColdWatch; readings: TimedReading[] })[];
  /** s over 4 °C in all the places that were read */
  warmS: number;
  alarms: ToldAlarm[];
}

/**
 * Adds up over all places how long a batch lay over 4 °C; s in the readings count from when it came into the first one.
 *
 * @param logged readings by the store that they were read in, ms
 * @param now ms
 */
export function coldLying(
  state: BatchState,
  places: readonly ColdPlace[],
  logged: ReadonlyMap<string, readonly CoreReading[]>,
  log: PitLog,
  now: number,
): ColdLying {
  const startMs = places[0]?.fromMs ?? now;
  const read = places.flatMap((place): ColdLying['places'] => {
    const own = logged.get(place.store.id);
    if (own === undefined) return [];
    const [fromS, toS] = [(place.fromMs - startMs) / 1000, (Math.min(now, place.untilMs ?? now) - startMs) / 1000];
    const readings = own.map(({ at, C }) => ({ s: (at - startMs) / 1000, C })).filter(({ s }) => s >= fromS && s <= toS);
    return [{ ...place, readings, watch: coldWatch(readings, fromS, toS) }];
  });
  const warmS = read.reduce((sum, { watch }) => sum + watch.warmS, 0);
  const last = read.at(-1);
  const isOver = warmS > WARM_MOST_S;
  const alarms = last === undefined ? [] : coldAlarms({ ...last.watch, warmS, state: isOver ? 'over' : last.watch.state }, last.store);
  // Where it no longer lies there is nothing to do but to decide.
  const standing = state.outcome === 'live' && last?.untilMs === null ? alarms : alarms.filter(({ level }) => level === 'danger');
  return { places: read, warmS, alarms: standing.map((alarm) => told(alarm, log, startMs)) };
}

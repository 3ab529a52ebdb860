import { inputSays } from '../say/english/inputs.js';
import { floatReading, type HydrometerScale } from '../brine/readHydrometer.js';
import { boilingPointC, MOST_ALTITUDE_M } from './boilingPoint.js';
import type { ToolCheck, ToolReading, ToolSize } from './tool.js';
import type { Message } from '../say/message.js';
import type { Quantity } from '../say/quantity.js';

/** What a tool showed, and what it should have shown. */
export interface CheckPoint {
  shown: number;
  should: number;
}

/** A thermometer that is further off is not corrected but thrown out, °C; most houses go by 1 °C [T]. */
const MOST_OFF_C = 3;
/** Two thermometers agree when they are no further apart, °C [T]. */
export const FINE_OFF_C = 0.5;
/** The same for a hydrometer, in its own degrees. */
const MOST_OFF: Readonly<Record<HydrometerScale, number>> = { sg60F: 0.01, salometer: 5, baume: 1.5 };
/** Degrees of the scale of a hydrometer for water, before it sinks under its lowest mark, °C. */
const WATER_AROUND_C = 3;
/** After so many days a tool wants to be held against ice or water again [T: monthly; a choice]. */
export const CHECK_AFTER_DAYS = 30;

/** The points of a check: nothing is guessed, each was read. */
export function checkPoints(size: ToolSize, reading: ToolReading): CheckPoint[] {
  if (reading.kind === 'hydrometer')
    return size.kind === 'hydrometer' ? [{ shown: reading.waterReads, should: waterReading(size.scale, reading.waterC, size.calibrationC) }] : [];
  const ice = reading.iceC === undefined ? [] : [{ shown: reading.iceC, should: 0 }];
  const boil = reading.boilC === undefined || reading.altitudeM === undefined ? [] : [{ shown: reading.boilC, should: boilingPointC(reading.altitudeM) }];
  return [...ice, ...boil];
}

/** What a hydrometer should show in plain water. */
function waterReading(scale: HydrometerScale, waterC: number, calibrationC: number): number {
  const { sg, baume, salometer } = floatReading({ saltPercent: 0, sampleC: waterC, calibrationC });
  return scale === 'sg60F' ? sg : scale === 'baume' ? baume : (salometer ?? 0);
}

/** What is wrong with a check before it is written; an empty answer means that it may be. */
export function checkFaults(size: ToolSize, reading: ToolReading): ({ field: string } & Message)[] {
  if (reading.kind !== size.kind) return [{ field: 'reading', ...inputSays('other-check') }];
  const faults = size.kind === 'hydrometer' && reading.kind === 'hydrometer' ? hydrometerFaults(size, reading) : thermometerFaults(reading);
  if (faults.length > 0) return faults;
  const most = size.kind === 'hydrometer' ? MOST_OFF[size.scale] : MOST_OFF_C;
  return checkPoints(size, reading).flatMap(({ shown, should }, i) =>
    Math.abs(shown - should) <= most
      ? []
      : [
          {
            field: fieldOf(reading, i),
            ...(size.kind === 'hydrometer'
              ? inputSays('float-off', { off: bare(shown - should), should: bare(should) })
              : inputSays('thermometer-off', { offC: Math.abs(shown - should), shouldC: should })),
          },
        ],
  );
}

const fieldOf = (reading: ToolReading, i: number): string =>
  reading.kind === 'hydrometer' ? 'waterReads' : i === 0 && reading.iceC !== undefined ? 'iceC' : 'boilC';
const bare = (x: number): Quantity => ({ value: Number(Math.abs(x).toFixed(Math.abs(x) < 2 ? 3 : 1)), unit: 'n' });

function hydrometerFaults({ calibrationC }: Extract<ToolSize, { kind: 'hydrometer' }>, { waterReads, waterC }: Extract<ToolReading, { kind: 'hydrometer' }>) {
  if (!Number.isFinite(waterReads)) return [{ field: 'waterReads', ...inputSays('reads-in-water') }];
  if (!(Math.abs(waterC - calibrationC) <= WATER_AROUND_C))
    return [{ field: 'waterC', ...inputSays('water-to-calibration', { calibrationC, aroundC: WATER_AROUND_C }) }];
  return [];
}

function thermometerFaults(reading: ToolReading) {
  if (reading.kind !== 'thermometer') return [];
  const { iceC, boilC, altitudeM } = reading;
  if (iceC === undefined && boilC === undefined) return [{ field: 'iceC', ...inputSays('shown-in-ice') }];
  for (const [field, C] of Object.entries({ iceC, boilC })) if (C !== undefined && !Number.isFinite(C)) return [{ field, ...inputSays('tool-no-number') }];
  if (boilC !== undefined && !(altitudeM !== undefined && altitudeM >= -450 && altitudeM <= MOST_ALTITUDE_M))
    return [{ field: 'altitudeM', ...inputSays('how-high') }];
  return [];
}

/** What a tool truly read: the straight line through what it showed and should have shown. One point moves it, two also turn it. */
export function corrected(points: readonly CheckPoint[], shown: number): number {
  const [first, second] = points;
  if (first === undefined) return shown;
  if (second === undefined) return shown + first.should - first.shown;
  const slope = (second.should - first.should) / (second.shown - first.shown);
  return first.should + (shown - first.shown) * slope;
}

/** The check that stands at an instant, ms: the last one before it. */
export const checkAt = <T extends Pick<ToolCheck, 'at'>>(checks: readonly T[], atMs: number): T | undefined =>
  checks.reduce<T | undefined>((last, check) => {
    const at = Date.parse(check.at);
    return at <= atMs && (last === undefined || at >= Date.parse(last.at)) ? check : last;
  }, undefined);

/**
 * What a tool truly read at an instant, by the check that stood then.
 *
 * @example trueReading({ kind: 'thermometer', stepC: 0.1 }, [{ id: '', by: 'Wren', at: '2026-11-01T08:00:00Z', reading: { kind: 'thermometer', iceC: 0.6 } }], 63.4, Date.parse('2026-11-02T12:00:00Z')) // 62.8
 */
export function trueReading(size: ToolSize, checks: readonly ToolCheck[], shown: number, atMs: number): number {
  const check = checkAt(checks, atMs);
  return check === undefined ? shown : corrected(checkPoints(size, check.reading), shown);
}

/** A core temperature at an instant. */
export interface CoreReading {
  /** ms since the epoch */
  at: number;
  C: number;
}

/** What a core cools towards in a cold room, °C [M]. */
const COLD_ROOM_C = 2;

/**
 * When a cooling core passed a temperature: between the last reading above it and the first reading at or below it, along an
 * exponential towards the cold room. A thick piece cools more slowly at first, so the real crossing is not earlier than this.
 *
 * @param readings in order of time
 * @returns ms since the epoch, or null while no reading is at or below `C` after one above it
 * @example crossingTime([{ at: 0, C: 60 }, { at: 4 * HOUR, C: 20 }], 54) // about 16 min after the first
 */
export function crossingTime(readings: readonly CoreReading[], C: number): number | null {
  const first = readings.findIndex((reading, i) => reading.C <= C && i > 0 && (readings[i - 1]?.C ?? C) > C);
  const below = readings[first];
  const above = readings[first - 1];
  if (below === undefined || above === undefined) return null;
  const floorC = Math.min(COLD_ROOM_C, below.C - 0.5, C - 0.5);
  const whole = Math.log((above.C - floorC) / (below.C - floorC));
  const part = Math.log((above.C - floorC) / (C - floorC));
  return above.at + ((below.at - above.at) * part) / whole;
}

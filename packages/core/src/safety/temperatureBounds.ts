import { safetySays } from '../say/english/safety.js';
import type { Message } from '../say/message.js';

/**
 * What a temperature is read of. `core` on the fire or just off it, `rawCore` before it, `coolingCore` on its way down, `chamber` of smoker,
 * oven or steam, `water` of a bath or pot, `brine`, `cold` of a refrigerator.
 */
export type TemperatureOf = 'core' | 'rawCore' | 'coolingCore' | 'chamber' | 'water' | 'brine' | 'cold';

/** What is known of the situation in which it is read, °C. */
export interface Situation {
  /** what the chamber or the bath is set to by the program */
  setC?: number;
  /** the hottest that the fire was read or set to */
  hottestC?: number;
  /** below this the brine freezes */
  freezesC?: number;
  /** what the piece is to come to */
  targetC?: number;
}

interface Bounds {
  min: number;
  max: number;
}

/** What can be read of each at all, °C [M: between what freezes and what boils; fires as they are lit]. Why not beyond: `CANNOT_BE`. */
const BOUNDS: Readonly<Record<TemperatureOf, Bounds>> = {
  core: { min: -1.5, max: 100 },
  rawCore: { min: -1.5, max: 30 },
  coolingCore: { min: -1.5, max: 100 },
  chamber: { min: -10, max: 300 },
  water: { min: -0.5, max: 101 },
  brine: { min: -21.5, max: 60 },
  cold: { min: -30, max: 45 },
};

/** Where the usual reading of each lies, °C: what was typed in the other unit is recognised by it. */
const USUAL: Readonly<Record<TemperatureOf, readonly [from: number, to: number]>> = {
  core: [2, 98],
  rawCore: [-1, 25],
  coolingCore: [0, 80],
  chamber: [15, 160],
  water: [40, 100],
  brine: [-1, 20],
  cold: [-1, 12],
};

/** A fire that reads so much over what it is set to is asked about, °C [M]. */
const OVER_SET_C = 60;
/** Warmer than this a refrigerator or a brine is asked about, °C [M]. */
const HARDLY_C = { cold: 15, brine: 20 } as const;
/** Colder than this a refrigerator, or a brine that does not freeze yet, is asked about: 4 °C typed where °F stands is −16 °C [M]. */
const HARDLY_COLD_C = { cold: -10, brine: -4 } as const;
/** Water so much colder than its bath, whose number in the other unit lies so near to it, was read in that [M]. */
const UNDER_SET_C = 25;
const NEAR_BATH_C = 8;
/** A core that is so much over all the heat around it is none, °C. */
const OVER_FIRE_C = 2;
/** A chamber that lies so near to its program in the other unit was read in it, °C [M]. */
const NEAR_SET_C = 30;

const inF = (C: number): number => (C * 9) / 5 + 32;
const fromF = (F: number): number => ((F - 32) * 5) / 9;

/** A reading that cannot be of what it was read of, and the likely one. */
export interface TemperatureFault {
  code: 'cannot-be' | 'unlikely';
  C: number;
  /** °C; what it likely was, null where nothing suggests itself */
  likelyC: number | null;
  said: Message;
}

/**
 * Whether a temperature can be of what it was read of. Beyond nature it is refused; far from what is set it is asked about, and a reason
 * keeps it. The likely reading is named: °F taken for °C, or °C typed where °F stands.
 *
 * @example temperatureFault(130, 'core')?.said.message // '130 °C? No core gets hotter than boiling water. Did it show 130 °F? That is 54.4 °C.'
 */
export function temperatureFault(C: number, of: TemperatureOf, { setC, hottestC, freezesC, targetC }: Situation = {}): TemperatureFault | null {
  const bounds = BOUNDS[of];
  const min = of === 'brine' ? Math.max(bounds.min, freezesC ?? bounds.min) : bounds.min;
  const fault = (code: TemperatureFault['code'], why: Message): TemperatureFault => {
    const likely = likelyReading(C, of, setC ?? targetC);
    return { code, C, likelyC: likely?.C ?? null, said: safetySays('cannot-be-read', { C, why, ask: likely?.ask ?? safetySays('read-again') }) };
  };
  if (C < min) return fault('cannot-be', of === 'brine' && freezesC !== undefined ? safetySays('brine-freezes-at', { freezesC }) : safetySays(`${of}-below`));
  if (C > bounds.max) return fault('cannot-be', of === 'water' ? safetySays('water-above', { boilsC: 100 }) : safetySays(`${of}-above`));
  if (of === 'core' && hottestC !== undefined && C > hottestC + OVER_FIRE_C) return fault('unlikely', safetySays('nothing-so-hot', { hottestC }));
  if (of === 'cold' && C > HARDLY_C.cold) return fault('unlikely', safetySays('cold-hardly'));
  if (of === 'brine' && C > HARDLY_C.brine) return fault('unlikely', safetySays('brine-hardly'));
  if (of === 'brine' && C < HARDLY_COLD_C.brine) return fault('unlikely', safetySays('brine-hardly-cold'));
  if (of === 'cold' && C < HARDLY_COLD_C.cold) return fault('unlikely', safetySays('cold-hardly-cold'));
  if (of === 'water' && setC !== undefined && C < setC - UNDER_SET_C && Math.abs(inF(C) - setC) <= NEAR_BATH_C)
    return fault('unlikely', safetySays('bath-set-to', { setC }));
  if (of === 'chamber' && setC !== undefined && C > setC + OVER_SET_C) return fault('unlikely', safetySays('program-wants', { setC }));
  return null;
}

/** What was likely read: the same number in °F, or the number in °F as °C. */
function likelyReading(C: number, of: TemperatureOf, nearC: number | undefined): { C: number; ask: Message } | null {
  const [from, to] = USUAL[of];
  const isUsual = (value: number) => value >= from && value <= to && (of !== 'chamber' || nearC === undefined || Math.abs(value - nearC) <= NEAR_SET_C);
  const asF = fromF(C);
  if (C > to && isUsual(asF)) return { C: asF, ask: safetySays('read-in-f', { number: C, C: asF }) };
  const numberInF = inF(C);
  if (C < from && isUsual(numberInF)) return { C: numberInF, ask: safetySays('typed-as-f', { number: numberInF }) };
  return null;
}

/**
 * Where a brine begins to freeze, °C: table of sodium chloride solutions, straight between its lines [P: CRC Handbook of Chemistry and
 * Physics, freezing point depression; values from memory]. Sugar and cure lower it further, a little.
 *
 * @example brineFreezesC(10) // -6.56
 */
export function brineFreezesC(saltPercent: number): number {
  const table = [
    [0, 0],
    [5, -3.05],
    [10, -6.56],
    [15, -10.89],
    [20, -16.46],
    [23.3, -21.13],
  ] as const;
  const at = table.findLastIndex(([percent]) => percent <= saltPercent);
  const [low, next] = [table[Math.max(0, at)], table[at + 1]];
  if (low === undefined || next === undefined) return -21.13;
  return low[1] + ((next[1] - low[1]) * (saltPercent - low[0])) / (next[0] - low[0]);
}

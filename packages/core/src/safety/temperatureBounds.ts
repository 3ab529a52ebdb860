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
  /** why not, beyond them */
  below: string;
  above: string;
}

/** What can be read of each at all, °C [M: between what freezes and what boils; fires as they are lit]. */
const BOUNDS: Readonly<Record<TemperatureOf, Bounds>> = {
  core: { min: -1.5, max: 100, below: 'meat on the fire is not frozen', above: 'no core gets hotter than boiling water' },
  rawCore: { min: -1.5, max: 30, below: 'meat that goes on the fire is thawed first', above: 'that is no core of meat that was not cooked yet' },
  coolingCore: { min: -1.5, max: 100, below: 'a core that cools in a refrigerator does not freeze', above: 'no core is hotter than boiling water' },
  chamber: { min: -10, max: 300, below: 'no smoker is so cold', above: 'no smoker or oven is so hot' },
  water: { min: -0.5, max: 101, below: 'water would be ice', above: 'water does not get hotter than 100 °C' },
  brine: { min: -21.5, max: 60, below: 'brine would be frozen', above: 'no brine is so hot when it is used' },
  cold: { min: -30, max: 45, below: 'no refrigerator is so cold', above: 'no refrigerator is so warm' },
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
/** A core that is so much over all the heat around it is none, °C. */
const OVER_FIRE_C = 2;
/** A chamber that lies so near to its program in the other unit was read in it, °C [M]. */
const NEAR_SET_C = 30;

const inF = (C: number): number => (C * 9) / 5 + 32;
const fromF = (F: number): number => ((F - 32) * 5) / 9;
const shown = (x: number): string => String(Number(x.toFixed(1)));

/** A reading that cannot be of what it was read of, and the likely one. */
export interface TemperatureFault {
  code: 'cannot-be' | 'unlikely';
  C: number;
  /** °C; what it likely was, null where nothing suggests itself */
  likelyC: number | null;
  message: string;
}

/**
 * Whether a temperature can be of what it was read of. Beyond nature it is refused; far from what is set it is asked about, and a reason
 * keeps it. The likely reading is named: °F taken for °C, or °C typed where °F stands.
 *
 * @example temperatureFault(130, 'core')?.message // '130 °C? No core gets hotter than boiling water. Did it show 130 °F? That is 54.4 °C.'
 */
export function temperatureFault(C: number, of: TemperatureOf, { setC, hottestC, freezesC, targetC }: Situation = {}): TemperatureFault | null {
  const bounds = BOUNDS[of];
  const min = of === 'brine' ? Math.max(bounds.min, freezesC ?? bounds.min) : bounds.min;
  const fault = (code: TemperatureFault['code'], why: string): TemperatureFault => {
    const likely = likelyReading(C, of, setC ?? targetC);
    return { code, C, likelyC: likely?.C ?? null, message: `${shown(C)} °C? ${capital(why)}.${likely === null ? ' Read it again.' : ` ${likely.ask}`}` };
  };
  if (C < min) return fault('cannot-be', of === 'brine' && freezesC !== undefined ? `this brine freezes at ${shown(freezesC)} °C` : bounds.below);
  if (C > bounds.max) return fault('cannot-be', bounds.above);
  if (of === 'core' && hottestC !== undefined && C > hottestC + OVER_FIRE_C)
    return fault('unlikely', `nothing around it was hotter than ${shown(hottestC)} °C`);
  if (of === 'cold' && C > HARDLY_C.cold) return fault('unlikely', 'a refrigerator is hardly so warm');
  if (of === 'brine' && C > HARDLY_C.brine) return fault('unlikely', 'brine for meat is hardly so warm');
  if (of === 'chamber' && setC !== undefined && C > setC + OVER_SET_C) return fault('unlikely', `the program wants ${shown(setC)} °C`);
  return null;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** What was likely read: the same number in °F, or the number in °F as °C. */
function likelyReading(C: number, of: TemperatureOf, nearC: number | undefined): { C: number; ask: string } | null {
  const [from, to] = USUAL[of];
  const isUsual = (value: number) => value >= from && value <= to && (of !== 'chamber' || nearC === undefined || Math.abs(value - nearC) <= NEAR_SET_C);
  const asF = fromF(C);
  if (C > to && isUsual(asF)) return { C: asF, ask: `Did it show ${shown(C)} °F? That is ${shown(asF)} °C.` };
  const numberInF = inF(C);
  if (C < from && isUsual(numberInF)) return { C: numberInF, ask: `Did it show ${shown(numberInF)} °C, typed as °F?` };
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

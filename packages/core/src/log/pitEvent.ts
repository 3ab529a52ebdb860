/** What the hands do at the pit, one tap each. */
export const TENDING_ACTS = ['fuel', 'spritz', 'glaze', 'wrap', 'turn', 'pan', 'water', 'reseat', 'bare'] as const;
export type TendingAct = (typeof TENDING_ACTS)[number];

/** What is done to the fire, whatever hangs over it. */
const FIRE_ACTS: readonly TendingAct[] = ['fuel', 'pan'];
export const isOfTheFire = (act: PitEvent['act']): boolean => FIRE_ACTS.some((own) => own === act);

/** A channel of a device, and what it reads: the chamber, or the core of a piece by its code. */
export interface Probe {
  device: string;
  channel: number;
  reads: string;
  /** the core temperature at which this piece is done, °C; the process's when not given */
  targetC?: number;
}

/** What a channel reads when it hangs in the chamber: no piece has that for a code. */
export const CHAMBER = 'chamber';

/** Something that happened at the pit. Never a step of its own: it may happen often, or not at all. */
export type PitEvent =
  | { act: TendingAct; piece?: string }
  /** the channels as they hang from now on, all of them */
  | { act: 'probes'; probes: Probe[] }
  /** an instant-read thermometer in several places of a piece; what its probe read at that time */
  | { act: 'check'; piece: string; placesC: number[]; probeC?: number }
  /** the water of the bath in which it lies sealed and held under: every piece, or one */
  | { act: 'bath'; waterC: number; piece?: string }
  /** an alarm was heard, by who wrote it */
  | { act: 'heard'; alarm: string }
  /** a rule was not kept: what was decided stands as the entry's reason */
  | { act: 'decided'; alarm: string };

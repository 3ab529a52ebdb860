import type { HydrometerScale } from '../brine/readHydrometer.js';

/** What is measured and pumped with, one of each, with the size that matters of it. */
export const TOOL_KINDS = ['thermometer', 'hydrometer', 'scale', 'needle'] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

export type ToolSize =
  /** in the hand, or a channel of a device that hands its readings in itself */
  | { kind: 'thermometer'; stepC: number; device?: string; channel?: number }
  | { kind: 'hydrometer'; scale: HydrometerScale; calibrationC: number }
  | { kind: 'scale'; stepG: number; mostG: number }
  | { kind: 'needle'; lengthMm: number; holes: number };

/** What a tool showed where it is known what it should show. */
export type ToolReading =
  /** in ice and water, and in boiling water at a height above the sea; one of them at least */
  | { kind: 'thermometer'; iceC?: number; boilC?: number; altitudeM?: number }
  /** in plain water of a temperature */
  | { kind: 'hydrometer'; waterReads: number; waterC: number };

/** A tool was held against something known: an entry of its own, never changed. */
export interface ToolCheck {
  id: string;
  by: string;
  /** ISO instant; corrects what is read from then on */
  at: string;
  reading: ToolReading;
}

/** The steps of scales that a batch is weighed out with: the finest that there is for the cure, for the rest the one that carries most. */
export function scaleSteps(tools: readonly { size: ToolSize; putAway: boolean }[]): { cureScaleStepG: number; meatScaleStepG: number } | null {
  const scales = tools.flatMap(({ size, putAway }) => (size.kind === 'scale' && !putAway ? [size] : []));
  const finest = scales.reduce<number | null>((least, { stepG }) => (least === null || stepG < least ? stepG : least), null);
  const big = scales.reduce<(typeof scales)[number] | null>((most, scale) => (most === null || scale.mostG > most.mostG ? scale : most), null);
  return finest === null || big === null ? null : { cureScaleStepG: finest, meatScaleStepG: big.stepG };
}

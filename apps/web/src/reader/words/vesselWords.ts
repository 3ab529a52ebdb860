import type { Vessel, VesselKind } from '@bunkhouse/core';

export const VESSEL_NAMES: Record<VesselKind, string> = { tub: 'Tub', bag: 'Bag' };

/** `Tub 1`, `Bag 2`. */
export const vesselName = ({ kind }: Pick<Vessel, 'kind'>, n: number): string => `${VESSEL_NAMES[kind]} ${n}`;

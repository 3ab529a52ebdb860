/** What pieces lie in with their brine. */
export const VESSEL_KINDS = ['tub', 'bag'] as const;
export type VesselKind = (typeof VESSEL_KINDS)[number];

/** What some of a batch's pieces lie in together, with a part of the brine that was made for all. */
export interface Vessel {
  kind: VesselKind;
  /** codes of its pieces */
  pieces: readonly string[];
  /** its part of the brine beside the others’ parts: 1 and 1 is half each; by the weight of its meat when not given */
  part?: number;
  /** what was poured into it, g, where it was weighed */
  brineG?: number;
}

import { VESSEL_KINDS, type Vessel, type VesselKind } from '@bunkhouse/core';
import { GRAMS } from './pieceShapes.js';
import { Amount, MayBe, Texts, Word } from './rules.js';

/** A tub or a bag, what lies in it, and its part of the brine. */
export class VesselShape implements Vessel {
  @Word(VESSEL_KINDS) kind: VesselKind;
  /** codes of its pieces */
  @Texts(10, 12, /^[A-Za-z0-9]+$/) pieces: readonly string[];
  @MayBe() @Amount('parts beside the others’', { above: 0, max: 1000 }) part?: number;
  @MayBe() @Amount('g of brine', GRAMS) brineG?: number;
}

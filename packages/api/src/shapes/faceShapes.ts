import type { FaceMarks, FaceShares } from '@bunkhouse/core';
import { Amount, Part, type Bounds } from './rules.js';

const SHARE: Bounds = { min: 0, max: 1 };
const HALF: Bounds = { min: 0.02, max: 1 };
const OF_FACE: Bounds = { min: 0, max: 100 };

/** A place on a picture. */
export class PlaceShape {
  @Amount('share of the width', SHARE) x: number;
  @Amount('share of the height', SHARE) y: number;
}

/** The ellipse that the meat fills. */
export class MeatPlaceShape extends PlaceShape {
  @Amount('half its width, as a share', HALF) rx: number;
  @Amount('half its height, as a share', HALF) ry: number;
}

/** What the cook marked on a picture of a cut face. */
export class FaceMarksShape implements FaceMarks {
  @Part(() => MeatPlaceShape) meat: MeatPlaceShape;
  @Part(() => PlaceShape) pink: PlaceShape;
  @Part(() => PlaceShape) grey: PlaceShape;
}

/** What was read between the marks. */
export class FaceSharesShape implements FaceShares {
  @Amount('% of the face', OF_FACE) greyPercent: number;
  @Amount('%', OF_FACE) low: number;
  @Amount('%', OF_FACE) high: number;
  @Amount('% that is close to neither mark', OF_FACE) neitherPercent: number;
  @Amount('how different the marks are, CIE L*a*b*', { min: 0, max: 300 }) apart: number;
}

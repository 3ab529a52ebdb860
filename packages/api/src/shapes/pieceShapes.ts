import type { Piece, Section } from '@bunkhouse/core';
import { Amount, Either, MayBe, Part, Text, Word, type Bounds } from './rules.js';

export const GRAMS: Bounds = { min: 0, max: 1e6 };
export const SIZE: Bounds = { above: 0, max: 1500 };

type SectionOf<Shape extends Section['shape']> = Extract<Section, { shape: Shape }>;
type Bone = NonNullable<Section['bone']>;

class BoneShape implements Bone {
  @Amount('mm', SIZE) diameterMm: number;
  @MayBe() @Amount('mm from the middle') xMm?: number;
  @MayBe() @Amount('mm from the middle') yMm?: number;
}

/** What any section may have. */
abstract class AnySection {
  @MayBe() @Part(() => BoneShape) bone?: BoneShape;
  /** no brine passes this side */
  @MayBe() @Word(['top', 'bottom']) closedSide?: 'top' | 'bottom';
  @MayBe() @Amount('mm of fat on that side', { min: 0, max: 100 }) fatCapMm?: number;
}

/** Flat, much wider than thick. */
class SlabShape extends AnySection implements SectionOf<'slab'> {
  @Word(['slab']) shape: 'slab';
  @Amount('mm', SIZE) thicknessMm: number;
}

class RoundShape extends AnySection implements SectionOf<'round'> {
  @Word(['round']) shape: 'round';
  @Amount('mm', SIZE) diameterMm: number;
}

class EllipseShape extends AnySection implements SectionOf<'ellipse'> {
  @Word(['ellipse']) shape: 'ellipse';
  @Amount('mm', SIZE) widthMm: number;
  @Amount('mm', SIZE) heightMm: number;
}

class RectangleShape extends AnySection implements SectionOf<'rectangle'> {
  @Word(['rectangle']) shape: 'rectangle';
  @Amount('mm', SIZE) widthMm: number;
  @Amount('mm', SIZE) heightMm: number;
}

export const SECTIONS = () => [SlabShape, RoundShape, EllipseShape, RectangleShape] as const;

/** A piece as it came. */
export class PieceShape implements Piece {
  @Text(4, { pattern: /^[A-Z0-9]+$/ }) code: string;
  @Amount('g', GRAMS) greenG: number;
  @Either(SECTIONS, 'shape') section: Section;
  @Amount('mm', SIZE) lengthMm: number;
}

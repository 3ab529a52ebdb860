import type { ToolCheck, ToolReading, ToolSize } from '@bunkhouse/core';
import { SIZE } from './pieceShapes.js';
import { Amount, Count, Either, Id, Instant, MayBe, Text, Word } from './rules.js';

type SizeOf<Kind extends ToolSize['kind']> = Extract<ToolSize, { kind: Kind }>;
type ReadingOf<Kind extends ToolReading['kind']> = Extract<ToolReading, { kind: Kind }>;

class ThermometerShape implements SizeOf<'thermometer'> {
  @Word(['thermometer']) kind: 'thermometer';
  @Amount('°C', { above: 0, max: 5 }) stepC: number;
  @MayBe() @Id() device?: string;
  @MayBe() @Count({ min: 1, max: 64 }) channel?: number;
}
class HydrometerShape implements SizeOf<'hydrometer'> {
  @Word(['hydrometer']) kind: 'hydrometer';
  @Word(['sg60F', 'salometer', 'baume']) scale: SizeOf<'hydrometer'>['scale'];
  @Amount('°C', { min: 4, max: 30 }) calibrationC: number;
}
class ScaleShape implements SizeOf<'scale'> {
  @Word(['scale']) kind: 'scale';
  @Amount('g', { above: 0, max: 1000 }) stepG: number;
  @Amount('g', { above: 0, max: 1e6 }) mostG: number;
}
class NeedleShape implements SizeOf<'needle'> {
  @Word(['needle']) kind: 'needle';
  @Amount('mm', SIZE) lengthMm: number;
  @Count({ min: 1, max: 60 }) holes: number;
}

/** Every kind of tool, with the size that matters of it. */
export const TOOL_SIZES = () => [ThermometerShape, HydrometerShape, ScaleShape, NeedleShape] as const;

/** In ice and water, in boiling water, or both. */
class ThermometerCheckShape implements ReadingOf<'thermometer'> {
  @Word(['thermometer']) kind: 'thermometer';
  @MayBe() @Amount('°C', { min: -10, max: 10 }) iceC?: number;
  @MayBe() @Amount('°C', { min: 70, max: 110 }) boilC?: number;
  @MayBe() @Amount('m above the sea', { min: -450, max: 5000 }) altitudeM?: number;
}
/** In plain water. */
class HydrometerCheckShape implements ReadingOf<'hydrometer'> {
  @Word(['hydrometer']) kind: 'hydrometer';
  @Amount('by its own scale', { min: -10, max: 20 }) waterReads: number;
  @Amount('°C', { min: 0, max: 40 }) waterC: number;
}

/** A tool was held against something known. */
export class ToolCheckShape implements ToolCheck {
  @Id() id: string;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
  @Either(() => [ThermometerCheckShape, HydrometerCheckShape] as const, 'kind') reading: ToolReading;
}

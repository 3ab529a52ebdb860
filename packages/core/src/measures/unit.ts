type MassUnit = 'g' | 'kg' | 'oz' | 'lb';
type VolumeUnit = 'mL' | 'L' | 'tsp' | 'tbsp' | 'cup' | 'flozUS' | 'ptUS' | 'qtUS' | 'galUS' | 'flozImp' | 'ptImp' | 'qtImp' | 'galImp';
type LengthUnit = 'mm' | 'cm' | 'in';
type TemperatureUnit = 'C' | 'F';
type TimeUnit = 's' | 'min' | 'h' | 'd';
export type Unit = MassUnit | VolumeUnit | LengthUnit | TemperatureUnit | TimeUnit;

export type UnitKind = 'mass' | 'volume' | 'length' | 'temperature' | 'time';

/** A unit as a linear map to the base unit of its kind: base = value × factor + offset. */
export interface UnitDefinition {
  kind: UnitKind;
  factor: number;
  offset?: number;
}

const US_GALLON_ML = 3785.411784;
const IMPERIAL_GALLON_ML = 4546.09;

/**
 * Bases: g, mL, mm, °C, s. Factors are the exact legal definitions: the avoirdupois pound 453.59237 g and the inch 25.4 mm
 * (international yard and pound agreement, 1959), the US gallon 231 in³, the imperial gallon 4.54609 L.
 */
export const UNITS: Readonly<Record<Unit, UnitDefinition>> = {
  g: { kind: 'mass', factor: 1 },
  kg: { kind: 'mass', factor: 1000 },
  oz: { kind: 'mass', factor: 453.59237 / 16 },
  lb: { kind: 'mass', factor: 453.59237 },
  mL: { kind: 'volume', factor: 1 },
  L: { kind: 'volume', factor: 1000 },
  tsp: { kind: 'volume', factor: US_GALLON_ML / 768 },
  tbsp: { kind: 'volume', factor: US_GALLON_ML / 256 },
  cup: { kind: 'volume', factor: US_GALLON_ML / 16 },
  flozUS: { kind: 'volume', factor: US_GALLON_ML / 128 },
  ptUS: { kind: 'volume', factor: US_GALLON_ML / 8 },
  qtUS: { kind: 'volume', factor: US_GALLON_ML / 4 },
  galUS: { kind: 'volume', factor: US_GALLON_ML },
  flozImp: { kind: 'volume', factor: IMPERIAL_GALLON_ML / 160 },
  ptImp: { kind: 'volume', factor: IMPERIAL_GALLON_ML / 8 },
  qtImp: { kind: 'volume', factor: IMPERIAL_GALLON_ML / 4 },
  galImp: { kind: 'volume', factor: IMPERIAL_GALLON_ML },
  mm: { kind: 'length', factor: 1 },
  cm: { kind: 'length', factor: 10 },
  in: { kind: 'length', factor: 25.4 },
  C: { kind: 'temperature', factor: 1 },
  F: { kind: 'temperature', factor: 5 / 9, offset: -160 / 9 },
  s: { kind: 'time', factor: 1 },
  min: { kind: 'time', factor: 60 },
  h: { kind: 'time', factor: 3600 },
  d: { kind: 'time', factor: 86400 },
};

/** A value in another unit of the same kind; nothing is looked at. */
export const inUnit = (value: number, from: UnitDefinition, to: UnitDefinition): number =>
  from === to ? value : (value * from.factor + (from.offset ?? 0) - (to.offset ?? 0)) / to.factor;

import { TOOL_KINDS, type ToolKind, type ToolReading, type ToolSize } from '@bunkhouse/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, IsUUID, Max, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { told } from './say/ruleWords.js';

const SCALES = ['sg60F', 'salometer', 'baume'] as const;
const of = (kind: ToolKind) => ValidateIf((request: ToolRequest) => request.kind === kind);
const onDevice = ValidateIf((request: ToolRequest) => request.kind === 'thermometer' && (request.device !== undefined || request.channel !== undefined));

/** A thermometer, a hydrometer, a scale or a needle of the house, with the size that matters of it. */
export class ToolRequest {
  /** made by the sender, so that sending it twice keeps it once; the same id again changes it */
  @IsUUID(undefined, told('tool-id-missing'))
  id: string;

  @IsIn(TOOL_KINDS, told('tool-kind-choice'))
  kind: ToolKind;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('tool-name-missing'))
  @IsString(told('tool-name-missing'))
  name: string;

  @of('thermometer')
  @Min(0.01, told('tool-step-least'))
  @Max(5, told('tool-step-most', { mostC: 5 }))
  @IsNumber({}, told('tool-step-missing'))
  stepC?: number;

  /** the device whose channel this thermometer is; in the hand when not given */
  @onDevice
  @IsUUID(undefined, told('tool-device-id'))
  device?: string;

  @onDevice
  @Min(1, told('channel-range'))
  @Max(64, told('channel-range'))
  @IsInt(told('channel-range'))
  channel?: number;

  @of('hydrometer')
  @IsIn(SCALES, told('tool-scale-choice'))
  scale?: (typeof SCALES)[number];

  @of('hydrometer')
  @Min(4, told('tool-calibration-range', { leastC: 4, mostC: 30, usualC: 15.6 }))
  @Max(30, told('tool-calibration-range', { leastC: 4, mostC: 30, usualC: 15.6 }))
  @IsNumber({}, told('tool-calibration-missing'))
  calibrationC?: number;

  @of('scale')
  @Min(0.001, told('tool-scale-step-least'))
  @Max(1000, told('tool-scale-step-most', { mostKg: 1 }))
  @IsNumber({}, told('tool-scale-step-missing'))
  stepG?: number;

  @of('scale')
  @Min(1, told('tool-most-least'))
  @Max(1_000_000, told('tool-most-most'))
  @IsNumber({}, told('tool-most-least'))
  mostG?: number;

  @of('needle')
  @Min(20, told('tool-length-least', { leastMm: 20 }))
  @Max(500, told('tool-length-most', { mostMm: 500 }))
  @IsNumber({}, told('tool-length-missing'))
  lengthMm?: number;

  @of('needle')
  @Min(1, told('tool-holes-least'))
  @Max(60, told('tool-holes-least'))
  @IsInt(told('tool-holes-least'))
  holes?: number;

  /** not offered any more; what was read with it stays */
  @IsBoolean(told('person-put-away-yes-or-no'))
  putAway: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('written-by-missing'))
  @IsString(told('written-by-missing'))
  by: string;
}

/** The size that a checked request gives; what its kind has no use for is left behind. */
export function toToolSize(request: ToolRequest): ToolSize {
  const { kind, stepC = 0, device, channel, scale = 'sg60F', calibrationC = 0, stepG = 0, mostG = 0, lengthMm = 0, holes = 1 } = request;
  switch (kind) {
    case 'thermometer':
      return { kind, stepC, ...(device === undefined || channel === undefined ? {} : { device, channel }) };
    case 'hydrometer':
      return { kind, scale, calibrationC };
    case 'scale':
      return { kind, stepG, mostG };
    case 'needle':
      return { kind, lengthMm, holes };
  }
}

const given = (name: keyof ToolCheckRequest) => ValidateIf((request: ToolCheckRequest) => request[name] !== undefined);

/** What a thermometer showed in ice and in boiling water, or a hydrometer in plain water. */
export class ToolCheckRequest {
  @IsUUID(undefined, told('tool-check-id-missing'))
  id: string;

  @IsInstant(told('tool-check-at-time'))
  at: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('tool-check-by-missing'))
  @IsString(told('tool-check-by-missing'))
  by: string;

  @given('iceC')
  @IsNumber({}, told('tool-check-ice-missing'))
  iceC?: number;

  @given('boilC')
  @IsNumber({}, told('tool-check-boil-missing'))
  boilC?: number;

  /** m above the sea; asked for with boiling water */
  @given('altitudeM')
  @IsNumber({}, told('tool-check-altitude-m-missing'))
  altitudeM?: number;

  @given('waterReads')
  @IsNumber({}, told('tool-check-water-reads-missing'))
  waterReads?: number;

  @given('waterC')
  @IsNumber({}, told('tool-check-water-missing'))
  waterC?: number;
}

/** The reading that a checked request gives for a tool of a kind. */
export function toToolReading(kind: ToolKind, { iceC, boilC, altitudeM, waterReads, waterC }: ToolCheckRequest): ToolReading {
  if (kind === 'hydrometer') return { kind, waterReads: waterReads ?? Number.NaN, waterC: waterC ?? Number.NaN };
  return {
    kind: 'thermometer',
    ...(iceC === undefined ? {} : { iceC }),
    ...(boilC === undefined ? {} : { boilC, ...(altitudeM === undefined ? {} : { altitudeM }) }),
  };
}

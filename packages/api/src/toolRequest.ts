import { TOOL_KINDS, type ToolKind, type ToolReading, type ToolSize } from '@bunkhouse/core';
import { IsBoolean, IsIn, IsInt, IsNumber, IsString, IsUUID, Max, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import { IsInstant } from './isInstant.js';

const SCALES = ['sg60F', 'salometer', 'baume'] as const;
const of = (kind: ToolKind) => ValidateIf((request: ToolRequest) => request.kind === kind);
const onDevice = ValidateIf((request: ToolRequest) => request.kind === 'thermometer' && (request.device !== undefined || request.channel !== undefined));

/** A thermometer, a hydrometer, a scale or a needle of the house, with the size that matters of it. */
export class ToolRequest {
  /** made by the sender, so that sending it twice keeps it once; the same id again changes it */
  @IsUUID(undefined, { message: 'The tool needs an id.' })
  id: string;

  @IsIn(TOOL_KINDS, { message: 'A thermometer, a hydrometer, a scale or a needle?' })
  kind: ToolKind;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'The tool needs a name, such as what is written on it.' })
  @IsString({ message: 'The tool needs a name, such as what is written on it.' })
  name: string;

  @of('thermometer')
  @Min(0.01, { message: 'No thermometer shows less than a hundredth.' })
  @Max(5, { message: 'Steps over 5 °C are too coarse for meat.' })
  @IsNumber({}, { message: 'By how much does its display step?' })
  stepC?: number;

  /** the device whose channel this thermometer is; in the hand when not given */
  @onDevice
  @IsUUID(undefined, { message: 'Which device is it?' })
  device?: string;

  @onDevice
  @Min(1, { message: 'Channels are counted from 1 to 64.' })
  @Max(64, { message: 'Channels are counted from 1 to 64.' })
  @IsInt({ message: 'Channels are counted from 1 to 64.' })
  channel?: number;

  @of('hydrometer')
  @IsIn(SCALES, { message: 'Which scale does it have?' })
  scale?: (typeof SCALES)[number];

  @of('hydrometer')
  @Min(4, { message: 'A hydrometer is made to be right between 4 and 30 °C; most at 15.6.' })
  @Max(30, { message: 'A hydrometer is made to be right between 4 and 30 °C; most at 15.6.' })
  @IsNumber({}, { message: 'At which temperature is it made to be right? It stands on it.' })
  calibrationC?: number;

  @of('scale')
  @Min(0.001, { message: 'No scale of a kitchen steps by less than a milligram.' })
  @Max(1000, { message: 'A scale that steps by more than a kilogram weighs no meat.' })
  @IsNumber({}, { message: 'By how much does the scale step?' })
  stepG?: number;

  @of('scale')
  @Min(1, { message: 'How much does it carry?' })
  @Max(1_000_000, { message: 'More than a tonne. Look at the unit.' })
  @IsNumber({}, { message: 'How much does it carry?' })
  mostG?: number;

  @of('needle')
  @Min(20, { message: 'A needle under 20 mm does not get into meat.' })
  @Max(500, { message: 'A needle over half a metre: look at the unit.' })
  @IsNumber({}, { message: 'How long is it?' })
  lengthMm?: number;

  @of('needle')
  @Min(1, { message: 'How many holes does it have?' })
  @Max(60, { message: 'How many holes does it have?' })
  @IsInt({ message: 'How many holes does it have?' })
  holes?: number;

  /** not offered any more; what was read with it stays */
  @IsBoolean({ message: 'Put away: yes or no.' })
  putAway: boolean;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who writes it? A name is missing.' })
  @IsString({ message: 'Who writes it? A name is missing.' })
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
  @IsUUID(undefined, { message: 'The check needs an id.' })
  id: string;

  @IsInstant('When was it checked?')
  at: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who checked it? A name is missing.' })
  @IsString({ message: 'Who checked it? A name is missing.' })
  by: string;

  @given('iceC')
  @IsNumber({}, { message: 'What did it show in ice and water?' })
  iceC?: number;

  @given('boilC')
  @IsNumber({}, { message: 'What did it show in boiling water?' })
  boilC?: number;

  /** m above the sea; asked for with boiling water */
  @given('altitudeM')
  @IsNumber({}, { message: 'How high above the sea is the house, in metres?' })
  altitudeM?: number;

  @given('waterReads')
  @IsNumber({}, { message: 'What did it read in plain water?' })
  waterReads?: number;

  @given('waterC')
  @IsNumber({}, { message: 'How warm was the water?' })
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

import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { nestedList } from './nested.js';

export const DEVICE_KINDS = ['thermometer', 'refrigerator', 'scale'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** A channel of a device as its maker counts it. */
export class ChannelRequest {
  @Min(1, { message: 'Channels are counted from 1 to 64.' })
  @Max(64, { message: 'Channels are counted from 1 to 64.' })
  @IsInt({ message: 'Channels are counted from 1 to 64.' })
  channel: number;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'The channel needs a name.' })
  @IsString({ message: 'The channel needs a name.' })
  name: string;
}

/** A device that is to hand readings in. */
export class DeviceRequest {
  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'The device needs a name.' })
  @IsString({ message: 'The device needs a name.' })
  name: string;

  @IsIn(DEVICE_KINDS, { message: 'A thermometer, a refrigerator’s logger, or a scale?' })
  kind: DeviceKind;

  @nestedList(ChannelRequest, 'A channel is not described as it should be.')
  @ArrayMinSize(1, { message: 'A device has at least one channel.' })
  @ArrayMaxSize(64, { message: 'At most 64 channels.' })
  @IsArray({ message: 'Which channels does it have?' })
  channels: ChannelRequest[];

  /** the refrigerator that a logger hangs in, by its id in the plan of the house */
  @IsOptional()
  @Matches(/^[A-Za-z0-9-]{1,40}$/, { message: 'Which refrigerator does it hang in?' })
  store?: string;

  /** readings that nobody measured: shown as such wherever they stand */
  @IsOptional()
  @IsBoolean({ message: 'Simulated: yes or no.' })
  simulated?: boolean;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who adds it? A name is missing.' })
  @IsString({ message: 'Who adds it? A name is missing.' })
  by: string;
}

/** Who renews or ends a device's token. */
export class DeviceByRequest {
  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who does it? A name is missing.' })
  @IsString({ message: 'Who does it? A name is missing.' })
  by: string;
}

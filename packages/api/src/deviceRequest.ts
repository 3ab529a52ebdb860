import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { nestedList } from './nested.js';
import { told } from './say/ruleWords.js';

export const DEVICE_KINDS = ['thermometer', 'refrigerator', 'scale'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** A channel of a device as its maker counts it. */
export class ChannelRequest {
  @Min(1, told('channel-range'))
  @Max(64, told('channel-range'))
  @IsInt(told('channel-range'))
  channel: number;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('channel-name-missing'))
  @IsString(told('channel-name-missing'))
  name: string;
}

/** A device that is to hand readings in. */
export class DeviceRequest {
  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('device-name-missing'))
  @IsString(told('device-name-missing'))
  name: string;

  @IsIn(DEVICE_KINDS, told('device-kind-choice'))
  kind: DeviceKind;

  @nestedList(ChannelRequest, told('device-channels-shape'))
  @ArrayMinSize(1, told('device-channels-count-least'))
  @ArrayMaxSize(64, told('device-channels-count-most', { most: 64 }))
  @IsArray(told('device-channels-list'))
  channels: ChannelRequest[];

  /** the refrigerator that a logger hangs in, by its id in the plan of the house */
  @IsOptional()
  @Matches(/^[A-Za-z0-9-]{1,40}$/, told('device-store-form'))
  store?: string;

  /** readings that nobody measured: shown as such wherever they stand */
  @IsOptional()
  @IsBoolean(told('device-simulated-yes-or-no'))
  simulated?: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('device-by-missing'))
  @IsString(told('device-by-missing'))
  by: string;
}

/** Who renews or ends a device's token. */
export class DeviceByRequest {
  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('by-missing'))
  @IsString(told('by-missing'))
  by: string;
}

import { HttpException, Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import { hashOf } from './devicesService.js';
import { serverSays } from '@bunkhouse/api';

/** A device may post so often within so long, ms. */
export const DEVICE_POSTS = { limit: 200, ttl: 5000 } as const;

/** A device that floods is told to wait; the others are not held up by it. */
@Injectable()
export class DeviceThrottle extends ThrottlerGuard {
  protected override getTracker({ headers, ip }: { headers: { authorization?: string }; ip?: string }): Promise<string> {
    return Promise.resolve(headers.authorization === undefined ? (ip ?? '') : hashOf(headers.authorization).toString('base64'));
  }

  protected override throwThrottlingException(): Promise<void> {
    throw new HttpException(serverSays('device-too-often'), 429);
  }
}

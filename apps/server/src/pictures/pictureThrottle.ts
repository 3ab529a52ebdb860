import { HttpException, Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import { serverSays } from '@bunkhouse/api';

/** So many pictures may one address hand in, or have read, within so long, ms: more than hands can take. */
export const PICTURES_AT_ONCE = { limit: 60, ttl: 60_000 } as const;

@Injectable()
export class PictureThrottle extends ThrottlerGuard {
  protected override throwThrottlingException(): Promise<void> {
    throw new HttpException(serverSays('many-pictures'), 429);
  }
}

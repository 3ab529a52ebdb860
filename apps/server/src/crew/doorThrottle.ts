import { HttpException, Injectable } from '@nestjs/common';
import { ThrottlerGuard } from '@nestjs/throttler';
import { serverSays } from '@bunkhouse/api';

/** So often may one address try to sign in within so long, ms. Each person's own tries are counted besides. */
export const DOOR_TRIES = { limit: 30, ttl: 60_000 } as const;

/** An address that tries name after name is told to wait. */
@Injectable()
export class DoorThrottle extends ThrottlerGuard {
  protected override throwThrottlingException(): Promise<void> {
    throw new HttpException(serverSays('too-many-tries-here'), 429);
  }
}

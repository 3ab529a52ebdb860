import { Injectable } from '@nestjs/common';

/** The one clock of the server. */
@Injectable()
export class Clock {
  /** ms since the epoch */
  now(): number {
    return Date.now();
  }
}

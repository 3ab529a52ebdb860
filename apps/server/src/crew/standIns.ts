import { timingSafeEqual } from 'node:crypto';
import { Inject, Injectable } from '@nestjs/common';
import type { Request } from 'express';
import { SETTINGS, type Settings } from '../settings.js';
import { isHere } from './asked.js';
import { tokenHash } from './secrets.js';
import type { Who } from './sessionsService.js';

const STAND_IN_HEADER = 'x-stand-in';

/** What the simulated devices ask for: which of them there are, in what they hang, and a token for each. */
const ASKED = [/^GET \/api\/devices$/, /^GET \/api\/batches$/, /^POST \/api\/devices\/[0-9a-f-]{36}\/token$/];

/** The simulated devices that were started beside this server: nobody, but for the three things that they need. */
@Injectable()
export class StandIns {
  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  whoIs(request: Request): Who | null {
    const key = request.headers[STAND_IN_HEADER];
    const { standInKey } = this.settings;
    if (typeof key !== 'string' || standInKey === null || !isHere(request)) return null;
    if (!timingSafeEqual(tokenHash(key), tokenHash(standInKey)) || !ASKED.some((own) => own.test(`${request.method} ${request.path}`))) return null;
    return {
      personId: '00000000-0000-0000-0000-000000000000',
      name: 'Simulated devices',
      role: 'cook',
      sessionId: null,
      by: 'demo',
      locked: false,
      onlyPin: true,
    };
  }
}

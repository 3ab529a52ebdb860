import type { NestExpressApplication } from '@nestjs/platform-express';
import { serverSays, may, type Right } from '@bunkhouse/api';
import type { Message } from '@bunkhouse/core';
import type { NextFunction, Request, Response } from 'express';
import { isFromElsewhere } from './asked.js';
import { SessionsService } from './sessionsService.js';

/**
 * The door before a large body: who asks, and whether they may, is settled before a byte of it is read. The guard of the route asks again.
 */
export function earlyDoor(app: NestExpressApplication, right: Exclude<Right, 'anybody' | 'device'>) {
  const refuse = (response: Response, statusCode: number, why: Message) => void response.status(statusCode).json({ statusCode, ...why });
  return async (request: Request, response: Response, next: NextFunction): Promise<void> => {
    if (request.method === 'GET' || request.method === 'HEAD') return next();
    try {
      if (isFromElsewhere(request)) return refuse(response, 403, serverSays('from-elsewhere'));
      const who = await app.get(SessionsService).whoIs(request);
      if (who === null) return refuse(response, 401, serverSays('sign-in-first'));
      if (!may(who.role, right)) return refuse(response, 403, serverSays('not-yours-hand-in'));
      next();
    } catch (error) {
      next(error);
    }
  };
}

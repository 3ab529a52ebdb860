import { ForbiddenException, Injectable, UnauthorizedException, type CanActivate, type ExecutionContext } from '@nestjs/common';
import type { Message } from '@bunkhouse/core';
import { Reflector } from '@nestjs/core';
import { serverSays, may, type Right } from '@bunkhouse/api';
import { isFromElsewhere } from './asked.js';
import { KEEPS_BY, RIGHT, type Known } from './rights.js';
import { SessionsService } from './sessionsService.js';
import { StandIns } from './standIns.js';

const NOT_YOURS: Record<'look' | 'record' | 'plan' | 'run', Message> = {
  look: serverSays('not-yours-look'),
  record: serverSays('not-yours-record'),
  plan: serverSays('not-yours-plan'),
  run: serverSays('not-yours-run'),
};

/** At the door of every route: who asks, and whether they may. A route that does not say who may is shut. */
@Injectable()
export class DoorGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly sessions: SessionsService,
    private readonly standIns: StandIns,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const at = [context.getHandler(), context.getClass()];
    const right = this.reflector.getAllAndOverride<Right | undefined>(RIGHT, at);
    if (right === undefined) throw new ForbiddenException(serverSays('nobody-may'));
    const request = context.switchToHttp().getRequest<Known>();
    if (request.method !== 'GET' && request.method !== 'HEAD' && isFromElsewhere(request)) throw new ForbiddenException(serverSays('from-elsewhere'));
    if (right === 'anybody') return true;
    if (right === 'device') {
      if (request.headers.authorization === undefined) throw new UnauthorizedException(serverSays('device-token-missing'));
      return true;
    }
    const who = this.standIns.whoIs(request) ?? (await this.sessions.whoIs(request));
    if (who === null) throw new UnauthorizedException(serverSays('sign-in-first'));
    if (!may(who.role, right)) throw new ForbiddenException(NOT_YOURS[right]);
    if (right === 'run' && who.onlyPin) throw new ForbiddenException(serverSays('password-needed'));
    if (who.locked && request.method !== 'GET') throw new UnauthorizedException(serverSays('device-locked'));
    request.who = who;
    if (this.reflector.getAllAndOverride<boolean | undefined>(KEEPS_BY, at) !== true) sign(request, who.name);
    return true;
  }
}

/** Whoever is signed in did it, whatever the request says. */
function sign(request: Known, name: string): void {
  const body = request.body as unknown;
  if (typeof body === 'object' && body !== null && !Array.isArray(body) && !Buffer.isBuffer(body) && 'by' in body) body.by = name;
}

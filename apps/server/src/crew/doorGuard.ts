import { ForbiddenException, Injectable, UnauthorizedException, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import { may, type Right } from '@bunkhouse/api';
import { isFromElsewhere } from './asked.js';
import { KEEPS_BY, RIGHT, type Known } from './rights.js';
import { SessionsService } from './sessionsService.js';
import { StandIns } from './standIns.js';

const NOT_YOURS: Record<'look' | 'record' | 'plan' | 'run', string> = {
  look: 'That is not for you to see.',
  record: 'A reader looks and prints. What was done is logged by those who did it.',
  plan: 'A helper logs what was done. What is planned or decided, a cook does.',
  run: 'That is for the head cook.',
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
    if (right === undefined) throw new ForbiddenException('Nobody may go here.');
    const request = context.switchToHttp().getRequest<Known>();
    if (request.method !== 'GET' && request.method !== 'HEAD' && isFromElsewhere(request))
      throw new ForbiddenException('That comes from another site’s page. Nothing was written.');
    if (right === 'anybody') return true;
    if (right === 'device') {
      if (request.headers.authorization === undefined) throw new UnauthorizedException('A device hands in by its token: Authorization: Bearer ...');
      return true;
    }
    const who = this.standIns.whoIs(request) ?? (await this.sessions.whoIs(request));
    if (who === null) throw new UnauthorizedException('Sign in first.');
    if (!may(who.role, right)) throw new ForbiddenException(NOT_YOURS[right]);
    if (right === 'run' && who.onlyPin) throw new ForbiddenException('For that sign in by password: a PIN on a tablet is not enough.');
    if (who.locked && request.method !== 'GET') throw new UnauthorizedException('This device is locked: give your PIN. Nothing was written yet.');
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

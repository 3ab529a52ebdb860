import { DAY_MS } from '@bunkhouse/core';
import { Body, Controller, Get, HttpCode, Param, Post, Req, Res, UseGuards } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiForbiddenResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiParam,
  ApiTags,
  ApiTooManyRequestsResponse,
  ApiUnauthorizedResponse,
} from '@nestjs/swagger';
import { Throttle } from '@nestjs/throttler';
import { FirstRequest, OwnSecretRequest, SignInRequest, TabletRequest, OpenSession, SessionResponse, TabletResponse } from '@bunkhouse/api';
import type { CookieOptions, Request, Response } from 'express';
import { REFUSED, SessionPipe, TabletPipe } from '../errors/refusals.js';
import { nameHere, SESSION_COOKIE, TABLET_COOKIE } from './asked.js';
import { CrewService } from './crewService.js';
import { DOOR_TRIES, DoorThrottle } from './doorThrottle.js';
import { By, For } from './rights.js';
import { SessionsService, type Who } from './sessionsService.js';

const SESSION = { type: SessionResponse };
const SESSIONS = { type: OpenSession, isArray: true };
const TABLETS = { type: TabletResponse, isArray: true };
/** No session is called so: a device that says it was signed out, and is not the made-up house's cook again. */
const SIGNED_OUT = 'out';
const YEAR_MS = 365 * DAY_MS;

/** Out of reach of scripts, never sent by another site's page, and only over TLS where there is TLS. */
const cookie = (request: Request, more: CookieOptions = {}): CookieOptions => ({
  httpOnly: true,
  sameSite: 'strict',
  secure: request.secure,
  path: '/',
  ...more,
});

@ApiTags('crew')
@Controller('api')
export class SessionController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly crew: CrewService,
  ) {}

  @Get('session')
  @For('anybody')
  @ApiOperation({ summary: 'Who is signed in at this device, and who may sign in here by PIN' })
  @ApiOkResponse(SESSION)
  async here(@Req() request: Request): Promise<SessionResponse> {
    return this.crew.session(request, await this.sessions.whoIs(request));
  }

  @Post('session/first')
  @For('anybody')
  @HttpCode(200)
  @UseGuards(DoorThrottle)
  @Throttle({ default: DOOR_TRIES })
  @ApiOperation({ summary: 'The first start of a house: its name and its head cook. At the machine itself, once' })
  @ApiOkResponse(SESSION)
  @ApiBadRequestResponse(REFUSED)
  @ApiForbiddenResponse(REFUSED)
  @ApiConflictResponse(REFUSED)
  async first(@Body() asked: FirstRequest, @Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<SessionResponse> {
    return this.entered(await this.crew.first(asked, request), request, response);
  }

  @Post('session')
  @For('anybody')
  @HttpCode(200)
  @UseGuards(DoorThrottle)
  @Throttle({ default: DOOR_TRIES })
  @ApiOperation({ summary: 'Sign in by name and PIN on a tablet of the crew, by name and password elsewhere' })
  @ApiOkResponse(SESSION)
  @ApiBadRequestResponse(REFUSED)
  @ApiUnauthorizedResponse(REFUSED)
  @ApiForbiddenResponse(REFUSED)
  @ApiTooManyRequestsResponse(REFUSED)
  async signIn(@Body() asked: SignInRequest, @Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<SessionResponse> {
    return this.entered(await this.sessions.signIn(asked, request), request, response);
  }

  @Post('session/end')
  @For('anybody')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sign out at this device' })
  @ApiOkResponse(SESSION)
  async signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): Promise<SessionResponse> {
    await this.sessions.close(request);
    response.cookie(nameHere(request, SESSION_COOKIE), SIGNED_OUT, cookie(request));
    return this.crew.session(request, null);
  }

  @Post('session/here')
  @For('look')
  @HttpCode(200)
  @ApiOperation({ summary: 'Somebody does something at this device: it does not lock yet' })
  @ApiOkResponse(SESSION)
  async touch(@By() who: Who, @Req() request: Request): Promise<SessionResponse> {
    await this.sessions.touch(who);
    return this.crew.session(request, who);
  }

  @Post('session/secret')
  @For('look')
  @HttpCode(200)
  @UseGuards(DoorThrottle)
  @Throttle({ default: DOOR_TRIES })
  @ApiOperation({ summary: 'Another PIN or password of one’s own. Sessions elsewhere end' })
  @ApiOkResponse(SESSION)
  @ApiBadRequestResponse(REFUSED)
  async secret(@Body() asked: OwnSecretRequest, @By() who: Who, @Req() request: Request): Promise<SessionResponse> {
    await this.crew.ownSecret(asked, who);
    return this.crew.session(request, who);
  }

  @Get('sessions')
  @For('look')
  @ApiOperation({ summary: 'Where one is signed in; for the head cook, where anybody is' })
  @ApiOkResponse(SESSIONS)
  open(@By() who: Who): Promise<OpenSession[]> {
    return this.sessions.sessions(who);
  }

  @Post('sessions/:id/end')
  @For('look')
  @HttpCode(200)
  @ApiOperation({ summary: 'Sign out somewhere else' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(SESSIONS)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  end(@Param('id', SessionPipe) id: string, @By() who: Who): Promise<OpenSession[]> {
    return this.sessions.end(id, who);
  }

  @Get('tablets')
  @For('run')
  @ApiOperation({ summary: 'The tablets of the crew' })
  @ApiOkResponse(TABLETS)
  tablets(): Promise<TabletResponse[]> {
    return this.sessions.tablets();
  }

  @Post('tablets')
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'Put this device up for the crew: from now on people sign in on it by PIN' })
  @ApiOkResponse(TABLETS)
  @ApiBadRequestResponse(REFUSED)
  async putUp(
    @Body() { name }: TabletRequest,
    @By() who: Who,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<TabletResponse[]> {
    response.cookie(nameHere(request, TABLET_COOKIE), await this.sessions.putUp(name, who.name), cookie(request, { maxAge: YEAR_MS * 5 }));
    return this.sessions.tablets();
  }

  @Post('tablets/:id/end')
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'A tablet is lost or gone: everybody is signed out on it, and nobody signs in by PIN' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(TABLETS)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  takeDown(@Param('id', TabletPipe) id: string): Promise<TabletResponse[]> {
    return this.sessions.takeDown(id);
  }

  /** The device keeps the token; what it is answered is as it will be from now on. */
  private async entered(token: string, request: Request, response: Response): Promise<SessionResponse> {
    response.cookie(nameHere(request, SESSION_COOKIE), token, cookie(request, { maxAge: YEAR_MS }));
    const name = nameHere(request, SESSION_COOKIE);
    const others = (request.headers.cookie ?? '').split(';').filter((part) => !part.trim().startsWith(`${name}=`));
    request.headers.cookie = [...others, `${name}=${token}`].join(';');
    return this.crew.session(request, await this.sessions.whoIs(request));
  }
}

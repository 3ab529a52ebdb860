import { Body, Controller, Get, Header, HttpCode, NotFoundException, Param, Post, Req } from '@nestjs/common';
import { ApiBadRequestResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import { serverSays, CalendarFeedRequest, CalendarFeedResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED, IdPipe } from '../errors/refusals.js';
import { CalendarService } from './calendarService.js';

const FEED = { type: CalendarFeedResponse };
const FILE = { schema: { type: 'string', description: 'iCalendar, RFC 5545' } };
const ICALENDAR = 'text/calendar; charset=utf-8';
const AS_FILE = 'attachment; filename="bunkhouse.ics"';

/** What of a request is needed to say where it went. */
interface Asked {
  protocol: string;
  get(header: string): string | undefined;
}

@ApiTags('calendar')
@Controller('api')
export class CalendarController {
  constructor(private readonly service: CalendarService) {}

  @Get('calendar/feed')
  @For('plan')
  @ApiOperation({ summary: 'The secret address of the calendar feed; null until somebody asked for one' })
  @ApiOkResponse(FEED)
  feed(): Promise<CalendarFeedResponse> {
    return this.service.feed();
  }

  @Post('calendar/feed')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Make a secret address, renew it, or change when a telephone rings. A renewed address ends the one before' })
  @ApiOkResponse(FEED)
  @ApiBadRequestResponse(REFUSED)
  change(@Body() request: CalendarFeedRequest): Promise<CalendarFeedResponse> {
    return this.service.change(request);
  }

  @Get('calendar/bunkhouse.ics')
  @For('look')
  @Header('Content-Type', ICALENDAR)
  @Header('Content-Disposition', AS_FILE)
  @ApiOperation({ summary: 'Every job of the house as an iCalendar file' })
  @ApiProduces('text/calendar')
  @ApiOkResponse(FILE)
  file(@Req() request: Asked): Promise<string> {
    return this.service.house(hostOf(request));
  }

  @Get('batches/:id/calendar.ics')
  @For('look')
  @Header('Content-Type', ICALENDAR)
  @Header('Content-Disposition', AS_FILE)
  @ApiOperation({ summary: 'The jobs of one batch as an iCalendar file' })
  @ApiProduces('text/calendar')
  @ApiOkResponse(FILE)
  @ApiNotFoundResponse(REFUSED)
  batch(@Param('id', IdPipe) id: string, @Req() request: Asked): Promise<string> {
    return this.service.batch(id, hostOf(request));
  }

  @Get('feeds/:secret/bunkhouse.ics')
  @For('anybody')
  @Header('Content-Type', ICALENDAR)
  @Header('Cache-Control', 'private, no-cache')
  @Header('X-Robots-Tag', 'noindex')
  @ApiOperation({ summary: 'The feed that calendars outside subscribe to' })
  @ApiProduces('text/calendar')
  @ApiOkResponse(FILE)
  @ApiNotFoundResponse(REFUSED)
  async subscribed(@Param('secret') secret: string, @Req() request: Asked): Promise<string> {
    if (!(await this.service.isSecret(secret))) throw new NotFoundException(serverSays('no-such-feed'));
    return this.service.house(hostOf(request));
  }
}

const hostOf = (request: Asked): string => `${request.protocol}://${request.get('host') ?? 'localhost'}`;

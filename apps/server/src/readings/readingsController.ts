import { DAY_MS, type Message } from '@bunkhouse/core';
import { Readable } from 'node:stream';
import {
  Body,
  Controller,
  Get,
  Headers,
  HttpCode,
  NotFoundException,
  Param,
  Post,
  Query,
  Sse,
  StreamableFile,
  UnauthorizedException,
  UseGuards,
} from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiCreatedResponse,
  ApiNoContentResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiProduces,
  ApiQuery,
  ApiTags,
  ApiTooManyRequestsResponse,
  ApiUnauthorizedResponse,
} from '@nestjs/swagger';
import {
  apiSays,
  serverSays,
  BroughtReadingsRequest,
  type FileQuery,
  DeviceByRequest,
  DeviceRequest,
  isInstant,
  OLDEST_MS,
  ReadingsRequest,
  WeightRequest,
  DeviceResponse,
  DeviceTokenResponse,
  SeriesResponse,
  TakenResponse,
} from '@bunkhouse/api';
import { takeUntil, timer, type Observable } from 'rxjs';
import { For } from '../crew/rights.js';
import { REFUSED, IdPipe, refused } from '../errors/refusals.js';
import { DeviceThrottle } from './deviceThrottle.js';
import type { DeviceEntity } from './deviceEntity.js';
import { DevicesService } from './devicesService.js';
import { STEPS_S } from './gather.js';
import { ReadingsService } from './readingsService.js';
import { ReadingsStream } from './readingsStream.js';

const WATCHED_MS = 600_000;
const MOST_CHANNELS = 64;
const LONGEST_MS = 62 * DAY_MS;
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

@ApiTags('readings')
@Controller('api')
export class ReadingsController {
  constructor(
    private readonly devices: DevicesService,
    private readonly readings: ReadingsService,
    private readonly stream: ReadingsStream,
  ) {}

  @Get('devices')
  @For('look')
  @ApiOperation({ summary: 'Every device, with the last that was heard of each of its channels' })
  @ApiOkResponse({ type: DeviceResponse, isArray: true })
  all(): Promise<DeviceResponse[]> {
    return this.devices.all();
  }

  @Post('devices')
  @For('plan')
  @ApiOperation({ summary: 'Add a device. Its token is shown once' })
  @ApiCreatedResponse({ type: DeviceTokenResponse })
  @ApiBadRequestResponse(REFUSED)
  add(@Body() request: DeviceRequest): Promise<DeviceTokenResponse> {
    return this.devices.add(request);
  }

  @Post('devices/:id/token')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Renew a device’s token. The one before it ends' })
  @ApiOkResponse({ type: DeviceTokenResponse })
  @ApiNotFoundResponse(REFUSED)
  renew(@Param('id', IdPipe) id: string, @Body() _request: DeviceByRequest): Promise<DeviceTokenResponse> {
    return this.devices.renew(id);
  }

  @Post('devices/:id/end')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'End a device’s token. What it read stays' })
  @ApiOkResponse({ type: DeviceResponse })
  @ApiNotFoundResponse(REFUSED)
  end(@Param('id', IdPipe) id: string, @Body() _request: DeviceByRequest): Promise<DeviceResponse> {
    return this.devices.end(id);
  }

  @Post('readings')
  @For('device')
  @HttpCode(200)
  @UseGuards(DeviceThrottle)
  @ApiOperation({
    summary: 'The open door for devices: hand readings in. Each that may not be kept is named by its place, with the reason; the others are kept',
  })
  @ApiOkResponse({ type: TakenResponse })
  @ApiBadRequestResponse(REFUSED)
  @ApiUnauthorizedResponse(REFUSED)
  @ApiTooManyRequestsResponse(REFUSED)
  async take(@Body() request: ReadingsRequest, @Headers('authorization') authorization?: string): Promise<TakenResponse> {
    return this.readings.take(await this.deviceOf(authorization), request.readings);
  }

  @Post('weights')
  @For('device')
  @HttpCode(204)
  @UseGuards(DeviceThrottle)
  @ApiOperation({ summary: 'The open door for scales: what one shows now, and whether it has settled' })
  @ApiNoContentResponse()
  @ApiBadRequestResponse(REFUSED)
  @ApiUnauthorizedResponse(REFUSED)
  @ApiTooManyRequestsResponse(REFUSED)
  async weigh(@Body() request: WeightRequest, @Headers('authorization') authorization?: string): Promise<void> {
    await this.devices.weigh(await this.deviceOf(authorization), request);
  }

  private async deviceOf(authorization: string | undefined): Promise<DeviceEntity> {
    const token = /^Bearer ([\w-]{16,200})$/.exec(authorization ?? '')?.[1];
    const device = token === undefined ? null : await this.devices.byToken(token);
    if (device === null) throw new UnauthorizedException(serverSays('no-such-token'));
    return device;
  }

  @Post('devices/:id/readings')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Bring readings in by hand, from another logger’s file. Each that may not be kept is named by its place, with the reason' })
  @ApiOkResponse({ type: TakenResponse })
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  async bring(@Param('id', IdPipe) id: string, @Body() request: BroughtReadingsRequest): Promise<TakenResponse> {
    const device = await this.devices.byId(id);
    if (device === null) throw new NotFoundException(serverSays('no-such-device'));
    return this.readings.take(device, request.readings, OLDEST_MS.file);
  }

  @Get('readings.csv')
  @For('look')
  @ApiOperation({ summary: 'Every reading of some channels between two instants, as CSV: at, device, name, channel, C' })
  @ApiQuery({ name: 'channels', description: 'device:channel, several with commas between' })
  @ApiQuery({ name: 'from', description: 'ISO instant' })
  @ApiQuery({ name: 'to', description: 'ISO instant' })
  @ApiQuery({ name: 'temperature', required: false, enum: ['C', 'F'] })
  @ApiQuery({ name: 'decimal', required: false, enum: ['point', 'comma'], description: 'with commas, cells stand apart by semicolons' })
  @ApiProduces('text/csv')
  @ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } })
  @ApiBadRequestResponse(REFUSED)
  csv(@Query() query: Record<string, unknown>): StreamableFile {
    const { channels, fromMs, toMs } = asked(query);
    const name = `readings-${new Date(fromMs).toISOString().slice(0, 10)}.csv`;
    return new StreamableFile(Readable.from(this.readings.csv(channels, fromMs, toMs, howWritten(query))), {
      type: 'text/csv; charset=utf-8',
      disposition: `attachment; filename="${name}"`,
    });
  }

  @Get('readings')
  @For('look')
  @ApiOperation({ summary: 'Curves of some channels between two instants, gathered into steps of time' })
  @ApiQuery({ name: 'channels', description: 'device:channel, several with commas between' })
  @ApiQuery({ name: 'from', description: 'ISO instant' })
  @ApiQuery({ name: 'to', description: 'ISO instant' })
  @ApiQuery({ name: 'every', required: false, description: `s; one of ${STEPS_S.join(', ')}` })
  @ApiOkResponse({ type: SeriesResponse })
  @ApiBadRequestResponse(REFUSED)
  series(@Query() query: Record<string, unknown>): Promise<SeriesResponse> {
    const { channels, fromMs, toMs, everyS } = asked(query);
    return this.readings.series(channels, fromMs, toMs, everyS);
  }

  @Sse('readings/stream')
  @For('look')
  @ApiProduces('text/event-stream')
  @ApiOkResponse({ content: { 'text/event-stream': { schema: { type: 'string' } } } })
  @ApiOperation({ summary: 'Server-sent events: `readings` whenever some have come in, `weight` whenever a scale showed one, on any server of the house' })
  watch(): Observable<{ type: string; data: object }> {
    // Whoever watches asks again after a while: by then they may be signed out.
    return this.stream.watched().pipe(takeUntil(timer(WATCHED_MS)));
  }
}

/** How a file of readings is written. */
function howWritten({ temperature = 'C', decimal = 'point' }: Record<string, unknown>): FileQuery {
  if (temperature !== 'C' && temperature !== 'F') throw refused([{ field: 'temperature', ...apiSays('file-temperature-choice') }]);
  if (decimal !== 'point' && decimal !== 'comma') throw refused([{ field: 'decimal', ...apiSays('file-decimal-choice') }]);
  return { temperature, decimal };
}

/** A query as it is meant, or the refusal. */
function asked({ channels, from, to, every }: Record<string, unknown>): {
  channels: { device: string; channel: number }[];
  fromMs: number;
  toMs: number;
  everyS?: number;
} {
  const fault = (field: string, said: Message) => refused([{ field, ...said }]);
  const list = typeof channels === 'string' ? channels.split(',') : [];
  if (list.length === 0 || list.length > MOST_CHANNELS) throw fault('channels', serverSays('channels-asked', { most: MOST_CHANNELS }));
  const pairs = list.map((pair) => {
    const [device = '', channel = ''] = pair.split(':');
    if (!UUID.test(device) || !/^\d{1,2}$/.test(channel)) throw fault('channels', serverSays('channel-written'));
    return { device, channel: Number(channel) };
  });
  if (!isInstant(from)) throw fault('from', serverSays('asked-from'));
  if (!isInstant(to)) throw fault('to', serverSays('asked-to'));
  const [fromMs, toMs] = [Date.parse(from as string), Date.parse(to as string)];
  if (toMs <= fromMs) throw fault('to', serverSays('ends-before-begins'));
  if (toMs - fromMs > LONGEST_MS) throw fault('to', serverSays('two-months'));
  if (every === undefined) return { channels: pairs, fromMs, toMs };
  const everyS = STEPS_S.find((step) => String(step) === every);
  if (everyS === undefined) throw fault('every', serverSays('steps-asked', { steps: STEPS_S.join(', ') }));
  if ((toMs - fromMs) / everyS / 1000 > 100_000) throw fault('every', serverSays('steps-too-fine'));
  return { channels: pairs, fromMs, toMs, everyS };
}

import { Body, Controller, Get, Header, HttpCode, Param, Post, Query, Req, StreamableFile, UseGuards } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import {
  ApiBadRequestResponse,
  ApiBody,
  ApiConsumes,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiParam,
  ApiPayloadTooLargeResponse,
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import { PictureReadingRequest, PictureRequest, type PictureResponse } from '@bunkhouse/api';
import { By, For } from '../crew/rights.js';
import { IdPipe, PicturePipe } from '../errors/refusals.js';
import { ERROR_SCHEMA } from '../openapi.js';
import type { Who } from '../crew/sessionsService.js';
import { PICTURES_AT_ONCE, PictureThrottle } from './pictureThrottle.js';
import { PicturesService } from './picturesService.js';

const PICTURES = { schema: { type: 'array' as const, items: { $ref: '#/components/schemas/PictureResponse' } } };

@ApiTags('pictures')
@Controller('api')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Get('batches/:id/pictures')
  @For('look')
  @ApiOperation({ summary: 'Pictures of the cut faces of a batch, with what was read of them' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(PICTURES)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  of(@Param('id', IdPipe) id: string): Promise<PictureResponse[]> {
    return this.pictures.of(id);
  }

  @Post('batches/:id/pictures')
  @For('record')
  @UseGuards(PictureThrottle)
  @Throttle({ default: PICTURES_AT_ONCE })
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a picture, upright and small' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiConsumes('image/jpeg', 'image/png')
  @ApiBody({ schema: { type: 'string', format: 'binary' } })
  @ApiQuery({ name: 'id', format: 'uuid' })
  @ApiQuery({ name: 'piece' })
  @ApiQuery({ name: 'at', format: 'date-time' })
  @ApiQuery({ name: 'by' })
  @ApiOkResponse(PICTURES)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  @ApiPayloadTooLargeResponse(ERROR_SCHEMA)
  keep(@Param('id', IdPipe) id: string, @Query() query: PictureRequest, @By() { name }: Who, @Req() request: { body: unknown }): Promise<PictureResponse[]> {
    return this.pictures.keep(id, { ...query, by: name }, request.body);
  }

  @Get('pictures/:id')
  @For('look')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  @ApiOperation({ summary: 'The picture itself' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse({ description: 'a JPEG' })
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  async jpeg(@Param('id', PicturePipe) id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.pictures.jpeg(id), { type: 'image/jpeg' });
  }

  @Post('pictures/:id/readings')
  @For('record')
  @UseGuards(PictureThrottle)
  @Throttle({ default: PICTURES_AT_ONCE })
  @HttpCode(200)
  @ApiOperation({ summary: 'How much of the face is grey, between two marks. An aid, never a verdict' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(PICTURES)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  read(@Param('id', PicturePipe) id: string, @Body() request: PictureReadingRequest): Promise<PictureResponse[]> {
    return this.pictures.read(id, request);
  }
}

import { Body, Controller, Get, Header, HttpCode, Param, Post, Query, Req, StreamableFile, UseGuards } from '@nestjs/common';
import { Throttle } from '@nestjs/throttler';
import {
  ApiBadRequestResponse,
  ApiBody,
  ApiConflictResponse,
  ApiConsumes,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiParam,
  ApiPayloadTooLargeResponse,
  ApiTags,
} from '@nestjs/swagger';
import { PictureReadingRequest, PictureRequest, PictureResponse } from '@bunkhouse/api';
import { ApiQueryOf } from '../describe/queryOf.js';
import { By, For } from '../crew/rights.js';
import { REFUSED, IdPipe, PicturePipe } from '../errors/refusals.js';
import type { Who } from '../crew/sessionsService.js';
import { PICTURES_AT_ONCE, PictureThrottle } from './pictureThrottle.js';
import { PicturesService } from './picturesService.js';

const PICTURES = { type: PictureResponse, isArray: true };

@ApiTags('pictures')
@Controller('api')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Get('batches/:id/pictures')
  @For('look')
  @ApiOperation({ summary: 'Pictures of the cut faces of a batch, with what was read of them' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(PICTURES)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
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
  @ApiBody({ schema: {} })
  @ApiQueryOf(PictureRequest)
  @ApiOkResponse(PICTURES)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  @ApiConflictResponse(REFUSED)
  @ApiPayloadTooLargeResponse(REFUSED)
  keep(@Param('id', IdPipe) id: string, @Query() query: PictureRequest, @By() { name }: Who, @Req() request: { body: unknown }): Promise<PictureResponse[]> {
    return this.pictures.keep(id, { ...query, by: name }, request.body);
  }

  @Get('pictures/:id')
  @For('look')
  @Header('Cache-Control', 'private, max-age=31536000, immutable')
  @ApiOperation({ summary: 'The picture itself' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse({ content: { 'image/jpeg': {} } })
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
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
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  read(@Param('id', PicturePipe) id: string, @Body() request: PictureReadingRequest): Promise<PictureResponse[]> {
    return this.pictures.read(id, request);
  }
}

import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiConflictResponse,
  ApiCreatedResponse,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiParam,
  ApiTags,
} from '@nestjs/swagger';
import { BatchRequest, LogEntryRequest, type BatchResponse, type FamilyMember } from '@bunkhouse/api';
import { By, For, KeepsBy } from '../crew/rights.js';
import { ERROR_SCHEMA } from '../openapi.js';
import { IdPipe } from '../errors/refusals.js';
import { LogService } from '../log/logService.js';
import type { Who } from '../crew/sessionsService.js';
import { BatchesService } from './batchesService.js';

const BATCH = { schema: { $ref: '#/components/schemas/BatchResponse' } };

@ApiTags('batches')
@Controller('api/batches')
export class BatchesController {
  constructor(
    private readonly batches: BatchesService,
    private readonly log: LogService,
  ) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'Live batches with their logs, oldest first' })
  @ApiOkResponse({ schema: { type: 'array', items: BATCH.schema } })
  live(): Promise<BatchResponse[]> {
    return this.batches.live();
  }

  @Get(':id')
  @For('look')
  @ApiOperation({ summary: 'One batch with its log' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(BATCH)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  one(@Param('id', IdPipe) id: string): Promise<BatchResponse> {
    return this.batches.one(id);
  }

  @Get(':id/family')
  @For('look')
  @ApiOperation({ summary: 'Every batch that was cut from the same one, and that one' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse({ schema: { type: 'array', items: { $ref: '#/components/schemas/FamilyMember' } } })
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  family(@Param('id', IdPipe) id: string): Promise<FamilyMember[]> {
    return this.batches.family(id);
  }

  @Post()
  @For('plan')
  @ApiOperation({ summary: 'Start a batch. A dose over the limit is refused with the dose that would be right' })
  @ApiCreatedResponse(BATCH)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  start(@Body() request: BatchRequest): Promise<BatchResponse> {
    return this.batches.start(request);
  }

  @Post(':id/log')
  @For('record')
  @KeepsBy()
  @HttpCode(201)
  @ApiOperation({ summary: 'Write an entry into a batch’s log, which is append-only' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiCreatedResponse(BATCH)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  @ApiNotFoundResponse(ERROR_SCHEMA)
  @ApiConflictResponse({ ...ERROR_SCHEMA, description: 'Somebody logged this step in the meantime' })
  write(@Param('id', IdPipe) id: string, @Body() request: LogEntryRequest, @By() who: Who): Promise<BatchResponse> {
    return this.log.writeBy(who, id, request);
  }
}

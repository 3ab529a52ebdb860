import { Body, Controller, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiConflictResponse, ApiCreatedResponse, ApiNotFoundResponse, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { LogEntryRequest, type BatchResponse } from '@bunkhouse/api';
import { BATCH } from '../batches/batchesController.js';
import { By, For, KeepsBy } from '../crew/rights.js';
import type { Who } from '../crew/sessionsService.js';
import { REFUSED, IdPipe } from '../errors/refusals.js';
import { LogService } from './logService.js';

@ApiTags('batches')
@Controller('api/batches')
export class LogController {
  constructor(private readonly log: LogService) {}

  @Post(':id/log')
  @For('record')
  @KeepsBy()
  @HttpCode(201)
  @ApiOperation({ summary: 'Write an entry into a batch’s log, which is append-only' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiCreatedResponse(BATCH)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  @ApiConflictResponse({ ...REFUSED, description: 'Somebody logged this step in the meantime' })
  write(@Param('id', IdPipe) id: string, @Body() request: LogEntryRequest, @By() who: Who): Promise<BatchResponse> {
    return this.log.writeBy(who, id, request);
  }
}

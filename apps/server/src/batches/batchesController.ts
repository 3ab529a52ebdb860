import { Body, Controller, Get, Param, Post } from '@nestjs/common';
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
import { BatchRequest, BatchResponse, FamilyMember } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED, IdPipe } from '../errors/refusals.js';
import { BatchesService } from './batchesService.js';

export const BATCH = { type: BatchResponse };

@ApiTags('batches')
@Controller('api/batches')
export class BatchesController {
  constructor(private readonly batches: BatchesService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'Live batches with their logs, oldest first' })
  @ApiOkResponse({ ...BATCH, isArray: true })
  live(): Promise<BatchResponse[]> {
    return this.batches.live();
  }

  @Get(':id')
  @For('look')
  @ApiOperation({ summary: 'One batch with its log' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(BATCH)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  one(@Param('id', IdPipe) id: string): Promise<BatchResponse> {
    return this.batches.one(id);
  }

  @Get(':id/family')
  @For('look')
  @ApiOperation({ summary: 'Every batch that was cut from the same one, and that one' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse({ type: FamilyMember, isArray: true })
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  family(@Param('id', IdPipe) id: string): Promise<FamilyMember[]> {
    return this.batches.family(id);
  }

  @Post()
  @For('plan')
  @ApiOperation({ summary: 'Start a batch. A dose over the limit is refused with the dose that would be right' })
  @ApiCreatedResponse(BATCH)
  @ApiBadRequestResponse(REFUSED)
  @ApiConflictResponse(REFUSED)
  start(@Body() request: BatchRequest): Promise<BatchResponse> {
    return this.batches.start(request);
  }
}

import { Body, Controller, Get, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiCreatedResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { BatchRequest, type BatchResponse, type FamilyMember } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { ERROR_SCHEMA } from '../openapi.js';
import { IdPipe } from '../errors/refusals.js';
import { BatchesService } from './batchesService.js';

export const BATCH = { schema: { $ref: '#/components/schemas/BatchResponse' } };

@ApiTags('batches')
@Controller('api/batches')
export class BatchesController {
  constructor(private readonly batches: BatchesService) {}

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
}

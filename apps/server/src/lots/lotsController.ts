import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { LotRequest, LotBatch, LotResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED, LotPipe } from '../errors/refusals.js';
import { LotsService } from './lotsService.js';

const LOTS = { type: LotResponse, isArray: true };

@ApiTags('lots')
@Controller('api/lots')
export class LotsController {
  constructor(private readonly lots: LotsService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'Deliveries of cure, salt, sugar, spice, meat and wood, with what was taken from each' })
  @ApiOkResponse(LOTS)
  all(): Promise<LotResponse[]> {
    return this.lots.all();
  }

  @Post()
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a lot, or change one' })
  @ApiOkResponse(LOTS)
  @ApiBadRequestResponse(REFUSED)
  keep(@Body() request: LotRequest): Promise<LotResponse[]> {
    return this.lots.keep(request);
  }

  @Get(':id/batches')
  @For('look')
  @ApiOperation({ summary: 'Which batches hold a lot, the last first: for a recall' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse({ type: LotBatch, isArray: true })
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  holders(@Param('id', LotPipe) id: string): Promise<LotBatch[]> {
    return this.lots.holders(id);
  }
}

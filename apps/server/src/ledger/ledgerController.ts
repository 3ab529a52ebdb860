import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import type { LedgerRow } from '@bunkhouse/api';
import { LedgerService } from './ledgerService.js';

@ApiTags('ledger')
@Controller('api/ledger')
export class LedgerController {
  constructor(private readonly ledger: LedgerService) {}

  @Get()
  @ApiOperation({ summary: 'Ended batches in a line each, the last 500, latest first' })
  @ApiOkResponse({ schema: { type: 'array', items: { $ref: '#/components/schemas/LedgerRow' } } })
  rows(): Promise<LedgerRow[]> {
    return this.ledger.rows();
  }
}

import { Readable } from 'node:stream';
import { Controller, Get, Query, StreamableFile } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import { LedgerQuery, type LedgerResponse, type TrendPoint } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { ERROR_SCHEMA } from '../openapi.js';
import { ledgerCsv } from './ledgerCsv.js';
import { LedgerService } from './ledgerService.js';

@ApiTags('ledger')
@Controller('api')
export class LedgerController {
  constructor(private readonly ledger: LedgerService) {}

  @Get('ledger')
  @For('look')
  @ApiOperation({ summary: 'Ended batches in a line each: found, narrowed, sorted, a page of a hundred' })
  @ApiOkResponse({ schema: { $ref: '#/components/schemas/LedgerResponse' } })
  @ApiBadRequestResponse(ERROR_SCHEMA)
  page(@Query() query: LedgerQuery): Promise<LedgerResponse> {
    return this.ledger.page(query);
  }

  @Get('ledger/trends')
  @For('look')
  @ApiOperation({ summary: 'What the trends are drawn by: yield, salt with its verdict, days and thickness of each batch' })
  @ApiOkResponse({ schema: { type: 'array', items: { $ref: '#/components/schemas/TrendPoint' } } })
  @ApiBadRequestResponse(ERROR_SCHEMA)
  trends(@Query() query: LedgerQuery): Promise<TrendPoint[]> {
    return this.ledger.trends(query);
  }

  @Get('ledger.csv')
  @For('look')
  @ApiOperation({ summary: 'Everything that was asked for, as a file for a spreadsheet' })
  @ApiProduces('text/csv')
  @ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } })
  @ApiBadRequestResponse(ERROR_SCHEMA)
  csv(@Query() query: LedgerQuery): StreamableFile {
    return new StreamableFile(Readable.from(ledgerCsv(this.ledger.rows(query))), {
      type: 'text/csv; charset=utf-8',
      disposition: 'attachment; filename="bunkhouse-ledger.csv"',
    });
  }
}

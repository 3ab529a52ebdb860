import { Readable } from 'node:stream';
import { Controller, Get, Query, StreamableFile } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiProduces, ApiTags } from '@nestjs/swagger';
import { LedgerFileQuery, LedgerQuery, LedgerResponse, TrendPoint } from '@bunkhouse/api';
import { ApiQueryOf } from '../describe/queryOf.js';
import { For } from '../crew/rights.js';
import { REFUSED } from '../errors/refusals.js';
import { ledgerCsv } from './ledgerCsv.js';
import { LedgerService } from './ledgerService.js';

@ApiTags('ledger')
@Controller('api')
export class LedgerController {
  constructor(private readonly ledger: LedgerService) {}

  @Get('ledger')
  @For('look')
  @ApiQueryOf(LedgerQuery)
  @ApiOperation({ summary: 'Ended batches in a line each: found, narrowed, sorted, a page of a hundred' })
  @ApiOkResponse({ type: LedgerResponse })
  @ApiBadRequestResponse(REFUSED)
  page(@Query() query: LedgerQuery): Promise<LedgerResponse> {
    return this.ledger.page(query);
  }

  @Get('ledger/trends')
  @For('look')
  @ApiQueryOf(LedgerQuery)
  @ApiOperation({ summary: 'What the trends are drawn by: yield, salt with its verdict, days and thickness of each batch' })
  @ApiOkResponse({ type: TrendPoint, isArray: true })
  @ApiBadRequestResponse(REFUSED)
  trends(@Query() query: LedgerQuery): Promise<TrendPoint[]> {
    return this.ledger.trends(query);
  }

  @Get('ledger.csv')
  @For('look')
  @ApiQueryOf(LedgerFileQuery)
  @ApiOperation({ summary: 'Everything that was asked for, as a file for a spreadsheet' })
  @ApiProduces('text/csv')
  @ApiOkResponse({ content: { 'text/csv': { schema: { type: 'string' } } } })
  @ApiBadRequestResponse(REFUSED)
  csv(@Query() query: LedgerFileQuery): StreamableFile {
    return new StreamableFile(Readable.from(ledgerCsv(this.ledger.rows(query), query)), {
      type: 'text/csv; charset=utf-8',
      disposition: 'attachment; filename="bunkhouse-ledger.csv"',
    });
  }
}

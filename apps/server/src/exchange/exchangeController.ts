import { Readable } from 'node:stream';
import { Controller, Get, HttpCode, Param, Post, Query, Req, StreamableFile } from '@nestjs/common';
import {
  ApiBadRequestResponse,
  ApiBody,
  ApiNotFoundResponse,
  ApiOkResponse,
  ApiOperation,
  ApiParam,
  ApiPayloadTooLargeResponse,
  ApiQuery,
  ApiTags,
} from '@nestjs/swagger';
import { ImportResponse } from '@bunkhouse/api';
import { BOOK_SCHEMA } from '@bunkhouse/api/schema';
import { For } from '../crew/rights.js';
import { REFUSED, IdPipe } from '../errors/refusals.js';
import { BookExport } from './bookExport.js';
import { BookImport } from './bookImport.js';
import { BookReader } from './bookReader.js';

const BOOK = { schema: { type: 'object' as const, description: 'a book: see /api/exchange/schema.json' } };
const RESULT = { type: ImportResponse };

@ApiTags('exchange')
@Controller('api/exchange')
export class ExchangeController {
  constructor(
    private readonly book: BookExport,
    private readonly taker: BookImport,
    private readonly reader: BookReader,
  ) {}

  @Get('schema.json')
  @For('anybody')
  @ApiOperation({ summary: 'The JSON Schema of the documents that are exported and imported' })
  @ApiOkResponse({ schema: { type: 'object' } })
  schema(): typeof BOOK_SCHEMA {
    return BOOK_SCHEMA;
  }

  @Get('book.json')
  @For('plan')
  @ApiOperation({ summary: 'The whole book: recipes, batches with their logs, devices; with readings unless they are left out' })
  @ApiQuery({ name: 'readings', required: false, enum: ['yes', 'no'] })
  @ApiOkResponse(BOOK)
  whole(@Query('readings') readings?: unknown): StreamableFile {
    return file(this.book.whole(readings !== 'no'), 'bunkhouse-book.json');
  }

  @Get('batches/:id')
  @For('look')
  @ApiOperation({ summary: 'One batch with its log, what it was cut from, its recipe and its readings' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(BOOK)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  async batch(@Param('id', IdPipe) id: string): Promise<StreamableFile> {
    return file(await begun(this.book.batch(id)), `bunkhouse-batch-${id.slice(0, 8)}.json`);
  }

  @Get('recipes/:id')
  @For('look')
  @ApiOperation({ summary: 'One recipe with every version' })
  @ApiOkResponse(BOOK)
  recipe(@Param('id') id: string): StreamableFile {
    return file(this.book.recipe(id), 'bunkhouse-recipe.json');
  }

  @Post('preview')
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'What an import would write. Nothing is written' })
  @ApiBody(BOOK)
  @ApiOkResponse(RESULT)
  @ApiBadRequestResponse(REFUSED)
  @ApiPayloadTooLargeResponse(REFUSED)
  async preview(@Req() request: { body: unknown }): Promise<ImportResponse> {
    return this.taker.preview(await this.reader.read(request.body));
  }

  @Post('import')
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'Takes a book in, all of it or nothing. What is here already stays as it is; a log may grow' })
  @ApiBody(BOOK)
  @ApiOkResponse(RESULT)
  @ApiBadRequestResponse(REFUSED)
  @ApiPayloadTooLargeResponse(REFUSED)
  async write(@Req() request: { body: unknown }): Promise<ImportResponse> {
    return this.taker.write(await this.reader.read(request.body));
  }
}

const file = (parts: AsyncIterable<string>, name: string): StreamableFile =>
  new StreamableFile(Readable.from(parts), { type: 'application/json; charset=utf-8', disposition: `attachment; filename="${name}"` });

/** The parts once the first is there: what is not found is said before anything is sent. */
async function begun(parts: AsyncGenerator<string>): Promise<AsyncIterable<string>> {
  const first = await parts.next();
  return (async function* () {
    if (first.done !== true) yield first.value;
    yield* parts;
  })();
}

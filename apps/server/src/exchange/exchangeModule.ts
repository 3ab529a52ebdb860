import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { RecipesModule } from '../recipes/recipesModule.js';
import { ToolsModule } from '../tools/toolsModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { PicturesModule } from '../pictures/picturesModule.js';
import { ExchangeController } from './exchangeController.js';
import { BookExport } from './bookExport.js';
import { BookImport } from './bookImport.js';
import { BookReader } from './bookReader.js';

/** The book, out of the house and into it. */
@Module({
  imports: [BatchesModule, RecipesModule, ToolsModule, LedgerModule, PicturesModule],
  controllers: [ExchangeController],
  providers: [BookExport, BookImport, BookReader],
})
export class ExchangeModule {}

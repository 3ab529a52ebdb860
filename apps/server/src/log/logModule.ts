import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { LedgerModule } from '../ledger/ledgerModule.js';
import { LotsModule } from '../lots/lotsModule.js';
import { ToolsModule } from '../tools/toolsModule.js';
import { CrewModule } from '../crew/crewModule.js';
import { LogController } from './logController.js';
import { LogService } from './logService.js';

/** What is written into a batch’s log. */
@Module({
  imports: [BatchesModule, LedgerModule, LotsModule, ToolsModule, CrewModule],
  controllers: [LogController],
  providers: [LogService],
  exports: [LogService],
})
export class LogModule {}

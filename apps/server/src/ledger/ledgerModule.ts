import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { LedgerController } from './ledgerController.js';
import { LedgerService } from './ledgerService.js';

/** Every batch in a line. */
@Module({
  imports: [BatchesModule],
  controllers: [LedgerController],
  providers: [LedgerService],
  exports: [LedgerService],
})
export class LedgerModule {}

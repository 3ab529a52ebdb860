import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { LotsController } from './lotsController.js';
import { LotsService } from './lotsService.js';

/** What is in store, by lot, and where it went. */
@Module({
  imports: [BatchesModule],
  controllers: [LotsController],
  providers: [LotsService],
  exports: [LotsService],
})
export class LotsModule {}

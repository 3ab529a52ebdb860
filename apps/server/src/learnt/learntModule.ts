import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { LearntController } from './learntController.js';
import { LearntService } from './learntService.js';

/** What the house’s own batches teach. */
@Module({
  imports: [BatchesModule],
  controllers: [LearntController],
  providers: [LearntService],
})
export class LearntModule {}

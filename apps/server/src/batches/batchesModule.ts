import { Module } from '@nestjs/common';
import { RecipesModule } from '../recipes/recipesModule.js';
import { BatchesController } from './batchesController.js';
import { BatchesService } from './batchesService.js';

/** Batches, as they were begun, with their logs. */
@Module({
  imports: [RecipesModule],
  controllers: [BatchesController],
  providers: [BatchesService],
  exports: [BatchesService],
})
export class BatchesModule {}

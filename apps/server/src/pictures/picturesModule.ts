import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { PicturesController } from './picturesController.js';
import { Darkroom } from './darkroom.js';
import { PicturesService } from './picturesService.js';

/** Pictures of cut faces, and what was read off them. */
@Module({
  imports: [BatchesModule],
  controllers: [PicturesController],
  providers: [Darkroom, PicturesService],
  exports: [Darkroom],
})
export class PicturesModule {}

import { Module } from '@nestjs/common';
import { ToolsController } from './toolsController.js';
import { ToolsService } from './toolsService.js';

/** Thermometers, scales and hydrometers, and how they were checked. */
@Module({
  controllers: [ToolsController],
  providers: [ToolsService],
  exports: [ToolsService],
})
export class ToolsModule {}

import { Module } from '@nestjs/common';
import { ThrottlerModule } from '@nestjs/throttler';
import { DEVICE_POSTS } from './deviceThrottle.js';
import { ToolsModule } from '../tools/toolsModule.js';
import { ReadingsController } from './readingsController.js';
import { DevicesService } from './devicesService.js';
import { ReadingsService } from './readingsService.js';
import { ReadingsStream } from './readingsStream.js';
import { Retention } from './retention.js';

/** Devices and what they read. */
@Module({
  imports: [ThrottlerModule.forRoot([DEVICE_POSTS]), ToolsModule],
  controllers: [ReadingsController],
  providers: [DevicesService, ReadingsService, ReadingsStream, Retention],
  exports: [DevicesService],
})
export class ReadingsModule {}

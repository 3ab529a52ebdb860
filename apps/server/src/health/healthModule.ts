import { Module } from '@nestjs/common';
import { HealthController } from './healthController.js';

/** Whether the house is well. */
@Module({
  controllers: [HealthController],
})
export class HealthModule {}

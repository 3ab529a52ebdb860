import { Module } from '@nestjs/common';
import { HouseController } from './houseController.js';
import { HousePlanController } from './housePlanController.js';
import { HousePlanService } from './housePlanService.js';

/** The house itself: its settings, stores and hours. */
@Module({
  controllers: [HouseController, HousePlanController],
  providers: [HousePlanService],
  exports: [HousePlanService],
})
export class HouseModule {}

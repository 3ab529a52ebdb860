import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { HouseModule } from '../house/houseModule.js';
import { CalendarController } from './calendarController.js';
import { CalendarService } from './calendarService.js';

/** The calendar that other programs subscribe to. */
@Module({
  imports: [BatchesModule, HouseModule],
  controllers: [CalendarController],
  providers: [CalendarService],
})
export class CalendarModule {}

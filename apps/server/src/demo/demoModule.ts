import { Module } from '@nestjs/common';
import { BatchesModule } from '../batches/batchesModule.js';
import { LogModule } from '../log/logModule.js';
import { HouseModule } from '../house/houseModule.js';
import { ReadingsModule } from '../readings/readingsModule.js';
import { RecipesModule } from '../recipes/recipesModule.js';
import { LotsModule } from '../lots/lotsModule.js';
import { ToolsModule } from '../tools/toolsModule.js';
import { CrewModule } from '../crew/crewModule.js';
import { DemoHouse } from './demoHouse.js';

/** The made-up house that a first start opens. */
@Module({
  imports: [BatchesModule, LogModule, HouseModule, ReadingsModule, RecipesModule, LotsModule, ToolsModule, CrewModule],
  providers: [DemoHouse],
})
export class DemoModule {}

import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { DEMO_NAME, demoHouse } from '@bunkhouse/demo';
import type { DataSource } from 'typeorm';
import { BatchEntity } from '../batches/batchEntity.js';
import { BatchesService } from '../batches/batchesService.js';
import { Clock } from '../clock.js';
import { CrewService } from '../crew/crewService.js';
import { HouseEntity } from '../house/houseEntity.js';
import { HousePlanService } from '../house/housePlanService.js';
import { DevicesService } from '../readings/devicesService.js';
import { LotsService } from '../lots/lotsService.js';
import { RecipesService } from '../recipes/recipesService.js';
import { ToolsService } from '../tools/toolsService.js';
import { LogService } from '../log/logService.js';

/** How long the made-up cook takes to type, ms. */
const WRITING_MS = 20_000;

/** Opens an empty database with the made-up cook-house, through the same services as a cook's own entries. */
@Injectable()
export class DemoHouse {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly batches: BatchesService,
    private readonly log: LogService,
    private readonly plan: HousePlanService,
    private readonly devices: DevicesService,
    private readonly recipes: RecipesService,
    private readonly lots: LotsService,
    private readonly tools: ToolsService,
    private readonly crew: CrewService,
    private readonly clock: Clock,
  ) {}

  /** A start that was killed in the middle is picked up: the same instant gives the same batches with the same ids. */
  async openIfEmpty(): Promise<void> {
    const houses = this.dataSource.getRepository(HouseEntity);
    const house = (await houses.findOneBy({ id: 1 })) ?? (await this.found());
    if (house?.demo === true) await this.crew.keepDemo();
    if (house === null || !house.demo || house.demoWhole || house.demoFrom === null) return;
    const { plan, devices, recipes, lots, tools, batches } = demoHouse(house.demoFrom.getTime());
    await this.plan.keep(plan, 'Wren');
    for (const device of devices) await this.devices.keep({ ...device, simulated: true, by: 'Wren' });
    for (const lot of lots) await this.lots.keep(lot);
    for (const { tool, checks } of tools) {
      await this.tools.keep(tool);
      for (const check of checks) await this.tools.check(tool.id, check);
    }
    for (const recipe of recipes) await this.recipes.keep(recipe);
    for (const { request, entries } of batches) {
      await this.batches.start(request, Date.parse(request.startsAt));
      await this.log.writeAll(
        request.id,
        entries.map((entry) => ({ request: entry, now: Date.parse(entry.at) + WRITING_MS })),
      );
    }
    await houses.update({ id: 1 }, { demoWhole: true });
  }

  /** The house's first row, or null where a cook has already begun without the demo. */
  private async found(): Promise<HouseEntity | null> {
    if (await this.dataSource.getRepository(BatchEntity).exists()) return null;
    const now = this.clock.now();
    return this.dataSource.getRepository(HouseEntity).save({ id: 1, name: DEMO_NAME, demo: true, demoFrom: new Date(now), demoWhole: false });
  }
}

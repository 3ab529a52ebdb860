import { Injectable } from '@nestjs/common';
import { InjectDataSource } from '@nestjs/typeorm';
import { usualHousePlan, type HousePlan } from '@bunkhouse/core';
import type { DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { HousePlanEntity } from './housePlanEntity.js';

/** When the house works and what it has. */
@Injectable()
export class HousePlanService {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  async plan(): Promise<HousePlan> {
    const row = await this.dataSource.getRepository(HousePlanEntity).findOneBy({ id: 1 });
    return row?.plan ?? usualHousePlan(Intl.DateTimeFormat().resolvedOptions().timeZone);
  }

  async keep(plan: HousePlan, by: string): Promise<HousePlan> {
    await this.dataSource.getRepository(HousePlanEntity).save({ id: 1, plan, changedBy: by.trim(), changedAt: new Date(this.clock.now()) });
    return plan;
  }
}

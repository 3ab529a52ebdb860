import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import { HousePlanRequest, toHousePlan } from '@bunkhouse/api';
import { attempt, requireHousePlan, usualHousePlan, type HousePlan } from '@bunkhouse/core';
import type { DataSource } from 'typeorm';
import { Clock } from '../clock.js';
import { refused } from '../errors/refusals.js';
import { ERROR_SCHEMA } from '../openapi.js';
import { HousePlanEntity } from './housePlanEntity.js';

const PLAN = { schema: { $ref: '#/components/schemas/HousePlan' } };

@ApiTags('house')
@Controller('api/house/plan')
export class HousePlanController {
  constructor(
    @InjectDataSource() private readonly dataSource: DataSource,
    private readonly clock: Clock,
  ) {}

  @Get()
  @ApiOperation({ summary: 'When the house works and what it has: what the Calendar plans with' })
  @ApiOkResponse(PLAN)
  async plan(): Promise<HousePlan> {
    const row = await this.dataSource.getRepository(HousePlanEntity).findOneBy({ id: 1 });
    return row?.plan ?? usualHousePlan(Intl.DateTimeFormat().resolvedOptions().timeZone);
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({ summary: 'Change when the house works and what it has' })
  @ApiOkResponse(PLAN)
  @ApiBadRequestResponse(ERROR_SCHEMA)
  async change(@Body() request: HousePlanRequest): Promise<HousePlan> {
    const tried = attempt(() => requireHousePlan(toHousePlan(request)));
    if ('fault' in tried) throw refused([tried.fault]);
    await this.dataSource
      .getRepository(HousePlanEntity)
      .save({ id: 1, plan: tried.value, changedBy: request.by.trim(), changedAt: new Date(this.clock.now()) });
    return tried.value;
  }
}

import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { HousePlanRequest, HousePlanShape, toHousePlan } from '@bunkhouse/api';
import { attempt, requireHousePlan, type HousePlan } from '@bunkhouse/core';
import { For } from '../crew/rights.js';
import { REFUSED, refused } from '../errors/refusals.js';
import { HousePlanService } from './housePlanService.js';

const PLAN = { type: HousePlanShape };

@ApiTags('house')
@Controller('api/house/plan')
export class HousePlanController {
  constructor(private readonly service: HousePlanService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'When the house works and what it has: what the Calendar plans with' })
  @ApiOkResponse(PLAN)
  plan(): Promise<HousePlan> {
    return this.service.plan();
  }

  @Post()
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Change when the house works and what it has' })
  @ApiOkResponse(PLAN)
  @ApiBadRequestResponse(REFUSED)
  async change(@Body() request: HousePlanRequest): Promise<HousePlan> {
    const tried = attempt(() => requireHousePlan(toHousePlan(request)));
    if ('fault' in tried) throw refused([tried.fault]);
    return this.service.keep(tried.value, request.by);
  }
}

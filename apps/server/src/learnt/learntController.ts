import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LeaveOutRequest, LearntResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED } from '../errors/refusals.js';
import { LearntService } from './learntService.js';

const LEARNT = { type: LearntResponse };

@ApiTags('learnt')
@Controller('api/learnt')
export class LearntController {
  constructor(private readonly service: LearntService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'What the house has learnt from its cut faces and fry tests, and from which' })
  @ApiOkResponse(LEARNT)
  learnt(): Promise<LearntResponse> {
    return this.service.learnt();
  }

  @Post('left-out')
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Leave an observation out of what is learnt, or take it back in' })
  @ApiOkResponse(LEARNT)
  @ApiBadRequestResponse(REFUSED)
  leaveOut(@Body() request: LeaveOutRequest): Promise<LearntResponse> {
    return this.service.leaveOut(request);
  }
}

import { Body, Controller, Get, HttpCode, Param, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiConflictResponse, ApiNotFoundResponse, ApiOkResponse, ApiOperation, ApiParam, ApiTags } from '@nestjs/swagger';
import { ToolCheckRequest, ToolRequest, ToolResponse } from '@bunkhouse/api';
import { For } from '../crew/rights.js';
import { REFUSED, ToolPipe } from '../errors/refusals.js';
import { ToolsService } from './toolsService.js';

const TOOLS = { type: ToolResponse, isArray: true };

@ApiTags('tools')
@Controller('api/tools')
export class ToolsController {
  constructor(private readonly tools: ToolsService) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'Thermometers, hydrometers, scales and needles, each with its checks' })
  @ApiOkResponse(TOOLS)
  all(): Promise<ToolResponse[]> {
    return this.tools.all();
  }

  @Post()
  @For('plan')
  @HttpCode(200)
  @ApiOperation({ summary: 'Keep a tool, or change one' })
  @ApiOkResponse(TOOLS)
  @ApiBadRequestResponse(REFUSED)
  keep(@Body() request: ToolRequest): Promise<ToolResponse[]> {
    return this.tools.keep(request);
  }

  @Post(':id/checks')
  @For('record')
  @HttpCode(200)
  @ApiOperation({ summary: 'A thermometer in ice or boiling water, a hydrometer in plain water: corrects what is read from then on' })
  @ApiParam({ name: 'id', format: 'uuid' })
  @ApiOkResponse(TOOLS)
  @ApiBadRequestResponse(REFUSED)
  @ApiNotFoundResponse(REFUSED)
  @ApiConflictResponse(REFUSED)
  check(@Param('id', ToolPipe) id: string, @Body() request: ToolCheckRequest): Promise<ToolResponse[]> {
    return this.tools.check(id, request);
  }
}

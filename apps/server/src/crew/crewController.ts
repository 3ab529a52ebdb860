import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { PersonRequest, PersonResponse } from '@bunkhouse/api';
import { REFUSED } from '../errors/refusals.js';
import { CrewService } from './crewService.js';
import { By, For } from './rights.js';
import type { Who } from './sessionsService.js';

const PEOPLE = { type: PersonResponse, isArray: true };

@ApiTags('crew')
@Controller('api/crew')
export class CrewController {
  constructor(private readonly crew: CrewService) {}

  @Get()
  @For('run')
  @ApiOperation({ summary: 'The people of the house, and what each may do' })
  @ApiOkResponse(PEOPLE)
  all(): Promise<PersonResponse[]> {
    return this.crew.all();
  }

  @Post()
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'Take somebody into the crew, or change what they may and by what they sign in. A name is never changed' })
  @ApiOkResponse(PEOPLE)
  @ApiBadRequestResponse(REFUSED)
  keep(@Body() request: PersonRequest, @By() who: Who): Promise<PersonResponse[]> {
    return this.crew.keep(request, who);
  }
}

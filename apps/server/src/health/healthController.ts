import { Controller, Get, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiServiceUnavailableResponse, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import { HealthResponse } from '@bunkhouse/api';
import type { Response } from 'express';
import type { DataSource } from 'typeorm';
import { For } from '../crew/rights.js';
import { VERSION } from './version.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(@InjectDataSource() private readonly dataSource: DataSource) {}

  @Get()
  @For('anybody')
  @ApiOperation({ summary: 'Whether the server and its database answer' })
  @ApiOkResponse({ type: HealthResponse })
  @ApiServiceUnavailableResponse({ type: HealthResponse })
  async health(@Res({ passthrough: true }) response: Response): Promise<HealthResponse> {
    try {
      await this.dataSource.query('SELECT 1');
      return { status: 'ok', database: 'answers', version: VERSION };
    } catch {
      response.status(503);
      return { status: 'down', database: 'does not answer', version: VERSION };
    }
  }
}

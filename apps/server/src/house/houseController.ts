import { Body, Controller, Get, HttpCode, Post } from '@nestjs/common';
import { ApiBadRequestResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import { SettingsRequest, settingsOf, HouseResponse } from '@bunkhouse/api';
import type { DataSource } from 'typeorm';
import { For } from '../crew/rights.js';
import { REFUSED } from '../errors/refusals.js';
import { HouseEntity } from './houseEntity.js';

@ApiTags('house')
@Controller('api/house')
export class HouseController {
  constructor(@InjectDataSource() private readonly dataSource: DataSource) {}

  @Get()
  @For('look')
  @ApiOperation({ summary: 'The name and settings of this cook-house' })
  @ApiOkResponse({ type: HouseResponse })
  async house(): Promise<HouseResponse> {
    const house = await this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 });
    return { name: house?.name ?? 'Your cook-house', demo: house?.demo ?? false, settings: settingsOf(house?.settings) };
  }

  @Post()
  @For('run')
  @HttpCode(200)
  @ApiOperation({ summary: 'Change the name of the house, how it shows numbers, what it goes by and how long it keeps every reading' })
  @ApiOkResponse({ type: HouseResponse })
  @ApiBadRequestResponse(REFUSED)
  async change(@Body() { name, ...settings }: SettingsRequest): Promise<HouseResponse> {
    await this.dataSource.query(
      `INSERT INTO house (id, name, demo, demo_whole, settings) VALUES (1, $1, false, true, $2) ON CONFLICT (id) DO UPDATE SET name = $1, settings = $2`,
      [name.trim(), settings],
    );
    return this.house();
  }
}

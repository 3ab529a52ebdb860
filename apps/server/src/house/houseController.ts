import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { InjectDataSource } from '@nestjs/typeorm';
import type { HouseResponse } from '@bunkhouse/api';
import type { DataSource } from 'typeorm';
import { HouseEntity } from './houseEntity.js';

@ApiTags('house')
@Controller('api/house')
export class HouseController {
  constructor(@InjectDataSource() private readonly dataSource: DataSource) {}

  @Get()
  @ApiOperation({ summary: 'The name of this cook-house' })
  @ApiOkResponse({ schema: { $ref: '#/components/schemas/HouseResponse' } })
  async house(): Promise<HouseResponse> {
    const house = await this.dataSource.getRepository(HouseEntity).findOneBy({ id: 1 });
    return { name: house?.name ?? 'Your cook-house', demo: house?.demo ?? false };
  }
}

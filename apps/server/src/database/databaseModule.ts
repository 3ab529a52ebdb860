import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SETTINGS, type Settings } from '../settings.js';
import { dataSourceOptions } from './dataSourceOptions.js';

/** The one data source of a server. Described once for all servers of a process: which database it is, its settings say. */
@Module({
  imports: [
    TypeOrmModule.forRootAsync({
      inject: [SETTINGS],
      useFactory: ({ databaseUrl }: Settings) => ({ ...dataSourceOptions(databaseUrl), retryAttempts: 5, retryDelay: 500 }),
    }),
  ],
})
export class DatabaseModule {}

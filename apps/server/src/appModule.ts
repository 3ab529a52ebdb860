import { Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BatchesController } from './batches/batchesController.js';
import { BatchesService } from './batches/batchesService.js';
import { Clock } from './clock.js';
import { dataSourceOptions } from './database/dataSourceOptions.js';
import { DemoHouse } from './demo/demoHouse.js';
import { HealthController } from './health/healthController.js';
import { HousePlanController } from './house/housePlanController.js';
import { HouseController } from './house/houseController.js';
import { LearntController } from './learnt/learntController.js';
import { LearntService } from './learnt/learntService.js';
import { LedgerController } from './ledger/ledgerController.js';
import { LedgerService } from './ledger/ledgerService.js';
import { LogService } from './log/logService.js';
import type { Settings } from './settings.js';

const HASHED_FILE = /[\\/]assets[\\/]/;

/** The served web app: files named by their content are kept for ever, the page itself is asked for each time. */
const webApp = (rootPath: string): DynamicModule =>
  ServeStaticModule.forRoot({
    rootPath,
    exclude: ['/api/{*rest}', '/assets/{*rest}'],
    serveStaticOptions: {
      setHeaders: (response: { setHeader(name: string, value: string): void }, path: string) =>
        response.setHeader('Cache-Control', HASHED_FILE.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache'),
    },
  });

@Module({})
export class AppModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(settings.databaseUrl), retryAttempts: 5, retryDelay: 500 }),
        ...(settings.webRoot === null ? [] : [webApp(settings.webRoot)]),
      ],
      controllers: [BatchesController, LearntController, LedgerController, HouseController, HousePlanController, HealthController],
      providers: [Clock, BatchesService, LogService, LedgerService, LearntService, DemoHouse],
    };
  }
}

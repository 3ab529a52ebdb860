import { Module, type DynamicModule } from '@nestjs/common';
import { APP_GUARD } from '@nestjs/core';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ThrottlerModule } from '@nestjs/throttler';
import { TypeOrmModule } from '@nestjs/typeorm';
import { BackupController } from './backup/backupController.js';
import { BatchesController } from './batches/batchesController.js';
import { BatchesService } from './batches/batchesService.js';
import { CalendarController } from './calendar/calendarController.js';
import { CalendarService } from './calendar/calendarService.js';
import { Clock } from './clock.js';
import { dataSourceOptions } from './database/dataSourceOptions.js';
import { CrewController } from './crew/crewController.js';
import { CrewService } from './crew/crewService.js';
import { DoorGuard } from './crew/doorGuard.js';
import { SessionController } from './crew/sessionController.js';
import { SessionsService } from './crew/sessionsService.js';
import { StandIns } from './crew/standIns.js';
import { DemoHouse } from './demo/demoHouse.js';
import { BookExport } from './exchange/bookExport.js';
import { BookImport } from './exchange/bookImport.js';
import { BookReader } from './exchange/bookReader.js';
import { ExchangeController } from './exchange/exchangeController.js';
import { HealthController } from './health/healthController.js';
import { HousePlanController } from './house/housePlanController.js';
import { HousePlanService } from './house/housePlanService.js';
import { HouseController } from './house/houseController.js';
import { LearntController } from './learnt/learntController.js';
import { LearntService } from './learnt/learntService.js';
import { LedgerController } from './ledger/ledgerController.js';
import { LedgerService } from './ledger/ledgerService.js';
import { LotsController } from './lots/lotsController.js';
import { LotsService } from './lots/lotsService.js';
import { LogService } from './log/logService.js';
import { Darkroom } from './pictures/darkroom.js';
import { PicturesController } from './pictures/picturesController.js';
import { PicturesService } from './pictures/picturesService.js';
import { DEVICE_POSTS } from './readings/deviceThrottle.js';
import { DevicesService } from './readings/devicesService.js';
import { ReadingsController } from './readings/readingsController.js';
import { ReadingsService } from './readings/readingsService.js';
import { ReadingsStream } from './readings/readingsStream.js';
import { Retention } from './readings/retention.js';
import { RecipesController } from './recipes/recipesController.js';
import { RecipesService } from './recipes/recipesService.js';
import { SETTINGS, type Settings } from './settings.js';
import { ToolsController } from './tools/toolsController.js';
import { ToolsService } from './tools/toolsService.js';

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
        ThrottlerModule.forRoot([DEVICE_POSTS]),
        ...(settings.webRoot === null ? [] : [webApp(settings.webRoot)]),
      ],
      controllers: [
        BatchesController,
        LearntController,
        LedgerController,
        RecipesController,
        LotsController,
        ToolsController,
        PicturesController,
        HouseController,
        HousePlanController,
        CalendarController,
        ReadingsController,
        ExchangeController,
        BackupController,
        HealthController,
        CrewController,
        SessionController,
      ],
      providers: [
        { provide: SETTINGS, useValue: settings },
        Clock,
        { provide: APP_GUARD, useClass: DoorGuard },
        SessionsService,
        StandIns,
        CrewService,
        BatchesService,
        LogService,
        LedgerService,
        RecipesService,
        LotsService,
        ToolsService,
        Darkroom,
        PicturesService,
        LearntService,
        HousePlanService,
        CalendarService,
        DevicesService,
        ReadingsService,
        ReadingsStream,
        Retention,
        BookExport,
        BookImport,
        BookReader,
        DemoHouse,
      ],
    };
  }
}

import { Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { BackupModule } from './backup/backupModule.js';
import { BatchesModule } from './batches/batchesModule.js';
import { CalendarModule } from './calendar/calendarModule.js';
import { CrewModule } from './crew/crewModule.js';
import { DatabaseModule } from './database/databaseModule.js';
import { DemoModule } from './demo/demoModule.js';
import { ExchangeModule } from './exchange/exchangeModule.js';
import { HealthModule } from './health/healthModule.js';
import { HouseModule } from './house/houseModule.js';
import { LearntModule } from './learnt/learntModule.js';
import { LedgerModule } from './ledger/ledgerModule.js';
import { LogModule } from './log/logModule.js';
import { LotsModule } from './lots/lotsModule.js';
import { PicturesModule } from './pictures/picturesModule.js';
import { ReadingsModule } from './readings/readingsModule.js';
import { RecipesModule } from './recipes/recipesModule.js';
import { ToolsModule } from './tools/toolsModule.js';
import type { Settings } from './settings.js';
import { SettingsModule } from './settingsModule.js';

/** The page of the web app, and what is named by its name: asked for each time. What is named by its content is served beside it. */
const webApp = (rootPath: string): DynamicModule =>
  ServeStaticModule.forRoot({
    rootPath,
    exclude: ['/api/{*rest}', '/assets/{*rest}'],
    serveStaticOptions: {
      setHeaders: (response: { setHeader(name: string, value: string): void }) => response.setHeader('Cache-Control', 'no-cache'),
    },
  });

/** One module a resource. */
const ROOMS = [
  BackupModule,
  BatchesModule,
  CalendarModule,
  CrewModule,
  DatabaseModule,
  DemoModule,
  ExchangeModule,
  HealthModule,
  HouseModule,
  LearntModule,
  LedgerModule,
  LogModule,
  LotsModule,
  PicturesModule,
  ReadingsModule,
  RecipesModule,
  ToolsModule,
];

@Module({})
export class AppModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: AppModule,
      imports: [SettingsModule.with(settings), ...ROOMS, ...(settings.webRoot === null ? [] : [webApp(settings.webRoot)])],
    };
  }
}

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

import type { DataSourceOptions } from 'typeorm';
import { CalendarFeedEntity } from '../calendar/calendarFeedEntity.js';
import { BatchEntity } from '../batches/batchEntity.js';
import { PersonEntity } from '../crew/personEntity.js';
import { SessionEntity } from '../crew/sessionEntity.js';
import { TabletEntity } from '../crew/tabletEntity.js';
import { HousePlanEntity } from '../house/housePlanEntity.js';
import { HouseEntity } from '../house/houseEntity.js';
import { LedgerLineEntity } from '../ledger/ledgerLineEntity.js';
import { LotEntity } from '../lots/lotEntity.js';
import { LogEntryEntity } from '../log/logEntryEntity.js';
import { DeviceEntity } from '../readings/deviceEntity.js';
import { LeftOutEntity } from '../learnt/leftOutEntity.js';
import { PictureEntity } from '../pictures/pictureEntity.js';
import { PictureReadingEntity } from '../pictures/pictureReadingEntity.js';
import { RecipeEntity } from '../recipes/recipeEntity.js';
import { RecipeVersionEntity } from '../recipes/recipeVersionEntity.js';
import { ToolCheckEntity } from '../tools/toolCheckEntity.js';
import { ToolEntity } from '../tools/toolEntity.js';
import { Calendar1795200000000 } from './migrations/calendar1795200000000.js';
import { CalendarFeed1795300000000 } from './migrations/calendarFeed1795300000000.js';
import { Crew1796000000000 } from './migrations/crew1796000000000.js';
import { First1795000000000 } from './migrations/first1795000000000.js';
import { Learnt1795100000000 } from './migrations/learnt1795100000000.js';
import { Readings1795400000000 } from './migrations/readings1795400000000.js';
import { Lots1795700000000 } from './migrations/lots1795700000000.js';
import { Pieces1795600000000 } from './migrations/pieces1795600000000.js';
import { Prices1795900000000 } from './migrations/prices1795900000000.js';
import { Recipes1795500000000 } from './migrations/recipes1795500000000.js';
import { Tools1795800000000 } from './migrations/tools1795800000000.js';

/** How the server meets PostgreSQL. Migrations run at the start; the schema is never synchronised. */
export const dataSourceOptions = (url: string): DataSourceOptions => ({
  type: 'postgres',
  url,
  entities: [
    BatchEntity,
    LogEntryEntity,
    LedgerLineEntity,
    HouseEntity,
    HousePlanEntity,
    LeftOutEntity,
    CalendarFeedEntity,
    DeviceEntity,
    RecipeEntity,
    RecipeVersionEntity,
    LotEntity,
    ToolEntity,
    ToolCheckEntity,
    PictureEntity,
    PictureReadingEntity,
    PersonEntity,
    SessionEntity,
    TabletEntity,
  ],
  migrations: [
    First1795000000000,
    Learnt1795100000000,
    Calendar1795200000000,
    CalendarFeed1795300000000,
    Readings1795400000000,
    Recipes1795500000000,
    Pieces1795600000000,
    Lots1795700000000,
    Tools1795800000000,
    Prices1795900000000,
    Crew1796000000000,
  ],
  migrationsRun: true,
  synchronize: false,
  // Short questions, many of them: compiling one costs more than it saves.
  // What another holds locked is waited for a moment, then said: nobody hangs on it.
  extra: { max: 10, connectionTimeoutMillis: 3000, statement_timeout: 15000, lock_timeout: 4000, options: '-c jit=off' },
});

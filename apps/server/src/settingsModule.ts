import { Global, Module, type DynamicModule } from '@nestjs/common';
import { Clock } from './clock.js';
import { SETTINGS, type Settings } from './settings.js';

/** What everything here may ask for: the settings, and the time. */
@Global()
@Module({})
export class SettingsModule {
  static with(settings: Settings): DynamicModule {
    return { module: SettingsModule, providers: [{ provide: SETTINGS, useValue: settings }, Clock], exports: [SETTINGS, Clock] };
  }
}

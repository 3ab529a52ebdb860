import { RULE_SETS } from '@bunkhouse/core';
import { IsIn, IsInt, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import type { HouseSettings } from './houseSettings.js';
import { OrNull } from './shapes/rules.js';

const RULES = Object.keys(RULE_SETS) as (keyof typeof RULE_SETS)[];

/** How this house shows numbers, what it goes by, how long it keeps every reading. */
export class SettingsShape implements HouseSettings {
  @IsIn(['metric', 'us'], { message: 'Grams or pounds?' })
  system: 'metric' | 'us';

  @IsIn(['C', 'F'], { message: '°C or °F?' })
  temperature: 'C' | 'F';

  @IsIn(['point', 'comma'], { message: 'A point or a comma?' })
  decimal: 'point' | 'comma';

  @IsIn(['dayFirst', 'monthFirst'], { message: 'The day first or the month?' })
  dates: 'dayFirst' | 'monthFirst';

  @IsIn(['24', '12'], { message: '15:30 or 3:30 pm?' })
  clock: '24' | '12' = '24';

  @IsIn(RULES, { message: 'By which rules does the house go?' })
  ruleSet: keyof typeof RULE_SETS;

  @Min(2, { message: 'Between 2 minutes and 4 hours.' })
  @Max(240, { message: 'Between 2 minutes and 4 hours.' })
  @IsInt({ message: 'After how many minutes? A whole number is missing.' })
  lockMin: number;

  @OrNull()
  @Min(30, { message: 'At least 30 days: a ham hangs on for weeks.' })
  @Max(36500, { message: 'A hundred years at most. Leave it empty to keep every reading.' })
  @IsInt({ message: 'For how many days? A whole number, or nothing.' })
  rawDays: number | null;
}

/** The house’s name and settings, changed. */
export class SettingsRequest extends SettingsShape {
  @MaxLength(60, { message: 'A shorter name, please: 60 letters at most.' })
  @MinLength(1, { message: 'The house needs a name.' })
  @IsString({ message: 'The house needs a name.' })
  name: string;
}

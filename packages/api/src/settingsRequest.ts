import { RULE_SETS } from '@bunkhouse/core';
import { IsIn, IsInt, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import type { HouseSettings } from './houseSettings.js';
import { OrNull } from './shapes/rules.js';
import { told } from './say/ruleWords.js';

const RULES = Object.keys(RULE_SETS) as (keyof typeof RULE_SETS)[];

/** How this house shows numbers, what it goes by, how long it keeps every reading. */
export class SettingsShape implements HouseSettings {
  @IsIn(['metric', 'us'], told('settings-system-choice'))
  system: 'metric' | 'us';

  @IsIn(['C', 'F'], told('settings-temperature-choice'))
  temperature: 'C' | 'F';

  @IsIn(['point', 'comma'], told('settings-decimal-choice'))
  decimal: 'point' | 'comma';

  @IsIn(['dayFirst', 'monthFirst'], told('settings-dates-choice'))
  dates: 'dayFirst' | 'monthFirst';

  @IsIn(['24', '12'], told('settings-clock-choice'))
  clock: '24' | '12' = '24';

  @IsIn(RULES, told('settings-rule-set-choice'))
  ruleSet: keyof typeof RULE_SETS;

  @Min(2, told('settings-lock-least'))
  @Max(240, told('settings-lock-least'))
  @IsInt(told('settings-lock-missing'))
  lockMin: number;

  @OrNull()
  @Min(30, told('settings-raw-days-least'))
  @Max(36500, told('settings-raw-days-most'))
  @IsInt(told('settings-raw-days-missing'))
  rawDays: number | null;
}

/** The house’s name and settings, changed. */
export class SettingsRequest extends SettingsShape {
  @MaxLength(60, told('name-longest', { most: 60 }))
  @MinLength(1, told('house-name-missing'))
  @IsString(told('house-name-missing'))
  name: string;
}

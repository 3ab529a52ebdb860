import { IsBoolean, IsIn, IsString, MaxLength, MinLength } from 'class-validator';
import { OrNull } from './shapes/rules.js';
import { told } from './say/ruleWords.js';

/** Minutes before a job at which a telephone may ring. */
export const ALARM_MINUTES = [0, 15, 60] as const;

/** Make the secret address of the calendar feed, renew it, or change its alarm. */
export class CalendarFeedRequest {
  /** null for no alarm */
  @OrNull()
  @IsIn(ALARM_MINUTES, told('calendar-feed-alarm-choice'))
  alarmMin: number | null;

  /** the address before ends */
  @IsBoolean(told('calendar-feed-renew-yes-or-no'))
  renew: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('decided-by-missing'))
  @IsString(told('decided-by-missing'))
  by: string;
}

import { IsBoolean, IsIn, IsString, MaxLength, MinLength } from 'class-validator';
import { OrNull } from './shapes/rules.js';

/** Minutes before a job at which a telephone may ring. */
export const ALARM_MINUTES = [0, 15, 60] as const;

/** Make the secret address of the calendar feed, renew it, or change its alarm. */
export class CalendarFeedRequest {
  /** null for no alarm */
  @OrNull()
  @IsIn(ALARM_MINUTES, { message: 'The alarm rings at the time of a job, 15 minutes or an hour before it, or not at all.' })
  alarmMin: number | null;

  /** the address before ends */
  @IsBoolean({ message: 'A new address: yes or no.' })
  renew: boolean;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who decides it? A name is missing.' })
  @IsString({ message: 'Who decides it? A name is missing.' })
  by: string;
}

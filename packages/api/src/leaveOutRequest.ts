import { IsBoolean, IsString, Matches, MaxLength, MinLength } from 'class-validator';
import { told } from './say/ruleWords.js';

/** Whether the house learns from an observation. */
export class LeaveOutRequest {
  /** the entry and the piece: `UUID:A` */
  @Matches(/^[0-9a-f-]{36}:[A-Z0-9]{1,4}$/, told('leave-out-id-form'))
  id: string;

  @IsBoolean(told('leave-out-left-out-yes-or-no'))
  leftOut: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('decided-by-missing'))
  @IsString(told('decided-by-missing'))
  by: string;
}

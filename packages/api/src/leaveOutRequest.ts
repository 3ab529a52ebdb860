import { IsBoolean, IsString, Matches, MaxLength, MinLength } from 'class-validator';

/** Whether the house learns from an observation. */
export class LeaveOutRequest {
  /** the entry and the piece: `UUID:A` */
  @Matches(/^[0-9a-f-]{36}:[A-Z0-9]{1,4}$/, { message: 'There is no such observation.' })
  id: string;

  @IsBoolean({ message: 'Left out: yes or no.' })
  leftOut: boolean;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who decides it? A name is missing.' })
  @IsString({ message: 'Who decides it? A name is missing.' })
  by: string;
}

import { IsBoolean, IsNumber, Max, Min } from 'class-validator';
import { told } from './say/ruleWords.js';

const WRONG = told('weight-wrong', { mostKg: 200 });

/** What a scale shows, as it hands it in. */
export class WeightRequest {
  @Max(200_000, WRONG)
  @Min(-200_000, WRONG)
  @IsNumber({ allowNaN: false, allowInfinity: false }, WRONG)
  g: number;

  /** false while it still settles */
  @IsBoolean(told('weight-stable-yes-or-no'))
  stable: boolean;
}

import { IsBoolean, IsNumber, Max, Min } from 'class-validator';

const WRONG = 'A weight is a number of grams, less than 200 kg.';

/** What a scale shows, as it hands it in. */
export class WeightRequest {
  @Max(200_000, { message: WRONG })
  @Min(-200_000, { message: WRONG })
  @IsNumber({ allowNaN: false, allowInfinity: false }, { message: WRONG })
  g: number;

  /** false while it still settles */
  @IsBoolean({ message: 'Stable: yes or no.' })
  stable: boolean;
}

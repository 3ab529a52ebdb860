import type { HousePlan } from '@bunkhouse/core';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { nestedList } from './nested.js';

/** The day's work, minutes from midnight; from and to alike for a day off. */
export class DayRequest {
  @Min(0, { message: 'A day begins at midnight.' })
  @Max(1440, { message: 'A day ends at midnight.' })
  @IsInt({ message: 'From when? A time is missing.' })
  fromMin: number;

  @Min(0, { message: 'A day begins at midnight.' })
  @Max(1440, { message: 'A day ends at midnight.' })
  @IsInt({ message: 'Until when? A time is missing.' })
  toMin: number;
}

/** A store is out of order for a time. */
export class ClosedRequest {
  @IsInstant('Out of order from when? A date and a time are missing.')
  from: string;

  @IsInstant('Out of order until when? A date and a time are missing.')
  to: string;

  @MaxLength(80, { message: 'At most 80 letters.' })
  @IsString({ message: 'Why is it out of order?' })
  why: string;
}

/** A refrigerator in litres, a smoker in racks, tubs by number. */
export class ResourceRequest {
  @Matches(/^[a-z0-9-]{1,40}$/, { message: 'A store needs an id.' })
  id: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'The store needs a name.' })
  @IsString({ message: 'The store needs a name.' })
  name: string;

  @IsIn(['refrigerator', 'smoker', 'tub'], { message: 'A refrigerator, a smoker or tubs?' })
  kind: 'refrigerator' | 'smoker' | 'tub';

  @Min(0.5, { message: 'A store that holds nothing is none.' })
  @Max(100000, { message: 'So large is no store here. Look at the number.' })
  @IsNumber({}, { message: 'How much does it hold? A number is missing.' })
  capacity: number;

  /** when it is out of order */
  @IsOptional()
  @nestedList(ClosedRequest, 'When a store is out of order is not described as it should be.')
  @ArrayMaxSize(20, { message: 'At most 20 times out of order.' })
  @IsArray({ message: 'When is it out of order?' })
  closed?: ClosedRequest[];
}

/** When the house works and what it has. */
export class HousePlanRequest {
  @MaxLength(60, { message: 'That is no time zone that is known here.' })
  @IsString({ message: 'In which time zone does the house lie?' })
  timeZone: string;

  /** from Sunday */
  @nestedList(DayRequest, 'A day is not described as it should be.')
  @ArrayMinSize(7, { message: 'A week has seven days.' })
  @ArrayMaxSize(7, { message: 'A week has seven days.' })
  @IsArray({ message: 'A week has seven days.' })
  week: DayRequest[];

  @Matches(/^\d{4}-\d\d-\d\d$/, { each: true, message: 'A day off is a date.' })
  @ArrayMaxSize(200, { message: 'At most 200 days off.' })
  @IsArray({ message: 'Days off are a list.' })
  daysOff: string[];

  @Min(1, { message: 'Somebody has to work.' })
  @Max(50, { message: 'More than 50 at once is no cook-house.' })
  @IsInt({ message: 'How many work at once?' })
  hands: number;

  @IsIn(['prep', 'cure', 'soak', 'dry', 'smoke', 'cook', 'chill', 'pack'], { each: true, message: 'That is no station.' })
  @ArrayMaxSize(8, { message: 'There are eight stations.' })
  @IsArray({ message: 'Night watches are a list of stations.' })
  nightWatch: string[];

  @nestedList(ResourceRequest, 'A store is not described as it should be.')
  @ArrayMaxSize(40, { message: 'At most 40 stores.' })
  @IsArray({ message: 'What does the house have?' })
  resources: ResourceRequest[];

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who decides it? A name is missing.' })
  @IsString({ message: 'Who decides it? A name is missing.' })
  by: string;
}

/** The plan that a checked request asks for. */
export const toHousePlan = ({ timeZone, week, daysOff, hands, nightWatch, resources }: HousePlanRequest): HousePlan => ({
  hours: {
    timeZone,
    week: week.map(({ fromMin, toMin }) => (fromMin === toMin ? [] : [{ fromMin, toMin }])),
    daysOff: [...new Set(daysOff)].sort(),
    hands,
    nightWatch: [...nightWatch],
  },
  resources: resources.map(({ id, name, kind, capacity, closed = [] }) => ({
    id,
    name: name.trim(),
    kind,
    capacity,
    ...(closed.length === 0 ? {} : { closed: closed.map(({ from, to, why }) => ({ from, to, why: why.trim() })) }),
  })),
});

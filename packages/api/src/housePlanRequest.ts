import type { HousePlan } from '@bunkhouse/core';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Matches, Max, MaxLength, Min, MinLength } from 'class-validator';
import { IsInstant } from './isInstant.js';
import { nestedList } from './nested.js';
import { told } from './say/ruleWords.js';

/** The day's work, minutes from midnight; from and to alike for a day off. */
export class DayRequest {
  @Min(0, told('day-begins'))
  @Max(1440, told('day-ends'))
  @IsInt(told('day-from-missing'))
  fromMin: number;

  @Min(0, told('day-begins'))
  @Max(1440, told('day-ends'))
  @IsInt(told('day-to-missing'))
  toMin: number;
}

/** A store is out of order for a time. */
export class ClosedRequest {
  @IsInstant(told('closed-from-time'))
  from: string;

  @IsInstant(told('closed-to-time'))
  to: string;

  @MaxLength(80, told('letters-longest', { most: 80 }))
  @IsString(told('closed-why-missing'))
  why: string;
}

/** A refrigerator in litres, a smoker in racks, tubs by number. */
export class ResourceRequest {
  @Matches(/^[a-z0-9-]{1,40}$/, told('resource-id-form'))
  id: string;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('resource-name-missing'))
  @IsString(told('resource-name-missing'))
  name: string;

  @IsIn(['refrigerator', 'smoker', 'tub'], told('resource-kind-choice'))
  kind: 'refrigerator' | 'smoker' | 'tub';

  @Min(0.5, told('resource-capacity-least'))
  @Max(100000, told('resource-capacity-most'))
  @IsNumber({}, told('resource-capacity-missing'))
  capacity: number;

  /** when it is out of order */
  @IsOptional()
  @nestedList(ClosedRequest, told('resource-closed-shape'))
  @ArrayMaxSize(20, told('resource-closed-count-most', { most: 20 }))
  @IsArray(told('resource-closed-list'))
  closed?: ClosedRequest[];
}

/** When the house works and what it has. */
export class HousePlanRequest {
  @MaxLength(60, told('house-plan-time-zone-longest'))
  @IsString(told('house-plan-time-zone-missing'))
  timeZone: string;

  /** from Sunday */
  @nestedList(DayRequest, told('house-plan-week-shape'))
  @ArrayMinSize(7, told('house-plan-week-count-least'))
  @ArrayMaxSize(7, told('house-plan-week-count-least'))
  @IsArray(told('house-plan-week-count-least'))
  week: DayRequest[];

  @Matches(/^\d{4}-\d\d-\d\d$/, { each: true, ...told('house-plan-days-off-form') })
  @ArrayMaxSize(200, told('house-plan-days-off-count-most', { most: 200 }))
  @IsArray(told('house-plan-days-off-list'))
  daysOff: string[];

  @Min(1, told('house-plan-hands-least'))
  @Max(50, told('house-plan-hands-most'))
  @IsInt(told('house-plan-hands-missing'))
  hands: number;

  @IsIn(['prep', 'cure', 'soak', 'dry', 'smoke', 'cook', 'chill', 'pack'], { each: true, ...told('house-plan-night-watch-choice') })
  @ArrayMaxSize(8, told('house-plan-night-watch-count-most'))
  @IsArray(told('house-plan-night-watch-list'))
  nightWatch: string[];

  @nestedList(ResourceRequest, told('house-plan-resources-shape'))
  @ArrayMaxSize(40, told('house-plan-resources-count-most', { most: 40 }))
  @IsArray(told('house-plan-resources-list'))
  resources: ResourceRequest[];

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('decided-by-missing'))
  @IsString(told('decided-by-missing'))
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

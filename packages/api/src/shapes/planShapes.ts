import type { HousePlan, Resource, WorkingHours } from '@bunkhouse/core';
import { Amount, Count, Instant, MayBe, Part, Parts, PartsOfEach, Text, Texts, Word } from './rules.js';

/** A span of a day's work. */
class SpanShape {
  @Count({ max: 1440 }, 'min from midnight') fromMin: number;
  @Count({ max: 1440 }, 'min from midnight') toMin: number;
}

export class WorkingHoursShape implements WorkingHours {
  @Text(60) timeZone: string;
  /** from Sunday; a day off has no span */
  @PartsOfEach(() => SpanShape, 7, 24) week: WorkingHours['week'];
  @Texts(10, 200, /^\d{4}-\d\d-\d\d$/) daysOff: string[];
  @Count({ min: 1, max: 50 }, 'how many jobs can be done at once') hands: number;
  @Texts(10, 8) nightWatch: string[];
}

export class ClosedShape {
  @Instant() from: string;
  @Instant() to: string;
  @Text(80) why: string;
}

export class ResourceShape implements Resource {
  @Text(40, { pattern: /^[a-z0-9-]+$/ }) id: string;
  @Text(40, { least: 1 }) name: string;
  @Word(['refrigerator', 'smoker', 'tub']) kind: Resource['kind'];
  @Amount('L, racks or tubs', { above: 0, max: 100_000 }) capacity: number;
  @MayBe() @Parts(() => ClosedShape, 20) closed?: ClosedShape[];
}

/** When the house works, and what it has. */
export class HousePlanShape implements HousePlan {
  @Part(() => WorkingHoursShape) hours: WorkingHoursShape;
  @Parts(() => ResourceShape, 40) resources: ResourceShape[];
}

import type { BatchDesign, HousePlan, LogEntry, Process } from '@bunkhouse/core';
import { DEVICE_KINDS } from './deviceRequest.js';
import { DeliveredLot, PictureReading, RecipeResponse, ToolResponse } from './responses.js';
import { DesignShape } from './shapes/designShapes.js';
import { ENTRIES } from './shapes/entryShapes.js';
import { CELSIUS } from './shapes/programShapes.js';
import { ProcessShape } from './shapes/recipeShapes.js';
import { HousePlanShape } from './shapes/planShapes.js';
import { Amounts, Base64, Count, Eithers, Id, Instant, MayBe, OrNull, Part, Parts, Text, Word, YesNo } from './shapes/rules.js';

/** The version of the documents that are written; older ones are read, too. */
export const BOOK_VERSION = 2;

/** How large a book may come in. */
export const BOOK_LIMIT_MB = 48;

const MANY = 20_000;

/** A batch in a book: what is its own of the log. */
export class BookBatch {
  @Id() id: string;
  @Text(40, { pattern: /^[A-Z]{1,4}-[0-9]{1,9}[a-z0-9-]*$/ }) code: string;
  @Text(40, { least: 1 }) createdBy: string;
  @Instant() createdAt: string;
  @Part(() => DesignShape) design: BatchDesign;
  @Part(() => ProcessShape) process: Process;
  @MayBe() @Id() cutFrom?: string;
  @MayBe() @Count({ min: 1 }) cutAfter?: number;
  @Eithers(ENTRIES, 'kind', 5000) entries: LogEntry[];
}

export class BookChannel {
  @Count({ min: 1, max: 64 }) channel: number;
  @Text(60) name: string;
}

export class BookDevice {
  @Id() id: string;
  @Text(60, { least: 1 }) name: string;
  @Word(DEVICE_KINDS) kind: (typeof DEVICE_KINDS)[number];
  @Parts(() => BookChannel, 64) channels: BookChannel[];
  @MayBe() @OrNull() @Text(60, { pattern: /^[A-Za-z0-9-]+$/ }) store?: string | null;
  @YesNo() simulated: boolean;
  @Text(40, { least: 1 }) createdBy: string;
  @Instant() createdAt: string;
}

/** Five minutes of a channel. */
export class BookReadings {
  @Id() device: string;
  @Count({ min: 1, max: 64 }) channel: number;
  @Instant('the beginning of five minutes') from: string;
  @Amounts('s from the beginning', 3001, { min: 0, max: 300 }) s: number[];
  @Amounts('°C', 3001, CELSIUS) C: number[];
}

export class BookPictureReading extends PictureReading {
  @Id() id: string;
}

/** A picture of a cut face, with every reading of it. */
export class BookPicture {
  @Id() id: string;
  @Id() batch: string;
  @Text(10, { pattern: /^[A-Za-z0-9]+$/ }) piece: string;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
  @Base64('image/jpeg', 3_000_000) jpeg: string;
  @Parts(() => BookPictureReading, 100) readings: BookPictureReading[];
}

export class BookLeftOut {
  @Text(60) id: string;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
}

/** A lot as the first books have it: what it has not is not said to be null. */
export class BookLot extends DeliveredLot {
  @MayBe() @OrNull() override bestBefore: string | null;
  @MayBe() @OrNull() override price: number | null;
}

/**
 * A whole book as it is exported: recipes, batches with their logs, devices and readings. One batch or one recipe is a book with nothing else
 * in it. Weights in g, sizes in mm, temperatures in °C, times as ISO instants; each batch holds what is its own of the log.
 */
export class Book {
  @Word(['bunkhouse-book']) format: 'bunkhouse-book';
  @Word([BOOK_VERSION]) version: typeof BOOK_VERSION;
  @Instant() exportedAt: string;
  @Text(80) house: string;
  @MayBe() @OrNull() @Part(() => HousePlanShape) plan?: HousePlan | null;
  @Parts(() => RecipeResponse, 2000) recipes: RecipeResponse[];
  @Parts(() => BookDevice, 500) devices: BookDevice[];
  @Parts(() => BookLot, MANY) lots: BookLot[];
  @Parts(() => ToolResponse, 500) tools: ToolResponse[];
  @Parts(() => BookLeftOut, MANY) leftOut: BookLeftOut[];
  @Parts(() => BookBatch, MANY) batches: BookBatch[];
  @Parts(() => BookPicture, MANY) pictures: BookPicture[];
  @MayBe() @Parts(() => BookReadings, 2_000_000) readings?: BookReadings[];
}

/** What a part of a book would become here. */
const FATES = ['new', 'known', 'longer', 'differs'] as const;
export type BookFate = (typeof FATES)[number];

export class RecipeFate {
  @Text(60) id: string;
  @Text(60) name: string;
  @Word(FATES) fate: BookFate;
}

export class BatchFate {
  @Id() id: string;
  @Text(40) code: string;
  @Text(60) name: string;
  @Word(FATES) fate: BookFate;
  @MayBe() @Text(40, { description: 'the code that it gets here, where its own is taken' }) as?: string;
}

/** What an import would write, or wrote. Nothing that is here is changed by it. */
export class ImportResponse {
  @YesNo('false for a preview') written: boolean;
  @Text(80) house: string;
  @Parts(() => RecipeFate, 2000) recipes: RecipeFate[];
  @Parts(() => BatchFate, MANY) batches: BatchFate[];
  @Count() devices: number;
  @Count() lots: number;
  @Count() tools: number;
  @Count() pictures: number;
  @Count({}, 'five minutes of a channel each') readings: number;
}

import {
  LOT_KINDS,
  PRODUCTS,
  SCHOOLS,
  type BatchDesign,
  type LedgerLine,
  type LogEntry,
  type LotKind,
  type Message,
  type Origin,
  type Process,
  type Product,
  type Recipe,
  type ToolCheck,
  type ToolSize,
} from '@bunkhouse/core';
import { DEVICE_KINDS, type DeviceKind } from './deviceRequest.js';
import type { HouseSettings } from './houseSettings.js';
import { ROLES, type Role } from './roles.js';
import { SettingsShape } from './settingsRequest.js';
import { DesignShape } from './shapes/designShapes.js';
import { ENTRIES } from './shapes/entryShapes.js';
import { FaceMarksShape, FaceSharesShape } from './shapes/faceShapes.js';
import { ProcessShape, RecipeShape, RecipeVersionName } from './shapes/recipeShapes.js';
import { LONG, Amount, Amounts, ByName, Count, Day, Either, Eithers, Id, Ids, Instant, MayBe, OrNull, Part, Parts, Text, Word, YesNo } from './shapes/rules.js';
import { TOOL_SIZES, ToolCheckShape } from './shapes/toolShapes.js';

const SENTENCE = 4000;
const ABOUT = 'what it is about: quantities as numbers with their unit';

/** What is wrong at a field. What core found bears its code and what it is about, so that it can be said in other units. */
export class FieldError {
  @Text(400) field: string;
  @Text(SENTENCE, { description: 'a sentence that a cook understands' }) message: string;
  @MayBe() @Text(80) code?: string;
  @MayBe() @ByName<Message['args']>({ values: {}, description: ABOUT }) args?: Message['args'];
}

/** Every error of the API. */
export class ErrorResponse {
  @Count({ min: 400, max: 599 }) statusCode: number;
  @Text(SENTENCE, { description: 'a sentence that a cook understands' }) message: string;
  @MayBe() @Text(80) code?: string;
  @MayBe() @ByName<Message['args']>({ values: {}, description: ABOUT }) args?: Message['args'];
  @MayBe() @Parts(() => FieldError, 1000) errors?: FieldError[];
}

/** The batch that this one was cut from. */
export class OriginShape implements Origin {
  @Id() batchId: string;
  @Text(40) code: string;
  @Count({}, 'the first entries of the log, which the two share') sharedEntries: number;
  @Ids(100, 'every batch that it was cut from, the nearest first') line: string[];
}

/** A batch with its log; what follows from them is derived by core. */
export class BatchResponse {
  @Id() id: string;
  @Text(40) code: string;
  @Part(() => DesignShape) design: BatchDesign;
  @Part(() => ProcessShape) process: Process;
  @Eithers(ENTRIES, 'kind', LONG) entries: LogEntry[];
  @Text(40) createdBy: string;
  @Instant() createdAt: string;
  @MayBe() @Part(() => OriginShape) origin?: Origin;
}

const OUTCOMES = ['live', 'finished', 'thrownAway'] as const;
type Outcome = (typeof OUTCOMES)[number];

/** A batch of a family: those that were cut from one, and it. */
export class FamilyMember {
  @Id() id: string;
  @Text(40) code: string;
  @Text(60) name: string;
  @OrNull() @Id('the batch that it was cut from; null for the first') from: string | null;
  @Amount('g green that are here now') greenG: number;
  @OrNull() @Amount('g') packedG: number | null;
  @Word(OUTCOMES) outcome: Outcome;
}

export class HealthResponse {
  @Word(['ok', 'down']) status: 'ok' | 'down';
  @Word(['answers', 'does not answer']) database: 'answers' | 'does not answer';
  @Text(40) version: string;
}

export class HouseResponse {
  @Text(80) name: string;
  @YesNo('whether it was opened with the made-up cook-house') demo: boolean;
  @Part(() => SettingsShape) settings: HouseSettings;
}

/** A person of the crew. */
export class PersonResponse {
  @Id() id: string;
  @Text(40) name: string;
  @Word(ROLES) role: Role;
  @OrNull() @Instant('from when on the house is closed to them; null for nobody knows when') endsAt: string | null;
  @YesNo() putAway: boolean;
  @YesNo() hasPin: boolean;
  @YesNo() hasPassword: boolean;
  @YesNo('the PIN was closed after too many wrong ones') pinClosed: boolean;
  @OrNull() @Instant('null where they were never here') seenAt: string | null;
}

/** Who is signed in. */
export class SignedIn {
  @Id() id: string;
  @Text(40) name: string;
  @Word(ROLES) role: Role;
}

/** Who may sign in here by PIN. */
export class DoorName {
  @Text(40) name: string;
  @MayBe() @Text(8, { description: 'in the made-up house only' }) pin?: string;
}

/** Who stands at this device. */
export class SessionResponse {
  @Text(80) house: string;
  @YesNo() demo: boolean;
  @OrNull()
  @Word(['here', 'elsewhere'], 'nobody is of the crew yet: the head cook is made here, or at the machine itself')
  first: 'here' | 'elsewhere' | null;
  @OrNull() @Part(() => SignedIn) person: SignedIn | null;
  @YesNo('a shared tablet that nobody touched for a while: it shows, and logs again once somebody gave a PIN') locked: boolean;
  @OrNull() @Text(60, { description: 'this device is put up for the crew; null where it is somebody’s own' }) tablet: string | null;
  /** nobody on a device that is not the crew’s */
  @Parts(() => DoorName, LONG) people: DoorName[];
  @OrNull() @Count({}, 'after how many minutes this device locks; null where it does not') lockMin: number | null;
}

/** A device at which somebody is signed in. */
export class OpenSession {
  @Id() id: string;
  @Text(40) name: string;
  @Word(['pin', 'password']) by: 'pin' | 'password';
  @OrNull() @Text(60) tablet: string | null;
  @Text(80, { description: 'browser and system as far as they say' }) device: string;
  @Instant() startedAt: string;
  @Instant() seenAt: string;
  @YesNo('whether it is the one that asks') here: boolean;
}

/** A tablet of the crew. */
export class TabletResponse {
  @Id() id: string;
  @Text(60) name: string;
  @Text(40) madeBy: string;
  @Instant() madeAt: string;
  @OrNull() @Instant() seenAt: string | null;
}

type Point = Pick<LedgerLine, 'id' | 'code' | 'product' | 'endedAt' | 'yieldPercent' | 'saltPercent' | 'taste' | 'cureDays' | 'thicknessMm'>;

/** What a point in a trend is drawn by. */
export class TrendPoint implements Point {
  @Id() id: string;
  @Text(40) code: string;
  @Word(PRODUCTS) product: Product;
  @Instant() endedAt: string;
  @OrNull() @Amount('% of green weight') yieldPercent: number | null;
  @Amount('when even, % of meat and water') saltPercent: number;
  @OrNull() @Text(40) taste: string | null;
  @OrNull() @Amount('days') cureDays: number | null;
  @Amount('mm') thicknessMm: number;
}

/** What a batch bears of a lot. */
export class BorneShape {
  @Word(LOT_KINDS) of: LotKind;
  @Id() lot: string;
  @Amount('g') g: number;
}

/** An ended batch in a line of the Ledger. */
export class LedgerRow extends TrendPoint implements LedgerLine {
  @Text(60) name: string;
  @Word(SCHOOLS) school: LedgerLine['school'];
  @OrNull() @Part(() => RecipeVersionName) recipe: LedgerLine['recipe'];
  @OrNull() @Text(40, { description: 'the code of the batch that it was cut from' }) cutFrom: string | null;
  @Instant() startedAt: string;
  @Word(['finished', 'thrownAway']) outcome: LedgerLine['outcome'];
  @Amount('g') greenG: number;
  @OrNull() @Amount('g') pulledG: number | null;
  @OrNull() @Amount('g') packedG: number | null;
  @Amount('ingoing, mg NaNO2 per kg') nitritePpm: number;
  @OrNull() @Amount('% of green weight') pumpPercent: number | null;
  @OrNull() @Amount('min') soakMin: number | null;
  @OrNull() @Amount('°C, the lowest place') coreC: number | null;
  @Count() deviations: number;
  @Parts(() => BorneShape, 1000) borne: BorneShape[];
  @Text(40) by: string;
  @OrNull() @Amount('materials for each kilogram packed, in the house’s money; null where its meat has no price') costPerKg: number | null;
}

/** A page of the Ledger. */
export class LedgerResponse {
  @Count({}, 'how many there are of what was asked for') total: number;
  @Amount('g, all of them together') greenG: number;
  @Amount('g, all of them together') packedG: number;
  @OrNull() @Amount('mean, % of green weight') yieldPercent: number | null;
  @Parts(() => LedgerRow, LONG) rows: LedgerRow[];
}

/** Where calendars outside subscribe. */
export class CalendarFeedResponse {
  @OrNull() @Text(400, { description: 'the secret address on this server; null until somebody asked for one' }) path: string | null;
  @OrNull() @Count({}, 'minutes before a job at which a telephone rings; null for no alarm') alarmMin: number | null;
}

export class LastReading {
  @Instant() at: string;
  @Amount('°C') C: number;
}

export class ChannelResponse {
  @Count({ min: 1, max: 64 }) channel: number;
  @Text(60) name: string;
  /** the last that was heard; null before */
  @OrNull() @Part(() => LastReading) last: LastReading | null;
}

/** What a scale showed. */
export class Weight {
  @Amount('g') g: number;
  @YesNo('false while it still settled') stable: boolean;
  @Instant() at: string;
}

/** What the stream tells of a scale. */
export type WeightEvent = Weight & { device: string };

/** A device that hands readings in. */
export class DeviceResponse {
  @Id() id: string;
  @Text(60) name: string;
  @Word(DEVICE_KINDS) kind: DeviceKind;
  @Parts(() => ChannelResponse, 64) channels: ChannelResponse[];
  @OrNull() @Text(40, { description: 'the refrigerator that a logger hangs in, by its id in the plan of the house' }) store: string | null;
  /** what a scale showed last; null for others */
  @OrNull() @Part(() => Weight) weight: Weight | null;
  @YesNo('nobody measured what it reads') simulated: boolean;
  @Text(40) createdBy: string;
  @Instant() createdAt: string;
  @OrNull() @Instant('when it was last heard; null before') heardAt: string | null;
}

/** A new token: shown once, kept as a hash only. */
export class DeviceTokenResponse {
  @Part(() => DeviceResponse) device: DeviceResponse;
  @Text(200, { description: 'shown once' }) token: string;
}

export class RefusedReading {
  @Count({}, 'place in the list, from 0') line: number;
  @Text(SENTENCE) reason: string;
  @MayBe() @Text(80) code?: string;
  @MayBe() @ByName<Message['args']>({ values: {}, description: ABOUT }) args?: Message['args'];
}

/** What became of the readings that were handed in. */
export class TakenResponse {
  @Count() taken: number;
  @Count({}, 'were there already, with the same temperature') known: number;
  @Parts(() => RefusedReading, 3000) refused: RefusedReading[];
}

/** Steps of time of a channel. */
export class SeriesChannel {
  @Id() device: string;
  @Count({ min: 1, max: 64 }) channel: number;
  @Amounts('ms since 1970: mean time of the step', LONG) at: number[];
  @Amounts('mean, °C', LONG) C: number[];
  @Amounts('°C', LONG) low: number[];
  @Amounts('°C', LONG) high: number[];
}

/** Readings of some channels, gathered into steps of time: the mean of each, with the lowest and the highest. */
export class SeriesResponse {
  @Amount('length of a step, s') everyS: number;
  @Parts(() => SeriesChannel, 100) channels: SeriesChannel[];
}

/** What the stream tells of readings that have come in. */
export interface ReadingsEvent {
  device: string;
  /** ms: from the earliest to the latest of them */
  from: number;
  to: number;
  latest: { channel: number; at: number; C: number }[];
}

/** A recipe as it stood from one time on. */
export class RecipeVersion {
  @Count({ min: 1 }) version: number;
  @Part(() => RecipeShape) recipe: Recipe;
  @Text(400, { description: 'what was changed, and why; empty for the first' }) reason: string;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
}

/** A recipe with every version that it ever had, the last first. */
export class RecipeResponse {
  @Text(60, { pattern: /^[a-z0-9-]+$/ }) id: string;
  @YesNo() putAway: boolean;
  @Parts(() => RecipeVersion, 1000, 1) versions: RecipeVersion[];
}

/** A delivery. */
export class DeliveredLot {
  @Id() id: string;
  @Word(LOT_KINDS) kind: LotKind;
  @Text(60, { least: 1 }) name: string;
  @Text(40) number: string;
  @Text(60) supplier: string;
  @Day() receivedOn: string;
  @OrNull() @Day() bestBefore: string | null;
  @Amount('g', { min: 0, max: 1e7 }) amountG: number;
  @OrNull() @Amount('what all of it cost, in the house’s money', { min: 0, max: 1e7 }) price: number | null;
  @YesNo() putAway: boolean;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
}

/** A lot, and what batches have left of it. */
export class LotResponse extends DeliveredLot {
  @Amount('g') takenG: number;
  @Count({}, 'how many batches took from it, parts that were cut off among them') batches: number;
}

/** A batch that holds a lot. */
export class LotBatch {
  @Id() id: string;
  @Text(40) code: string;
  @Text(60) name: string;
  @Word(OUTCOMES) outcome: Outcome;
  @Amount('g that were taken for it, or for what it was cut from') g: number;
  @Instant('of the first taking') at: string;
  @Text(40) by: string;
}

/** A tool of the house, with every time that it was checked, the first one first. */
export class ToolResponse {
  @Id() id: string;
  @Text(40, { least: 1 }) name: string;
  @Either(TOOL_SIZES, 'kind') size: ToolSize;
  @YesNo() putAway: boolean;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
  @Parts(() => ToolCheckShape, 2000) checks: ToolCheck[];
}

/** What was read of a picture. */
export class PictureReading {
  @Part(() => FaceMarksShape) marks: FaceMarksShape;
  @Part(() => FaceSharesShape) shares: FaceSharesShape;
  @Text(40, { least: 1 }) by: string;
  @Instant() at: string;
}

/** A picture of a cut face; itself it lies at `/api/pictures/ID`. */
export class PictureResponse {
  @Id() id: string;
  @Id() batchId: string;
  @Text(10) piece: string;
  @Count({ min: 1 }, 'px') width: number;
  @Count({ min: 1 }, 'px') height: number;
  @Text(40) by: string;
  @Instant() at: string;
  /** the last reading */
  @OrNull() @Part(() => PictureReading) reading: PictureReading | null;
}

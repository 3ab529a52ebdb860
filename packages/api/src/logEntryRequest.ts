import {
  ENDINGS,
  LOG_ENTRY_KINDS,
  type DesignChanges,
  type Ending,
  type HandAct,
  type LogEntryKind,
  type LotDraw,
  type PieceEvent,
  type PitEvent,
  type StepValues,
  type Vessel,
} from '@bunkhouse/core';
import { IsInstant } from './isInstant.js';
import {
  ArrayMaxSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  MaxLength,
  Min,
  MinLength,
  ValidateIf,
} from 'class-validator';
import { RecipeOfBatch } from './recipeRequest.js';
import { nested } from './nested.js';
import { DesignChangesShape } from './shapes/designShapes.js';
import { EVENTS, LotDrawShape, VALUES_OF_STEP } from './shapes/entryShapes.js';
import { VesselShape } from './shapes/vesselShape.js';
import { told, withSchema } from './say/ruleWords.js';

const withStep = (request: LogEntryRequest) => request.kind === 'done' || request.kind === 'skipped';
const withTarget = (request: LogEntryRequest) => request.kind === 'correction' || request.kind === 'withdrawn';
const withValues = (request: LogEntryRequest) => request.kind === 'done' || request.kind === 'correction';
const withChanges = (request: LogEntryRequest) => request.kind === 'replanned';
const withEvent = (request: LogEntryRequest) => request.kind === 'pit' || request.kind === 'pieces' || request.kind === 'act';
const withReason = (request: LogEntryRequest) =>
  (request.kind !== 'done' && request.kind !== 'lot' && request.kind !== 'vessels' && !withEvent(request)) || request.reason !== undefined;

/** An entry to be written into a batch's log. What its values must be is the step's to say: see `checkEntry` of the core. */
export class LogEntryRequest {
  /** made by the sender, so that sending it twice writes it once */
  @IsUUID(undefined, told('log-entry-id-missing'))
  id: string;

  @IsIn(LOG_ENTRY_KINDS, told('log-entry-kind-choice'))
  kind: LogEntryKind;

  /** instant of the act */
  @IsInstant(told('log-entry-at-time'))
  at: string;

  /** nobody looked at the clock: the instant is about right */
  @IsOptional()
  @IsBoolean(told('log-entry-about-choice'))
  about?: boolean;

  @MaxLength(40, told('name-longest', { most: 40 }))
  @MinLength(1, told('log-entry-by-missing'))
  @IsString(told('log-entry-by-missing'))
  by: string;

  @ValidateIf(withStep)
  @Matches(/^[a-z0-9-]{1,40}$/, told('log-entry-step-id-form'))
  stepId?: string;

  @ValidateIf(withTarget)
  @IsUUID(undefined, told('log-entry-replaces-id'))
  replaces?: string;

  @ValidateIf(withValues)
  @IsObject(withSchema(told('log-entry-values-missing'), VALUES_OF_STEP))
  values?: StepValues;

  /** what a `replanned` entry changes; see `DesignChanges` of the core */
  @ValidateIf(withChanges)
  @IsObject(withSchema(told('log-entry-changes-missing'), { part: () => DesignChangesShape }))
  changes?: DesignChanges;

  /** what happened at the pit, to a piece, or was done beside the plan; see `PitEvent`, `PieceEvent` and `HandAct` of the core */
  @ValidateIf(withEvent)
  @IsObject(withSchema(told('log-entry-event-missing'), { parts: EVENTS }))
  event?: PitEvent | PieceEvent | HandAct;

  /** how a batch ends that is not packed; thrown away when not given */
  @ValidateIf((request: LogEntryRequest) => request.kind === 'ended' && request.how !== undefined)
  @IsIn(ENDINGS, told('log-entry-how-choice'))
  how?: Ending;

  /** what each piece lies in from now on; see `Vessel` of the core */
  @ValidateIf((request: LogEntryRequest) => request.kind === 'vessels')
  @ArrayMaxSize(12, told('log-entry-vessels-missing'))
  @IsArray(withSchema(told('log-entry-vessels-missing'), { part: () => VesselShape }))
  vessels?: readonly Vessel[];

  /** what was taken from a lot; see `LotDraw` of the core */
  @ValidateIf((request: LogEntryRequest) => request.kind === 'lot')
  @IsObject(withSchema(told('log-entry-draw-missing'), { part: () => LotDrawShape }))
  draw?: LotDraw;

  /** by which recipe the part goes on that is cut off; by that of the whole when not given */
  @IsOptional()
  @nested(RecipeOfBatch, told('recipe-name-shape'))
  recipe?: RecipeOfBatch;

  @ValidateIf(withReason)
  @MaxLength(1000, told('letters-longest', { most: 1000 }))
  @IsString(told('log-entry-reason-missing'))
  reason?: string;

  /** the thermometer of the house with which the temperatures were read: they are what it showed, and are corrected by its last check */
  @ValidateIf((request: LogEntryRequest) => request.readWith !== undefined)
  @IsUUID(undefined, told('log-entry-read-with-id'))
  readWith?: string;

  /** the last entry of this batch that the sender had seen; if the step was logged since, the sender is told */
  @IsOptional()
  @Min(0, told('log-entry-seen-count'))
  @IsInt(told('log-entry-seen-count'))
  seen?: number;
}

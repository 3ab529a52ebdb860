import { LOG_ENTRY_KINDS, type DesignChanges, type LogEntryKind, type LotDraw, type PieceEvent, type PitEvent, type StepValues } from '@bunkhouse/core';
import { IsInstant } from './isInstant.js';
import { IsIn, IsInt, IsObject, IsOptional, IsString, IsUUID, Matches, MaxLength, Min, MinLength, ValidateIf } from 'class-validator';
import { RecipeOfBatch } from './recipeRequest.js';
import { nested } from './nested.js';
import { DesignChangesShape } from './shapes/designShapes.js';
import { EVENTS, LotDrawShape, VALUES_OF_STEP } from './shapes/entryShapes.js';
import type { RuleContext } from './shapes/rules.js';

const withStep = (request: LogEntryRequest) => request.kind === 'done' || request.kind === 'skipped';
const withTarget = (request: LogEntryRequest) => request.kind === 'correction' || request.kind === 'withdrawn';
const withValues = (request: LogEntryRequest) => request.kind === 'done' || request.kind === 'correction';
const withChanges = (request: LogEntryRequest) => request.kind === 'replanned';
const withEvent = (request: LogEntryRequest) => request.kind === 'pit' || request.kind === 'pieces';
const withReason = (request: LogEntryRequest) => (request.kind !== 'done' && request.kind !== 'lot' && !withEvent(request)) || request.reason !== undefined;

/** An entry to be written into a batch's log. What its values must be is the step's to say: see `checkEntry` of the core. */
export class LogEntryRequest {
  /** made by the sender, so that sending it twice writes it once */
  @IsUUID(undefined, { message: 'The entry needs an id.' })
  id: string;

  @IsIn(LOG_ENTRY_KINDS, { message: 'That is no kind of entry.' })
  kind: LogEntryKind;

  /** instant of the act */
  @IsInstant('Give the time of it.')
  at: string;

  @MaxLength(40, { message: 'A shorter name, please: 40 letters at most.' })
  @MinLength(1, { message: 'Who did it? A name is missing.' })
  @IsString({ message: 'Who did it? A name is missing.' })
  by: string;

  @ValidateIf(withStep)
  @Matches(/^[a-z0-9-]{1,40}$/, { message: 'This batch has no such step.' })
  stepId?: string;

  @ValidateIf(withTarget)
  @IsUUID(undefined, { message: 'There is no such entry.' })
  replaces?: string;

  @ValidateIf(withValues)
  @IsObject({ message: 'The measured values are missing.', context: VALUES_OF_STEP })
  values?: StepValues;

  /** what a `replanned` entry changes; see `DesignChanges` of the core */
  @ValidateIf(withChanges)
  @IsObject({ message: 'What is to change? Nothing is given.', context: { part: () => DesignChangesShape } satisfies RuleContext })
  changes?: DesignChanges;

  /** what happened at the pit, or to a piece; see `PitEvent` and `PieceEvent` of the core */
  @ValidateIf(withEvent)
  @IsObject({ message: 'What happened?', context: { parts: EVENTS } satisfies RuleContext })
  event?: PitEvent | PieceEvent;

  /** what was taken from a lot; see `LotDraw` of the core */
  @ValidateIf((request: LogEntryRequest) => request.kind === 'lot')
  @IsObject({ message: 'Taken from which lot?', context: { part: () => LotDrawShape } satisfies RuleContext })
  draw?: LotDraw;

  /** by which recipe the part goes on that is cut off; by that of the whole when not given */
  @IsOptional()
  @nested(RecipeOfBatch, 'The recipe is not named as it should be.')
  recipe?: RecipeOfBatch;

  @ValidateIf(withReason)
  @MaxLength(1000, { message: 'At most 1000 letters.' })
  @IsString({ message: 'Write why.' })
  reason?: string;

  /** the thermometer of the house with which the temperatures were read: they are what it showed, and are corrected by its last check */
  @ValidateIf((request: LogEntryRequest) => request.readWith !== undefined)
  @IsUUID(undefined, { message: 'There is no such thermometer.' })
  readWith?: string;

  /** the last entry of this batch that the sender had seen; if the step was logged since, the sender is told */
  @IsOptional()
  @Min(0, { message: 'seen counts entries from 0.' })
  @IsInt({ message: 'seen counts entries from 0.' })
  seen?: number;
}

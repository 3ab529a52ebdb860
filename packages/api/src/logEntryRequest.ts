import {
  LOG_ENTRY_KINDS,
  type DesignChanges,
  type EntryDraft,
  type LogEntryKind,
  type LotDraw,
  type PieceEvent,
  type PitEvent,
  type Probe,
  type StepValues,
  type TendingAct,
} from '@bunkhouse/core';
import { IsInstant } from './isInstant.js';
import { IsIn, IsInt, IsObject, IsOptional, IsString, IsUUID, Matches, MaxLength, Min, MinLength, ValidateIf, ValidateNested } from 'class-validator';
import { RecipeOfBatch } from './recipeRequest.js';
import { nested } from './nested.js';

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
  @IsObject({ message: 'The measured values are missing.' })
  values?: StepValues;

  /** what a `replanned` entry changes; see `DesignChanges` of the core */
  @ValidateIf(withChanges)
  @IsObject({ message: 'What is to change? Nothing is given.' })
  changes?: DesignChanges;

  /** what happened at the pit, or to a piece; see `PitEvent` and `PieceEvent` of the core */
  @ValidateIf(withEvent)
  @IsObject({ message: 'What happened?' })
  event?: PitEvent | PieceEvent;

  /** what was taken from a lot; see `LotDraw` of the core */
  @ValidateIf((request: LogEntryRequest) => request.kind === 'lot')
  @IsObject({ message: 'Taken from which lot?' })
  draw?: LotDraw;

  /** by which recipe the part goes on that is cut off; by that of the whole when not given */
  @IsOptional()
  @nested(RecipeOfBatch)
  @ValidateNested({ message: 'The recipe is not named as it should be.' })
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

/** The draft that a checked request asks for. Fields that its kind has no use for are left behind. */
export function toDraft(request: LogEntryRequest): EntryDraft {
  const written = { id: request.id, by: request.by.trim(), at: new Date(request.at).toISOString() };
  const reason = request.reason?.trim() ?? '';
  const values = request.values ?? {};
  switch (request.kind) {
    case 'done':
      return { ...written, kind: 'done', stepId: request.stepId ?? '', values, ...(reason === '' ? {} : { reason }) };
    case 'skipped':
      return { ...written, kind: 'skipped', stepId: request.stepId ?? '', reason };
    case 'correction':
      return { ...written, kind: 'correction', replaces: request.replaces ?? '', values, reason };
    case 'withdrawn':
      return { ...written, kind: 'withdrawn', replaces: request.replaces ?? '', reason };
    case 'replanned':
      return { ...written, kind: 'replanned', changes: request.changes ?? {}, reason };
    case 'pit':
      return { ...written, kind: 'pit', event: pitEvent(request.event), ...(reason === '' ? {} : { reason }) };
    case 'pieces':
      return { ...written, kind: 'pieces', event: pieceEvent(request.event), ...(reason === '' ? {} : { reason }) };
    case 'lot': {
      const { of, lot, g } = (request.draw ?? {}) as LotDraw;
      return { ...written, kind: 'lot', draw: { of, lot, g }, ...(reason === '' ? {} : { reason }) };
    }
    case 'ended':
      return { ...written, kind: 'ended', reason };
    case 'note':
      return { ...written, kind: 'note', reason };
  }
}

/** The event with nothing beside what its act has. What is wrong with it `checkEntry` says. */
function pitEvent(event: PitEvent | PieceEvent | undefined): PitEvent {
  const given = (event ?? {}) as { act?: unknown; piece?: unknown } & Record<string, unknown>;
  switch (given.act) {
    case 'probes':
      return {
        act: 'probes',
        probes: Array.isArray(given.probes)
          ? (given.probes as (Record<string, unknown> | null)[]).map((probe) => {
              const { device, channel, reads, targetC } = probe ?? {};
              return { device, channel, reads, ...(targetC === undefined ? {} : { targetC }) } as Probe;
            })
          : (given.probes as Probe[]),
      };
    case 'check':
      return {
        act: 'check',
        piece: given.piece as string,
        placesC: given.placesC as number[],
        ...(given.probeC === undefined ? {} : { probeC: given.probeC as number }),
      };
    case 'bath':
      return { act: 'bath', waterC: given.waterC as number, ...(given.piece === undefined ? {} : { piece: given.piece as string }) };
    case 'heard':
    case 'decided':
      return { act: given.act, alarm: given.alarm as string };
    default:
      return { act: given.act as TendingAct, ...(given.piece === undefined ? {} : { piece: given.piece as string }) };
  }
}

/** The same for a piece. */
function pieceEvent(event: PitEvent | PieceEvent | undefined): PieceEvent {
  const { act, piece, to, staysG, goesG, offG, weighsG } = (event ?? {}) as unknown as Record<string, unknown>;
  const known = act === 'split' ? { staysG, goesG, to } : act === 'joined' ? { to } : act === 'dropped' ? {} : { offG, weighsG };
  return { act, piece, ...Object.fromEntries(Object.entries(known).filter(([, value]) => value !== undefined && value !== null)) } as PieceEvent;
}

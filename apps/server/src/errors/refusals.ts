import { BadRequestException, ConflictException, NotFoundException, ParseUUIDPipe } from '@nestjs/common';
import { ErrorResponse, type FieldError } from '@bunkhouse/api';
import type { ValidationError } from 'class-validator';

/** What a route answers where it refuses: for its description. */
export const REFUSED = { type: ErrorResponse };

/** 400 with the faults at their fields; the first one is the message. */
export const refused = (errors: FieldError[]): BadRequestException => new BadRequestException({ message: errors[0]?.message ?? 'That cannot be.', errors });

/** 409: somebody was quicker. */
export const overtaken = (errors: FieldError[]): ConflictException => new ConflictException({ message: errors[0]?.message ?? 'Somebody was quicker.', errors });

export const noSuchBatch = (): NotFoundException => new NotFoundException('There is no such batch.');

/** Turns class-validator's tree into faults at their fields: `pieces.0.greenG`. */
export function fieldFaults(errors: ValidationError[], path = ''): FieldError[] {
  return errors.flatMap((error) => {
    const field = `${path}${error.property}`;
    const deeper = fieldFaults(error.children ?? [], `${field}.`);
    if (deeper.length > 0) return deeper;
    const [kind, message] = Object.entries(error.constraints ?? {})[0] ?? ['', 'That cannot be.'];
    return [{ field, message: kind === 'whitelistValidation' ? `"${error.property}" is not asked for here.` : message }];
  });
}

/** An id in a path. */
export const IdPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a batch.' }]) });

/** The same for a lot. */
export const LotPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a lot.' }]) });

/** The same for a tool. */
export const ToolPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a tool.' }]) });

/** The same for a picture. */
export const PicturePipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a picture.' }]) });

/** The same for a session and for a tablet. */
export const SessionPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a session.' }]) });
export const TabletPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', message: 'That is no id of a tablet.' }]) });

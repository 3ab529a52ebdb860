import type { Message } from '@bunkhouse/core';
import { BadRequestException, ConflictException, NotFoundException, ParseUUIDPipe } from '@nestjs/common';
import { apiSays, serverSays, ErrorResponse, type FieldError } from '@bunkhouse/api';

/** What a route answers where it refuses: for its description. */
export const REFUSED = { type: ErrorResponse };

/** 400 with the faults at their fields; the first one is the message. */
export const refused = (errors: FieldError[]): BadRequestException => new BadRequestException(whole(errors, apiSays('cannot-be')));

/** 409: somebody was quicker. */
export const overtaken = (errors: FieldError[]): ConflictException => new ConflictException(whole(errors, serverSays('somebody-quicker')));

const whole = ([first, ...rest]: FieldError[], otherwise: Message) => {
  if (first === undefined) return { ...otherwise, errors: [] };
  const { field: _field, ...said } = first;
  return { ...said, errors: [first, ...rest] };
};

export const noSuchBatch = (): NotFoundException => new NotFoundException(serverSays('no-such-batch'));

/** An id in a path. */
export const IdPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-batch-id') }]) });

/** The same for a lot. */
export const LotPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-lot-id') }]) });

/** The same for a tool. */
export const ToolPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-tool-id') }]) });

/** The same for a picture. */
export const PicturePipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-picture-id') }]) });

/** The same for a session and for a tablet. */
export const SessionPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-session-id') }]) });
export const TabletPipe = new ParseUUIDPipe({ exceptionFactory: () => refused([{ field: 'id', ...serverSays('no-tablet-id') }]) });

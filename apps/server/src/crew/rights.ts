import { applyDecorators, createParamDecorator, SetMetadata, type ExecutionContext } from '@nestjs/common';
import { ApiExtension } from '@nestjs/swagger';
import type { Right } from '@bunkhouse/api';
import type { Request } from 'express';
import type { Who } from './sessionsService.js';

export const RIGHT = 'bunkhouse:right';
export const KEEPS_BY = 'bunkhouse:keeps-by';

/** Who may use a route; the API’s description says it as `x-right`. A route that says nothing is closed to everybody. */
export const For = (right: Right) => applyDecorators(SetMetadata(RIGHT, right), ApiExtension('x-right', right));

/** `by` of a request stays as it was sent: what was logged on a device without a connection may be somebody else's who was signed in there. */
export const KeepsBy = () => SetMetadata(KEEPS_BY, true);

/** A request with whoever sends it. */
export type Known = Request & { who?: Who };

/** The person who asks. */
export const By = createParamDecorator((_: unknown, context: ExecutionContext): Who => {
  const { who } = context.switchToHttp().getRequest<Known>();
  if (who === undefined) throw new Error('A route that wants to know who asks must be for persons.');
  return who;
});

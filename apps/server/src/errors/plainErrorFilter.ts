import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { InputError } from '@bunkhouse/core';
import { PICTURE_LIMIT_MB, type ErrorResponse } from '@bunkhouse/api';
import type { Request, Response } from 'express';

/** Turns whatever was thrown into the one shape of error that the API has. */
@Catch()
export class PlainErrorFilter implements ExceptionFilter {
  private readonly logger = new Logger('Errors');

  catch(error: unknown, host: ArgumentsHost): void {
    const plain = this.plain(error);
    const http = host.switchToHttp();
    const body = plain.statusCode === 413 ? { ...plain, message: tooMuch(http.getRequest<Request>().path) } : plain;
    const response = http.getResponse<Response>();
    // What was to be a file is an answer like any other now.
    response.removeHeader('Content-Disposition');
    response.status(body.statusCode).type('application/json').json(body);
  }

  private plain(error: unknown): ErrorResponse {
    if (error instanceof HttpException) return fromHttp(error);
    if (error instanceof InputError) return { statusCode: 400, message: error.message, errors: [{ field: error.field, ...error.said }] };
    const status = bodyParserStatus(error);
    if (status === 415) return { statusCode: 415, message: 'Send it as it is, not packed.' };
    if (status !== null) return { statusCode: status, message: status === 413 ? TOO_MUCH : 'That could not be read: it is not well-formed JSON.' };
    if (databaseIsAway(error)) return { statusCode: 503, message: 'The database does not answer just now. Try again in a moment; nothing was written.' };
    this.logger.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return { statusCode: 500, message: 'Something broke on our side. Nothing was written. The server’s log says what.' };
  }
}

const TOO_MUCH = 'That is too much at once.';

const tooMuch = (path: string): string =>
  path.endsWith('/pictures') ? `${TOO_MUCH} A picture may have ${PICTURE_LIMIT_MB} MB.` : `${TOO_MUCH} A book may have 48 MB: export it without its readings.`;

function fromHttp(error: HttpException): ErrorResponse {
  const statusCode = error.getStatus();
  if (statusCode === 413) return { statusCode, message: TOO_MUCH };
  const body = error.getResponse();
  if (typeof body === 'string') return { statusCode, message: body };
  const { message, errors } = body as { message?: unknown; errors?: ErrorResponse['errors'] };
  const text = typeof message === 'string' ? message : 'That cannot be.';
  if (statusCode === 404 && text.startsWith('Cannot ')) return { statusCode, message: 'There is nothing at this address.' };
  if (statusCode === 400 && errors === undefined && / JSON|Unexpected /.test(text))
    return { statusCode, message: 'That could not be read: it is not well-formed JSON.' };
  return errors === undefined ? { statusCode, message: text } : { statusCode, message: text, errors };
}

function bodyParserStatus(error: unknown): number | null {
  const { status, type } = (error ?? {}) as { status?: unknown; type?: unknown };
  return typeof status === 'number' && status >= 400 && status < 500 && typeof type === 'string' ? status : null;
}

/** Codes of pg and Node for a server that is not there, starting, stopping or out of room. */
const AWAY = new Set(['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', '57P01', '57P02', '57P03', '55P03', '57014', '53300', '53100', '08006', '08003']);

function databaseIsAway(error: unknown): boolean {
  const { code, message } = (error ?? {}) as { code?: unknown; message?: unknown };
  return (
    (typeof code === 'string' && AWAY.has(code)) ||
    (typeof message === 'string' && /Connection terminated|timeout exceeded when trying to connect|Client has encountered/.test(message))
  );
}

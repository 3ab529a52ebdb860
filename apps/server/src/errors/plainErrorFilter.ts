import { Catch, HttpException, Logger, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import { asWritten, InputError, type Message } from '@bunkhouse/core';
import { apiSays, serverSays, BOOK_LIMIT_MB, PICTURE_LIMIT_MB, type ErrorResponse } from '@bunkhouse/api';
import type { Request, Response } from 'express';

/** Turns whatever was thrown into the one shape of error that the API has. */
@Catch()
export class PlainErrorFilter implements ExceptionFilter {
  private readonly logger = new Logger('Errors');

  catch(error: unknown, host: ArgumentsHost): void {
    const plain = this.plain(error);
    const http = host.switchToHttp();
    const body = plain.statusCode === 413 ? { ...plain, ...tooMuch(http.getRequest<Request>().path) } : plain;
    const response = http.getResponse<Response>();
    // What was to be a file is an answer like any other now.
    response.removeHeader('Content-Disposition');
    response.status(body.statusCode).type('application/json').json(body);
  }

  private plain(error: unknown): ErrorResponse {
    if (error instanceof HttpException) return fromHttp(error);
    if (error instanceof InputError) return { statusCode: 400, ...error.said, errors: [{ field: error.field, ...error.said }] };
    const status = bodyParserStatus(error);
    if (status === 415) return { statusCode: 415, ...serverSays('sent-packed') };
    if (status !== null) return { statusCode: status, ...serverSays(status === 413 ? 'too-much' : 'no-json') };
    if (databaseIsAway(error)) return { statusCode: 503, ...serverSays('database-away') };
    this.logger.error(error instanceof Error ? (error.stack ?? error.message) : String(error));
    return { statusCode: 500, ...serverSays('broke-here') };
  }
}

const tooMuch = (path: string): Message =>
  path.endsWith('/pictures') ? serverSays('too-much-picture', { most: PICTURE_LIMIT_MB }) : serverSays('too-much-book', { most: BOOK_LIMIT_MB });

function fromHttp(error: HttpException): ErrorResponse {
  const statusCode = error.getStatus();
  if (statusCode === 413) return { statusCode, ...serverSays('too-much') };
  const body = error.getResponse();
  if (typeof body === 'string') return { statusCode, ...asWritten(body) };
  const { message, code, args, errors } = body as Partial<ErrorResponse>;
  // What is said by its code is ours; what has none, a library's.
  if (typeof message === 'string' && code !== undefined && args !== undefined)
    return { statusCode, message, code, args, ...(errors === undefined || errors.length === 0 ? {} : { errors }) };
  if (statusCode === 404) return { statusCode, ...serverSays('nothing-here') };
  if (statusCode === 400 && / JSON|Unexpected /.test(String(message))) return { statusCode, ...serverSays('no-json') };
  return { statusCode, ...apiSays('cannot-be') };
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

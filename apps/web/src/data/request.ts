import type { ErrorResponse } from '@bunkhouse/api';
import { noteLost, noteReached } from './connection';
import { keepKnown, lastKnown } from './lastKnown';
import { noteServerDate } from './serverClock';

/** An answer of the server that is not what was asked for. `offline`: there was no answer. */
export class Refusal extends Error {
  readonly status: number;
  readonly errors: { field: string; message: string }[];

  constructor(status: number, message: string, errors: { field: string; message: string }[] = []) {
    super(message);
    this.name = 'Refusal';
    this.status = status;
    this.errors = errors;
  }

  get offline(): boolean {
    return this.status === 0;
  }
}

/** The one way to ask the server. A file is sent as it is, everything else as JSON. */
export async function request<T>(path: string, body?: unknown): Promise<T> {
  const answer = await fetch(path, body === undefined ? {} : posted(body)).catch(() => null);
  if (answer === null) return unreached<T>(path, body);
  noteReached();
  noteServerDate(answer.headers.get('date'));
  const said = (await answer.json().catch(() => null)) as unknown;
  if (answer.ok && said !== null) {
    if (body === undefined) void keepKnown(path, said);
    return said as T;
  }
  const { message, errors } = (said ?? {}) as Partial<ErrorResponse>;
  throw new Refusal(answer.status, message ?? 'The house gave no answer that can be read. Try again in a moment.', errors);
}

/** No answer: what was known last of what is asked; what is told is not lost, but not told either. */
async function unreached<T>(path: string, body: unknown): Promise<T> {
  noteLost();
  const known = body === undefined ? await lastKnown(path) : undefined;
  if (known !== undefined) return known as T;
  throw new Refusal(0, 'There is no connection to the house. What you typed is kept here: try again in a moment.');
}

const posted = (body: unknown): RequestInit =>
  body instanceof Blob
    ? { method: 'POST', headers: { 'content-type': body.type.startsWith('image/') ? body.type : 'application/octet-stream' }, body }
    : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };

import type { ErrorResponse, FieldError } from '@bunkhouse/api';
import { sayHere } from '../reader/here';
import { noteLost, noteReached } from './connection';
import { houseLine } from './houseLine';
import { keepKnown, lastKnown } from './lastKnown';
import { noteServerDate } from './serverClock';

/** An answer of the server that is not what was asked for. `offline`: there was no answer. */
export class Refusal extends Error {
  readonly status: number;
  readonly errors: FieldError[];

  constructor(status: number, { message, code, args }: Said, errors: FieldError[] = []) {
    super(saidHere({ message, code, args }));
    this.name = 'Refusal';
    this.status = status;
    this.errors = errors.map((error) => ({ ...error, message: saidHere(error) }));
  }

  get offline(): boolean {
    return this.status === 0;
  }
}

/** What the house said: by code, or a sentence alone where a house is older than the words. */
type Said = Pick<ErrorResponse, 'message' | 'code' | 'args'>;

/** In the units and numbers of whoever holds this device. */
export const saidHere = ({ code, args, message }: Said): string => (code === undefined || args === undefined ? message : sayHere({ code, args, message }));

/** What is done when the house does not know who stands here: answers the name of whoever signed in, or null where nobody did. */
type AskWho = () => Promise<string | null>;
let askWho: AskWho = () => Promise.resolve(null);
let lookWho: () => void = () => undefined;

/** Who is told when the house does not know who stands here: `ask` where somebody waits for it, `look` else. */
export function onShut(ask: AskWho, look: () => void): void {
  askWho = ask;
  lookWho = look;
}

/**
 * The one way to ask the server. A file is sent as it is, everything else as JSON. Where the device is locked or signed out, whoever stands
 * here is asked for their PIN, and what they meant to send goes off after it, signed by them.
 *
 * @param quietly do not ask who it is: nobody waits for it
 */
export async function request<T>(path: string, body?: unknown, { quietly = false } = {}): Promise<T> {
  const answer = await houseLine()
    .ask(path, body === undefined ? {} : posted(body))
    .catch(() => null);
  // A house that is there but whose database is away is no house just now: what was known last is shown, what is logged waits.
  if (answer === null || answer.status === 503) return unreached<T>(path, body);
  if (answer.status === 401 && !quietly && path !== '/api/session' && !path.startsWith('/api/session/secret')) {
    const name = body === undefined ? null : await askWho();
    if (name === null) lookWho();
    else return request<T>(path, signedBy(body, name), { quietly: true });
  }
  noteReached();
  noteServerDate(answer.headers.get('date'));
  const said = (await answer.json().catch(() => null)) as unknown;
  if (answer.ok && said !== null) {
    if (body === undefined) void keepKnown(path, said);
    return said as T;
  }
  const { message = 'The house gave no answer that can be read. Try again in a moment.', errors, ...by } = (said ?? {}) as Partial<ErrorResponse>;
  throw new Refusal(answer.status, { ...by, message }, errors);
}

const signedBy = (body: unknown, by: string): unknown =>
  typeof body === 'object' && body !== null && !(body instanceof Blob) && 'by' in body ? { ...body, by } : body;

/** No answer: what was known last of what is asked; what is told is not lost, but not told either. */
async function unreached<T>(path: string, body: unknown): Promise<T> {
  noteLost();
  const known = body === undefined ? await lastKnown(path) : undefined;
  if (known !== undefined) return known as T;
  throw new Refusal(0, { message: 'There is no connection to the house. What you typed is kept here: try again in a moment.' });
}

const posted = (body: unknown): RequestInit =>
  body instanceof Blob
    ? { method: 'POST', headers: { 'content-type': body.type.startsWith('image/') ? body.type : 'application/octet-stream' }, body }
    : { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };

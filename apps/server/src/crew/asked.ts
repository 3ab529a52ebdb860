import { isIP } from 'node:net';
import type { Request } from 'express';

export const SESSION_COOKIE = 'bunkhouse_session';
export const TABLET_COOKIE = 'bunkhouse_tablet';

/** Browsers keep cookies by host, not by port: two houses on one machine (the made-up one, say) have names of their own. */
export function nameHere(request: Pick<Request, 'headers'>, name: string): string {
  const port = /:(\d{1,5})$/.exec(request.headers.host ?? '')?.[1];
  return port === undefined ? name : `${name}_${port}`;
}

/** A cookie of a request, or null: the one for this port, else the one that a program sends to any. */
export const cookieOf = (request: Pick<Request, 'headers'>, name: string): string | null =>
  cookieNamed(request, nameHere(request, name)) ?? cookieNamed(request, name);

function cookieNamed(request: Pick<Request, 'headers'>, name: string): string | null {
  for (const part of (request.headers.cookie ?? '').split(';')) {
    const [key, value] = part.split('=', 2);
    if (key?.trim() === name && value !== undefined) return value.trim();
  }
  return null;
}

const LOOPBACK = /^(127(\.\d{1,3}){3}|::1|::ffff:127(\.\d{1,3}){3})$/;
const OWN_NAMES = /^(localhost|127(\.\d{1,3}){3}|\[::1\])(:\d{1,5})?$/i;
const FORWARDED = ['forwarded', 'x-forwarded-for', 'x-forwarded-host', 'x-forwarded-proto', 'x-real-ip'];

/**
 * Whether whoever asks sits at this very machine: from loopback, under one of its own names (a stranger's page may give its name our address),
 * and not through a proxy.
 */
export function isHere(request: Pick<Request, 'headers' | 'socket'>): boolean {
  const address = request.socket.remoteAddress ?? '';
  return (
    isIP(address) !== 0 &&
    LOOPBACK.test(address) &&
    OWN_NAMES.test(request.headers.host ?? '') &&
    FORWARDED.every((name) => request.headers[name] === undefined)
  );
}

/**
 * Whether a browser says that another site's page sends this: by Fetch Metadata where it has that, by Origin else. Programs that are no
 * browsers say neither.
 */
export function isFromElsewhere(request: Pick<Request, 'headers'>): boolean {
  const site = request.headers['sec-fetch-site'];
  if (site !== undefined && site !== 'same-origin' && site !== 'none') return true;
  const { origin, host } = request.headers;
  if (origin === undefined) return false;
  try {
    return new URL(origin).host !== host;
  } catch {
    return true;
  }
}

/** Browser and system, as far as a device says: for a list of sessions, never to decide by. */
export function deviceOf(userAgent: string | undefined): string {
  const agent = userAgent ?? '';
  const browser = /Firefox|Edg|Chrome|Safari/.exec(agent)?.[0]?.replace('Edg', 'Edge') ?? 'A program';
  const system = /Android|iPad|iPhone|Windows|Mac OS|CrOS|Linux/.exec(agent)?.[0];
  return system === undefined ? browser : `${browser} on ${system}`;
}

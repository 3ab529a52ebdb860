import { DAY_MS } from '@bunkhouse/core';
import type { BatchRequest } from '@bunkhouse/api';

const TURN = /^turn-(\d+)$/;

/** Where the house has planned the pull for an hour, the days of cure are those until it; turns that they have no room for are left out. */
export function asFitted(request: BatchRequest): BatchRequest {
  const { stepAt } = request;
  const [meatIn, pull] = [stepAt?.['meat-in'], stepAt?.pull];
  if (stepAt === undefined || meatIn === undefined || pull === undefined) return request;
  const cureDays = Math.round(((Date.parse(pull) - Date.parse(meatIn)) / DAY_MS) * 10) / 10;
  if (!(cureDays >= 1 && cureDays <= 60)) return request;
  const kept = Object.entries(stepAt).filter(([id]) => Number(TURN.exec(id)?.[1] ?? 0) < cureDays);
  return { ...request, cureDays, stepAt: Object.fromEntries(kept) };
}

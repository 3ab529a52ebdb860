import { requestBy, type BatchRequest } from '@bunkhouse/api';
import { processFor, RULE_SETS, type Process } from '@bunkhouse/core';
import { unweighed } from '../../acts/unweighed';
import { houseTime } from '../../data/serverClock';
import { newId } from '../../data/newId';

const DRAFT = 'bunkhouse.draft.new-batch';
const QUARTER_MS = 900_000;

/** A batch with a recipe’s usual values and no weight, beginning at the next quarter of an hour. */
export const fresh = (process: Process, by: string): BatchRequest =>
  unweighed(requestBy(process, { id: newId(), by, startsAt: new Date(Math.ceil(houseTime() / QUARTER_MS) * QUARTER_MS).toISOString() }));

/** The same by the rules of the house: aimed at what is usual under them, never over a limit. */
export const underRules = (request: BatchRequest, ruleSet: keyof typeof RULE_SETS): BatchRequest => ({
  ...request,
  ruleSet,
  ...(ruleSet === request.ruleSet ? {} : { nitritePpm: Math.min(request.nitritePpm, RULE_SETS[ruleSet].usualTarget) }),
});

/** Where the form begins: what was typed before the page was closed, else a ham. The start is always from now. */
export function firstRequest(by: string, ruleSet: keyof typeof RULE_SETS): BatchRequest {
  const usual = underRules(fresh(processFor('ham-bone-in'), by), ruleSet);
  try {
    const kept = JSON.parse(localStorage.getItem(DRAFT) ?? '{}') as Partial<BatchRequest>;
    // Hours were fitted into a house that is another one by now.
    const { stepAt: _stepAt, stores: _stores, readyBy, ...typed } = kept;
    const wanted = readyBy !== undefined && Date.parse(readyBy) > houseTime() ? { readyBy } : {};
    return { ...usual, ...typed, ...wanted, startsAt: usual.startsAt };
  } catch {
    return usual;
  }
}

export const keepDraft = (request: BatchRequest): void => localStorage.setItem(DRAFT, JSON.stringify(request));
export const forgetDraft = (): void => localStorage.removeItem(DRAFT);

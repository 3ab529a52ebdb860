import { inputNames, type EntryDraft, type PlannedStepId, type StepInput, type StepValues } from '@bunkhouse/core';
import { newId } from '../../data/newId';
import { fieldTime } from '../../reader/times';

/** What was typed at a step so far. */
export interface Draft {
  /** made with the form, so that sending it twice writes once */
  id: string;
  values: Partial<StepValues>;
  reason: string;
  /** an earlier time, as its field shows it; empty for now */
  at: string;
  /** nobody looked at the clock */
  about?: boolean;
}

export const emptyDraft = (): Draft => ({ id: newId(), values: {}, reason: '', at: '' });

/** What a step asks, in the order in which hands go: where several things are read of each piece, one piece after the other, each in a row of its own. */
export function byPiece(inputs: readonly StepInput[], pieces: Parameters<typeof inputNames>[1]): { input: StepInput; name: string; startsRow: boolean }[] {
  const asked = inputs.flatMap((input) => inputNames(input, pieces).map((name) => ({ input, name, startsRow: false })));
  const ofEach = inputs.filter((input) => inputNames(input, pieces).length > 1);
  if (ofEach.length < 2) return asked;
  const pieceOf = (name: string) => name.split(':')[1];
  return [
    ...asked.filter(({ name }) => pieceOf(name) === undefined),
    ...pieces.flatMap(({ code }) => asked.filter(({ name }) => pieceOf(name) === code).map((one, i) => ({ ...one, startsRow: i === 0 }))),
  ];
}

/** The entry that a draft comes to: with the time now, unless it was earlier. */
export function entryOf(draft: Draft, stepId: PlannedStepId, replaces: string | undefined, by: string, now: number, was: string | undefined): EntryDraft {
  const at = draft.at === '' ? now : was !== undefined && fieldTime(was) === draft.at ? Date.parse(was) : Date.parse(draft.at);
  const about = draft.at !== '' && draft.about === true ? { about: true } : {};
  const written = { id: draft.id, by, at: Number.isFinite(at) ? new Date(at).toISOString() : '', ...about };
  const values = draft.values as StepValues;
  if (replaces !== undefined) return { ...written, kind: 'correction', replaces, values, reason: draft.reason };
  return { ...written, kind: 'done', stepId, values, ...(draft.reason.trim() === '' ? {} : { reason: draft.reason }) };
}

/** A fault is shown while typing only where something was typed. */
export const wasTyped = (field: string, draft: Draft): boolean => field.startsWith('values.') && draft.values[field.slice('values.'.length)] !== undefined;

/** The same with one value changed, or gone. */
export function without(values: Partial<StepValues>, name: string, value: number | string | undefined): Partial<StepValues> {
  const { [name]: _before, ...rest } = values;
  return value === undefined ? rest : { ...rest, [name]: value };
}

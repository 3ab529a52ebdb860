import { fieldFaults, LogEntryRequest, toDraft } from '@bunkhouse/api';
import { checkEntry, readEvent, type EntryDraft, type HandThermometer } from '@bunkhouse/core';
import { plainToInstance } from 'class-transformer';
import { validateSync } from 'class-validator';
import { useMemo, useState } from 'react';
import type { DefaultValues, FieldValues, Resolver } from 'react-hook-form';
import { writeEntry, type Batch } from '../data/batches';
import { newId } from '../data/newId';
import { saidHere } from '../data/request';
import { houseTime } from '../data/serverClock';
import { toldIn, type ToldFault } from '../kit/rulesOf';
import { useSendingForm, type RequestForm } from '../kit/form/useRequestForm';
import { useTellLogged } from '../kit/JustLogged';
import { usePreferences } from '../reader/preferences';
import { useSay } from '../reader/reader';
import type { Said } from './useWrite';

/** The field of a form at which a fault of an entry is told: that of its last word (`event.piece` at `piece`), or the whole form. */
const fieldAmong = (typed: FieldValues) => (field: string) => {
  const last = field.split('.').at(-1) ?? '';
  return last in typed ? last : 'root';
};

const truly = (draft: EntryDraft, thermometer: HandThermometer | null): EntryDraft =>
  thermometer === null || draft.kind !== 'pit' ? draft : { ...draft, ...readEvent(thermometer, draft.event, Date.parse(draft.at)) };

/**
 * A form that writes an entry of this moment: checked before it is sent by the request's rules and by those of the log, as the house checks it.
 *
 * @param said what the typed fields say as an entry
 * @param what what is told to have been logged
 * @param also what is wrong with what was typed, before it is an entry
 * @param thermometer with which its temperatures were read: checked is what it truly was, sent is what was shown, for the house to correct
 */
export function useEntryForm<F extends FieldValues>(
  { record }: Batch,
  {
    first,
    said,
    what,
    thermometer = null,
    also = () => [],
    onDone,
  }: {
    first: F;
    /** with the time of it, where that is not now */
    said: (typed: F) => Said & { at?: string };
    what: (typed: F) => string;
    thermometer?: HandThermometer | null;
    also?: (typed: F) => readonly ToldFault[];
    onDone: () => void;
  },
): RequestForm<F> {
  const { name } = usePreferences();
  const say = useSay();
  const tellLogged = useTellLogged();
  // One id for all its tries: sent twice it is written once.
  const [id] = useState(() => newId());
  const entryOf = (typed: F): LogEntryRequest => ({
    at: new Date(houseTime()).toISOString(),
    ...said(typed),
    ...(thermometer === null ? {} : { readWith: thermometer.id }),
    id,
    by: name,
    seen: record.entries.at(-1)?.seq ?? 0,
  });
  const fieldOf = useMemo(() => fieldAmong(first), [first]);
  const resolver: Resolver<F> = (typed, _context, options) => {
    const request = plainToInstance(LogEntryRequest, entryOf(typed));
    const shape = fieldFaults(validateSync(request)).map(({ field, ...fault }) => ({ field, message: saidHere(fault) }));
    const own = also(typed);
    const faults =
      own.length > 0
        ? own
        : shape.length > 0
          ? shape
          : checkEntry(record, truly(toDraft(request), thermometer), houseTime()).map((fault) => ({ field: fault.field, message: say(fault) }));
    return faults.length === 0
      ? { values: typed, errors: {} }
      : toldIn(
          faults.map(({ field, message }) => ({ field: fieldOf(field), message })),
          options,
        );
  };
  return useSendingForm(resolver, {
    first: first as DefaultValues<F>,
    fieldOf,
    send: async (typed) => {
      const entry = entryOf(typed);
      await writeEntry(record.id, entry);
      tellLogged({ entries: [{ batchId: record.id, entryId: id }], what: `${what(typed)}, ${record.code}`, at: entry.at });
    },
    onDone,
  });
}

import type { LogEntryRequest } from '@bunkhouse/api';
import { useState } from 'react';
import { writeEntry, type Batch } from '../../data/batches';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { usePreferences } from '../../shell/preferences';
import { Only } from '../../shell/Only';
import { newId } from '../../data/newId';

type Act = { kind: 'skipped'; stepId: string } | { kind: 'ended' } | { kind: 'note' } | { kind: 'withdrawn'; replaces: string };

/** Writes an entry that needs words and no numbers. */
export function WordsForm({ batch, act, label, button, onDone }: { batch: Batch; act: Act; label: string; button: string; onDone: () => void }) {
  const { name } = usePreferences();
  const [id] = useState(() => newId());
  const [reason, setReason] = useState('');
  const [fault, setFault] = useState<string | null>(null);
  const send = async () => {
    const entry: LogEntryRequest = {
      id,
      ...act,
      at: new Date(houseTime()).toISOString(),
      by: name,
      reason,
      seen: batch.record.entries.length,
    };
    try {
      await writeEntry(batch.record.id, entry);
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    }
  };
  return (
    <form
      className="words-form"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <label className={`field${fault === null ? '' : ' wrong'}`}>
        <span className="label">{label}</span>
        <textarea className="box" rows={2} maxLength={1000} value={reason} onChange={(event) => setReason(event.target.value)} />
        {fault !== null && (
          <p className="fault" role="alert">
            {fault}
          </p>
        )}
      </label>
      <div className="words-act">
        <button type="submit" className="btn">
          {button}
        </button>
        <button type="button" className="btn quiet" onClick={onDone}>
          Do not
        </button>
      </div>
    </form>
  );
}

/** A step that is not needed is left out with a reason. */
export function LeaveOut({ batch, stepId, title }: { batch: Batch; stepId: string; title: string }) {
  const [open, setOpen] = useState(false);
  if (!open) {
    return (
      <Only right="plan">
        <button type="button" className="lnk" onClick={() => setOpen(true)}>
          Leave this step out
        </button>
      </Only>
    );
  }
  return (
    <WordsForm
      batch={batch}
      act={{ kind: 'skipped', stepId }}
      label={`Why ${title.toLowerCase()} is left out`}
      button="Log it as left out"
      onDone={() => setOpen(false)}
    />
  );
}

import type { Refusal } from '../../data/request';

/** The end of a form of something that the house has: what was refused, save, put away, leave. */
export function SaveOrPutAway({
  what,
  refusal,
  busy,
  putAway,
  onPutAway,
  onLeave,
}: {
  /** `the lot` */
  what: string;
  refusal: Refusal | null;
  busy: boolean;
  /** null for what is not in the book yet */
  putAway: boolean | null;
  onPutAway: () => void;
  onLeave: () => void;
}) {
  return (
    <>
      {refusal !== null && (
        <p className="fault" role="alert">
          {refusal.message}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn" disabled={busy}>
          {busy ? 'Saving...' : `Save ${what}`}
        </button>
        {putAway !== null && (
          <button type="button" className="btn quiet" disabled={busy} onClick={onPutAway}>
            {putAway ? 'Take it out again' : 'Put it away'}
          </button>
        )}
        <button type="button" className="btn quiet" onClick={onLeave}>
          Leave it
        </button>
      </div>
    </>
  );
}

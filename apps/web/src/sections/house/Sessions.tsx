import { endSession, useSessions } from '../../data/session';
import { dayAndTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { useSaving } from './useSaving';

/** Where one is signed in; for the head cook, where anybody is. */
export function Sessions() {
  const sessions = useSessions();
  const now = useNow();
  const { save, busy, fault } = useSaving();
  return (
    <section className="panel" aria-labelledby="sessions-head">
      <div className="ph">
        <h2 id="sessions-head">Signed in</h2>
        <span className="aside">{sessions === undefined ? '' : sessions.length === 1 ? '1 device' : `${sessions.length} devices`}</span>
      </div>
      {sessions?.length === 0 && <p className="empty">Nobody is signed in: the made-up house lets in whoever sits at this machine.</p>}
      <ul className="crew">
        {sessions?.map((session) => (
          <li key={session.id}>
            <div className="crew-line">
              <b>{session.name}</b>
              <span>{session.tablet ?? session.device}</span>
              <span className="note">
                {session.here ? 'This device' : `Last touched ${dayAndTime(session.seenAt, now)}`}, by {session.by === 'pin' ? 'PIN' : 'password'}
              </span>
              {!session.here && (
                <button
                  type="button"
                  className="lnk"
                  disabled={busy}
                  aria-label={`Sign ${session.name} out on ${session.tablet ?? session.device}`}
                  onClick={() => void save(() => endSession(session.id))}
                >
                  Sign out
                </button>
              )}
            </div>
          </li>
        ))}
      </ul>
      {fault !== null && <p className="fault">{fault}</p>}
    </section>
  );
}

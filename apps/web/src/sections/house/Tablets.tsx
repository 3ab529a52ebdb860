import { useState } from 'react';
import { putUpTablet, takeDownTablet, useSession, useTablets } from '../../data/session';
import { dayAndTime, dayWithYear } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { useSaving } from './useSaving';

/** Devices that are put up for the crew: people sign in on them by name and PIN. */
export function Tablets() {
  const tablets = useTablets(true);
  const { data: session } = useSession();
  const now = useNow();
  const [name, setName] = useState('');
  const { save, busy, at, fault } = useSaving();
  return (
    <section className="panel" aria-labelledby="tablets-head">
      <div className="ph">
        <h2 id="tablets-head">Tablets of the crew</h2>
      </div>
      <ul className="crew">
        {tablets?.map((tablet) => (
          <li key={tablet.id}>
            <div className="crew-line">
              <b>{tablet.name}</b>
              <span className="note">
                Put up by {tablet.madeBy}, {dayWithYear(tablet.madeAt)}
                {tablet.seenAt === null ? '' : `. Last touched ${dayAndTime(tablet.seenAt, now)}`}
              </span>
              <button
                type="button"
                className="lnk"
                disabled={busy}
                aria-label={`Take ${tablet.name} down`}
                onClick={() => void save(() => takeDownTablet(tablet.id))}
              >
                Lost or gone
              </button>
            </div>
          </li>
        ))}
      </ul>
      <form
        className="pad"
        onSubmit={(event) => {
          event.preventDefault();
          void save(() => putUpTablet(name)).then((done) => done && setName(''));
        }}
      >
        {session?.tablet == null ? (
          <>
            <label className={`field${at('name') === undefined ? '' : ' wrong'}`}>
              <span className="label">Put this device up for the crew, as</span>
              <input className="box" value={name} maxLength={40} placeholder="by the sink" onChange={(event) => setName(event.target.value)} />
              {at('name') !== undefined && <span className="fault">{at('name')}</span>}
            </label>
            <p className="note">From then on people sign in on it by name and PIN, and it locks when nobody touches it. Elsewhere a PIN opens nothing.</p>
            <button type="submit" className="btn" disabled={busy}>
              Put it up
            </button>
          </>
        ) : (
          <p className="note">This device is {session.tablet}.</p>
        )}
        {fault !== null && <p className="fault">{fault}</p>}
      </form>
    </section>
  );
}

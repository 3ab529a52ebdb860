import { useState } from 'react';
import { changeSecret } from '../../data/session';
import { SecretField } from './SecretField';
import { useSaving } from './useSaving';

/** One's own PIN and password. */
export function OwnSecret() {
  const [isOpen, setOpen] = useState(false);
  const [current, setCurrent] = useState('');
  const [pin, setPin] = useState('');
  const [password, setPassword] = useState('');
  const [said, setSaid] = useState(false);
  const { save, busy, at, fault } = useSaving();
  const keep = async () => {
    const done = await save(() => changeSecret({ current, ...(pin === '' ? {} : { pin }), ...(password === '' ? {} : { password }) }));
    if (!done) return;
    setOpen(false);
    setSaid(true);
    for (const empty of [setCurrent, setPin, setPassword]) empty('');
  };
  return (
    <section className="panel">
      <div className="ph">
        <h2>Your PIN and password</h2>
      </div>
      <div className="pad">
        {isOpen ? (
          <form
            className="person-form"
            onSubmit={(event) => {
              event.preventDefault();
              void keep();
            }}
          >
            <label className={`field${at('current') === undefined ? '' : ' wrong'}`}>
              <span className="label">PIN or password of now</span>
              <input
                className="box"
                type="password"
                autoComplete="current-password"
                maxLength={200}
                value={current}
                onChange={(event) => setCurrent(event.target.value)}
              />
              {at('current') !== undefined && <span className="fault">{at('current')}</span>}
            </label>
            <div className="pair">
              <SecretField kind="pin" value={pin} onChange={setPin} fault={at('pin')} has />
              <SecretField kind="password" value={password} onChange={setPassword} fault={at('password')} has />
            </div>
            {fault !== null && (
              <p className="fault" role="alert">
                {fault}
              </p>
            )}
            <div className="words-act">
              <button type="submit" className="btn go" disabled={busy}>
                Change it
              </button>
              <button type="button" className="btn quiet" onClick={() => setOpen(false)}>
                Leave it
              </button>
            </div>
          </form>
        ) : (
          <>
            {said && <p role="status">Changed. Everywhere else you are signed out.</p>}
            <button type="button" className="btn" onClick={() => setOpen(true)}>
              Change mine
            </button>
          </>
        )}
      </div>
    </section>
  );
}

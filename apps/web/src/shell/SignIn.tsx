import type { SessionResponse } from '@bunkhouse/api';
import { useState, type FormEvent } from 'react';
import { Refusal } from '../data/request';
import { signIn } from '../data/session';
import { PinPad } from './PinPad';
import { PlainHttp } from './PlainHttp';

/** Who is it? A name and its PIN on a device of the crew, a name and a password elsewhere. */
export function SignIn({ session, onIn }: { session: SessionResponse; onIn?: (name: string) => void }) {
  const byPin = session.people.length > 0;
  const [isByPassword, setByPassword] = useState(!byPin);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const go = async (name: string, secret: { pin: string } | { password: string }): Promise<boolean> => {
    if (busy) return false;
    setBusy(true);
    setFault(null);
    try {
      await signIn({ name, ...secret });
      onIn?.(name);
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.offline ? 'There is no connection to the house just now.' : error.message);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return (
    <div className="sign-in">
      <PlainHttp />
      {isByPassword ? <ByPassword busy={busy} onGo={go} /> : <ByPin session={session} busy={busy} onGo={go} />}
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      {byPin && (
        <button type="button" className="lnk" onClick={() => setByPassword(!isByPassword)}>
          {isByPassword ? 'By PIN' : 'By password'}
        </button>
      )}
    </div>
  );
}

function ByPin({ session, busy, onGo }: { session: SessionResponse; busy: boolean; onGo: (name: string, secret: { pin: string }) => Promise<boolean> }) {
  const [name, setName] = useState<string | null>(session.person?.name ?? null);
  const [pin, setPin] = useState('');
  const chosen = session.people.find((own) => own.name === name);
  const enter = async (who: string) => {
    if (!(await onGo(who, { pin }))) setPin('');
  };
  return (
    <form
      className="by-pin"
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        if (chosen !== undefined && pin.length >= 4) void enter(chosen.name);
      }}
    >
      <ul className="name-tags" aria-label="Who is it?">
        {session.people.map((own) => (
          <li key={own.name}>
            <button
              type="button"
              className="name-tag"
              aria-pressed={own.name === chosen?.name}
              onClick={() => {
                setName(own.name);
                setPin('');
              }}
            >
              {own.name}
            </button>
          </li>
        ))}
      </ul>
      {chosen === undefined ? (
        <p className="lead">Take your name off the hook.</p>
      ) : (
        <div className="pin-of">
          <PinPad key={chosen.name} name={chosen.name} value={pin} onChange={setPin} onEnter={() => void enter(chosen.name)} busy={busy} />
          {chosen.pin !== undefined && (
            <p className="note">
              The made-up house has no secrets: {chosen.name}’s PIN is {chosen.pin}.
            </p>
          )}
        </div>
      )}
    </form>
  );
}

function ByPassword({ busy, onGo }: { busy: boolean; onGo: (name: string, secret: { password: string }) => Promise<boolean> }) {
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  return (
    <form
      className="by-password"
      onSubmit={(event) => {
        event.preventDefault();
        void onGo(name, { password });
      }}
    >
      <label className="field">
        <span className="label">Name</span>
        <input
          className="box"
          name="username"
          autoComplete="username"
          value={name}
          maxLength={40}
          autoFocus
          onChange={(event) => setName(event.target.value)}
        />
      </label>
      <label className="field">
        <span className="label">Password</span>
        <input
          className="box"
          name="password"
          type="password"
          autoComplete="current-password"
          value={password}
          maxLength={200}
          onChange={(event) => setPassword(event.target.value)}
        />
      </label>
      <button type="submit" className="btn go xl" disabled={name.trim() === '' || password === '' || busy}>
        {busy ? 'Looking' : 'Sign in'}
      </button>
    </form>
  );
}

import { useState } from 'react';
import { Refusal } from '../data/request';
import { makeFirst } from '../data/session';

/** The first start of a house: its name, and the head cook. */
export function FirstStart() {
  const [asked, setAsked] = useState({ house: '', name: '', password: '' });
  const [faults, setFaults] = useState<{ field: string; message: string }[]>([]);
  const [busy, setBusy] = useState(false);
  const save = async () => {
    setBusy(true);
    try {
      await makeFirst(asked);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFaults(error.errors.length > 0 ? error.errors : [{ field: '', message: error.message }]);
      setBusy(false);
    }
  };
  const field = (
    name: keyof typeof asked,
    label: string,
    more: { type?: string; autoComplete: string; maxLength: number; hint?: string; autoFocus?: boolean },
  ) => {
    const fault = faults.find((own) => own.field === name)?.message;
    const { hint, ...props } = more;
    return (
      <label className={`field${fault === undefined ? '' : ' wrong'}`}>
        <span className="label">{label}</span>
        <input className="box" {...props} value={asked[name]} onChange={(event) => setAsked({ ...asked, [name]: event.target.value })} />
        {fault === undefined ? hint !== undefined && <span className="note">{hint}</span> : <span className="fault">{fault}</span>}
      </label>
    );
  };
  return (
    <form
      className="by-password"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <p className="lead">A new house. You are its head cook: you take the others in, and nobody else can do that.</p>
      {field('house', 'Name of the house', { autoComplete: 'organization', maxLength: 60, autoFocus: true })}
      {field('name', 'Your name', { autoComplete: 'username', maxLength: 40, hint: 'It signs what you log, and stays in the book.' })}
      {field('password', 'Password', {
        type: 'password',
        autoComplete: 'new-password',
        maxLength: 200,
        hint: 'Ten letters or more: three or four words, say.',
      })}
      {faults.some((own) => own.field === '') && (
        <p className="fault" role="alert">
          {faults[0]?.message}
        </p>
      )}
      <button type="submit" className="btn go xl" disabled={busy}>
        {busy ? 'Opening the house' : 'Open the house'}
      </button>
    </form>
  );
}

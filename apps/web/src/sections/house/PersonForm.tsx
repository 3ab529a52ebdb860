import { ROLES, type PersonResponse, type Role } from '@bunkhouse/api';
import dayjs from 'dayjs';
import { useState } from 'react';
import { keepPerson } from '../../data/session';
import { Choice } from '../../shell/Choice';
import { ROLE_NOTES, ROLE_WORDS } from '../../shell/who';
import { SecretField } from './SecretField';
import { useSaving } from './useSaving';
import { newId } from '../../data/newId';

/** Somebody is taken into the crew, or may something else from now on. */
export function PersonForm({ person, onDone }: { person: PersonResponse | null; onDone: () => void }) {
  const [id] = useState(() => person?.id ?? newId());
  const [name, setName] = useState(person?.name ?? '');
  const [role, setRole] = useState<Role>(person?.role ?? 'helper');
  const [until, setUntil] = useState(person?.endsAt == null ? '' : dayjs(person.endsAt).format('YYYY-MM-DD'));
  const [pin, setPin] = useState('');
  const [password, setPassword] = useState('');
  const { save, busy, at, fault } = useSaving();
  const keep = (putAway: boolean) =>
    void save(() =>
      keepPerson({
        id,
        name: name.trim(),
        role,
        putAway,
        // Until the end of that day, where this device is.
        ...(until === '' ? {} : { endsAt: dayjs(until).endOf('day').toISOString() }),
        ...(pin === '' ? {} : { pin }),
        ...(password === '' ? {} : { password }),
      }),
    ).then((done) => done && onDone());
  return (
    <form
      className="person-form"
      aria-label={person === null ? 'Take somebody in' : `Change ${person.name}`}
      onSubmit={(event) => {
        event.preventDefault();
        keep(false);
      }}
    >
      {person === null && (
        <label className={`field${at('name') === undefined ? '' : ' wrong'}`}>
          <span className="label">Name</span>
          <input className="box" value={name} maxLength={40} autoComplete="off" onChange={(event) => setName(event.target.value)} />
          {at('name') !== undefined && <span className="fault">{at('name')}</span>}
        </label>
      )}
      <div>
        <Choice label="May" value={role} options={Object.fromEntries(ROLES.map((own) => [own, ROLE_WORDS[own]])) as Record<Role, string>} onChange={setRole} />
        <p className="note">{ROLE_NOTES[role]}</p>
        {at('role') !== undefined && <p className="fault">{at('role')}</p>}
      </div>
      <div className="pair">
        <SecretField kind="pin" value={pin} onChange={setPin} fault={at('pin')} has={person?.hasPin ?? false} />
        <SecretField kind="password" value={password} onChange={setPassword} fault={at('password')} has={person?.hasPassword ?? false} />
      </div>
      <label className={`field${at('endsAt') === undefined ? '' : ' wrong'}`}>
        <span className="label">{role === 'reader' ? 'Until the end of' : 'Until the end of, if it is for a time'}</span>
        <input className="box" type="date" value={until} onChange={(event) => setUntil(event.target.value)} />
        {at('endsAt') !== undefined && <span className="fault">{at('endsAt')}</span>}
      </label>
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn go" disabled={busy}>
          {person === null ? 'Take in' : person.putAway ? 'Take in again' : 'Keep it so'}
        </button>
        {person !== null && !person.putAway && (
          <button type="button" className="btn quiet" disabled={busy} onClick={() => keep(true)}>
            Gone: signs in no more
          </button>
        )}
        <button type="button" className="btn quiet" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  );
}

import type { PersonResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { useCrew } from '../../data/session';
import { dayAndTime, dayWithYear } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { ROLE_WORDS } from '../../shell/who';
import { PersonForm } from './PersonForm';

/** The people of the house. */
export function Crew() {
  const people = useCrew(true);
  const now = useNow();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <section className="panel" aria-labelledby="crew-head">
      <div className="ph">
        <h2 id="crew-head">Crew</h2>
        <span className="aside">{people === undefined ? '' : crewWords(people.filter(({ putAway }) => !putAway).length)}</span>
      </div>
      <ul className="crew">
        {people?.map((person) => (
          <li key={person.id} className={person.putAway ? 'is-away' : undefined}>
            <div className="crew-line">
              <b>{person.name}</b>
              <span>{person.putAway ? 'Gone' : ROLE_WORDS[person.role]}</span>
              <span className="note">{standing(person, now)}</span>
              <button
                type="button"
                className="lnk"
                aria-expanded={open === person.id}
                aria-label={`Change ${person.name}`}
                onClick={() => setOpen(open === person.id ? null : person.id)}
              >
                Change
              </button>
            </div>
            {open === person.id && <PersonForm key={person.id} person={person} onDone={() => setOpen(null)} />}
          </li>
        ))}
      </ul>
      <div className="pad">
        {open === 'new' ? (
          <PersonForm person={null} onDone={() => setOpen(null)} />
        ) : (
          <button type="button" className="btn" onClick={() => setOpen('new')}>
            Take somebody in
          </button>
        )}
      </div>
    </section>
  );
}

const crewWords = (many: number): string => (many === 1 ? '1 belongs to it' : `${many} belong to it`);

function standing(person: PersonResponse, now: number): string {
  if (person.putAway) return 'What they logged stays theirs.';
  const by = [person.hasPassword ? 'password' : null, person.pinClosed ? 'PIN closed after too many wrong ones' : person.hasPin ? 'PIN' : null].filter(
    (word) => word !== null,
  );
  const ends =
    person.endsAt === null ? '' : Date.parse(person.endsAt) <= now ? `, ended ${dayWithYear(person.endsAt)}` : `, until ${dayWithYear(person.endsAt)}`;
  return `By ${by.join(' and ')}${ends}${person.seenAt === null ? '' : `. Here ${dayAndTime(person.seenAt, now)}`}`;
}

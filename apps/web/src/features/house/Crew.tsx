import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { paddedStart } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { PersonResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { useCrew } from '../../data/session';
import { dayAndTime, dayWithYear } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { ROLE_WORDS } from '../../data/who';
import { PersonForm } from './PersonForm';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  isAway: { '& b, & span': { color: t.ink3 } },
} as const;

/** The people of the house. */
export function Crew() {
  const people = useCrew(true);
  const now = useNow();
  const [open, setOpen] = useState<string | null>(null);
  return (
    <Panel title="Crew" label="Crew" aside={people === undefined ? '' : crewWords(people.filter(({ putAway }) => !putAway).length)}>
      <Box component="ul" sx={looks.crew}>
        {people?.map((person) => (
          <Box component="li" key={person.id} sx={[person.putAway && styles.isAway]}>
            <Box sx={looks.crewLine}>
              <b>{person.name}</b>
              <span>{person.putAway ? 'Gone' : ROLE_WORDS[person.role]}</span>
              <Typography variant="note" component="span">
                {standing(person, now)}
              </Typography>
              <Button
                variant="text"
                aria-expanded={open === person.id}
                aria-label={`Change ${person.name}`}
                onClick={() => setOpen(open === person.id ? null : person.id)}
              >
                Change
              </Button>
            </Box>
            {open === person.id && <PersonForm key={person.id} person={person} onDone={() => setOpen(null)} />}
          </Box>
        ))}
      </Box>
      <Box sx={paddedStart}>
        {open === 'new' ? <PersonForm person={null} onDone={() => setOpen(null)} /> : <Button onClick={() => setOpen('new')}>Take somebody in</Button>}
      </Box>
    </Panel>
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

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { PersonRequest, ROLES, type PersonResponse, type Role } from '@bunkhouse/api';
import { useWatch } from 'react-hook-form';
import { FormChoice, FormDay, FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { keepPerson } from '../../data/session';
import { ROLE_NOTES, ROLE_WORDS } from '../../data/who';
import { newId } from '../../data/newId';
import { acts, paired } from '../../theme/surfaces';
import { SecretField } from './SecretField';

const ROLE_OPTIONS = Object.fromEntries(ROLES.map((own) => [own, ROLE_WORDS[own]])) as Record<Role, string>;

/** Somebody is taken into the crew, or may something else from now on. */
export function PersonForm({ person, onDone }: { person: PersonResponse | null; onDone: () => void }) {
  const form = useRequestForm(PersonRequest, {
    first: {
      id: person?.id ?? newId(),
      name: person?.name ?? '',
      role: person?.role ?? 'helper',
      ...(person?.endsAt == null ? {} : { endsAt: person.endsAt }),
      putAway: false,
    },
    send: (asked) => keepPerson({ ...asked, name: asked.name.trim() }),
    onDone,
  });
  const role = useWatch({ control: form.form.control, name: 'role' });
  return (
    <SavingForm
      of={form}
      label={person === null ? 'Take somebody in' : `Change ${person.name}`}
      sx={{ padding: '12px 0', maxWidth: 720 }}
      acts={
        <Box sx={acts}>
          <Button type="submit" variant="contained" disabled={form.busy}>
            {person === null ? 'Take in' : person.putAway ? 'Take in again' : 'Keep it so'}
          </Button>
          {person !== null && !person.putAway && (
            <Button variant="quiet" disabled={form.busy} onClick={() => void form.submit({ putAway: true })}>
              Gone: signs in no more
            </Button>
          )}
          <Button variant="quiet" onClick={onDone}>
            Leave it
          </Button>
        </Box>
      }
    >
      {person === null && <FormWords<PersonRequest> name="name" label="Name" maxLength={40} autoComplete="off" />}
      <div>
        <FormChoice<PersonRequest, Role> name="role" label="May" options={ROLE_OPTIONS} />
        <Typography variant="note" component="p" sx={{ color: 'ink2' }}>
          {ROLE_NOTES[role]}
        </Typography>
      </div>
      <Box sx={paired}>
        <SecretField kind="pin" has={person?.hasPin ?? false} />
        <SecretField kind="password" has={person?.hasPassword ?? false} />
      </Box>
      <FormDay<PersonRequest> name="endsAt" as="itsEnd" label={role === 'reader' ? 'Until the end of' : 'Until the end of, if it is for a time'} />
    </SavingForm>
  );
}

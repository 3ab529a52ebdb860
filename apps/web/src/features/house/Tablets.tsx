import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { TabletRequest } from '@bunkhouse/api';
import { Panel } from '../../kit/Panel';
import { FormWords } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { padded } from '../../theme/surfaces';
import { putUpTablet, takeDownTablet, useSession, useTablets } from '../../data/session';
import { dayAndTime, dayWithYear } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { useSaving } from './useSaving';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

/** Devices that are put up for the crew: people sign in on them by name and PIN. */
export function Tablets() {
  const tablets = useTablets(true);
  const { data: session } = useSession();
  const now = useNow();
  const { save, busy, fault } = useSaving();
  return (
    <Panel title="Tablets of the crew" label="Tablets of the crew">
      <Box component="ul" sx={looks.crew}>
        {tablets?.map((tablet) => (
          <li key={tablet.id}>
            <Box sx={looks.crewLine}>
              <b>{tablet.name}</b>
              <Typography variant="note" component="span">
                Put up by {tablet.madeBy}, {dayWithYear(tablet.madeAt)}
                {tablet.seenAt === null ? '' : `. Last touched ${dayAndTime(tablet.seenAt, now)}`}
              </Typography>
              <Button variant="text" disabled={busy} aria-label={`Take ${tablet.name} down`} onClick={() => void save(() => takeDownTablet(tablet.id))}>
                Lost or gone
              </Button>
            </Box>
          </li>
        ))}
      </Box>
      {session?.tablet == null ? (
        <PutUp />
      ) : (
        <Typography variant="note" component="p" sx={{ padding: '12px', color: 'ink2' }}>
          This device is {session.tablet}.
        </Typography>
      )}
      {fault !== null && (
        <Typography role="alert" sx={{ padding: '0 12px 12px', color: 'danger.ink' }}>
          {fault}
        </Typography>
      )}
    </Panel>
  );
}

/** This device is put up for the crew. */
function PutUp() {
  const form = useRequestForm(TabletRequest, { first: { name: '' }, send: ({ name }) => putUpTablet(name) });
  return (
    <SavingForm
      of={form}
      sx={padded}
      acts={
        <Button type="submit" disabled={form.busy} sx={{ justifySelf: 'start' }}>
          Put it up
        </Button>
      }
    >
      <FormWords<TabletRequest> name="name" label="Put this device up for the crew, as" maxLength={40} placeholder="by the sink" />
      <Typography variant="note" component="p" sx={{ color: 'ink2' }}>
        From then on people sign in on it by name and PIN, and it locks when nobody touches it. Elsewhere a PIN opens nothing.
      </Typography>
    </SavingForm>
  );
}

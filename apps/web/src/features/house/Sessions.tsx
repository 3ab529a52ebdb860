import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { endSession, useSessions } from '../../data/session';
import { dayAndTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { useSaving } from './useSaving';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

/** Where one is signed in; for the head cook, where anybody is. */
export function Sessions() {
  const sessions = useSessions();
  const now = useNow();
  const { save, busy, fault } = useSaving();
  return (
    <Panel title="Signed in" label="Signed in" aside={sessions === undefined ? '' : sessions.length === 1 ? '1 device' : `${sessions.length} devices`}>
      {sessions?.length === 0 && (
        <Box component="p" sx={looks.empty}>
          Nobody is signed in: the made-up house lets in whoever sits at this machine.
        </Box>
      )}
      <Box component="ul" sx={looks.crew}>
        {sessions?.map((session) => (
          <li key={session.id}>
            <Box sx={looks.crewLine}>
              <b>{session.name}</b>
              <span>{session.tablet ?? session.device}</span>
              <Typography variant="note" component="span">
                {session.here ? 'This device' : `Last touched ${dayAndTime(session.seenAt, now)}`}, by {session.by === 'pin' ? 'PIN' : 'password'}
              </Typography>
              {!session.here && (
                <Button
                  variant="text"
                  disabled={busy}
                  aria-label={`Sign ${session.name} out on ${session.tablet ?? session.device}`}
                  onClick={() => void save(() => endSession(session.id))}
                >
                  Sign out
                </Button>
              )}
            </Box>
          </li>
        ))}
      </Box>
      {fault !== null && <Typography variant="fault">{fault}</Typography>}
    </Panel>
  );
}

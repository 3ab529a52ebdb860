import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import { WordsField } from '../../kit/WordsField';
import { changeFeed, FILE_ADDRESS, useFeed } from '../../data/calendarFeed';
import { Refusal } from '../../data/request';
import { Choice } from '../../kit/Choice';
import { usePreferences } from '../../reader/preferences';
import { useReminding } from '../../acts/reminding';
import { copyText } from '../../kit/copyText';
import { looks } from '../../theme/looks';

const styles = {
  feed: { '& :is(.MuiStack-root, .MuiFormControl-root)': { maxWidth: '720px' } },
  calendarActs: { gap: '10px' },
} as const;

const ALARMS = { none: 'None', '0': 'When due', '15': '15 min before', '60': 'An hour before' } as const;
type Alarm = keyof typeof ALARMS;
const alarmOf = (minutes: number | null): Alarm => (minutes === null ? 'none' : (String(minutes) as Alarm));
const LOOPBACK = /^(localhost|127\.|\[::1\])/;

/** The jobs of the house in another calendar: a secret address to subscribe to, a file, and reminders on this device. */
export function FeedPanel() {
  const feed = useFeed();
  const { name } = usePreferences();
  const [fault, setFault] = useState<string | null>(null);
  const [copied, setCopied] = useState(false);
  const change = async (part: { alarmMin?: number | null; renew?: boolean }) => {
    setFault(null);
    setCopied(false);
    try {
      await changeFeed({ alarmMin: feed?.alarmMin ?? null, renew: false, ...part, by: name });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
    }
  };
  if (feed === undefined) return <Typography variant="note">Reading the address...</Typography>;
  const address = feed.path === null ? null : `${location.origin}${feed.path}`;
  return (
    <Panel title="On your telephone" aside="every job, with its alarm; it follows the plan" sx={styles.feed} label="On your telephone">
      <Box sx={padded}>
        {address === null ? (
          <Button variant="contained" onClick={() => void change({})}>
            Make an address to subscribe to
          </Button>
        ) : (
          <>
            <WordsField label="Address: add it to your calendar as a subscription" readOnly value={address} onFocus={(event) => event.target.select()} />
            {LOOPBACK.test(location.host) && (
              <Typography variant="note">
                This address is of this machine alone. A telephone reaches it once the house listens on its network (README, Settings); there is no sign-in yet,
                so only where everybody on that network may write in the book.
              </Typography>
            )}
            <Box sx={[looks.calendarActs, styles.calendarActs]}>
              {'clipboard' in navigator && <Button onClick={() => void copyText(address).then(setCopied)}>{copied ? 'Copied' : 'Copy the address'}</Button>}
              <Button variant="quiet" onClick={() => void change({ renew: true })}>
                Renew it: the old one ends
              </Button>
            </Box>
            <Typography variant="note">Whoever knows the address reads the plan. It changes nothing: jobs are logged here.</Typography>
          </>
        )}
        <Choice
          label="Alarm in that calendar"
          value={alarmOf(feed.alarmMin)}
          options={ALARMS}
          onChange={(alarm) => void change({ alarmMin: alarm === 'none' ? null : Number(alarm) })}
        />
        <Box sx={[looks.calendarActs, styles.calendarActs]}>
          <Button href={FILE_ADDRESS} download="bunkhouse.ics">
            Download as a file
          </Button>
          <Reminding />
        </Box>
        {fault !== null && (
          <Typography variant="fault" role="alert">
            {fault}
          </Typography>
        )}
      </Box>
    </Panel>
  );
}

/** Asked for once, when the cook wants it. */
function Reminding() {
  const { state, turnOn, turnOff } = useReminding();
  if (state === 'unknown') return <Typography variant="note">This browser cannot remind you.</Typography>;
  if (state === 'denied')
    return <Typography variant="note">Reminders are blocked for this page. Allow notifications in the browser’s settings, then come back.</Typography>;
  return (
    <Button aria-pressed={state === 'on'} onClick={() => void (state === 'on' ? turnOff() : turnOn())}>
      {state === 'on' ? 'Stop reminding me here' : 'Remind me on this device'}
    </Button>
  );
}

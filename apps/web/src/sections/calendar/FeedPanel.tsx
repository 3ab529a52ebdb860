import { useState } from 'react';
import { changeFeed, FILE_ADDRESS, useFeed } from '../../data/calendarFeed';
import { Refusal } from '../../data/request';
import { Choice } from '../../shell/Choice';
import { usePreferences } from '../../shell/preferences';
import { useReminding } from '../../shell/reminding';
import { copyText } from '../../shell/copyText';

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
  if (feed === undefined) return <p className="note">Reading the address...</p>;
  const address = feed.path === null ? null : `${location.origin}${feed.path}`;
  return (
    <section className="panel feed" aria-label="On your telephone">
      <div className="ph">
        <h2>On your telephone</h2>
        <span className="aside">every job, with its alarm; it follows the plan</span>
      </div>
      <div className="pad">
        {address === null ? (
          <button type="button" className="btn go" onClick={() => void change({})}>
            Make an address to subscribe to
          </button>
        ) : (
          <>
            <label className="field">
              <span className="label">Address: add it to your calendar as a subscription</span>
              <input className="box feed-address" readOnly value={address} onFocus={(event) => event.target.select()} />
            </label>
            {LOOPBACK.test(location.host) && (
              <p className="note">
                This address is of this machine alone. A telephone reaches it once the house listens on its network (README, Settings); there is no sign-in yet,
                so only where everybody on that network may write in the book.
              </p>
            )}
            <div className="calendar-acts">
              {'clipboard' in navigator && (
                <button type="button" className="btn" onClick={() => void copyText(address).then(setCopied)}>
                  {copied ? 'Copied' : 'Copy the address'}
                </button>
              )}
              <button type="button" className="btn quiet" onClick={() => void change({ renew: true })}>
                Renew it: the old one ends
              </button>
            </div>
            <p className="note">Whoever knows the address reads the plan. It changes nothing: jobs are logged here.</p>
          </>
        )}
        <Choice
          label="Alarm in that calendar"
          value={alarmOf(feed.alarmMin)}
          options={ALARMS}
          onChange={(alarm) => void change({ alarmMin: alarm === 'none' ? null : Number(alarm) })}
        />
        <div className="calendar-acts">
          <a className="btn" href={FILE_ADDRESS} download="bunkhouse.ics">
            Download as a file
          </a>
          <Reminding />
        </div>
        {fault !== null && (
          <p className="fault" role="alert">
            {fault}
          </p>
        )}
      </div>
    </section>
  );
}

/** Asked for once, when the cook wants it. */
function Reminding() {
  const { state, turnOn, turnOff } = useReminding();
  if (state === 'unknown') return <p className="note">This browser cannot remind you.</p>;
  if (state === 'denied') return <p className="note">Reminders are blocked for this page. Allow notifications in the browser’s settings, then come back.</p>;
  return (
    <button type="button" className="btn" aria-pressed={state === 'on'} onClick={() => void (state === 'on' ? turnOff() : turnOn())}>
      {state === 'on' ? 'Stop reminding me here' : 'Remind me on this device'}
    </button>
  );
}

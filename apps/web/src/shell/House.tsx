import { useEffect } from 'react';
import { Outlet, useLocation, useNavigate } from 'react-router';
import { useHotkeys } from 'react-hotkeys-hook';
import { Contained } from './Contained';
import { PitAlarms } from './pit/PitAlarms';
import { JustLogged } from './JustLogged';
import { Kept } from './Kept';
import { useNewerApp } from './openShell';
import { Rail } from './Rail';
import { useReminders } from './reminding';
import { SectionBar } from './SectionBar';
import { Shortcuts } from './Shortcuts';
import { useUnlock } from './who';

const GO: Record<string, string> = { t: '/', n: '/new', c: '/calendar', b: '/bench', p: '/pit', r: '/recipes', s: '/stores', l: '/ledger', g: '/guide' };

/** The frame of every screen: rail, section bar, and the section. */
export function House() {
  const navigate = useNavigate();
  const { pathname, hash } = useLocation();
  useHotkeys(Object.keys(GO), (_event, { keys }) => void navigate(GO[keys?.join('') ?? ''] ?? '/'), { preventDefault: true });
  useEffect(() => {
    // A place on a page is gone to by the page.
    if (hash === '') document.getElementById('main')?.scrollTo(0, 0);
  }, [pathname, hash]);
  return (
    <div className="house">
      <a className="skip" href="#main">
        To the work
      </a>
      <Contained part="The rail">
        <Rail />
      </Contained>
      <SectionBar />
      <main id="main" className="main" tabIndex={-1}>
        <JustLogged>
          <Locked />
          <Kept />
          <NewerApp />
          <Contained part="The reminders" silent>
            <Reminders />
          </Contained>
          <Contained part="Listening to the pit and the cold">
            <PitAlarms />
          </Contained>
          <Outlet />
        </JustLogged>
      </main>
      <Shortcuts />
    </div>
  );
}

/** Tells jobs when they fall due; shows nothing. */
function Reminders() {
  useReminders();
  return null;
}

/** Nobody touched this device for a while: it shows, and asks who it is before it logs. */
function Locked() {
  const unlock = useUnlock();
  if (unlock === null) return null;
  return (
    <button type="button" className="locked" onClick={unlock}>
      <b>Locked</b> Tap and give your PIN to log.
    </button>
  );
}

/** A newer app is on this device: it is taken when nobody is in the middle of something. */
function NewerApp() {
  const take = useNewerApp();
  if (take === null) return null;
  return (
    <div className="strip kept" role="status">
      <p>
        A newer Bunkhouse is here.{' '}
        <button type="button" className="lnk" onClick={take}>
          Load it
        </button>
      </p>
    </div>
  );
}

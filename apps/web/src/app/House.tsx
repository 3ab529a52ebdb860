import { usePreferences } from '../reader/preferences';
import { fold } from '../theme/folds';
import { roles } from '../theme/type';
import { t } from '../theme/tokens';
import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import { lazy, Suspense } from 'react';
import { Outlet, useNavigate } from 'react-router';
import { useTour } from '../acts/tour';
import { useHotkeys } from 'react-hotkeys-hook';
import { Strip } from '../kit/Strip';
import { Contained } from '../kit/Contained';
import { PitAlarms } from '../acts/pit/PitAlarms';
import { JustLogged } from '../kit/JustLogged';
import { Kept } from './Kept';
import { useNewerApp } from './openShell';
import { Rail } from './Rail';
import { useReminders } from '../acts/reminding';
import { SectionBar } from './SectionBar';
import { Shortcuts } from './Shortcuts';
import { useKeptScroll } from './useKeptScroll';
import { useUnlock } from '../data/who';

const styles = {
  house: {
    height: '100dvh',
    display: 'grid',
    gridTemplate: 'var(--rail-h) 1fr / var(--bar-w) 1fr',
    [fold.phone]: { gridTemplate: 'var(--rail-h) 1fr 66px / 1fr' },
    [fold.paper]: { display: 'block', height: 'auto', overflow: 'visible' },
  },
  main: {
    overflow: 'auto',
    minWidth: 0,
    position: 'relative',
    '&:focus': { outline: 'none !important', boxShadow: 'none' },
    [fold.tablet]: { scrollPaddingBottom: '170px' },
    [fold.phone]: { gridRow: 2 },
    [fold.paper]: { display: 'block', height: 'auto', overflow: 'visible' },
  },
  skip: {
    position: 'absolute',
    left: '8px',
    top: '-60px',
    zIndex: 9,
    background: t.panel,
    color: t.ink,
    padding: '12px',
    border: `2px solid ${t.ink}`,
    '&:focus': { top: '8px' },
    [fold.paper]: { display: 'none' },
  },
} as const;

// Few take it: it comes when somebody does.
const Tour = lazy(async () => ({ default: (await import('../features/tour/Tour')).Tour }));

const GO: Record<string, string> = { t: '/', n: '/new', c: '/calendar', b: '/bench', p: '/pit', r: '/recipes', s: '/stores', l: '/ledger', g: '/guide' };

/** The frame of every screen: rail, section bar, and the section. */
export function House() {
  const navigate = useNavigate();
  const { keys } = usePreferences();
  useHotkeys(Object.keys(GO), (_event, { keys: pressed }) => void navigate(GO[pressed?.join('') ?? ''] ?? '/'), { preventDefault: true, enabled: keys });
  useKeptScroll('main');
  const isLookingRound = useTour(({ at }) => at !== null);
  return (
    <Box sx={styles.house}>
      <Box component="a" sx={styles.skip} href="#main">
        To the work
      </Box>
      <Contained part="The rail">
        <Rail />
      </Contained>
      <SectionBar />
      <Box component="main" id="main" sx={styles.main} tabIndex={-1}>
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
          {isLookingRound && (
            <Suspense>
              <Tour />
            </Suspense>
          )}
        </JustLogged>
      </Box>
      <Shortcuts />
    </Box>
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
    <ButtonBase
      onClick={unlock}
      sx={{
        ...roles.lead,
        position: 'sticky',
        top: 0,
        zIndex: 3,
        width: '100%',
        minHeight: 56,
        justifyContent: 'flex-start',
        gap: '10px',
        padding: '14px 22px',
        background: t.ink,
        color: t.panel,
        fontSize: 20,
      }}
    >
      <Box component="b" sx={{ letterSpacing: '.04em', textTransform: 'uppercase' }}>
        Locked
      </Box>{' '}
      Tap and give your PIN to log.
    </ButtonBase>
  );
}

/** A newer app is on this device: it is taken when nobody is in the middle of something. */
function NewerApp() {
  const take = useNewerApp();
  if (take === null) return null;
  return (
    <Strip level="note" role="status" word="Newer" sx={{ marginBottom: '10px' }}>
      A newer Bunkhouse is here.{' '}
      <Button variant="text" onClick={take}>
        Load it
      </Button>
    </Strip>
  );
}

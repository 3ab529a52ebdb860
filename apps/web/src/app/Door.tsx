import { MINUTE_MS } from '@bunkhouse/core';
import type { SessionResponse } from '@bunkhouse/api';
import { mutate } from 'swr';
import { Opening } from './Opening';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useLostSince } from '../data/connection';
import { sendWaiting } from '../data/outbox';
import { onShut } from '../data/request';
import { SESSION, touch, useSession } from '../data/session';
import { LockContext, WhoContext } from '../data/who';
import Box from '@mui/material/Box';
import { fold } from '../theme/folds';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  outside: {
    minHeight: '100dvh',
    display: 'grid',
    gridTemplateRows: 'auto 1fr',
    background: t.tile,
    '& > header': {
      background: t.enamel.main,
      color: t.enamel.on,
      padding: '26px 28px 14px',
      borderBottom: `4px solid ${t.rail.steel}`,
      display: 'flex',
      flexWrap: 'wrap',
      gap: '4px 18px',
      alignItems: 'baseline',
    },
    '& > header b': { font: signed(26, 28, 600), letterSpacing: '.04em', textTransform: 'uppercase' },
    '& > header h1': { font: signed(24, 28, 500), color: t.enamel.on2 },
    '& > header span': { marginLeft: 'auto', font: signed(17, 24, 500), color: t.enamel.on2 },
    [fold.middle]: { '& > header': { padding: '16px 16px 10px' } },
  },
  outsideIn: {
    padding: '0 28px 28px',
    maxWidth: '980px',
    width: '100%',
    position: 'relative',
    '&:has(> form, > div [aria-label="Who is it?"])::before': {
      content: '""',
      position: 'absolute',
      inset: '0 auto auto 0',
      width: '100vw',
      height: '128px',
      background: t.enamel.main,
    },
    '& > *': { position: 'relative' },
    [fold.middle]: { padding: '0 16px 20px' },
  },
  lead: { marginTop: '24px' },
} as const;

// Most who come are known already: what is asked at the door comes when it is asked.
const FirstStart = lazy(async () => ({ default: (await import('./FirstStart')).FirstStart }));
const WhoIs = lazy(async () => ({ default: (await import('./WhoIs')).WhoIs }));
const SignIn = lazy(async () => ({ default: (await import('./SignIn')).SignIn }));

/** The door of the house: who is it? Behind it there is always somebody. */
export function Door({ children }: { children: ReactNode }) {
  const { data: session, error } = useSession();
  const { person } = session ?? {};
  const who = useMemo(() => (person == null ? null : { name: person.name, role: person.role }), [person]);
  useEffect(() => {
    // What waits on this device goes off when there is somebody again.
    if (who !== null && session?.locked === false) void sendWaiting();
  }, [who, session?.locked]);
  if (session === undefined)
    return error === undefined ? (
      <Opening />
    ) : (
      <Outside title="No connection" text="This device was not signed in when it last reached the house. Try again when there is a connection." />
    );
  if (session.first === 'here')
    return (
      <Outside title="Bunkhouse">
        <Suspense>
          <FirstStart />
        </Suspense>
      </Outside>
    );
  if (session.first === 'elsewhere')
    return (
      <Outside
        title="Bunkhouse"
        text="This house has no head cook yet. It is opened the first time at the machine that it runs on, so that no stranger is quicker."
      />
    );
  if (who === null && session.demo && session.people.length === 0)
    return (
      <Outside
        title={session.house}
        text="The made-up house is open at its own machine alone. For a house that a crew comes into from elsewhere: npm start -- --empty, in a data folder of its own."
      />
    );
  if (who === null)
    return (
      <Outside title={session.house} aside={session.tablet ?? undefined}>
        <Suspense>
          <SignIn session={session} />
        </Suspense>
      </Outside>
    );
  return (
    <WhoContext value={who}>
      <Lock session={session}>{children}</Lock>
    </WhoContext>
  );
}

function Outside({ title, aside, text, children }: { title: string; aside?: string | undefined; text?: string; children?: ReactNode }) {
  return (
    <Box component="main" sx={styles.outside}>
      <header>
        <b>Bunkhouse</b>
        <h1>{title === 'Bunkhouse' ? 'The first start' : title}</h1>
        {aside !== undefined && <span>{aside}</span>}
      </header>
      <Box sx={styles.outsideIn}>
        {text !== undefined && (
          <Box component="p" sx={[looks.lead, styles.lead]}>
            {text}
          </Box>
        )}
        {children}
      </Box>
    </Box>
  );
}

const NOTED_MS = 30_000;
const LOOK_MS = 5000;

/** A device of the crew locks when nobody touches it: it goes on showing and ringing, and asks for a PIN before it logs. */
function Lock({ session, children }: { session: SessionResponse; children: ReactNode }) {
  const lost = useLostSince();
  const [asking, setAsking] = useState<((name: string | null) => void)[]>([]);
  const [entered, setEntered] = useState(0);
  const idle = useIdle(session.lockMin, lost !== null, entered);
  const isLocked = (session.locked || idle) && lost === null;
  useEffect(() => {
    const look = () => void mutate(SESSION);
    onShut(() => new Promise((resolve) => setAsking((all) => [...all, resolve])), look);
    return () => onShut(() => Promise.resolve(null), look);
  }, []);
  const done = useCallback(
    (name: string | null) => {
      setAsking([]);
      if (name !== null) setEntered((times) => times + 1);
      for (const answer of asking) answer(name);
    },
    [asking],
  );
  const unlock = useMemo(() => (isLocked ? () => setAsking([() => undefined]) : null), [isLocked]);
  return (
    <LockContext value={unlock}>
      {children}
      <Suspense>{asking.length > 0 && <WhoIs session={session} onDone={done} />}</Suspense>
    </LockContext>
  );
}

/** Whether nobody touched this device for so many minutes. While somebody does, the house is told now and then. */
function useIdle(lockMin: number | null, isLost: boolean, entered: number): boolean {
  const [idle, setIdle] = useState(false);
  const touchedAt = useRef(0);
  const toldAt = useRef(0);
  useEffect(() => {
    if (lockMin === null || isLost) {
      setIdle(false);
      return undefined;
    }
    touchedAt.current = Date.now();
    setIdle(false);
    const touched = () => {
      const now = Date.now();
      if (now - touchedAt.current > lockMin * MINUTE_MS) return;
      touchedAt.current = now;
      if (now - toldAt.current < NOTED_MS) return;
      toldAt.current = now;
      void touch().catch(() => undefined);
    };
    const timer = setInterval(() => setIdle(Date.now() - touchedAt.current > lockMin * MINUTE_MS), LOOK_MS);
    window.addEventListener('pointerdown', touched);
    window.addEventListener('keydown', touched);
    return () => {
      clearInterval(timer);
      window.removeEventListener('pointerdown', touched);
      window.removeEventListener('keydown', touched);
    };
  }, [lockMin, isLost, entered]);
  return idle;
}

import { MINUTE_MS } from '@bunkhouse/core';
import type { SessionResponse } from '@bunkhouse/api';
import Dialog from '@mui/material/Dialog';
import { mutate } from 'swr';
import { lazy, Suspense, useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useLostSince } from '../data/connection';
import { sendWaiting } from '../data/outbox';
import { onShut } from '../data/request';
import { SESSION, touch, useSession } from '../data/session';
import { LockContext, WhoContext } from './who';

// Most who come are known already: what is asked at the door comes when it is asked.
const FirstStart = lazy(async () => ({ default: (await import('./FirstStart')).FirstStart }));
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
    return error === undefined ? null : (
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
    <main className="outside">
      <header>
        <b>Bunkhouse</b>
        <h1>{title === 'Bunkhouse' ? 'The first start' : title}</h1>
        {aside !== undefined && <span>{aside}</span>}
      </header>
      <div className="outside-in">
        {text !== undefined && <p className="lead">{text}</p>}
        {children}
      </div>
    </main>
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
      <Dialog open={asking.length > 0} onClose={() => done(null)} aria-labelledby="who-title" maxWidth="sm" fullWidth>
        <div className="pad who-is">
          <h2 id="who-title" className="head">
            Who is it?
          </h2>
          <Suspense>
            <SignIn session={session} onIn={done} />
          </Suspense>
          <button type="button" className="btn quiet" onClick={() => done(null)}>
            Not now
          </button>
        </div>
      </Dialog>
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

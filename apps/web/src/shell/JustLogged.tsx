import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { writeEntry } from '../data/batches';
import { takeWaiting, useWaiting } from '../data/outbox';
import { Refusal } from '../data/request';
import { houseTime } from '../data/serverClock';
import { Glyph } from './glyphs';
import { usePreferences } from './preferences';
import { clockTime } from './times';
import { newId } from '../data/newId';

/** What was logged a moment ago on this device. */
interface Logged {
  batchId: string;
  entryId: string;
  /** `Turn 5, HB-024` */
  what: string;
  at: string;
}

const SHOWN_MS = 8000;

const Context = createContext<(logged: Logged) => void>(() => undefined);

/** Tells that something was logged, so that it can be taken back at once. */
export const useTellLogged = () => useContext(Context);

/** Shows the last thing logged for a few seconds, with the way back. */
export function JustLogged({ children }: { children: ReactNode }) {
  const [logged, setLogged] = useState<Logged | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const { name } = usePreferences();
  const waiting = useWaiting();
  useEffect(() => {
    if (logged === null) return undefined;
    const timer = setTimeout(() => setLogged(null), SHOWN_MS);
    return () => clearTimeout(timer);
  }, [logged, fault]);
  const tell = useCallback((next: Logged) => {
    setFault(null);
    setLogged(next);
  }, []);
  const takeBack = useMemo(() => {
    if (logged === null) return null;
    const id = newId();
    return async () => {
      try {
        if (await takeWaiting(logged.entryId)) {
          setLogged(null);
          return;
        }
        const at = new Date(houseTime()).toISOString();
        await writeEntry(logged.batchId, {
          id,
          kind: 'withdrawn',
          replaces: logged.entryId,
          at,
          by: name,
          reason: 'Taken back at once',
        });
        setLogged(null);
      } catch (error) {
        if (!(error instanceof Refusal)) throw error;
        setFault(error.message);
      }
    };
  }, [logged, name]);
  return (
    <Context value={tell}>
      {children}
      <div className="just-logged" role="status">
        {logged !== null && takeBack !== null && (
          <div className="panel">
            <Glyph name="tick" />
            <p>
              <b>{logged.what}</b> logged {clockTime(logged.at)}
              {waiting.some(({ entry }) => entry.id === logged.entryId) && ', kept on this device'}
              {fault !== null && <span className="fault"> {fault}</span>}
            </p>
            <button type="button" className="btn" onClick={() => void takeBack()}>
              Undo
            </button>
          </div>
        )}
      </div>
    </Context>
  );
}

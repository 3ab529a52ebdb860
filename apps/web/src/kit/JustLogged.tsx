import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { createContext, useCallback, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import { writeEntry } from '../data/batches';
import { takeWaiting, useWaiting } from '../data/outbox';
import { Refusal } from '../data/request';
import { houseTime } from '../data/serverClock';
import { Glyph } from './glyphs';
import { usePreferences } from '../reader/preferences';
import { clockTime } from '../reader/times';
import { newId } from '../data/newId';
import Box from '@mui/material/Box';
import { looks } from '../theme/looks';
import { t } from '../theme/tokens';
import { signed } from '../theme/type';

const styles = {
  justLogged: {
    position: 'sticky',
    bottom: '12px',
    display: 'flex',
    justifyContent: 'center',
    pointerEvents: 'none',
    zIndex: 3,
    height: 0,
    alignItems: 'flex-end',
  },
  panel: {
    pointerEvents: 'auto',
    display: 'flex',
    alignItems: 'center',
    gap: '12px',
    padding: '6px 6px 6px 16px',
    border: `1.5px solid ${t.ink}`,
    font: signed(18, 22, 500),
    maxWidth: 'calc(100vw - 24px)',
  },
} as const;

/** What was logged a moment ago on this device. */
interface Logged {
  /** each entry and its batch: one act may serve several */
  entries: readonly { batchId: string; entryId: string }[];
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
    // One id for all its tries: sent twice it is written once.
    const taken = logged.entries.map((entry) => ({ ...entry, id: newId() }));
    return async () => {
      try {
        for (const { batchId, entryId, id } of taken) {
          if (await takeWaiting(entryId)) continue;
          const at = new Date(houseTime()).toISOString();
          await writeEntry(batchId, { id, kind: 'withdrawn', replaces: entryId, at, by: name, reason: 'Taken back at once' });
        }
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
      <Box sx={styles.justLogged} role="status">
        {logged !== null && takeBack !== null && (
          <Box sx={[looks.panel, styles.panel]}>
            <Glyph name="tick" />
            <p>
              <b>{logged.what}</b> logged {clockTime(logged.at)}
              {waiting.some(({ entry }) => logged.entries.some(({ entryId }) => entryId === entry.id)) && ', kept on this device'}
              {fault !== null && (
                <Typography variant="fault" component="span">
                  {' '}
                  {fault}
                </Typography>
              )}
            </p>
            <Button onClick={() => void takeBack()}>Undo</Button>
          </Box>
        )}
      </Box>
    </Context>
  );
}

import { planSaid, type DesignChanges } from '@bunkhouse/core';
import { useCallback, useRef, useState } from 'react';
import { lookAgain, writeEntries, type Batch } from '../../data/batches';
import { Refusal } from '../../data/request';
import { houseTime } from '../../data/serverClock';
import { useTellLogged } from '../../kit/JustLogged';
import { usePreferences } from '../../reader/preferences';
import { newId } from '../../data/newId';

/** A change of one batch's plan. */
export interface PlanMove {
  batch: Batch;
  changes: DesignChanges;
  /** as it is told: `Pull to Thu 26, 08:00` */
  why: string;
}

interface Written extends PlanMove {
  entryId: string;
}

export interface PlanMoves {
  /** takes changes over, together; answers whether all of them were */
  move: (moves: readonly PlanMove[]) => Promise<boolean>;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
  canUndo: boolean;
  canRedo: boolean;
  busy: boolean;
  fault: string | null;
  clear: () => void;
}

/** Plans changed in the Calendar, each an entry of its batch's log; what was done here is taken back and done again in order. */
export function usePlanMoves(batches: readonly Batch[]): PlanMoves {
  const { name } = usePreferences();
  const tellLogged = useTellLogged();
  const [done, setDone] = useState<Written[][]>([]);
  const [undone, setUndone] = useState<PlanMove[][]>([]);
  const [busy, setBusy] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const working = useRef(false);
  const by = name;

  /** One thing after the other; a refusal is told and ends it. */
  const run = useCallback(async (work: () => Promise<void>): Promise<boolean> => {
    if (working.current) return false;
    working.current = true;
    setBusy(true);
    setFault(null);
    try {
      await work();
      return true;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.message);
      return false;
    } finally {
      working.current = false;
      setBusy(false);
    }
  }, []);

  const write = async (moves: readonly PlanMove[]): Promise<void> => {
    const written: Written[] = [];
    const entries = moves.map((one) => ({ one, id: newId(), at: new Date(houseTime()).toISOString() }));
    let asked = moves[0];
    try {
      await writeEntries(
        entries.map(({ one: { batch, changes }, id, at }) => ({
          batchId: batch.record.id,
          entry: { id, kind: 'replanned', changes, reason: planSaid(changes, batch.state.steps).message, at, by, seen: batch.record.entries.length },
        })),
        (i) => {
          const told = entries[i];
          if (told === undefined) return;
          const { one, id: entryId, at } = told;
          written.push({ ...one, entryId });
          asked = moves[i + 1];
          tellLogged({ entries: [{ batchId: one.batch.record.id, entryId }], what: `New plan, ${one.batch.record.code}: ${one.why}`, at });
        },
      );
    } catch (error) {
      if (asked !== undefined) await lookAgain(asked.batch.record.id);
      throw error;
    } finally {
      if (written.length > 0) setDone((so) => [...so, written]);
    }
  };

  const move = (moves: readonly PlanMove[]) =>
    run(async () => {
      setUndone([]);
      await write(moves);
    });

  const undo = async () => {
    const last = done.at(-1);
    if (last === undefined) return;
    await run(async () => {
      setDone((so) => so.slice(0, -1));
      // Taken back elsewhere already, by the same cook or another: nothing is left to do.
      const standing = last.filter(({ batch, entryId }) =>
        batches.find(({ record }) => record.id === batch.record.id)?.state.standing.some(({ id }) => id === entryId),
      );
      const at = new Date(houseTime()).toISOString();
      await writeEntries(
        [...standing].reverse().map(({ batch, entryId }) => ({
          batchId: batch.record.id,
          entry: { id: newId(), kind: 'withdrawn', replaces: entryId, at, by, reason: 'Taken back in the Calendar' },
        })),
      );
      setUndone((so) => [...so, last]);
    });
  };

  const redo = async () => {
    const next = undone.at(-1);
    if (next === undefined) return;
    const current = next.map((one) => ({ ...one, batch: batches.find(({ record }) => record.id === one.batch.record.id) ?? one.batch }));
    await run(async () => {
      setUndone((so) => so.slice(0, -1));
      await write(current);
    });
  };

  return { move, undo, redo, canUndo: done.length > 0, canRedo: undone.length > 0, busy, fault, clear: () => setFault(null) };
}

import { inWords } from '../../shell/quantities';
import { usePreferences } from '../../shell/preferences';
import { attempt, requireProgram, slowSmokeFault, type CookProgram } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { ProgramPhases } from '../../shell/pit/ProgramPhases';
import { useSay } from '../../shell/reader';
import { useReplan } from '../../shell/useReplan';

/** A program altered by hand: by its curve, phase by phase, or begun from a usual one. */
export function EditProgram({ batch, program, onDone }: { batch: Batch; program: CookProgram; onDone: () => void }) {
  const preferences = usePreferences();
  const [draft, setDraft] = useState(program);
  const { replan, busy, fault } = useReplan(batch);
  const say = useSay();
  const checked = attempt(() => requireProgram(draft));
  const uncured = slowSmokeFault(
    draft,
    batch.state.cured.every(({ isCured }) => isCured),
    batch.state.pieces,
  );
  const wrong = 'fault' in checked ? checked.fault : uncured;
  const keep = async () => {
    if (wrong !== null || !('value' in checked)) return;
    const isKept = await replan(
      { program: checked.value },
      `Program: ${checked.value.map((phase) => `${phase.name} ${inWords(phase.chamberC, 'temperature', preferences, 0)}`).join(', ')}`,
    );
    // What was refused, or could not be sent, stays in the form.
    if (isKept) onDone();
  };
  return (
    <div className="edit-program">
      <ProgramPhases program={draft} targetC={batch.record.process.coreTargetC} onChange={setDraft} />
      {wrong !== null && (
        <p className="fault" role="alert">
          {say(wrong)}
        </p>
      )}
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="button" className="btn" disabled={wrong !== null || busy} onClick={() => void keep()}>
          {busy ? 'Logging...' : 'Log the new program'}
        </button>
        <button type="button" className="btn quiet" onClick={onDone}>
          Leave it as it was
        </button>
      </div>
    </div>
  );
}

import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { inWords } from '../../reader/quantities';
import { usePreferences } from '../../reader/preferences';
import { attempt, requireProgram, slowSmokeFault, type CookProgram } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { ProgramPhases } from '../../acts/pit/ProgramPhases';
import { useSay } from '../../reader/reader';
import { useReplan } from '../../acts/useReplan';
import { looks } from '../../theme/looks';

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
    <Box sx={looks.editProgram}>
      <ProgramPhases program={draft} targetC={batch.record.process.coreTargetC} onChange={setDraft} />
      {wrong !== null && (
        <Typography variant="fault" role="alert">
          {say(wrong)}
        </Typography>
      )}
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
      <Box sx={acts}>
        <Button disabled={wrong !== null || busy} onClick={() => void keep()}>
          {busy ? 'Logging...' : 'Log the new program'}
        </Button>
        <Button variant="quiet" onClick={onDone}>
          Leave it as it was
        </Button>
      </Box>
    </Box>
  );
}

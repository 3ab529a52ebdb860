import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import { bathSetC, temperatureFault, type PitWatch, type TemperatureFault } from '@bunkhouse/core';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { Controller, useForm } from 'react-hook-form';
import type { Batch } from '../../data/batches';
import { NumberField } from '../../kit/NumberField';
import { Choice } from '../../kit/Choice';
import { Glyph } from '../../kit/glyphs';
import { useTend } from '../../acts/pit/useTend';
import { useSay } from '../../reader/reader';
import { ReadWith, useThermometers } from '../../acts/record/ReadWith';
import { useNow } from '../../data/useNow';
import { looks } from '../../theme/looks';

interface BathRead {
  waterC: number | undefined;
  /** a code, or `all` */
  piece: string;
  /** how it is known, where it is asked about */
  reason: string;
}

const REASON_LENGTH = 8;

/** The water of a bath in which pieces lie sealed: read at its start and at its end it proves their cores, and no bag is pricked. */
export function BathForm({ batch, watch, onDone }: { batch: Batch; watch: PitWatch; onDone: () => void }) {
  const say = useSay();
  const { tend, busy, fault } = useTend(batch);
  const { control, handleSubmit, watch: typed } = useForm<BathRead>({ defaultValues: { waterC: undefined, piece: 'all', reason: '' } });
  const setC = bathSetC(batch.state.design.program ?? batch.record.process.program);
  const asked = faultOf(typed('waterC'), setC)?.code === 'unlikely';
  const now = useNow();
  const { own } = useThermometers();
  const log = async ({ waterC, piece, reason }: BathRead) => {
    if (waterC === undefined) return;
    if (await tend({ act: 'bath', waterC, ...(piece === 'all' ? {} : { piece }) }, asked ? reason : undefined, own?.id)) onDone();
  };
  const mayBe = (C: number | undefined, { reason }: BathRead): string | true => {
    if (C === undefined || !Number.isFinite(C)) return 'A temperature must be a number.';
    const wrong = faultOf(C, setC);
    return wrong === null || (wrong.code === 'unlikely' && reason.trim().length >= REASON_LENGTH) ? true : say(wrong.said);
  };
  return (
    <Box component="form" sx={[looks.keys, looks.checkForm]} noValidate onSubmit={(event) => void handleSubmit(log)(event)}>
      <Box component="h2" id="bath-title" sx={looks.head}>
        <Glyph name="soak" />
        Water of the bath
      </Box>
      <Typography variant="note">
        Sealed and held under: read the water when it goes in and when it comes out, and at least every twelve hours between. What is proven is on the safe
        side: a slow, thick piece in a loose bag.
      </Typography>
      {watch.pieces.length > 1 && (
        <Controller
          control={control}
          name="piece"
          render={({ field }) => (
            <Choice
              label="Pieces in it"
              value={field.value}
              options={{ all: 'All', ...Object.fromEntries(watch.pieces.map((one) => [one.piece, one.piece])) }}
              onChange={field.onChange}
            />
          )}
        />
      )}
      <Controller
        control={control}
        name="waterC"
        rules={{ validate: mayBe }}
        render={({ field, fieldState }) => (
          <NumberField big label="Water" quantity="temperature" value={field.value} onChange={field.onChange} error={fieldState.error?.message} autoFocus />
        )}
      />
      {asked && (
        <Controller
          control={control}
          name="reason"
          render={({ field }) => <TextField {...field} label="If it is so, how you know" fullWidth multiline minRows={2} />}
        />
      )}
      <ReadWith shown={[typed('waterC')]} at={now} />
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
      <Box sx={acts}>
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? 'Logging...' : 'Log the water'}
        </Button>
        <Button onClick={onDone}>Not now</Button>
      </Box>
    </Box>
  );
}

/** Water that no bath has, or that is far from what this one is set to. */
const faultOf = (C: number | undefined, setC: number | undefined): TemperatureFault | null =>
  C === undefined || !Number.isFinite(C) ? null : temperatureFault(C, 'water', setC === undefined ? {} : { setC });

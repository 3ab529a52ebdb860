import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { readAt, trulyRead, type PitEvent, type PitWatch } from '@bunkhouse/core';
import { useWatch } from 'react-hook-form';
import type { Batch } from '../../data/batches';
import { FormChoice, FormFault, FormNumber } from '../../kit/form/fields';
import { SavingForm } from '../../kit/form/SavingForm';
import { Glyph } from '../../kit/glyphs';
import { useEntryForm } from '../../acts/useEntryForm';
import { usePreferences } from '../../reader/preferences';
import { ReadWith, useThermometers } from '../../acts/record/ReadWith';
import { useNow } from '../../data/useNow';
import { apart, inWords } from '../../reader/quantities';
import { pitEventTitle } from '../../reader/words/eventTitle';
import { looks } from '../../theme/looks';

const PLACES = ['Thick end', 'Middle', 'Thin end'] as const;

interface Check {
  piece: string;
  /** as the thermometer showed them; a place that was not read is left out */
  placesC: (number | undefined)[];
}

/** An instant-read check of a piece in several places: the lowest decides, and the probe is held against it. */
export function CheckForm({ batch, watch, onDone }: { batch: Batch; watch: PitWatch; onDone: () => void }) {
  const preferences = usePreferences();
  const { own: inHand } = useThermometers();
  const probeOf = (code: string) => {
    const own = watch.pieces.find(({ piece }) => piece === code);
    const lastS = own?.read.at(-1)?.s;
    return own === undefined || lastS === undefined ? null : readAt(own.read, lastS);
  };
  const eventOf = ({ piece, placesC }: Check): PitEvent => {
    const probeC = probeOf(piece);
    return { act: 'check', piece, placesC: placesC.filter((C) => C !== undefined), ...(probeC === null ? {} : { probeC }) };
  };
  const of = useEntryForm<Check>(batch, {
    first: { piece: watch.pieces[0]?.piece ?? 'A', placesC: PLACES.map(() => undefined) },
    said: (typed) => ({ kind: 'pit', event: eventOf(typed) }),
    what: (typed) => pitEventTitle(eventOf(typed), preferences),
    thermometer: inHand,
    also: (typed) => (typed.placesC.every((C) => C === undefined) ? [{ field: 'placesC', message: 'Read at least one place.' }] : []),
    onDone,
  });
  const piece = useWatch({ control: of.form.control, name: 'piece' });
  const placesC = useWatch({ control: of.form.control, name: PLACES.map((_, i) => `placesC.${i}` as const) });
  const probeC = probeOf(piece);
  const read = placesC.filter((C) => C !== undefined);
  const now = useNow();
  const isRight = read.length > 0 && read.every(Number.isFinite);
  const lowest = isRight ? Math.min(...read.map((C) => (inHand === null ? C : trulyRead(inHand, C, now)))) : null;
  return (
    <SavingForm
      of={of}
      sx={[looks.keys, looks.checkForm]}
      acts={
        <Box sx={acts}>
          <Button type="submit" variant="contained" aria-disabled={of.busy}>
            {of.busy ? 'Logging...' : 'Log the check'}
          </Button>
          <Button onClick={onDone}>Not now</Button>
        </Box>
      }
    >
      <Box component="h2" id="check-title" sx={looks.head}>
        <Glyph name="read" />
        Instant-read check
      </Box>
      <Typography variant="note">In two or three places, the thickest first. The lowest decides. It does not take the piece off the fire.</Typography>
      {watch.pieces.length > 1 && (
        <FormChoice<Check, string> name="piece" label="Piece" options={Object.fromEntries(watch.pieces.map((one) => [one.piece, one.piece]))} />
      )}
      {PLACES.map((place, i) => (
        <FormNumber<Check> key={place} name={`placesC.${i}`} big label={place} quantity="temperature" autoFocus={i === 0} />
      ))}
      <FormFault<Check> name="placesC" />
      <ReadWith shown={placesC} at={now} />
      {probeC !== null && (
        <Typography variant="note" role="status">
          Its probe reads {inWords(probeC, 'temperature', preferences)}.
          {lowest !== null && probeC - lowest > 1 && ` That is ${apart(probeC - lowest, preferences)} higher than the lowest place: the lower one will count.`}
        </Typography>
      )}
    </SavingForm>
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { vesselsSaid, type Vessel, type VesselKind } from '@bunkhouse/core';
import { useState } from 'react';
import { useFormContext, useWatch } from 'react-hook-form';
import { useEntryForm } from '../../acts/useEntryForm';
import { whenAndWhy, WhenItWas, type WhenSaid } from '../../acts/WhenItWas';
import type { Batch } from '../../data/batches';
import { Only } from '../../kit/Only';
import { Panel } from '../../kit/Panel';
import { FormChoice, FormFault, FormNumber, FormPick, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import { VesselsTable } from '../../kit/VesselsTable';
import { useSay } from '../../reader/reader';
import { VESSEL_NAMES, vesselName } from '../../reader/words/vesselWords';
import { padded, paired } from '../../theme/surfaces';

/** What lies in which tub or bag, what each comes to, and where to say that it is otherwise. Only where there are several pieces. */
export function VesselsPanel({ batch }: { batch: Batch }) {
  const { state } = batch;
  const [isOpen, setOpen] = useState(false);
  const isRub = state.design.school.kind === 'dryRub';
  const lies = state.outcome === 'live' && state.closing('pull') === null;
  if (state.pieces.length < 2 && state.vessels.length === 0) return null;
  if (!lies && state.vessels.length === 0) return null;
  return (
    <Panel title="Tubs and bags" label="Tubs and bags" aside={state.vessels.length === 0 ? 'all in one' : undefined}>
      {state.vessels.length > 0 && <VesselsTable vessels={state.vessels} isRub={isRub} />}
      {lies && (
        <Box sx={padded}>
          {isOpen ? (
            <LyingForm batch={batch} onDone={() => setOpen(false)} />
          ) : (
            <Only right="record">
              <Button variant="text" onClick={() => setOpen(true)}>
                They lie otherwise
              </Button>
            </Only>
          )}
        </Box>
      )}
    </Panel>
  );
}

interface Lying extends WhenSaid {
  kind: VesselKind;
  /** by piece: in which, from 1 */
  in: Record<string, string>;
  /** how it was shared: as weighed, the same in each, or by the meat */
  shared: 'weighed' | 'alike' | 'meat';
  /** by number, g */
  brineG: Record<string, number | undefined>;
  vessels: '';
  reason: string;
}

/** The tubs that something lies in, in their order, whatever numbers were left out. */
function vesselsOf({ kind, in: lying, shared, brineG }: Lying): Vessel[] {
  const numbers = [...new Set(Object.values(lying))].sort((a, b) => Number(a) - Number(b));
  return numbers.map((number) => {
    const weighed = brineG[number];
    return {
      kind,
      pieces: Object.keys(lying).filter((code) => lying[code] === number),
      ...(shared === 'alike' ? { part: 1 } : {}),
      ...(shared === 'weighed' && weighed !== undefined ? { brineG: weighed } : {}),
    };
  });
}

function LyingForm({ batch, onDone }: { batch: Batch; onDone: () => void }) {
  const say = useSay();
  const codes = batch.state.pieces.map(({ code }) => code);
  const now = batch.state.vessels.filter(({ untilMs }) => untilMs === null);
  const numberOf = (code: string, i: number) => String(now.find(({ vessel }) => vessel.pieces.includes(code))?.n ?? (now.length === 0 ? i + 1 : 1));
  const of = useEntryForm<Lying>(batch, {
    first: {
      kind: now[0]?.vessel.kind ?? 'tub',
      in: Object.fromEntries(codes.map((code, i) => [code, numberOf(code, i)])),
      shared: 'alike',
      brineG: {},
      vessels: '',
      reason: '',
      at: '',
      about: false,
    },
    said: (typed) => ({
      kind: 'vessels',
      vessels: vesselsOf(typed),
      ...whenAndWhy(typed),
    }),
    what: (typed) => say(vesselsSaid(vesselsOf(typed))),
    onDone,
  });
  return (
    <SavingForm of={of} label="What lies where" acts={<SaveOrLeave busy={of.busy} word="Log what lies where" onLeave={onDone} />}>
      <FormChoice<Lying, VesselKind> name="kind" label="They lie in" options={{ tub: 'Tubs', bag: 'Bags' }} />
      <Where codes={codes} />
      <FormChoice<Lying, Lying['shared']>
        name="shared"
        label="The brine in each"
        options={{ alike: 'The same, by eye', meat: 'By the meat, by eye', weighed: 'Weighed' }}
      />
      <Poured />
      <FormFault name="vessels" />
      <FormWords<Lying> name="reason" label="Why, or what was seen" maxLength={1000} />
      <WhenItWas />
    </SavingForm>
  );
}

function Where({ codes }: { codes: readonly string[] }) {
  const { control } = useFormContext<Lying>();
  const kind = useWatch({ control, name: 'kind' });
  return (
    <Box sx={paired}>
      {codes.map((code) => (
        <FormPick<Lying> key={code} name={`in.${code}`} label={`Piece ${code} lies in`}>
          {codes.map((_, i) => (
            <option key={i} value={String(i + 1)}>
              {vesselName({ kind }, i + 1)}
            </option>
          ))}
        </FormPick>
      ))}
    </Box>
  );
}

/** How much was poured into each, where it was weighed. */
function Poured() {
  const { control } = useFormContext<Lying>();
  const [kind, lying, shared] = useWatch({ control, name: ['kind', 'in', 'shared'] });
  const numbers = [...new Set(Object.values(lying))].sort((a, b) => Number(a) - Number(b));
  if (shared !== 'weighed')
    return <Typography variant="note">Poured by eye it may be 15 % more or less: the figure of each says how far that reaches.</Typography>;
  return (
    <Box sx={paired}>
      {numbers.map((number) => (
        <FormNumber<Lying>
          key={number}
          name={`brineG.${number}`}
          label={`Brine in ${VESSEL_NAMES[kind].toLowerCase()} ${number}`}
          quantity="mass"
          hint="empty if not weighed"
        />
      ))}
    </Box>
  );
}

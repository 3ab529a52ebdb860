import Box from '@mui/material/Box';
import { padded } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import type { LotResponse } from '@bunkhouse/api';
import { borneLots, LOT_KINDS, materialsCost, spicesOf, sum, type LotKind } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import { FormNumber, FormPick, FormWords } from '../../kit/form/fields';
import { SaveOrLeave } from '../../kit/form/SaveOrLeave';
import { SavingForm } from '../../kit/form/SavingForm';
import type { Batch } from '../../data/batches';
import { lookAtLots, useLots } from '../../data/lots';
import { GuideLink } from '../../kit/GuideLink';
import { money } from '../../reader/words/bookWords';
import { LOT_WORDS, lotFault, lotName } from '../../reader/words/lotWords';
import { usePreferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { useNow } from '../../data/useNow';
import { useEntryForm } from '../../acts/useEntryForm';
import { Only } from '../../kit/Only';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  lotsTaken: {
    '& ul': { listStyle: 'none' },
    '& li': { padding: '10px 12px', borderTop: `1px solid ${t.hair}`, font: worded(16, 22, 400) },
    '& li:first-child': { borderTop: 0 },
  },
  cost: { display: 'block !important', font: worded(16, 22, 400), borderTop: `1px solid ${t.hair}` },
} as const;

/** Which lots this batch was made with; one more is a tap. */
export function LotsPanel({ batch }: { batch: Batch }) {
  const { data: lots = [] } = useLots();
  const preferences = usePreferences();
  const [isTaking, setIsTaking] = useState(false);
  const taken = batch.state.standing.flatMap((entry) => (entry.kind === 'lot' ? [entry] : []));
  if (lots.length === 0 && taken.length === 0) return null;
  return (
    <Panel title="Made with these lots" aside={taken.length === 0 ? 'none is written down' : taken.length} sx={styles.lotsTaken} label="Lots">
      <ul>
        {taken.map(({ id, draw, by }) => {
          const lot = lots.find((one) => one.id === draw.lot);
          return (
            <li key={id}>
              <b>{LOT_WORDS[draw.of]}</b> {lot === undefined ? 'a lot that is not here' : lotName(lot)},{' '}
              {inWords(draw.g, draw.of === 'cure' ? 'smallMass' : 'mass', preferences)}
              <small> by {by}</small>
            </li>
          );
        })}
      </ul>
      <Cost batch={batch} lots={lots} />
      {batch.state.outcome === 'live' &&
        (isTaking ? (
          <Take batch={batch} lots={lots} onDone={() => setIsTaking(false)} />
        ) : (
          <Box sx={padded}>
            <Only right="record">
              <Button onClick={() => setIsTaking(true)}>Write a lot down</Button>
            </Only>
          </Box>
        ))}
    </Panel>
  );
}

/** What the materials cost, as far as the lots have prices. */
function Cost({ batch: { state }, lots }: { batch: Batch; lots: readonly LotResponse[] }) {
  const materials = materialsCost(borneLots(state), lots);
  if (materials === null) return null;
  const { packedG } = state.facts;
  const without = materials.without.map((kind) => LOT_WORDS[kind].toLowerCase());
  return (
    <Box component="p" sx={[styles.cost, padded]}>
      Materials <b>{money(materials.cost)}</b>
      {packedG !== null && packedG > 0 && (
        <>
          , <b>{money((materials.cost / packedG) * 1000)}</b> for each kilogram packed
        </>
      )}
      {without.length > 0 && <small> without {without.join(' and ')}: no price</small>}
      <GuideLink to="cost" of="Cost of materials" />
    </Box>
  );
}

interface Drawn {
  of: LotKind;
  lot: string;
  g: number | undefined;
  reason: string;
}

function Take({ batch, lots, onDone }: { batch: Batch; lots: readonly LotResponse[]; onDone: () => void }) {
  const now = useNow();
  const day = dayjs(now).format('YYYY-MM-DD');
  const done = new Set(batch.state.standing.flatMap((entry) => (entry.kind === 'lot' ? [entry.draw.of] : [])));
  const offered = LOT_KINDS.filter((kind) => lots.some((lot) => lot.kind === kind && !lot.putAway));
  // The oldest that is in order comes first.
  const ofKind = (kind: LotKind) =>
    lots
      .filter((lot) => lot.kind === kind && !lot.putAway)
      .sort((a, b) => Number(lotFault(a, day) !== null) - Number(lotFault(b, day) !== null) || a.receivedOn.localeCompare(b.receivedOn));
  const begun = (kind: LotKind) => ({ of: kind, lot: ofKind(kind)[0]?.id ?? '', g: usualG(batch, kind) });
  const named = (id: string) => lots.find((lot) => lot.id === id);
  const of = useEntryForm<Drawn>(batch, {
    first: { ...begun(offered.find((kind) => !done.has(kind)) ?? offered[0] ?? 'cure'), reason: '' },
    said: ({ of: kind, lot, g, reason }) => ({
      kind: 'lot',
      draw: { of: kind, lot, g: g ?? Number.NaN },
      ...(reason.trim() === '' ? {} : { reason: reason.trim() }),
    }),
    what: ({ of: kind, lot: id }) => {
      const lot = named(id);
      return `${LOT_WORDS[kind]}${lot === undefined ? '' : ` from ${lotName(lot)}`}`;
    },
    onDone: () => {
      lookAtLots();
      onDone();
    },
  });
  const [kind, id] = useWatch({ control: of.form.control, name: ['of', 'lot'] });
  // Another kind is another draw: its oldest lot, and what was weighed of it.
  const beginAgain = (next: string) => {
    const { lot, g } = begun(next as LotKind);
    of.form.setValue('lot', lot);
    of.form.setValue('g', g);
  };
  const chosen = named(id);
  const odd = chosen === undefined ? null : lotFault(chosen, day);
  if (offered.length === 0)
    return (
      <Box component="p" sx={[looks.pad, looks.note]}>
        There is no lot to take from. <Link to="/stores">Write one down in Stores</Link>.
      </Box>
    );
  return (
    <SavingForm of={of} sx={padded} acts={<SaveOrLeave busy={of.busy} word="Log the lot" onLeave={onDone} />}>
      <Box sx={looks.trio}>
        <FormPick<Drawn> name="of" label="What" onPicked={beginAgain}>
          {offered.map((one) => (
            <option key={one} value={one}>
              {LOT_WORDS[one]}
            </option>
          ))}
        </FormPick>
        <FormPick<Drawn> name="lot" label="From which lot">
          {ofKind(kind).map((one) => {
            const fault = lotFault(one, day);
            return (
              <option key={one.id} value={one.id}>
                {lotName(one)}
                {fault === null ? '' : `, ${fault}`}
              </option>
            );
          })}
        </FormPick>
        <FormNumber<Drawn> name="g" label="How much" quantity={kind === 'cure' ? 'smallMass' : 'mass'} />
      </Box>
      {(odd !== null || of.fault !== null || of.form.formState.errors.reason !== undefined) && (
        <FormWords<Drawn> name="reason" label={`Why this one${odd === null ? '' : `: it is ${odd}`}`} maxLength={400} />
      )}
    </SavingForm>
  );
}

/** What was weighed of it, as far as that is known. */
function usualG({ record, state }: Batch, of: LotKind): number | undefined {
  const { brines, greenG } = state.facts;
  const all = (name: 'cureG' | 'saltG' | 'sugarG') => Number(brines.reduce((g, brine) => g + brine[name], 0).toFixed(1));
  switch (of) {
    case 'cure':
      return all('cureG');
    case 'salt':
      return all('saltG');
    case 'sugar':
      return all('sugarG');
    case 'meat':
      return Math.round(sum(greenG));
    case 'spice':
      return Number((spicesOf(record.process, state.design).reduce((g, { gPerKg }) => g + gPerKg, 0) * (sum(greenG) / 1000)).toFixed(1));
    case 'wood':
      return undefined;
  }
}

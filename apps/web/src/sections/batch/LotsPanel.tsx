import type { LotResponse } from '@bunkhouse/api';
import { borneLots, LOT_KINDS, materialsCost, sum, type LotKind } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState, type FormEvent } from 'react';
import { Link } from 'react-router';
import type { Batch } from '../../data/batches';
import { lookAtLots, useLots } from '../../data/lots';
import { NumberField } from '../../instruments/NumberField';
import { GuideLink } from '../../shell/GuideLink';
import { money } from '../../shell/bookWords';
import { LOT_WORDS, lotFault, lotName } from '../../shell/lotWords';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { useNow } from '../../shell/useNow';
import { useWrite } from '../../shell/useWrite';
import { Only } from '../../shell/Only';

/** Which lots this batch was made with; one more is a tap. */
export function LotsPanel({ batch }: { batch: Batch }) {
  const { data: lots = [] } = useLots();
  const preferences = usePreferences();
  const [isTaking, setIsTaking] = useState(false);
  const taken = batch.state.standing.flatMap((entry) => (entry.kind === 'lot' ? [entry] : []));
  if (lots.length === 0 && taken.length === 0) return null;
  return (
    <section className="panel lots-taken" aria-label="Lots">
      <div className="ph">
        <h2>Made with these lots</h2>
        <span className="aside">{taken.length === 0 ? 'none is written down' : taken.length}</span>
      </div>
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
          <div className="pad">
            <Only right="record">
              <button type="button" className="btn" onClick={() => setIsTaking(true)}>
                Write a lot down
              </button>
            </Only>
          </div>
        ))}
    </section>
  );
}

/** What the materials cost, as far as the lots have prices. */
function Cost({ batch: { state }, lots }: { batch: Batch; lots: readonly LotResponse[] }) {
  const materials = materialsCost(borneLots(state), lots);
  if (materials === null) return null;
  const { packedG } = state.facts;
  const without = materials.without.map((kind) => LOT_WORDS[kind].toLowerCase());
  return (
    <p className="pad cost">
      Materials <b>{money(materials.cost)}</b>
      {packedG !== null && packedG > 0 && (
        <>
          , <b>{money((materials.cost / packedG) * 1000)}</b> for each kilogram packed
        </>
      )}
      {without.length > 0 && <small> without {without.join(' and ')}: no price</small>}
      <GuideLink to="cost" of="Cost of materials" />
    </p>
  );
}

function Take({ batch, lots, onDone }: { batch: Batch; lots: readonly LotResponse[]; onDone: () => void }) {
  const now = useNow();
  const { write, busy, fault } = useWrite(batch);
  const day = dayjs(now).format('YYYY-MM-DD');
  const done = new Set(batch.state.standing.flatMap((entry) => (entry.kind === 'lot' ? [entry.draw.of] : [])));
  const offered = LOT_KINDS.filter((kind) => lots.some((lot) => lot.kind === kind && !lot.putAway));
  const [of, setOf] = useState<LotKind>(offered.find((kind) => !done.has(kind)) ?? offered[0] ?? 'cure');
  // The oldest that is in order comes first.
  const own = lots
    .filter((lot) => lot.kind === of && !lot.putAway)
    .sort((a, b) => Number(lotFault(a, day) !== null) - Number(lotFault(b, day) !== null) || a.receivedOn.localeCompare(b.receivedOn));
  const [chosen, setChosen] = useState('');
  const [typedG, setTypedG] = useState<number>();
  const [reason, setReason] = useState('');
  const lot = own.find(({ id }) => id === chosen) ?? own[0];
  const g = typedG ?? usualG(batch, of);
  const odd = lot === undefined ? null : lotFault(lot, day);
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (lot === undefined || g === undefined) return;
    const said = { kind: 'lot' as const, draw: { of, lot: lot.id, g }, ...(reason.trim() === '' ? {} : { reason: reason.trim() }) };
    if (!(await write(said, `${LOT_WORDS[of]} from ${lotName(lot)}`))) return;
    lookAtLots();
    onDone();
  };
  if (offered.length === 0)
    return (
      <p className="pad note">
        There is no lot to take from. <Link to="/stores">Write one down in Stores</Link>.
      </p>
    );
  return (
    <form className="pad lot-take" onSubmit={(event) => void send(event)}>
      <div className="trio">
        <label className="field">
          <span className="label">What</span>
          <select
            className="box"
            value={of}
            onChange={(event) => {
              setOf(event.target.value as LotKind);
              setChosen('');
              setTypedG(undefined);
            }}
          >
            {offered.map((kind) => (
              <option key={kind} value={kind}>
                {LOT_WORDS[kind]}
              </option>
            ))}
          </select>
        </label>
        <label className="field">
          <span className="label">From which lot</span>
          <select className="box" value={lot?.id ?? ''} onChange={(event) => setChosen(event.target.value)}>
            {own.map((one) => {
              const fault = lotFault(one, day);
              return (
                <option key={one.id} value={one.id}>
                  {lotName(one)}
                  {fault === null ? '' : `, ${fault}`}
                </option>
              );
            })}
          </select>
        </label>
        <NumberField label="How much" quantity={of === 'cure' ? 'smallMass' : 'mass'} value={g} onChange={(value) => setTypedG(value ?? Number.NaN)} />
      </div>
      {(odd !== null || fault !== null) && (
        <label className="field">
          <span className="label">Why this one{odd === null ? '' : `: it is ${odd}`}</span>
          <input className="box" value={reason} maxLength={400} onChange={(event) => setReason(event.target.value)} />
        </label>
      )}
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn" disabled={busy || lot === undefined || g === undefined || !(g > 0)}>
          {busy ? 'Logging...' : 'Log the lot'}
        </button>
        <button type="button" className="btn quiet" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
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
      return Number(((record.process.usual.spices ?? []).reduce((g, { gPerKg }) => g + gPerKg, 0) * (sum(greenG) / 1000)).toFixed(1));
    case 'wood':
      return undefined;
  }
}

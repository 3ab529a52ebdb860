import type { LotResponse } from '@bunkhouse/api';
import type { LotKind } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState, type FormEvent } from 'react';
import { keepLot } from '../../data/lots';
import { Refusal } from '../../data/request';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { LOT_WORDS } from '../../shell/lotWords';
import { usePreferences } from '../../shell/preferences';
import { SaveOrPutAway } from './SaveOrPutAway';
import { newId } from '../../data/newId';

/** A lot that has come, or that is put right. */
export function LotForm({ lot, onDone }: { lot: LotResponse | null; onDone: () => void }) {
  const { name: cook } = usePreferences();
  const [id] = useState(() => lot?.id ?? newId());
  const [kind, setKind] = useState<LotKind>(lot?.kind ?? 'cure');
  const [name, setName] = useState(lot?.name ?? '');
  const [number, setNumber] = useState(lot?.number ?? '');
  const [supplier, setSupplier] = useState(lot?.supplier ?? '');
  const [receivedOn, setReceivedOn] = useState(lot?.receivedOn ?? dayjs().format('YYYY-MM-DD'));
  const [bestBefore, setBestBefore] = useState(lot?.bestBefore ?? '');
  const [amountG, setAmountG] = useState<number | undefined>(lot?.amountG);
  const [price, setPrice] = useState<number | undefined>(lot?.price ?? undefined);
  const [refusal, setRefusal] = useState<Refusal | null>(null);
  const [busy, setBusy] = useState(false);
  const at = (field: string) => refusal?.errors.find((error) => error.field === field)?.message;
  const send = async (putAway: boolean) => {
    setBusy(true);
    setRefusal(null);
    try {
      await keepLot({
        id,
        kind,
        name: name.trim(),
        number: number.trim(),
        supplier: supplier.trim(),
        receivedOn,
        ...(bestBefore === '' ? {} : { bestBefore }),
        amountG: amountG ?? Number.NaN,
        ...(price === undefined ? {} : { price }),
        putAway,
        by: cook,
      });
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setRefusal(error);
    } finally {
      setBusy(false);
    }
  };
  const text = (label: string, value: string, set: (value: string) => void, field: string, type = 'text') => (
    <label className={`field${at(field) === undefined ? '' : ' wrong'}`}>
      <span className="label">{label}</span>
      <input
        className="box"
        type={type}
        value={value}
        maxLength={60}
        aria-invalid={at(field) !== undefined || undefined}
        onChange={(event) => set(event.target.value)}
      />
      {at(field) !== undefined && <small className="fault">{at(field)}</small>}
    </label>
  );
  return (
    <form
      className="panel pad lot-form"
      noValidate
      onSubmit={(event: FormEvent) => {
        event.preventDefault();
        void send(lot?.putAway ?? false);
      }}
    >
      <Choice label="What it is" value={kind} options={LOT_WORDS} onChange={setKind} />
      <div className="lot-fields">
        {text('Name', name, setName, 'name')}
        {text('Number on it', number, setNumber, 'number')}
        {text('From', supplier, setSupplier, 'supplier')}
        <NumberField label="How much came" quantity="mass" value={amountG} onChange={setAmountG} error={at('amountG')} />
        <NumberField label="All of it cost" value={price} onChange={setPrice} error={at('price')} hint="in your money; for the cost of a kilogram packed" />
        {text('Came on', receivedOn, setReceivedOn, 'receivedOn', 'date')}
        {text('Best before', bestBefore, setBestBefore, 'bestBefore', 'date')}
      </div>
      <SaveOrPutAway
        what="the lot"
        refusal={refusal}
        busy={busy}
        putAway={lot === null ? null : lot.putAway}
        onPutAway={() => void send(lot?.putAway !== true)}
        onLeave={onDone}
      />
    </form>
  );
}

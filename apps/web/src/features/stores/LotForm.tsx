import Box from '@mui/material/Box';
import { LotRequest, type LotResponse } from '@bunkhouse/api';
import type { LotKind } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { FormChoice, FormDay, FormNumber, FormWords } from '../../kit/form/fields';
import { useRequestForm } from '../../kit/form/useRequestForm';
import { keepLot } from '../../data/lots';
import { LOT_WORDS } from '../../reader/words/lotWords';
import { usePreferences } from '../../reader/preferences';
import { newId } from '../../data/newId';
import { inColumns } from '../../theme/surfaces';
import { BookedForm } from './BookedForm';

/** A lot that has come, or that is put right. */
export function LotForm({ lot, onDone }: { lot: LotResponse | null; onDone: () => void }) {
  const { name: by } = usePreferences();
  const form = useRequestForm<LotRequest>(LotRequest, {
    first: {
      id: lot?.id ?? newId(),
      kind: lot?.kind ?? 'cure',
      name: lot?.name ?? '',
      number: lot?.number ?? '',
      supplier: lot?.supplier ?? '',
      receivedOn: lot?.receivedOn ?? dayjs().format('YYYY-MM-DD'),
      ...(lot?.bestBefore == null ? {} : { bestBefore: lot.bestBefore }),
      ...(lot === null ? {} : { amountG: lot.amountG }),
      ...(lot?.price == null ? {} : { price: lot.price }),
      putAway: lot?.putAway ?? false,
      by,
    },
    send: ({ name, number, supplier, ...rest }) => keepLot({ ...rest, name: name.trim(), number: number.trim(), supplier: supplier.trim(), by }),
    onDone,
  });
  return (
    <BookedForm of={form} what="the lot" putAway={lot?.putAway ?? null} onLeave={onDone}>
      <FormChoice<LotRequest, LotKind> name="kind" label="What it is" options={LOT_WORDS} />
      <Box sx={inColumns}>
        <FormWords<LotRequest> name="name" label="Name" maxLength={60} />
        <FormWords<LotRequest> name="number" label="Number on it" maxLength={40} />
        <FormWords<LotRequest> name="supplier" label="From" maxLength={60} />
        <FormNumber<LotRequest> name="amountG" label="How much came" quantity="mass" />
        <FormNumber<LotRequest> name="price" label="All of it cost" hint="in your money; for the cost of a kilogram packed" />
        <FormDay<LotRequest> name="receivedOn" label="Came on" />
        <FormDay<LotRequest> name="bestBefore" label="Best before" />
      </Box>
    </BookedForm>
  );
}

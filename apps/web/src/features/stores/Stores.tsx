import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { LotResponse } from '@bunkhouse/api';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import { aloud, Grid, Within, type GridColumn } from '../../kit/Grid';
import { Title } from '../../kit/Title';
import { useLots } from '../../data/lots';
import { money } from '../../reader/words/bookWords';
import { LOT_WORDS, lotFault, lotName } from '../../reader/words/lotWords';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { inWords } from '../../reader/quantities';
import { useNow } from '../../data/useNow';
import { Holders } from './Holders';
import { LotForm } from './LotForm';
import { Opened } from './Opened';
import { Tools } from './Tools';
import { Only } from '../../kit/Only';
import { writtenTime } from '../../reader/times';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';

const styles = {
  stores: { gridTemplateColumns: 'minmax(0, 1fr)' },
} as const;

type Open = { id: string; what: 'change' | 'holders' } | null;

const columnsFor = (preferences: Preferences, day: string, open: Open, onOpen: (open: Open) => void): GridColumn<LotResponse>[] => {
  const numbers = { type: 'number', width: 100 } as const;
  return [
    {
      field: 'lot',
      headerName: 'Lot',
      flex: 2,
      minWidth: 200,
      phoneWidth: 130,
      hideable: false,
      onPhone: true,
      valueGetter: (_, lot) => lotName(lot),
      renderCell: ({ row: lot }) => {
        const fault = lotFault(lot, day);
        return (
          <span>
            {lotName(lot)}
            {fault !== null && (
              <Box component="b" sx={looks.lotFault}>
                {' '}
                {fault}
              </Box>
            )}
            {lot.putAway && <small> put away</small>}
          </span>
        );
      },
    },
    { field: 'kind', headerName: 'What', flex: 0.8, minWidth: 90, valueGetter: (_, { kind }) => LOT_WORDS[kind] },
    { field: 'supplier', headerName: 'From', flex: 1, minWidth: 110, valueGetter: (_, { supplier }) => (supplier === '' ? '–' : supplier) },
    { field: 'receivedOn', headerName: 'Came', width: 124, renderCell: ({ row }) => writtenTime(row.receivedOn, 'D MMM YYYY') },
    {
      field: 'bestBefore',
      headerName: 'Best before',
      width: 124,
      renderCell: ({ row }) => (row.bestBefore === null ? '–' : writtenTime(row.bestBefore, 'D MMM YYYY')),
    },
    {
      field: 'left',
      headerName: 'Left',
      ...numbers,
      width: 110,
      phoneWidth: 86,
      onPhone: true,
      valueGetter: (_, { amountG, takenG }) => Math.max(0, amountG - takenG),
      renderCell: ({ value }: { value?: number }) => inWords(value ?? 0, 'mass', preferences),
    },
    { field: 'price', headerName: 'Cost', ...numbers, renderCell: ({ row }) => (row.price === null ? '–' : money(row.price)) },
    { field: 'batches', headerName: 'Batches', ...numbers, width: 90 },
    {
      field: 'acts',
      ...aloud('What to do with it'),
      width: 210,
      phoneWidth: 132,
      sortable: false,
      hideable: false,
      onPhone: true,
      renderCell: ({ row: lot }) => {
        const isOpen = (what: 'change' | 'holders') => open?.id === lot.id && open.what === what;
        const turn = (what: 'change' | 'holders') => onOpen(isOpen(what) ? null : { id: lot.id, what });
        return (
          <Within>
            <Box sx={looks.lotActs}>
              <Button variant="text" aria-expanded={isOpen('holders')} aria-label={`Which batches hold ${lotName(lot)}?`} onClick={() => turn('holders')}>
                Which batches?
              </Button>
              <Only right="plan">
                <Button variant="text" aria-expanded={isOpen('change')} aria-label={`Change ${lotName(lot)}`} onClick={() => turn('change')}>
                  Change
                </Button>
              </Only>
            </Box>
          </Within>
        );
      },
    },
  ];
};

/** What the house has: lots, with what is left of them and where they went. */
export function Stores() {
  const { data, error } = useLots();
  const preferences = usePreferences();
  const now = useNow();
  const [open, setOpen] = useState<Open>(null);
  const leave = () => setOpen(null);
  const [isWriting, setIsWriting] = useState(false);
  const day = dayjs(now).format('YYYY-MM-DD');
  const lots = [...(data ?? [])].sort((a, b) => Number(a.putAway) - Number(b.putAway));
  const opened = lots.find(({ id }) => id === open?.id);
  const columns = columnsFor(preferences, day, open, setOpen);
  return (
    <Box sx={[looks.page, looks.stores, styles.stores]}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>Stores</Title>
          <Typography variant="note">
            What the house has, and where it went. Refrigerators, smokers and tubs stand in the{' '}
            <Button variant="text" component={Link} to="/calendar">
              Calendar
            </Button>
            , devices that hand readings in under{' '}
            <Button variant="text" component={Link} to="/readings">
              Readings in and out
            </Button>
            .
          </Typography>
        </div>
        {!isWriting && (
          <Only right="plan">
            <Button variant="contained" onClick={() => setIsWriting(true)}>
              A lot has come
            </Button>
          </Only>
        )}
      </Box>
      {error !== undefined && data === undefined && <Typography variant="fault">The stores cannot be read just now.</Typography>}
      {isWriting && <LotForm lot={null} onDone={() => setIsWriting(false)} />}
      {data?.length === 0 && !isWriting && (
        <Box component="p" sx={looks.lead}>
          No lot is written down yet. The number on a bag of cure is what a recall asks for.
        </Box>
      )}
      {opened !== undefined && (
        <Opened key={`${opened.id} ${open?.what}`} title={lotName(opened)} {...(open?.what === 'holders' && { onLeave: leave })}>
          {open?.what === 'change' ? <LotForm lot={opened} onDone={leave} /> : <Holders lot={opened} />}
        </Opened>
      )}
      {lots.length > 0 && <Grid<LotResponse> name="lots" label="Lots" columns={columns} rows={lots} getRowHeight={() => 'auto'} />}
      <Tools />
    </Box>
  );
}

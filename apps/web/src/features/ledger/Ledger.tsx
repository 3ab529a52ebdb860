import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts } from '../../theme/surfaces';
import Checkbox from '@mui/material/Checkbox';
import Button from '@mui/material/Button';
import { LEDGER_PAGE, type LedgerRow, type LedgerSort } from '@bunkhouse/api';
import { GRID_CHECKBOX_SELECTION_COL_DEF } from '@mui/x-data-grid';
import { PRODUCTS, VERDICTS, type Product, type Verdict } from '@bunkhouse/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { aloud, Grid, Within, type GridColumn } from '../../kit/Grid';
import { Title } from '../../kit/Title';
import { Pick } from '../../kit/Pick';
import { WordsField } from '../../kit/WordsField';
import { useLedger } from '../../data/batches';
import { money } from '../../reader/words/bookWords';
import { usePreferences, type Preferences } from '../../reader/preferences';
import { digits, inWords, tagWeight } from '../../reader/quantities';
import { dayWithYear } from '../../reader/times';
import { PRODUCT_NAMES, VERDICT_WORDS } from '../../reader/words/tradeWords';
import { languageHere } from '../../reader/language';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  ledgerAsked: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 2fr) repeat(4, minmax(0, 1fr))',
    gap: '10px',
    marginBottom: '10px',
    alignItems: 'end',
    [fold.middle]: { gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)' },
  },
  seek: { [fold.middle]: { gridColumn: '1 / -1', width: '100%' } },
  rows: { '& .MuiDataGrid-row': { cursor: 'pointer' }, '& [data-field="__check__"]': { padding: 0, cursor: 'default' } },
} as const;

const percent = (value: number | null): string => (value === null ? '–' : `${digits(value, 1)} %`);

/** Columns of the Ledger; `field` is what the house sorts by. */
const columnsFor = (shown: Preferences, ticked: readonly string[], tick: (id: string) => void): GridColumn<LedgerRow>[] => {
  const text = (field: LedgerSort | 'taste', headerName: string, of: (row: LedgerRow) => string, more: Partial<GridColumn<LedgerRow>> = {}) => ({
    field,
    headerName,
    width: 110,
    renderCell: ({ row }: { row: LedgerRow }) => of(row),
    ...more,
  });
  const number: typeof text = (field, headerName, of, more) => text(field, headerName, of, { align: 'right', headerAlign: 'right', width: 96, ...more });
  return [
    {
      ...GRID_CHECKBOX_SELECTION_COL_DEF,
      ...aloud('Tick to compare'),
      renderCell: ({ row }) => (
        <Within>
          <Checkbox checked={ticked.includes(row.id)} onChange={() => tick(row.id)} slotProps={{ input: { 'aria-label': `Compare ${row.code}` } }} />
        </Within>
      ),
      width: 44,
      sortable: false,
      hideable: false,
      resizable: false,
      onPhone: true,
    },
    {
      field: 'code',
      headerName: 'Batch',
      width: 96,
      hideable: false,
      onPhone: true,
      renderCell: ({ row }) => (
        <Within>
          <Button variant="text" component={Link} to={`/batches/${row.id}`}>
            {row.code}
          </Button>
          {row.cutFrom !== null && <small> of {row.cutFrom}</small>}
        </Within>
      ),
    },
    text('name', 'Recipe', ({ name }) => name, { flex: 1, minWidth: 136, onPhone: true }),
    text('endedAt', 'Ended', ({ endedAt, outcome }) => (outcome === 'finished' ? dayWithYear(endedAt) : `thrown away ${dayWithYear(endedAt)}`), {
      width: 130,
    }),
    number('greenG', 'Green', ({ greenG }) => inWords(greenG, 'mass', shown), { width: 84 }),
    number('packedG', 'Packed weight', ({ packedG }) => (packedG === null ? '–' : inWords(packedG, 'mass', shown)), { width: 112 }),
    number('yieldPercent', 'Yield', ({ yieldPercent }) => percent(yieldPercent), { width: 76, onPhone: true }),
    number('pumpPercent', 'Pump', ({ pumpPercent }) => percent(pumpPercent), { width: 74 }),
    number('nitritePpm', 'Nitrite', ({ nitritePpm }) => `${digits(nitritePpm, 1)} ppm`, { width: 94 }),
    number('saltPercent', 'Salt', ({ saltPercent }) => `${digits(saltPercent, 2)} %`, { width: 74 }),
    number('cureDays', 'Days', ({ cureDays }) => (cureDays === null ? '–' : digits(cureDays, 1)), { width: 64 }),
    text('taste', 'Taste', ({ taste }) => (taste === null ? '–' : (VERDICT_WORDS[taste as Verdict] ?? taste)), { width: 96, sortable: false }),
    number('deviations', 'Deviations', ({ deviations }) => (deviations === 0 ? '–' : String(deviations)), { width: 100 }),
    number('costPerKg', 'Materials, per kg', ({ costPerKg }) => (costPerKg === null ? '–' : money(costPerKg)), { width: 124 }),
    text('by', 'By', ({ by }) => by, { width: 90 }),
  ];
};

const MOST_COMPARED = 5;

/** Ended batches: found, narrowed and sorted; some of them ticked to be held side by side. What is asked for stands in the address. */
export function Ledger() {
  const [asked, setAsked] = useSearchParams();
  const { data, error } = useLedger(asked.toString());
  const preferences = usePreferences();
  const navigate = useNavigate();
  const [ticked, setTicked] = useState<string[]>([]);
  const change = (changes: Record<string, string>) =>
    setAsked(
      (was) => {
        const next = new URLSearchParams(was);
        next.delete('skip');
        for (const [name, value] of Object.entries(changes)) {
          if (value === '') next.delete(name);
          else next.set(name, value);
        }
        return next;
      },
      { replace: true },
    );
  const [sort, order] = [asked.get('sort') ?? 'endedAt', asked.get('order') ?? 'down'];
  const skip = Number(asked.get('skip') ?? 0);
  const tick = (id: string) => setTicked((was) => (was.includes(id) ? was.filter((other) => other !== id) : [...was, id].slice(-MOST_COMPARED)));
  const columns = columnsFor(preferences, ticked, tick);
  return (
    <Box sx={looks.page}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>Ledger</Title>
          <Typography variant="note">
            {data === undefined
              ? 'Opening the book'
              : `${data.total} batches, ${tagWeight(data.greenG, preferences)} green, ${tagWeight(data.packedG, preferences)} packed${data.yieldPercent === null ? '' : `, ${digits(data.yieldPercent, 1)} % on the average`}`}
          </Typography>
        </div>
        <Box sx={acts}>
          <Button component={Link} to={`/ledger/trends?${narrowed(asked)}`}>
            Trends
          </Button>
          <Button
            variant="quiet"
            href={`/api/ledger.csv?${asked.toString()}&system=${preferences.system}&temperature=${preferences.temperature}&decimal=${languageHere().decimal}`}
            download
          >
            Save as CSV
          </Button>
          <Button variant="quiet" component={Link} to="/ledger/file">
            The book as a file
          </Button>
          <Button variant="contained" disabled={ticked.length < 2} onClick={() => void navigate(`/ledger/compare?ids=${ticked.join(',')}`)}>
            {ticked.length < 2 ? 'Tick two to compare' : `Compare ${ticked.length}`}
          </Button>
        </Box>
      </Box>
      <Box sx={styles.ledgerAsked}>
        <WordsField
          label="Find"
          type="search"
          maxLength={80}
          value={asked.get('find') ?? ''}
          placeholder="code, recipe, month, name"
          onChange={(text) => change({ find: text })}
          sx={[looks.seek, styles.seek]}
        />
        <Narrow
          label="Product"
          value={asked.get('product') ?? ''}
          options={PRODUCTS.map((product: Product) => [product, PRODUCT_NAMES[product]])}
          onChange={(product) => change({ product })}
        />
        <Narrow
          label="Taste"
          value={asked.get('taste') ?? ''}
          options={VERDICTS.map((verdict) => [verdict, VERDICT_WORDS[verdict]])}
          onChange={(taste) => change({ taste })}
        />
        <Narrow
          label="Ended"
          value={asked.get('outcome') ?? ''}
          options={[
            ['finished', 'packed'],
            ['thrownAway', 'thrown away'],
          ]}
          onChange={(outcome) => change({ outcome })}
        />
        <Narrow label="Deviations" value={asked.get('deviating') ?? ''} options={[['yes', 'with one only']]} onChange={(deviating) => change({ deviating })} />
      </Box>
      {error !== undefined && data === undefined && <Typography variant="fault">The book cannot be opened just now. It is tried again in a moment.</Typography>}
      {data?.rows.length === 0 && (
        <Box component="p" sx={looks.lead}>
          {data.total === 0 && asked.size === 0 ? 'No batch is packed yet.' : 'Nothing in the book matches.'}
        </Box>
      )}
      {data !== undefined && data.rows.length > 0 && (
        <Grid<LedgerRow>
          name="ledger"
          label="Finished batches"
          columns={columns}
          rows={data.rows}
          rowCount={data.total}
          sortingMode="server"
          sortingOrder={['desc', 'asc']}
          sortModel={[{ field: sort, sort: order === 'up' ? 'asc' : 'desc' }]}
          onSortModelChange={([by]) => change({ sort: by?.field ?? '', order: by?.sort === 'asc' ? 'up' : 'down' })}
          paginationMode="server"
          paginationModel={{ page: Math.floor(skip / LEDGER_PAGE), pageSize: LEDGER_PAGE }}
          onPaginationModelChange={({ page }) => setAsked(paged(asked, page * LEDGER_PAGE))}
          checkboxSelection
          rowSelectionModel={{ type: 'include', ids: new Set(ticked) }}
          onCellClick={({ field, id }) => {
            // These two lead somewhere themselves.
            if (field !== GRID_CHECKBOX_SELECTION_COL_DEF.field && field !== 'code') void navigate(`/batches/${id}`);
          }}
          sx={styles.rows}
        />
      )}
    </Box>
  );
}

/** What is asked for without how it is sorted and which page of it. */
function narrowed(asked: URLSearchParams): string {
  const kept = new URLSearchParams(asked);
  for (const name of ['sort', 'order', 'skip']) kept.delete(name);
  return kept.toString();
}

function paged(asked: URLSearchParams, skip: number): URLSearchParams {
  const next = new URLSearchParams(asked);
  if (skip <= 0) next.delete('skip');
  else next.set('skip', String(skip));
  return next;
}

function Narrow({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}) {
  return (
    <Pick label={label} value={value} onChange={onChange}>
      <option value="">all</option>
      {options.map(([key, word]) => (
        <option key={key} value={key}>
          {word}
        </option>
      ))}
    </Pick>
  );
}

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useMediaQuery from '@mui/material/useMediaQuery';
import {
  ColumnsPanelTrigger,
  DataGrid,
  Toolbar,
  type DataGridProps,
  type GridColDef,
  type GridColumnVisibilityModel,
  type GridSortModel,
  type GridValidRowModel,
} from '@mui/x-data-grid';
import { useState, type ReactNode } from 'react';
import { fold } from '../theme/folds';
import { unseen } from '../theme/surfaces';
import { GRID_WORDS } from '../reader/words/gridWords';

/** A column, and whether it stands there at first: on a telephone there is room for few. */
export type GridColumn<Row extends GridValidRowModel> = GridColDef<Row> & {
  onPhone?: boolean;
  /** its width there, px */
  phoneWidth?: number;
};

/** The head of a column that is read aloud only. */
export const aloud = (headerName: string) => ({
  headerName,
  renderHeader: () => (
    <Box component="span" sx={unseen}>
      {headerName}
    </Box>
  ),
});

interface Kept {
  columns?: GridColumnVisibilityModel;
  sort?: GridSortModel;
}

const PER_PAGE = 50;

/**
 * Rows of the book: sorted by a column's head, columns chosen, both kept on this device under `name`.
 * Every row and column of a page is in the page, so that it can be searched, read aloud and printed whole.
 */
export function Grid<Row extends GridValidRowModel>({
  name,
  label,
  columns,
  sort,
  ...rest
}: Omit<DataGridProps<Row>, 'columns'> & {
  name: string;
  /** what it is read aloud as */
  label: string;
  columns: readonly GridColumn<Row>[];
  /** how it is sorted at first; left out where `sortModel` says it */
  sort?: GridSortModel;
}) {
  const isPhone = useMediaQuery(fold.phone);
  const key = `bunkhouse.grid.${name}.${isPhone ? 'phone' : 'wide'}`;
  const [kept, setKept] = useState<Record<string, Kept>>({});
  const here = kept[key] ?? read(key);
  const keep = (part: Kept) => {
    const next = { ...here, ...part };
    setKept((was) => ({ ...was, [key]: next }));
    write(key, next);
  };
  const first = Object.fromEntries(columns.map(({ field, onPhone }) => [field, !isPhone || onPhone === true]));
  // What names a row stands there whatever was kept: it is not offered to be put away.
  const always = Object.fromEntries(columns.filter(({ hideable }) => hideable === false).map(({ field }) => [field, true]));
  const paged = rest.paginationMode === 'server' ? (rest.rowCount ?? 0) > (rest.paginationModel?.pageSize ?? PER_PAGE) : (rest.rows?.length ?? 0) > PER_PAGE;
  return (
    <Box component="section" aria-label={label} sx={{ display: 'grid', minWidth: 0 }}>
      <DataGrid<Row>
        columns={columns.map(({ phoneWidth, ...column }) =>
          isPhone && phoneWidth !== undefined ? { ...column, width: phoneWidth, minWidth: phoneWidth } : column,
        )}
        aria-label={label}
        columnVisibilityModel={{ ...first, ...here.columns, ...always }}
        onColumnVisibilityModelChange={(model) => keep({ columns: model })}
        {...(rest.sortModel === undefined
          ? {
              sortModel: (here.sort ?? sort ?? []).filter(({ field }) => columns.some((column) => column.field === field)),
              onSortModelChange: (model: GridSortModel) => keep({ sort: model }),
            }
          : {})}
        initialState={{ pagination: { paginationModel: { pageSize: PER_PAGE } } }}
        pageSizeOptions={[rest.paginationModel?.pageSize ?? PER_PAGE]}
        hideFooter={!paged}
        disableVirtualization
        disableColumnMenu
        disableColumnFilter
        disableRowSelectionOnClick
        showToolbar
        slots={{ toolbar: Choose }}
        slotProps={{ columnsManagement: { getTogglableColumns: (all) => all.filter(({ hideable }) => hideable !== false).map(({ field }) => field) } }}
        localeText={GRID_WORDS}
        {...rest}
      />
    </Box>
  );
}

/** What is pressed within a cell: the grid leaves its keys to it. */
export const Within = ({ children }: { children: ReactNode }) => (
  <Box
    component="span"
    sx={{ display: 'contents' }}
    onKeyDown={(event) => {
      if (event.key === ' ' || event.key === 'Enter') event.stopPropagation();
    }}
  >
    {children}
  </Box>
);

const Choose = () => (
  <Toolbar>
    <ColumnsPanelTrigger render={<Button variant="text">Columns</Button>} />
  </Toolbar>
);

function read(key: string): Kept {
  try {
    const { columns, sort } = JSON.parse(localStorage.getItem(key) ?? '{}') as Kept;
    return { ...(typeof columns === 'object' ? { columns } : {}), ...(Array.isArray(sort) ? { sort } : {}) };
  } catch {
    return {};
  }
}

function write(key: string, kept: Kept) {
  try {
    localStorage.setItem(key, JSON.stringify(kept));
  } catch {
    // The device is full: the columns stand as chosen until the page is left.
  }
}

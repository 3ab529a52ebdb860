import type { GridLocaleText } from '@mui/x-data-grid';

/** What a grid says by itself. */
export const GRID_WORDS: Partial<GridLocaleText> = {
  noRowsLabel: 'Nothing is written down.',
  noResultsOverlayLabel: 'Nothing matches.',
  noColumnsOverlayLabel: 'Every column is put away.',
  noColumnsOverlayManageColumns: 'Choose columns',
  toolbarColumns: 'Columns',
  toolbarColumnsLabel: 'Choose columns',
  columnsManagementSearchTitle: 'Find a column',
  columnsManagementNoColumns: 'No column is called that.',
  columnsManagementShowHideAllText: 'All of them',
  columnsManagementReset: 'As before',
  columnsManagementDeleteIconLabel: 'Empty the field',
  columnHeaderSortIconLabel: 'Sort by it',
  footerTotalRows: 'Rows in all:',
  paginationRowsPerPage: 'Rows on a page:',
  paginationDisplayedRows: ({ from, to, count }) => `${from} to ${to} of ${count}`,
  paginationItemAriaLabel: (type) => ({ first: 'The first page', last: 'The last page', next: 'The rows after', previous: 'The rows before' })[type],
};

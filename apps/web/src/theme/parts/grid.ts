import type { Components, Theme } from '@mui/material/styles';
import { Down, Up } from '../marks';
import { line, pop, ringIn } from '../surfaces';
import { t } from '../tokens';
import { f, roles } from '../type';

const cell = f(16, 20, 500);

export const grid: Components<Theme> = {
  MuiDataGrid: {
    defaultProps: { rowHeight: 48, columnHeaderHeight: 44, slots: { columnSortedAscendingIcon: Up, columnSortedDescendingIcon: Down } },
    styleOverrides: {
      root: {
        ...cell,
        '--DataGrid-rowBorderColor': t.hair,
        '--DataGrid-t-color-border-base': t.hair,
        borderColor: t.hair,
        color: t.ink,
        '& .MuiDataGrid-columnHeaderTitle': { ...roles.label, textTransform: 'none', letterSpacing: '.04em', color: t.ink3 },
        '& .MuiDataGrid-columnHeader, & .MuiDataGrid-filler, & .MuiDataGrid-columnHeaders .MuiDataGrid-row--borderBottom': { background: t.sunk },
        '& .MuiDataGrid-columnSeparator': { color: t.hair },
        '& .MuiDataGrid-columnHeader .MuiIconButton-root': { background: 'none' },
        '& .MuiDataGrid-cell': { padding: '0 12px' },
        '& .MuiDataGrid-row--dynamicHeight > .MuiDataGrid-cell': { padding: '6px 12px', minHeight: 48, display: 'flex', alignItems: 'center' },
        '& .MuiDataGrid-row--dynamicHeight > .MuiDataGrid-cell--textRight': { justifyContent: 'flex-end' },
        '& .MuiDataGrid-cell:focus, & .MuiDataGrid-cell:focus-within, & .MuiDataGrid-columnHeader:focus-within': { outline: 'none' },
        '& .MuiDataGrid-cell:focus-visible.MuiDataGrid-cell, & .MuiDataGrid-columnHeader:focus-visible.MuiDataGrid-columnHeader': ringIn,
        '& .MuiDataGrid-row:hover': { background: t.sunk },
        '& .MuiDataGrid-row.Mui-selected, & .MuiDataGrid-row.Mui-selected:hover': { background: t.steel, boxShadow: `inset 5px 0 0 ${t.mark}` },
        '& .MuiTablePagination-toolbar, & .MuiDataGrid-footerContainer': { minHeight: 48 },
        '& .MuiTablePagination-displayedRows': roles.fact,
        '& .MuiDataGrid-toolbar': { minHeight: 44, padding: '0 12px', borderBottom: line(t.hair) },
      },
      panel: {
        '& .MuiDataGrid-paper': { ...pop.paper, borderRadius: 3, boxShadow: 'none', minWidth: 300 },
        '& .MuiDataGrid-columnsManagementHeader': { padding: '12px' },
        '& .MuiDataGrid-columnsManagementSearchInput .MuiInputAdornment-root': { background: 'none', border: 0 },
        '& .MuiDataGrid-columnsManagementSearchInput .MuiInputAdornment-positionEnd': { display: 'none' },
        '& .MuiDataGrid-columnsManagementSearchInput input, & .MuiDataGrid-columnsManagementSearchInput input:focus-visible': {
          paddingLeft: 0,
          outline: 'none',
          boxShadow: 'none',
        },
        '& .MuiDataGrid-columnsManagement': { padding: '0 12px' },
        '& .MuiDataGrid-columnsManagementRow': { minHeight: 44, margin: 0, gap: 8 },
        '& .MuiDataGrid-columnsManagementFooter': { padding: '8px 12px', borderTop: line(t.hair) },
      },
    },
  },
};

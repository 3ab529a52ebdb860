/** @jest-environment jsdom */
import { render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Grid, type GridColumn } from './Grid';

interface Row {
  id: string;
  name: string;
  g: number;
}

let isPhone = false;

beforeEach(() => {
  isPhone = false;
  localStorage.clear();
  window.matchMedia = (media) =>
    ({ matches: isPhone, media, addEventListener: () => undefined, removeEventListener: () => undefined }) as unknown as MediaQueryList;
});

const ROWS: Row[] = [
  { id: 'a', name: 'Loin', g: 2500 },
  { id: 'b', name: 'Brisket', g: 900 },
  { id: 'c', name: 'Ham', g: 12_000 },
];
const COLUMNS: GridColumn<Row>[] = [
  { field: 'name', headerName: 'Name', hideable: false, onPhone: true },
  { field: 'g', headerName: 'Weight', type: 'number', renderCell: ({ row }) => `${row.g} g` },
];
const show = () => render(<Grid<Row> name="made-up" label="Made up" columns={COLUMNS} rows={ROWS} />);
const heads = () => screen.getAllByRole('columnheader').map((head) => head.textContent);
const names = () =>
  screen
    .getAllByRole('row')
    .slice(1)
    .map((row) => within(row).getAllByRole('gridcell')[0]?.textContent);

test('rows stand as they were given until a head is pressed, then by what is measured, not by how it is written', async () => {
  show();
  expect(names()).toEqual(['Loin', 'Brisket', 'Ham']);
  await userEvent.click(screen.getByRole('columnheader', { name: 'Weight' }));
  expect(names()).toEqual(['Brisket', 'Loin', 'Ham']);
});

test('how it is sorted and which columns stand there is kept for the next time', async () => {
  const { unmount } = show();
  await userEvent.click(screen.getByRole('columnheader', { name: 'Weight' }));
  await userEvent.click(screen.getByRole('button', { name: 'Columns' }));
  await userEvent.click(screen.getByRole('checkbox', { name: 'Weight' }));
  expect(heads()).toEqual(['Name']);
  // What names a row cannot be put away, and is not offered.
  expect(screen.queryByRole('checkbox', { name: 'Name' })).toBeNull();
  unmount();
  show();
  expect(heads()).toEqual(['Name']);
  expect(names()).toEqual(['Brisket', 'Loin', 'Ham']);
});

test('a telephone begins with the few columns that it has room for, and keeps its own', () => {
  isPhone = true;
  localStorage.setItem('bunkhouse.grid.made-up.wide', JSON.stringify({ columns: { name: false, g: true } }));
  show();
  expect(heads()).toEqual(['Name']);
});

test('what another version kept is no hindrance', () => {
  for (const kept of ['{torn', '{"columns":5,"sort":"up"}', '{"columns":{"name":false,"gone":true},"sort":[{"field":"gone","sort":"asc"}]}']) {
    localStorage.setItem('bunkhouse.grid.made-up.wide', kept);
    const { unmount } = show();
    expect(names()).toEqual(['Loin', 'Brisket', 'Ham']);
    unmount();
  }
});

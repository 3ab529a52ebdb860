import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { acts, padded } from '../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { FileButton } from '../../kit/FileButton';
import Button from '@mui/material/Button';
import type { Book, BookFate, ImportResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Link } from 'react-router';
import { mutate } from 'swr';
import { Refusal, request } from '../../data/request';
import { ColumnHeads } from '../../kit/ColumnHeads';
import { Only } from '../../kit/Only';
import { looks } from '../../theme/looks';

const styles = {
  bookInOut: { display: 'grid', gap: '10px', maxWidth: '1000px' },
  wordsAct: { flexWrap: 'wrap', display: 'flex', gap: '8px' },
  differ: { '& td': { whiteSpace: 'normal', fontFamily: 'var(--f-text)' } },
} as const;

const FATES: Readonly<Record<BookFate, string>> = {
  new: 'comes in',
  longer: 'its log goes on here',
  known: 'is here already',
  differs: 'says something else here: stays as it is',
};

interface Chosen {
  name: string;
  book: Book;
  found: ImportResponse;
}

/** The whole book as a file, and a book from a file: looked at before anything is written. */
export function BookInOut() {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [done, setDone] = useState<ImportResponse | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const ask = async (work: () => Promise<void>) => {
    setBusy(true);
    setFault(null);
    try {
      await work();
    } catch (error) {
      if (error instanceof SyntaxError) setFault('That file is no JSON: it is torn, or something else. Nothing was written.');
      else if (error instanceof Refusal) setFault(error.message);
      else throw error;
    } finally {
      setBusy(false);
    }
  };
  const look = (file: File) =>
    ask(async () => {
      setChosen(null);
      setDone(null);
      const book = JSON.parse(await file.text()) as Book;
      setChosen({ name: file.name, book, found: await request<ImportResponse>('/api/exchange/preview', book) });
    });
  const take = () =>
    ask(async () => {
      if (chosen === null) return;
      setDone(await request<ImportResponse>('/api/exchange/import', chosen.book));
      setChosen(null);
      await mutate(() => true);
    });
  const found = chosen?.found ?? done;
  const count = (fates: readonly BookFate[]) => (found?.batches ?? []).filter(({ fate }) => fates.includes(fate)).length;
  const comes =
    found === null
      ? 0
      : count(['new', 'longer']) + found.recipes.filter(({ fate }) => fate === 'new' || fate === 'longer').length + found.devices + found.readings;
  return (
    <Box sx={[looks.page, styles.bookInOut]}>
      <Box sx={looks.pageHead}>
        <div>
          <Title>The book as a file</Title>
          <Typography variant="note">
            Recipes, batches with their logs, devices and readings as one JSON document, described by a{' '}
            <Button variant="text" href="/api/exchange/schema.json">
              published schema
            </Button>
            .{' '}
            <Button variant="text" component={Link} to="/ledger">
              To the Ledger
            </Button>
          </Typography>
        </div>
      </Box>
      <Only right="plan">
        <Panel title="Out">
          <Box sx={[looks.pad, styles.wordsAct]}>
            <Button href="/api/exchange/book.json?readings=no" download>
              Save the book
            </Button>
            <Button variant="quiet" href="/api/exchange/book.json" download>
              Save it with every reading
            </Button>
          </Box>
        </Panel>
      </Only>
      <Only right="run">
        <Panel title="Backup" aside="the house itself, as it is at this instant">
          <Box sx={padded}>
            <Typography variant="note">
              Everything, with devices, feeds and what is not in the book. Keep it on another disk: it goes back into an empty house by{' '}
              <code>npm run restore</code>.
            </Typography>
            <Box sx={acts}>
              <Button href="/api/backup" download>
                Save a backup
              </Button>
            </Box>
          </Box>
        </Panel>
      </Only>
      <Only right="run">
        <Panel title="In" aside="nothing is written before you have seen what comes">
          <Box sx={padded}>
            <FileButton accept="application/json,.json" onFile={(file) => void look(file)}>
              Choose a book
            </FileButton>
            {busy && <Typography variant="note">Reading...</Typography>}
            {fault !== null && (
              <Typography variant="fault" role="alert">
                {fault}
              </Typography>
            )}
            {found !== null && (
              <>
                <Box component="p" sx={looks.lead} role="status">
                  {done === null ? `${chosen?.name ?? ''}${found.house === '' ? '' : `, from ${found.house}`}: ` : 'Taken in: '}
                  {count(['new'])} batches {done === null ? 'come in' : 'came in'}, {count(['longer'])} go on, {count(['known'])} are here already,{' '}
                  {count(['differs'])} stay as they are here; {found.recipes.filter(({ fate }) => fate === 'new' || fate === 'longer').length} recipes,{' '}
                  {found.devices} devices, {found.readings} pieces of readings.
                </Box>
                <Box sx={looks.tableScroll} tabIndex={0} role="region" aria-label="What the book holds">
                  <Table sx={[looks.book, styles.differ]}>
                    <ColumnHeads columns={['Batch or recipe', 'What it is', 'Here']} />
                    <TableBody>
                      {found.batches.map(({ id, code, name, fate, as }) => (
                        <TableRow key={id}>
                          <TableCell component="th" scope="row">
                            {code}
                          </TableCell>
                          <TableCell>{name}</TableCell>
                          <TableCell>
                            {FATES[fate]}
                            {as === undefined ? '' : `, as ${as}: its code is taken`}
                          </TableCell>
                        </TableRow>
                      ))}
                      {found.recipes
                        .filter(({ fate }) => fate !== 'known')
                        .map(({ id, name, fate }) => (
                          <TableRow key={id}>
                            <TableCell component="th" scope="row">
                              {name}
                            </TableCell>
                            <TableCell>recipe</TableCell>
                            <TableCell>{FATES[fate]}</TableCell>
                          </TableRow>
                        ))}
                    </TableBody>
                  </Table>
                </Box>
                {done === null && (
                  <Button variant="contained" disabled={busy || comes === 0} onClick={() => void take()}>
                    {comes === 0 ? 'Nothing of it is new' : 'Take it in'}
                  </Button>
                )}
              </>
            )}
          </Box>
        </Panel>
      </Only>
    </Box>
  );
}

import type { Book, BookFate, ImportResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { Link } from 'react-router';
import { mutate } from 'swr';
import { Refusal, request } from '../../data/request';
import { TableHead } from '../../instruments/TableHead';
import { Only } from '../../shell/Only';

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
    <div className="page book-in-out">
      <div className="page-head">
        <div>
          <h1 className="title">The book as a file</h1>
          <p className="note">
            Recipes, batches with their logs, devices and readings as one JSON document, described by a{' '}
            <a className="lnk" href="/api/exchange/schema.json">
              published schema
            </a>
            .{' '}
            <Link className="lnk" to="/ledger">
              To the Ledger
            </Link>
          </p>
        </div>
      </div>
      <Only right="plan">
        <section className="panel">
          <div className="ph">
            <h2>Out</h2>
          </div>
          <div className="pad words-act">
            <a className="btn" href="/api/exchange/book.json?readings=no" download>
              Save the book
            </a>
            <a className="btn quiet" href="/api/exchange/book.json" download>
              Save it with every reading
            </a>
          </div>
        </section>
      </Only>
      <Only right="run">
        <section className="panel">
          <div className="ph">
            <h2>Backup</h2>
            <span className="aside">the house itself, as it is at this instant</span>
          </div>
          <div className="pad">
            <p className="note">
              Everything, with devices, feeds and what is not in the book. Keep it on another disk: it goes back into an empty house by{' '}
              <code>npm run restore</code>.
            </p>
            <div className="words-act">
              <a className="btn" href="/api/backup" download>
                Save a backup
              </a>
            </div>
          </div>
        </section>
      </Only>
      <Only right="run">
        <section className="panel">
          <div className="ph">
            <h2>In</h2>
            <span className="aside">nothing is written before you have seen what comes</span>
          </div>
          <div className="pad">
            <label className="btn choose-file">
              Choose a book
              <input
                type="file"
                accept="application/json,.json"
                onChange={(event) => {
                  const [file] = event.target.files ?? [];
                  if (file !== undefined) void look(file);
                  event.target.value = '';
                }}
              />
            </label>
            {busy && <p className="note">Reading...</p>}
            {fault !== null && (
              <p className="fault" role="alert">
                {fault}
              </p>
            )}
            {found !== null && (
              <>
                <p className="lead" role="status">
                  {done === null ? `${chosen?.name ?? ''}${found.house === '' ? '' : `, from ${found.house}`}: ` : 'Taken in: '}
                  {count(['new'])} batches {done === null ? 'come in' : 'came in'}, {count(['longer'])} go on, {count(['known'])} are here already,{' '}
                  {count(['differs'])} stay as they are here; {found.recipes.filter(({ fate }) => fate === 'new' || fate === 'longer').length} recipes,{' '}
                  {found.devices} devices, {found.readings} pieces of readings.
                </p>
                <div className="table-scroll" tabIndex={0} role="region" aria-label="What the book holds">
                  <table className="book differ">
                    <TableHead columns={['Batch or recipe', 'What it is', 'Here']} />
                    <tbody>
                      {found.batches.map(({ id, code, name, fate, as }) => (
                        <tr key={id}>
                          <th scope="row">{code}</th>
                          <td>{name}</td>
                          <td>
                            {FATES[fate]}
                            {as === undefined ? '' : `, as ${as}: its code is taken`}
                          </td>
                        </tr>
                      ))}
                      {found.recipes
                        .filter(({ fate }) => fate !== 'known')
                        .map(({ id, name, fate }) => (
                          <tr key={id}>
                            <th scope="row">{name}</th>
                            <td>recipe</td>
                            <td>{FATES[fate]}</td>
                          </tr>
                        ))}
                    </tbody>
                  </table>
                </div>
                {done === null && (
                  <button type="button" className="btn go" disabled={busy || comes === 0} onClick={() => void take()}>
                    {comes === 0 ? 'Nothing of it is new' : 'Take it in'}
                  </button>
                )}
              </>
            )}
          </div>
        </section>
      </Only>
    </div>
  );
}

import { LEDGER_PAGE, type LedgerRow, type LedgerSort } from '@bunkhouse/api';
import { PRODUCTS, VERDICTS, type Product, type Verdict } from '@bunkhouse/core';
import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useLedger } from '../../data/batches';
import { money } from '../../shell/bookWords';
import { usePreferences, type Preferences } from '../../shell/preferences';
import { digits, inWords, tagWeight } from '../../shell/quantities';
import { dayWithYear } from '../../shell/times';
import { PRODUCT_NAMES, VERDICT_WORDS } from '../../shell/tradeWords';
import { languageHere } from '../../shell/language';

interface Column {
  sort: LedgerSort | null;
  name: string;
  isNumber?: boolean;
  of: (row: LedgerRow, shown: Preferences) => string;
}

const percent = (value: number | null): string => (value === null ? '–' : `${digits(value, 1)} %`);

const COLUMNS: readonly Column[] = [
  { sort: 'name', name: 'Recipe', of: ({ name }) => name },
  { sort: 'endedAt', name: 'Packed', of: ({ endedAt, outcome }) => (outcome === 'finished' ? dayWithYear(endedAt) : `thrown away ${dayWithYear(endedAt)}`) },
  { sort: 'greenG', name: 'Green', isNumber: true, of: ({ greenG }, shown) => inWords(greenG, 'mass', shown) },
  { sort: 'packedG', name: 'Packed weight', isNumber: true, of: ({ packedG }, shown) => (packedG === null ? '–' : inWords(packedG, 'mass', shown)) },
  { sort: 'yieldPercent', name: 'Yield', isNumber: true, of: ({ yieldPercent }) => percent(yieldPercent) },
  { sort: 'pumpPercent', name: 'Pump', isNumber: true, of: ({ pumpPercent }) => percent(pumpPercent) },
  { sort: 'nitritePpm', name: 'Nitrite', isNumber: true, of: ({ nitritePpm }) => `${digits(nitritePpm, 1)} ppm` },
  { sort: 'saltPercent', name: 'Salt', isNumber: true, of: ({ saltPercent }) => `${digits(saltPercent, 2)} %` },
  { sort: 'cureDays', name: 'Days', isNumber: true, of: ({ cureDays }) => (cureDays === null ? '–' : digits(cureDays, 1)) },
  { sort: null, name: 'Taste', of: ({ taste }) => (taste === null ? '–' : (VERDICT_WORDS[taste as Verdict] ?? taste)) },
  { sort: 'deviations', name: 'Deviations', isNumber: true, of: ({ deviations }) => (deviations === 0 ? '–' : String(deviations)) },
  { sort: 'costPerKg', name: 'Materials, per kg', isNumber: true, of: ({ costPerKg }) => (costPerKg === null ? '–' : money(costPerKg)) },
  { sort: 'by', name: 'By', of: ({ by }) => by },
];

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
  return (
    <div className="page ledger">
      <div className="page-head">
        <div>
          <h1 className="title">Ledger</h1>
          <p className="note">
            {data === undefined
              ? 'Opening the book'
              : `${data.total} batches, ${tagWeight(data.greenG, preferences)} green, ${tagWeight(data.packedG, preferences)} packed${data.yieldPercent === null ? '' : `, ${digits(data.yieldPercent, 1)} % on the average`}`}
          </p>
        </div>
        <div className="words-act">
          <Link className="btn" to={`/ledger/trends?${narrowed(asked)}`}>
            Trends
          </Link>
          <a
            className="btn quiet"
            href={`/api/ledger.csv?${asked.toString()}&system=${preferences.system}&temperature=${preferences.temperature}&decimal=${languageHere().decimal}`}
            download
          >
            Save as CSV
          </a>
          <Link className="btn quiet" to="/ledger/file">
            The book as a file
          </Link>
          <button type="button" className="btn go" disabled={ticked.length < 2} onClick={() => void navigate(`/ledger/compare?ids=${ticked.join(',')}`)}>
            {ticked.length < 2 ? 'Tick two to compare' : `Compare ${ticked.length}`}
          </button>
        </div>
      </div>
      <div className="ledger-asked">
        <label className="field seek">
          <span className="label">Find</span>
          <input
            className="box"
            type="search"
            maxLength={80}
            value={asked.get('find') ?? ''}
            placeholder="code, recipe, month, name"
            onChange={(event) => change({ find: event.target.value })}
          />
        </label>
        <Pick
          label="Product"
          value={asked.get('product') ?? ''}
          options={PRODUCTS.map((product: Product) => [product, PRODUCT_NAMES[product]])}
          onChange={(product) => change({ product })}
        />
        <Pick
          label="Taste"
          value={asked.get('taste') ?? ''}
          options={VERDICTS.map((verdict) => [verdict, VERDICT_WORDS[verdict]])}
          onChange={(taste) => change({ taste })}
        />
        <Pick
          label="Ended"
          value={asked.get('outcome') ?? ''}
          options={[
            ['finished', 'packed'],
            ['thrownAway', 'thrown away'],
          ]}
          onChange={(outcome) => change({ outcome })}
        />
        <Pick label="Deviations" value={asked.get('deviating') ?? ''} options={[['yes', 'with one only']]} onChange={(deviating) => change({ deviating })} />
      </div>
      {error !== undefined && data === undefined && <p className="fault">The book cannot be opened just now. It is tried again in a moment.</p>}
      {data?.rows.length === 0 && <p className="lead">{data.total === 0 && asked.size === 0 ? 'No batch is packed yet.' : 'Nothing in the book matches.'}</p>}
      {data !== undefined && data.rows.length > 0 && (
        <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Finished batches">
          <table className="book">
            <thead>
              <tr>
                <th scope="col">
                  <span className="sr">Tick to compare</span>
                </th>
                <th scope="col" aria-sort={ariaSort(sort === 'code', order)}>
                  <Sorter name="Batch" isOn={sort === 'code'} order={order} onSort={(to) => change({ sort: 'code', order: to })} />
                </th>
                {COLUMNS.map(({ name, sort: by, isNumber }) => (
                  <th key={name} scope="col" className={isNumber ? 'n' : undefined} aria-sort={by === null ? undefined : ariaSort(sort === by, order)}>
                    {by === null ? name : <Sorter name={name} isOn={sort === by} order={order} onSort={(to) => change({ sort: by, order: to })} />}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {data.rows.map((row) => (
                <tr key={row.id} onClick={() => void navigate(`/batches/${row.id}`)}>
                  <td className="tick-cell" onClick={(event) => event.stopPropagation()}>
                    <label>
                      <input type="checkbox" checked={ticked.includes(row.id)} aria-label={`Compare ${row.code}`} onChange={() => tick(row.id)} />
                    </label>
                  </td>
                  <th scope="row">
                    <Link className="lnk" to={`/batches/${row.id}`}>
                      {row.code}
                    </Link>
                    {row.cutFrom !== null && <small> of {row.cutFrom}</small>}
                  </th>
                  {COLUMNS.map(({ name, isNumber, of }) => (
                    <td key={name} className={isNumber ? 'n' : undefined}>
                      {of(row, preferences)}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {data !== undefined && data.total > LEDGER_PAGE && (
        <nav className="words-act" aria-label="Pages of the Ledger">
          <button type="button" className="btn quiet" disabled={skip === 0} onClick={() => setAsked(paged(asked, skip - LEDGER_PAGE))}>
            The {LEDGER_PAGE} before
          </button>
          <span className="note">
            {skip + 1} to {Math.min(data.total, skip + LEDGER_PAGE)} of {data.total}
          </span>
          <button type="button" className="btn quiet" disabled={skip + LEDGER_PAGE >= data.total} onClick={() => setAsked(paged(asked, skip + LEDGER_PAGE))}>
            The {LEDGER_PAGE} after
          </button>
        </nav>
      )}
    </div>
  );
}

const ariaSort = (isOn: boolean, order: string) => (isOn ? (order === 'up' ? 'ascending' : 'descending') : undefined);

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

/** The head of a column that the Ledger may be sorted by: down first, then up. */
function Sorter({ name, isOn, order, onSort }: { name: string; isOn: boolean; order: string; onSort: (order: 'up' | 'down') => void }) {
  return (
    <button type="button" className="sorter" onClick={() => onSort(isOn && order === 'down' ? 'up' : 'down')}>
      {name}
      {isOn && <i className={`sorted-${order}`} aria-hidden="true" />}
    </button>
  );
}

function Pick({
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
    <label className="field">
      <span className="label">{label}</span>
      <select className="box" value={value} onChange={(event) => onChange(event.target.value)}>
        <option value="">all</option>
        {options.map(([key, word]) => (
          <option key={key} value={key}>
            {word}
          </option>
        ))}
      </select>
    </label>
  );
}

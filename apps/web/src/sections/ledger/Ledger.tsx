import { useState } from 'react';
import { useNavigate, Link } from 'react-router';
import { useLedger } from '../../data/batches';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { dayWithYear } from '../../shell/times';
import { TableHead } from '../../instruments/TableHead';

/** Finished batches, the last first; any word or number narrows them. */
export function Ledger() {
  const { data: rows, error } = useLedger();
  const preferences = usePreferences();
  const navigate = useNavigate();
  const [sought, setSought] = useState('');
  const shown = (rows ?? []).filter((row) =>
    `${row.code} ${row.name} ${dayWithYear(row.endedAt)} ${row.by}`.toLowerCase().includes(sought.trim().toLowerCase()),
  );
  return (
    <div className="page ledger">
      <div className="page-head">
        <div>
          <h1 className="title">Ledger</h1>
          <p className="note">{rows === undefined ? 'Opening the book' : `${rows.length} finished batches`}</p>
        </div>
        <label className="field seek">
          <span className="label">Find</span>
          <input className="box" type="search" value={sought} placeholder="code, product, month, name" onChange={(event) => setSought(event.target.value)} />
        </label>
      </div>
      {error !== undefined && rows === undefined && <p className="fault">The book cannot be opened just now. It is tried again in a moment.</p>}
      {rows !== undefined && shown.length === 0 && <p className="lead">{rows.length === 0 ? 'No batch is packed yet.' : 'Nothing in the book matches.'}</p>}
      {shown.length > 0 && (
        <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Finished batches">
          <table className="book">
            <TableHead
              columns={[
                'Batch',
                'Product',
                'Started',
                'Packed',
                { numbers: 'Green' },
                { numbers: 'Packed weight' },
                { numbers: 'Yield' },
                { numbers: 'Pump' },
                { numbers: 'Nitrite' },
                'By',
              ]}
            />
            <tbody>
              {shown.map((row) => (
                <tr key={row.id} onClick={() => void navigate(`/batches/${row.id}`)}>
                  <th scope="row">
                    <Link className="lnk" to={`/batches/${row.id}`}>
                      {row.code}
                    </Link>
                  </th>
                  <td>{row.name}</td>
                  <td>{dayWithYear(row.startedAt)}</td>
                  <td>{row.outcome === 'finished' ? dayWithYear(row.endedAt) : `thrown away ${dayWithYear(row.endedAt)}`}</td>
                  <td className="n">{inWords(row.greenG, 'mass', preferences)}</td>
                  <td className="n">{row.packedG === null ? '–' : inWords(row.packedG, 'mass', preferences)}</td>
                  <td className="n">{row.yieldPercent === null ? '–' : `${digits(row.yieldPercent, 1)} %`}</td>
                  <td className="n">{row.pumpPercent === null ? '–' : `${digits(row.pumpPercent, 1)} %`}</td>
                  <td className="n">{digits(row.nitritePpm, 1)} ppm</td>
                  <td>{row.by}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}

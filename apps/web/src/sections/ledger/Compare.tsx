import { requestOf, type LotResponse } from '@bunkhouse/api';
import { bookLines, borneLots, deviations, materialsCost, sideBySide, STATION_NAMES, STATIONS } from '@bunkhouse/core';
import { Fragment, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useBatches, type Batch } from '../../data/batches';
import { useLots } from '../../data/lots';
import { pictureUrl, usePictures } from '../../data/pictures';
import { houseTime } from '../../data/serverClock';
import { bookCell, greyInWords, money } from '../../shell/bookWords';
import { Choice } from '../../shell/Choice';
import { Plate } from '../../shell/glyphs';
import { usePreferences } from '../../shell/preferences';
import { dayWithYear } from '../../shell/times';
import { newId } from '../../data/newId';
import { useSay } from '../../shell/reader';

/** Two or more batches side by side: what was different, and what came out. */
export function Compare() {
  const [asked] = useSearchParams();
  const text = asked.get('ids') ?? '';
  const ids = useMemo(
    () =>
      text
        .split(',')
        .filter((id) => /^[0-9a-f-]{36}$/.test(id))
        .slice(0, 5),
    [text],
  );
  const { batches, failed } = useBatches(ids);
  const preferences = usePreferences();
  const say = useSay();
  const navigate = useNavigate();
  const { data: lots = [] } = useLots();
  const [which, setWhich] = useState<'differs' | 'all'>('differs');
  const whole = batches.filter((batch): batch is Batch => batch !== undefined);
  const lines = useMemo(() => sideBySide(whole.map(({ record, state }) => bookLines(record, state))), [whole]);
  const again = ({ record, state }: Batch) =>
    void navigate('/new', {
      state: {
        request: {
          ...requestOf(state.design, { id: newId(), by: preferences.name, startsAt: new Date(houseTime()).toISOString() }, record.process),
        },
      },
    });
  if (ids.length < 2 || failed)
    return (
      <div className="page">
        <h1 className="title">Side by side</h1>
        <p className="lead">{failed ? 'One of these batches cannot be read just now.' : 'Tick two batches in the Ledger.'}</p>
        <Link className="lnk" to="/ledger">
          To the Ledger
        </Link>
      </div>
    );
  const shown = lines.filter(({ differs }) => which === 'all' || differs);
  return (
    <div className="page compare">
      <div className="page-head">
        <div>
          <h1 className="title">{whole.map(({ record }) => record.code).join(' and ')}</h1>
          <p className="note">{lines.filter(({ differs }) => differs).length} things differ. Planned stands small under what was measured.</p>
        </div>
        <Choice label="Show" quiet value={which} options={{ differs: 'What differs', all: 'Everything' }} onChange={setWhich} />
      </div>
      <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Side by side">
        <table className="book side-by-side">
          <thead>
            <tr>
              <th scope="col">
                <span className="sr">What</span>
              </th>
              {whole.map(({ record, state }) => (
                <th key={record.id} scope="col">
                  <Link className="lnk" to={`/batches/${record.id}`}>
                    {record.code}
                  </Link>
                  <small>{state.endedAt === null ? 'on the rail' : dayWithYear(new Date(state.endedAt).toISOString())}</small>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {STATIONS.map((station) => {
              const own = shown.filter((line) => line.station === station);
              return own.length === 0 ? null : (
                <Fragment key={station}>
                  <tr className={`station-row is-${station}`}>
                    <th scope="rowgroup" colSpan={whole.length + 1}>
                      <Plate station={station} size={20} /> {STATION_NAMES[station]}
                    </th>
                  </tr>
                  {own.map(({ key, said, unit, cells, differs }) => (
                    <tr key={key} className={differs ? 'differs' : undefined}>
                      <th scope="row">{say(said)}</th>
                      {cells.map(({ planned, actual }, i) => (
                        <td key={whole[i]?.record.id}>
                          {actual === null && planned !== null ? (
                            <small>planned {bookCell(planned, unit, preferences, say)}</small>
                          ) : (
                            bookCell(actual, unit, preferences, say)
                          )}
                          {actual !== null && planned !== null && planned !== actual && <small>planned {bookCell(planned, unit, preferences, say)}</small>}
                        </td>
                      ))}
                    </tr>
                  ))}
                </Fragment>
              );
            })}
            <tr>
              <th scope="row">Materials, per kg packed</th>
              {whole.map(({ record, state }) => (
                <td key={record.id}>{materialsPerKg(state, lots)}</td>
              ))}
            </tr>
            <tr>
              <th scope="row">Cut face</th>
              {whole.map(({ record }) => (
                <td key={record.id}>
                  <Faces batchId={record.id} />
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row">What was written</th>
              {whole.map(({ record, state }) => (
                <td key={record.id} className="written">
                  {deviations(record, state).map((one) => (
                    <p key={one.entryId}>
                      <b>{say(one.said)}.</b> {one.reason}
                    </p>
                  ))}
                </td>
              ))}
            </tr>
            <tr>
              <th scope="row">Do it again</th>
              {whole.map((batch) => (
                <td key={batch.record.id}>
                  <button type="button" className="btn" onClick={() => again(batch)}>
                    Like {batch.record.code}, with changes
                  </button>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </div>
  );
}

function materialsPerKg(state: Batch['state'], lots: readonly LotResponse[]): string {
  const { packedG } = state.facts;
  const materials = materialsCost(borneLots(state), lots);
  return packedG === null || packedG <= 0 || materials === null ? '–' : money((materials.cost / packedG) * 1000);
}

/** The last pictures of a batch, small. */
function Faces({ batchId }: { batchId: string }) {
  const { data: pictures = [] } = usePictures(batchId);
  if (pictures.length === 0) return '–';
  return pictures.slice(-2).map((picture) => (
    <figure key={picture.id} className="small-face">
      <img src={pictureUrl(picture)} width={picture.width} height={picture.height} alt={`Cut face of piece ${picture.piece}`} loading="lazy" />
      {picture.reading !== null && <figcaption>{greyInWords(picture.reading.shares)}</figcaption>}
    </figure>
  ));
}

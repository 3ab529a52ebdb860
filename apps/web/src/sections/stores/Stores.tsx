import type { LotResponse } from '@bunkhouse/api';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLots } from '../../data/lots';
import { TableHead } from '../../instruments/TableHead';
import { money } from '../../shell/bookWords';
import { LOT_WORDS, lotFault, lotName } from '../../shell/lotWords';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { useNow } from '../../shell/useNow';
import { Holders } from './Holders';
import { LotForm } from './LotForm';
import { Tools } from './Tools';
import { Only } from '../../shell/Only';
import { writtenTime } from '../../shell/times';

/** What the house has: lots, with what is left of them and where they went. */
export function Stores() {
  const { data, error } = useLots();
  const preferences = usePreferences();
  const now = useNow();
  const [open, setOpen] = useState<{ id: string; what: 'change' | 'holders' } | null>(null);
  const [isWriting, setIsWriting] = useState(false);
  const day = dayjs(now).format('YYYY-MM-DD');
  const lots = [...(data ?? [])].sort((a, b) => Number(a.putAway) - Number(b.putAway));
  return (
    <div className="page stores">
      <div className="page-head">
        <div>
          <h1 className="title">Stores</h1>
          <p className="note">
            What the house has, and where it went. Refrigerators, smokers and tubs stand in the{' '}
            <Link className="lnk" to="/calendar">
              Calendar
            </Link>
            , devices that hand readings in under{' '}
            <Link className="lnk" to="/readings">
              Readings in and out
            </Link>
            .
          </p>
        </div>
        {!isWriting && (
          <Only right="plan">
            <button type="button" className="btn go" onClick={() => setIsWriting(true)}>
              A lot has come
            </button>
          </Only>
        )}
      </div>
      {error !== undefined && data === undefined && <p className="fault">The stores cannot be read just now.</p>}
      {isWriting && <LotForm lot={null} onDone={() => setIsWriting(false)} />}
      {data?.length === 0 && !isWriting && <p className="lead">No lot is written down yet. The number on a bag of cure is what a recall asks for.</p>}
      {lots.length > 0 && (
        <div className="panel table-scroll" tabIndex={0} role="region" aria-label="Lots">
          <table className="book lots">
            <TableHead
              columns={[
                'Lot',
                'What',
                'From',
                'Came',
                'Best before',
                { numbers: 'Left' },
                { numbers: 'Cost' },
                { numbers: 'Batches' },
                { aloud: 'What to do with it' },
              ]}
            />
            <tbody>
              {lots.map((lot) => (
                <Lot
                  key={lot.id}
                  lot={lot}
                  fault={lotFault(lot, day)}
                  left={inWords(Math.max(0, lot.amountG - lot.takenG), 'mass', preferences)}
                  open={open?.id === lot.id ? open.what : null}
                  onOpen={(what) => setOpen(what === null ? null : { id: lot.id, what })}
                />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <Tools />
    </div>
  );
}

function Lot({
  lot,
  fault,
  left,
  open,
  onOpen,
}: {
  lot: LotResponse;
  fault: string | null;
  left: string;
  open: 'change' | 'holders' | null;
  onOpen: (what: 'change' | 'holders' | null) => void;
}) {
  return (
    <>
      <tr className={lot.putAway ? 'put-away' : undefined}>
        <th scope="row">
          {lotName(lot)}
          {fault !== null && <b className="lot-fault"> {fault}</b>}
          {lot.putAway && <small> put away</small>}
        </th>
        <td>{LOT_WORDS[lot.kind]}</td>
        <td>{lot.supplier === '' ? '–' : lot.supplier}</td>
        <td>{writtenTime(lot.receivedOn, 'D MMM YYYY')}</td>
        <td>{lot.bestBefore === null ? '–' : writtenTime(lot.bestBefore, 'D MMM YYYY')}</td>
        <td className="n">{left}</td>
        <td className="n">{lot.price === null ? '–' : money(lot.price)}</td>
        <td className="n">{lot.batches}</td>
        <td className="lot-acts">
          <button
            type="button"
            className="lnk"
            aria-expanded={open === 'holders'}
            aria-label={`Which batches hold ${lotName(lot)}?`}
            onClick={() => onOpen(open === 'holders' ? null : 'holders')}
          >
            Which batches?
          </button>
          <Only right="plan">
            <button
              type="button"
              className="lnk"
              aria-expanded={open === 'change'}
              aria-label={`Change ${lotName(lot)}`}
              onClick={() => onOpen(open === 'change' ? null : 'change')}
            >
              Change
            </button>
          </Only>
        </td>
      </tr>
      {open !== null && (
        <tr className="lot-open">
          <td colSpan={9}>{open === 'change' ? <LotForm lot={lot} onDone={() => onOpen(null)} /> : <Holders lot={lot} />}</td>
        </tr>
      )}
    </>
  );
}

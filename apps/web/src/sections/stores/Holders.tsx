import type { LotResponse } from '@bunkhouse/api';
import { Link } from 'react-router';
import { useHolders } from '../../data/lots';
import { lotName } from '../../shell/lotWords';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';
import { writtenTime } from '../../shell/times';

const OUTCOMES = { live: 'on the rail', finished: 'packed', thrownAway: 'thrown away' } as const;

/** Which batches hold a lot: what a recall asks. */
export function Holders({ lot }: { lot: LotResponse }) {
  const { data, error } = useHolders(lot.id);
  const preferences = usePreferences();
  if (data === undefined) return <p className="note">{error === undefined ? 'Reading the logs...' : 'The logs cannot be read just now.'}</p>;
  if (data.length === 0) return <p className="note">No batch was made with {lotName(lot)}.</p>;
  return (
    <div className="holders">
      <p className="lead">
        {data.length === 1 ? '1 batch holds' : `${data.length} batches hold`} {lotName(lot)}:
      </p>
      <ul>
        {data.map(({ id, code, name, outcome, g, at, by }) => (
          <li key={id}>
            <Link className="lnk" to={`/batches/${id}`}>
              {code}
            </Link>{' '}
            {name}, {inWords(g, lot.kind === 'cure' ? 'smallMass' : 'mass', preferences)} on {writtenTime(at, 'D MMM YYYY')} by {by}: <b>{OUTCOMES[outcome]}</b>
          </li>
        ))}
      </ul>
    </div>
  );
}

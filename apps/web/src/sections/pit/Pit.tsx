import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { useBatch, useLiveBatches, type Batch } from '../../data/batches';
import { Plate } from '../../shell/glyphs';
import { Devices } from '../../shell/pit/Devices';
import { atThePit, isChilling } from '../../shell/pit/usePitWatch';
import { usePreferences } from '../../shell/preferences';
import { tagWeight } from '../../shell/quantities';
import { dayAndTime } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { Cook } from './Cook';
import { Contained } from '../../shell/Contained';

/** The pit: what is on the fire or cools now, what comes next, and the thermometers of the house. */
export function Pit() {
  const { id } = useParams();
  const { batches } = useLiveBatches();
  if (batches === undefined)
    return (
      <div className="page">
        <h1 className="title">Pit</h1>
      </div>
    );
  const here = atThePit(batches);
  const chosen = id ?? here[0]?.record.id;
  return (
    <div className="page pit">
      {here.length > 1 && <Cooks batches={here} chosen={chosen} />}
      {chosen === undefined ? (
        <NothingOn batches={batches} />
      ) : (
        <Contained part="This cook">
          <Chosen key={chosen} id={chosen} />
        </Contained>
      )}
    </div>
  );
}

/** Everything that is on the fire or in the cold, side by side. */
function Cooks({ batches, chosen }: { batches: Batch[]; chosen: string | undefined }) {
  return (
    <nav className="cooks" aria-label="On the fire and in the cold">
      {batches.map((batch) => {
        const { record } = batch;
        return (
          <Link
            key={record.id}
            to={`/pit/${record.id}`}
            className={record.id === chosen ? 'cook-tab on' : 'cook-tab'}
            aria-current={record.id === chosen ? 'page' : undefined}
          >
            <Plate station={isChilling(batch) ? 'chill' : (batch.state.station ?? 'smoke')} size={24} />
            <b>{record.code}</b>
            <span>{record.process.name}</span>
          </Link>
        );
      })}
    </nav>
  );
}

function Chosen({ id }: { id: string }) {
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return <Cook batch={batch} />;
  return (
    <Head title={error === undefined ? 'Pit' : 'No such batch'}>
      {error !== undefined && (
        <p className="lead">
          {error.message} <Link to="/pit">To the pit</Link>
        </p>
      )}
    </Head>
  );
}

const Head = ({ title, children }: { title: string; children?: ReactNode }) => (
  <>
    <h1 className="title">{title}</h1>
    {children}
  </>
);

/** Nothing burns: what comes on next, and the thermometers. */
function NothingOn({ batches }: { batches: Batch[] }) {
  const now = useNow();
  const preferences = usePreferences();
  const coming = batches
    .flatMap((batch) => {
      const on = batch.state.step('meat-on');
      return on === null || on.closing !== null ? [] : [{ batch, at: on.dueAt }];
    })
    .sort((a, b) => a.at - b.at);
  return (
    <Head title="Nothing is on the fire">
      <p className="lead">{coming.length === 0 ? 'No batch waits for the smoker.' : 'Set its program and hang the probes before the meat goes on.'}</p>
      <ol className="panel coming-on">
        {coming.map(({ batch: { record, state }, at }) => (
          <li key={record.id}>
            <Link to={`/pit/${record.id}`}>
              <Plate station={state.station ?? 'smoke'} size={24} />
              <b>{record.code}</b>
              <span>
                {record.process.name},{' '}
                {tagWeight(
                  Object.values(state.facts.greenG).reduce((a, b) => a + b, 0),
                  preferences,
                )}
              </span>
              <span className="at">{dayAndTime(at, now)}</span>
            </Link>
          </li>
        ))}
      </ol>
      <Devices />
    </Head>
  );
}

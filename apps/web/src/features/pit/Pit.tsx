import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { Title } from '../../kit/Title';
import { useBatch, useLiveBatches, type Batch } from '../../data/batches';
import { Plate } from '../../kit/glyphs';
import { Devices } from '../../acts/pit/Devices';
import { atThePit, isChilling } from '../../acts/pit/usePitWatch';
import { usePreferences } from '../../reader/preferences';
import { tagWeight } from '../../reader/quantities';
import { dayAndTime } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { Cook } from './Cook';
import { Contained } from '../../kit/Contained';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  pit: { display: 'grid', gap: '10px', alignContent: 'start', [fold.phone]: { display: 'flex', flexDirection: 'column' } },
  cooks: { display: 'flex', flexWrap: 'wrap', gap: '6px', [fold.phone]: { flexWrap: 'nowrap', overflowX: 'auto' } },
  cookTab: {
    display: 'flex',
    gap: '8px',
    alignItems: 'center',
    minHeight: '48px',
    padding: '4px 14px',
    background: t.panel,
    border: `1px solid ${t.hair}`,
    borderRadius: '3px',
    font: signed(16, 20, 500),
    color: t.ink2,
    '& b': { font: signed(18, 20, 600), color: t.ink },
    [fold.phone]: { flex: 'none', padding: '4px 10px', '& > b + span': { display: 'none' } },
  },
  cookTabOn: { borderColor: t.ink, boxShadow: `inset 0 -4px 0 ${t.ink}` },
  comingOn: {
    '& li + li': { borderTop: `1px solid ${t.hair}` },
    '& a': { display: 'grid', gridTemplateColumns: '28px 90px minmax(0, 1fr) auto', gap: '10px', alignItems: 'center', minHeight: '52px', padding: '4px 12px' },
    '& b': { font: signed(19, 22, 600) },
    [fold.phone]: { '& a': { gridTemplateColumns: '28px 76px minmax(0, 1fr)' } },
  },
  at: { font: signed(16, 20, 600), [fold.phone]: { gridColumn: '3' } },
} as const;

/** The pit: what is on the fire or cools now, what comes next, and the thermometers of the house. */
export function Pit() {
  const { id } = useParams();
  const { batches } = useLiveBatches();
  if (batches === undefined)
    return (
      <Box sx={looks.page}>
        <Title>Pit</Title>
      </Box>
    );
  const here = atThePit(batches);
  const chosen = id ?? here[0]?.record.id;
  return (
    <Box sx={[looks.page, styles.pit]}>
      {here.length > 1 && <Cooks batches={here} chosen={chosen} />}
      {chosen === undefined ? (
        <NothingOn batches={batches} />
      ) : (
        <Contained part="This cook">
          <Chosen key={chosen} id={chosen} />
        </Contained>
      )}
    </Box>
  );
}

/** Everything that is on the fire or in the cold, side by side. */
function Cooks({ batches, chosen }: { batches: Batch[]; chosen: string | undefined }) {
  return (
    <Box component="nav" sx={styles.cooks} aria-label="On the fire and in the cold">
      {batches.map((batch) => {
        const { record } = batch;
        return (
          <Box
            component={Link}
            key={record.id}
            to={`/pit/${record.id}`}
            sx={[styles.cookTab, record.id === chosen && styles.cookTabOn]}
            aria-current={record.id === chosen ? 'page' : undefined}
          >
            <Plate station={isChilling(batch) ? 'chill' : (batch.state.station ?? 'smoke')} size={24} />
            <b>{record.code}</b>
            <span>{record.process.name}</span>
          </Box>
        );
      })}
    </Box>
  );
}

function Chosen({ id }: { id: string }) {
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return <Cook batch={batch} />;
  return (
    <Head title={error === undefined ? 'Pit' : 'No such batch'}>
      {error !== undefined && (
        <Box component="p" sx={looks.lead}>
          {error.message} <Link to="/pit">To the pit</Link>
        </Box>
      )}
    </Head>
  );
}

const Head = ({ title, children }: { title: string; children?: ReactNode }) => (
  <>
    <Title>{title}</Title>
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
      <Box component="p" sx={looks.lead}>
        {coming.length === 0 ? 'No batch waits for the smoker.' : 'Set its program and hang the probes before the meat goes on.'}
      </Box>
      <Box component="ol" sx={[looks.panel, styles.comingOn]}>
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
              <Box component="span" sx={styles.at}>
                {dayAndTime(at, now)}
              </Box>
            </Link>
          </li>
        ))}
      </Box>
      <Devices />
    </Head>
  );
}

import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { Strip } from '../../kit/Strip';
import { Task } from '../../kit/Task';
import { HOUR_MS } from '@bunkhouse/core';
import type { StepState } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useLedger, useLiveBatches, type Batch } from '../../data/batches';
import { Plate } from '../../kit/glyphs';
import { usePreferences } from '../../reader/preferences';
import { RecordStep } from '../../acts/record/RecordStep';
import { clockTime, dayAndTime, span } from '../../reader/times';
import { useNow } from '../../data/useNow';
import { PitToday } from '../../acts/pit/PitToday';
import { entryTitle } from '../../reader/words/entryTitle';
import { nameHere } from '../../reader/here';
import { EmptyHouse } from './EmptyHouse';
import { BatchWords, isWalk, jobStyles, walksOf, When, type Job } from './job';
import { WalkCard } from './WalkCard';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  today: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) 300px',
    gap: '12px',
    alignItems: 'start',
    [fold.tablet]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  todayDo: { display: 'grid', gap: '10px' },
  todayHead: {
    display: 'flex',
    flexWrap: 'wrap',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    gap: '2px 12px',
    '& .MuiTypography-note': { font: signed(17, 20, 500) },
  },
  jobs: { display: 'grid', gap: '10px' },
  form: { '&:focus': { outline: 'none' } },
  jobList: {
    '& li + li': { borderTop: `1px solid ${t.hair}` },
    '& a': { display: 'grid', gridTemplateColumns: '118px 24px 1fr auto', gap: '10px', alignItems: 'center', minHeight: '50px', padding: '0 12px' },
    '& a:hover': { background: t.sunk },
    [fold.phone]: { '& a': { gridTemplateColumns: '82px 24px 1fr auto', padding: '0 10px', gap: '8px' } },
  },
  at: { font: signed(17, 20, 600) },
  doneAt: { fontWeight: 600 },
  what: { font: signed(16, 20, 500), '& b': { font: signed(18, 20, 600) }, [fold.phone]: { '& small': { display: 'none' } } },
  in: { font: signed(16, 20, 500), color: t.ink2 },
  doneToday: {
    '& li': {
      display: 'grid',
      gridTemplateColumns: '48px 1fr auto',
      gap: '8px',
      padding: '7px 12px',
      borderTop: `1px solid ${t.hair}`,
      font: signed(16, 20, 500),
    },
  },
  code: { textDecoration: 'underline', textUnderlineOffset: '3px' },
} as const;

const SOON_MS = 24 * HOUR_MS;

/** The day sheet: what is to be done over all batches, in order of time, late first. */
export function Today() {
  const { batches, failed } = useLiveBatches();
  const now = useNow();
  const [refused, setRefused] = useState<readonly string[]>([]);
  if (batches === undefined) return <Box sx={[looks.page, styles.today]}>{failed ? <NoAnswer /> : <Title>Today</Title>}</Box>;
  const jobs = batches
    .flatMap((batch): Job[] => (batch.state.next === null ? [] : [{ batch, step: batch.state.next }]))
    .sort((a, b) => a.step.dueAt - b.step.dueAt);
  const pressing = jobs
    .filter(({ step }) => step.urgency !== 'waiting')
    .sort((a, b) => Number(b.step.urgency === 'overdue') - Number(a.step.urgency === 'overdue') || a.step.dueAt - b.step.dueAt);
  const coming = jobs.filter(({ step }) => step.urgency === 'waiting');
  const soon = coming.filter(({ step }) => step.dueAt < now + SOON_MS);
  const later = coming.filter(({ step }) => step.dueAt >= now + SOON_MS);
  return (
    <Box sx={[looks.page, styles.today]}>
      <Box sx={styles.todayDo}>
        <Box sx={styles.todayHead}>
          <Title page="Today">{pressing.length === 0 ? 'Nothing is due' : 'Do now, in this order'}</Title>
          <Typography variant="note">
            {headline(pressing, soon, now)}{' '}
            <Button variant="text" component={Link} to="/day-sheet">
              Day sheet to print
            </Button>
          </Typography>
        </Box>
        {refused.map((fault) => (
          <Strip key={fault} level="caution" role="alert" word="Not logged">
            {fault}
          </Strip>
        ))}
        <Box component="ol" aria-label="Jobs to do now" sx={styles.jobs}>
          {walksOf(pressing).map((jobs, i) =>
            jobs.length > 1 ? (
              <WalkCard key="walk" jobs={jobs} first={i === 0} now={now} onRefused={setRefused} />
            ) : (
              jobs.map((job) => <JobCard key={`${job.batch.record.id}.${job.step.spec.id}`} job={job} first={i === 0} now={now} />)
            ),
          )}
        </Box>
        <PitToday batches={batches} />
        {batches.length === 0 && <EmptyHouse />}
        <JobList title="Next 24 hours" jobs={soon} now={now} />
        <JobList title="Later" jobs={later} now={now} />
      </Box>
      <DoneToday batches={batches} now={now} />
    </Box>
  );
}

const NoAnswer = () => (
  <Strip level="stop" role="alert" word="No connection">
    The house does not answer. It is asked again every few seconds.
  </Strip>
);

function headline(pressing: Job[], soon: Job[], now: number): string {
  const next = soon[0];
  if (pressing.length > 0) {
    const late = pressing.filter(({ step }) => step.urgency === 'overdue').length;
    return `${pressing.length} due${late > 0 ? `, ${late} late` : ''}`;
  }
  return next === undefined ? 'and nothing within a day' : `next ${nameHere(next.step.spec.title).toLowerCase()} in ${span(next.step.dueAt - now)}`;
}

function JobCard({ job: { batch, step }, first, now }: { job: Job; first: boolean; now: number }) {
  return (
    <Box component="li" sx={[looks.panel, jobStyles.job, step.urgency === 'overdue' && jobStyles.overdue, stationed(step.spec.station)]}>
      <Box sx={jobStyles.head}>
        <Plate station={step.spec.station} size={28} />
        <div>
          <h2>{nameHere(step.spec.title)}</h2>
          <p>
            <Button variant="text" component={Link} to={`/batches/${batch.record.id}`}>
              {batch.record.code}
            </Button>{' '}
            <BatchWords batch={batch} />
          </p>
        </div>
        <When step={step} now={now} />
      </Box>
      <Box component="p" sx={looks.task}>
        <Task spec={step.spec} process={batch.record.process} />
      </Box>
      {isWalk(step) ? (
        <RecordStep batch={batch} step={step} first={first} folded={!first} />
      ) : (
        <Lazily step={step} first={first}>
          <RecordStep batch={batch} step={step} first={first} />
        </Lazily>
      )}
    </Box>
  );
}

/** Only the first job’s form stands open; the others show their button. */
function Lazily({ step, first, children }: { step: StepState; first: boolean; children: React.ReactNode }) {
  const [open, setOpen] = useState(first);
  const [isOpened, setOpened] = useState(false);
  const form = useRef<HTMLElement>(null);
  // Whoever opened it by keys goes on in it.
  useEffect(() => {
    if (isOpened) form.current?.focus({ preventScroll: true });
  }, [isOpened]);
  if (open || first || step.spec.inputs.length === 0)
    return (
      <Box ref={form} tabIndex={-1} sx={styles.form}>
        {children}
      </Box>
    );
  return (
    <Button
      size="large"
      fullWidth
      onClick={() => {
        setOpen(true);
        setOpened(true);
      }}
    >
      {nameHere(step.spec.act)}
    </Button>
  );
}

function JobList({ title, jobs, now }: { title: string; jobs: Job[]; now: number }) {
  if (jobs.length === 0) return null;
  return (
    <Panel title={title} aside={jobs.length === 1 ? '1 job' : `${jobs.length} jobs`} sx={styles.jobList}>
      <ol>
        {jobs.map(({ batch, step }) => (
          <li key={batch.record.id}>
            <Link to={`/batches/${batch.record.id}`}>
              <Box component="span" sx={styles.at}>
                {dayAndTime(step.dueAt, now).replace('today ', '')}
              </Box>
              <Plate station={step.spec.station} />
              <Box component="span" sx={styles.what}>
                <b>{nameHere(step.spec.title)}</b> {batch.record.code} <small>{batch.record.process.name}</small>
              </Box>
              <Box component="span" sx={styles.in}>
                {span(step.dueAt - now)}
              </Box>
            </Link>
          </li>
        ))}
      </ol>
    </Panel>
  );
}

function DoneToday({ batches, now }: { batches: Batch[]; now: number }) {
  const preferences = usePreferences();
  const { data: ledger } = useLedger('');
  const done = batches
    .flatMap(({ record, state }) =>
      // What hands did: a plan that was changed is none of it.
      state.standing
        .filter((entry) => entry.kind !== 'replanned' && dayjs(entry.at).isSame(now, 'day'))
        .map((entry) => ({ record, entry, title: entryTitle(entry, (stepId) => state.steps.find(({ spec }) => spec.id === stepId)?.spec.title, preferences) })),
    )
    .sort((a, b) => b.entry.at.localeCompare(a.entry.at));
  const packed = (ledger?.rows ?? []).filter((row) => dayjs(row.endedAt).isSame(now, 'day'));
  return (
    <Panel title="Done today" aside={done.length + packed.length} sx={styles.doneToday} label="Done today">
      {done.length + packed.length === 0 && (
        <Box component="p" sx={looks.empty}>
          Nothing is logged yet today.
        </Box>
      )}
      <ol>
        {packed.map((row) => (
          <li key={row.id}>
            <Box component="span" sx={styles.doneAt}>
              {clockTime(row.endedAt)}
            </Box>
            <span>
              <b>{row.outcome === 'finished' ? 'Packed' : 'Thrown away'}</b> <Link to={`/batches/${row.id}`}>{row.code}</Link>
            </span>
          </li>
        ))}
        {done.map(({ record, entry, title }) => (
          <li key={entry.id}>
            <Box component="span" sx={styles.doneAt}>
              {clockTime(entry.at)}
            </Box>
            <span>
              <b>{title}</b>{' '}
              <Box component={Link} sx={styles.code} to={`/batches/${record.id}`}>
                {record.code}
              </Box>
            </span>
            <small>{entry.by}</small>
          </li>
        ))}
      </ol>
    </Panel>
  );
}

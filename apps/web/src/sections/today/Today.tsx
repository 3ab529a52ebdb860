import { Task } from '../../shell/Task';
import { HOUR_MS } from '@bunkhouse/core';
import type { StandingEntry, StepState } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLedger, useLiveBatches, type Batch } from '../../data/batches';
import { Glyph, Plate } from '../../shell/glyphs';
import { LOT_WORDS } from '../../shell/lotWords';
import { usePreferences, type Preferences } from '../../shell/preferences';
import { tagWeight } from '../../shell/quantities';
import { RecordStep } from '../../shell/record/RecordStep';
import { clockTime, dayAndTime, span } from '../../shell/times';
import { useNow } from '../../shell/useNow';
import { PitToday } from '../../shell/pit/PitToday';
import { pitEventTitle } from '../../shell/pit/eventTitle';
import { nameHere } from '../../shell/here';

interface Job {
  batch: Batch;
  step: StepState;
}

const SOON_MS = 24 * HOUR_MS;

/** The day sheet: what is to be done over all batches, in order of time, late first. */
export function Today() {
  const { batches, failed } = useLiveBatches();
  const now = useNow();
  if (batches === undefined) return <div className="page today">{failed ? <NoAnswer /> : <h1 className="title">Today</h1>}</div>;
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
    <div className="page today">
      <div className="today-do">
        <div className="today-head">
          <h1 className="title">{pressing.length === 0 ? 'Nothing is due' : 'Do now, in this order'}</h1>
          <p className="note">
            {headline(pressing, soon, now)}{' '}
            <Link className="lnk" to="/day-sheet">
              Day sheet to print
            </Link>
          </p>
        </div>
        <ol className="jobs">
          {pressing.map((job, i) => (
            <JobCard key={`${job.batch.record.id}.${job.step.spec.id}`} job={job} first={i === 0} now={now} />
          ))}
        </ol>
        <PitToday batches={batches} />
        {batches.length === 0 && (
          <p className="lead">
            No batch hangs on the rail. <Link to="/new">Start one</Link>.
          </p>
        )}
        <JobList title="Next 24 hours" jobs={soon} now={now} />
        <JobList title="Later" jobs={later} now={now} />
      </div>
      <DoneToday batches={batches} now={now} />
    </div>
  );
}

const NoAnswer = () => (
  <div className="strip danger" role="alert">
    <span className="w">
      <Glyph name="danger" size={22} />
      No connection
    </span>
    <p>The house does not answer. It is asked again every few seconds.</p>
  </div>
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
  const late = step.urgency === 'overdue';
  return (
    <li className={`panel job ${step.urgency} is-${step.spec.station}`}>
      <div className="job-head">
        <Plate station={step.spec.station} size={28} />
        <div>
          <h2>{nameHere(step.spec.title)}</h2>
          <p>
            <Link className="lnk" to={`/batches/${batch.record.id}`}>
              {batch.record.code}
            </Link>{' '}
            <BatchWords batch={batch} />
          </p>
        </div>
        <p className={`job-when${late ? ' late' : ''}`}>
          {late ? (
            <>
              <b>{span(now - step.dueAt)} late</b>
              <span>due {dayAndTime(step.dueAt, now)}</span>
            </>
          ) : (
            <b className="flag">now</b>
          )}
        </p>
      </div>
      <p className="task">
        <Task spec={step.spec} process={batch.record.process} />
      </p>
      <Lazily step={step} first={first}>
        <RecordStep batch={batch} step={step} first={first} />
      </Lazily>
    </li>
  );
}

/** Only the first job’s form stands open; the others show their button. */
function Lazily({ step, first, children }: { step: StepState; first: boolean; children: React.ReactNode }) {
  const [open, setOpen] = useState(first);
  if (open || first || step.spec.inputs.length === 0) return children;
  return (
    <button type="button" className="btn xl wide" onClick={() => setOpen(true)}>
      {nameHere(step.spec.act)}
    </button>
  );
}

function BatchWords({ batch }: { batch: Batch }) {
  const preferences = usePreferences();
  const green = Object.values(batch.state.facts.greenG).reduce((a, b) => a + b, 0);
  return (
    <>
      {batch.record.process.name}, {tagWeight(green, preferences)}
    </>
  );
}

function JobList({ title, jobs, now }: { title: string; jobs: Job[]; now: number }) {
  if (jobs.length === 0) return null;
  return (
    <section className="panel job-list">
      <div className="ph">
        <h2>{title}</h2>
        <span className="aside">{jobs.length === 1 ? '1 job' : `${jobs.length} jobs`}</span>
      </div>
      <ol>
        {jobs.map(({ batch, step }) => (
          <li key={batch.record.id}>
            <Link to={`/batches/${batch.record.id}`}>
              <span className="at">{dayAndTime(step.dueAt, now).replace('today ', '')}</span>
              <Plate station={step.spec.station} />
              <span className="what">
                <b>{nameHere(step.spec.title)}</b> {batch.record.code} <small>{batch.record.process.name}</small>
              </span>
              <span className="in">{span(step.dueAt - now)}</span>
            </Link>
          </li>
        ))}
      </ol>
    </section>
  );
}

function DoneToday({ batches, now }: { batches: Batch[]; now: number }) {
  const preferences = usePreferences();
  const { data: ledger } = useLedger('');
  const done = batches
    .flatMap(({ record, state }) =>
      state.standing.filter((entry) => dayjs(entry.at).isSame(now, 'day')).map((entry) => ({ record, entry, title: titleOf(entry, state.steps, preferences) })),
    )
    .sort((a, b) => b.entry.at.localeCompare(a.entry.at));
  const packed = (ledger?.rows ?? []).filter((row) => dayjs(row.endedAt).isSame(now, 'day'));
  return (
    <section className="panel done-today" aria-label="Done today">
      <div className="ph">
        <h2>Done today</h2>
        <span className="aside">{done.length + packed.length}</span>
      </div>
      {done.length + packed.length === 0 && <p className="empty">Nothing is logged yet today.</p>}
      <ol>
        {packed.map((row) => (
          <li key={row.id}>
            <span className="at">{clockTime(row.endedAt)}</span>
            <span>
              <b>{row.outcome === 'finished' ? 'Packed' : 'Thrown away'}</b> <Link to={`/batches/${row.id}`}>{row.code}</Link>
            </span>
          </li>
        ))}
        {done.map(({ record, entry, title }) => (
          <li key={entry.id}>
            <span className="at">{clockTime(entry.at)}</span>
            <span>
              <b>{title}</b>{' '}
              <Link className="code" to={`/batches/${record.id}`}>
                {record.code}
              </Link>
            </span>
            <small>{entry.by}</small>
          </li>
        ))}
      </ol>
    </section>
  );
}

function titleOf(entry: StandingEntry, steps: StepState[], shown: Preferences): string {
  if (entry.kind === 'ended') return 'Thrown away';
  if (entry.kind === 'replanned') return 'New plan';
  if (entry.kind === 'pit') return pitEventTitle(entry.event, shown);
  if (entry.kind === 'lot') return `${LOT_WORDS[entry.draw.of]} from a lot`;
  if (entry.kind === 'pieces') return `Piece ${entry.event.piece} ${entry.event.act === 'split' ? 'cut in two' : entry.event.act}`;
  const title = nameHere(steps.find((step) => step.spec.id === entry.stepId)?.spec.title ?? entry.stepId);
  return entry.kind === 'skipped' ? `${title}, left out` : title;
}

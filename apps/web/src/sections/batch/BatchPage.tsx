import { Task } from '../../shell/Task';
import { isByTheClock, STATION_NAMES, type Process, type StepState, DAY_MS } from '@bunkhouse/core';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useBatch, type Batch } from '../../data/batches';
import { BrineSheet } from '../../instruments/BrineSheet';
import { FindingStrip } from '../../instruments/FindingStrip';
import { NitriteGauge } from '../../instruments/NitriteGauge';
import { PumpPanel } from '../../instruments/PumpPanel';
import { Readings } from '../../instruments/Readings';
import { Contained } from '../../shell/Contained';
import { benchOfBatch } from '../../shell/benchAddress';
import { Plate } from '../../shell/glyphs';
import { usePreferences } from '../../shell/preferences';
import { digits, tagWeight, fewDigits } from '../../shell/quantities';
import { RecordStep } from '../../shell/record/RecordStep';
import { dayAndTime, span } from '../../shell/times';
import { useNeedles } from '../../shell/useNeedles';
import { useNow } from '../../shell/useNow';
import { LeaveOut } from './LeaveOut';
import { LogPanel } from './LogPanel';
import { LotsPanel } from './LotsPanel';
import { PicturesPanel } from './PicturesPanel';
import { PiecesPanel } from './PiecesPanel';
import { Ticket } from './Ticket';
import { nameHere } from '../../shell/here';

/** Drawn once the rest stands: it brings a worker with it. */
const CurePanel = lazy(async () => ({ default: (await import('./cure/CurePanel')).CurePanel }));

const PullCheck = lazy(async () => ({ default: (await import('./cure/PullCheck')).PullCheck }));
const ColdPanel = lazy(async () => ({ default: (await import('../../shell/pit/ColdPanel')).ColdPanel }));
const BatchChill = lazy(async () => ({ default: (await import('./BatchChill')).BatchChill }));
const Verdicts = lazy(async () => ({ default: (await import('./Verdicts')).Verdicts }));
const CutFaceField = lazy(async () => ({ default: (await import('./cure/CutFaceField')).CutFaceField }));

/** Stations at which salt is still on its way. */
const SALT_MOVES: readonly (string | null)[] = ['prep', 'cure', 'soak', 'dry'];

/** Stations at which the pit has something to show, or to be set. */
const PIT_STATIONS: readonly string[] = ['dry', 'smoke', 'cook', 'chill'];

/** One batch: its ticket, the present step, and every figure that follows. */
export function BatchPage() {
  const { id = '' } = useParams();
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return <WholeBatch key={id} batch={batch} />;
  return (
    <div className="page">
      <h1 className="title">{error === undefined ? 'Batch' : 'No such batch'}</h1>
      {error !== undefined && (
        <p className="lead">
          {error.message} <Link to="/">Go to Today</Link>
        </p>
      )}
    </div>
  );
}

function WholeBatch({ batch }: { batch: Batch }) {
  const { state } = batch;
  const now = useNow();
  const [chosenId, setChosenId] = useState<string>();
  // Counts what was logged here: the next step then takes the keyboard.
  const [logged, setLogged] = useState(0);
  const chosen = state.steps.find((step) => step.spec.id === chosenId && step.closing === null);
  const step = chosen ?? state.next;
  const { figures } = state;
  const needles = useNeedles();
  const chilling = state.closing('core') !== null && state.outcome !== 'thrownAway';
  const judged = state.closing('pull') !== null && state.outcome !== 'thrownAway';
  return (
    <div className="page batch">
      <Ticket state={state} now={now} chosen={chosen?.spec.id} onChoose={setChosenId} />
      <div className="batch-main">
        <BatchHead batch={batch} now={now} />
        {state.findings.map((finding) => (
          <FindingStrip key={finding.code} finding={finding} />
        ))}
        {step !== null && (
          <PresentStep
            key={step.spec.id}
            batch={batch}
            step={step}
            now={now}
            arrived={logged > 0}
            onDone={() => {
              setChosenId(undefined);
              setLogged(logged + 1);
            }}
          />
        )}
        {SALT_MOVES.includes(state.station) && (
          <Contained part="The section">
            <Suspense fallback={null}>
              <CurePanel batch={batch} now={now} />
            </Suspense>
          </Contained>
        )}
        {judged && (
          <Contained part="What each piece has shown">
            <Suspense fallback={null}>
              <Verdicts batch={batch} />
            </Suspense>
          </Contained>
        )}
        {chilling && (
          <Contained part="The chill">
            <Suspense fallback={null}>
              <BatchChill batch={batch} />
            </Suspense>
          </Contained>
        )}
        <Contained part="The cold">
          <Suspense fallback={null}>
            <ColdPanel batch={batch} />
          </Suspense>
        </Contained>
        <NitriteGauge
          nitrite={figures.nitrite}
          target={state.design.nitritePpm}
          ruleSet={state.design.ruleSet}
          weighed={state.facts.brines.some((brine) => brine.weighed)}
        />
        <div className="figures">
          {figures.brines.map((brine) => (
            <BrineSheet key={brine.brine.id} figures={brine} design={state.design} process={batch.record.process} facts={state.facts} />
          ))}
          {figures.pump.length > 0 && <PumpPanel pump={figures.pump} school={state.design.school} pieces={state.design.pieces} needles={needles} />}
          <Readings figures={figures} facts={state.facts} />
        </div>
        <Contained part="The pieces">
          <PiecesPanel batch={batch} />
        </Contained>
        <Contained part="The lots">
          <LotsPanel batch={batch} />
        </Contained>
        <Contained part="The pictures">
          <PicturesPanel batch={batch} />
        </Contained>
        <nav className="paper-links" aria-label="On paper">
          <span className="label">On paper</span>
          <Link className="lnk" to={`/batches/${batch.record.id}/record`}>
            Batch record
          </Link>
          <Link className="lnk" to={`/batches/${batch.record.id}/mixing-card`}>
            Mixing card
          </Link>
          <Link className="lnk" to={`/batches/${batch.record.id}/labels`}>
            Labels
          </Link>
          <a className="lnk" href={`/api/exchange/batches/${batch.record.id}`} download>
            As a file
          </a>
        </nav>
        <Contained part="The log">
          <LogPanel batch={batch} />
        </Contained>
      </div>
    </div>
  );
}

/** The recipe by its name, with the version that this batch keeps. */
function RecipeOf({ process: { name, recipe } }: { process: Process }) {
  if (recipe === undefined) return name;
  return (
    <Link className="lnk" to={`/recipes/${recipe.id}`}>
      {name}, version {recipe.version}
    </Link>
  );
}

function BatchHead({ batch: { record, state }, now }: { batch: Batch; now: number }) {
  const preferences = usePreferences();
  const green = Object.values(state.facts.keptGreenG).reduce((a, b) => a + b, 0);
  const { station, next, outcome, endedAt } = state;
  return (
    <div className="batch-head">
      <div>
        <h1 className="title">{record.code}</h1>
        <p>
          <RecipeOf process={record.process} />, {tagWeight(green, preferences)} green,{' '}
          {isByTheClock(state.design.school)
            ? 'strong pickle, by the clock'
            : state.design.school.kind === 'equilibrium'
              ? 'by equilibrium'
              : 'pumped and covered'}
        </p>
      </div>
      {state.station !== null && PIT_STATIONS.includes(state.station) && (
        <Link className="lnk bench-link" to={`/pit/${record.id}`}>
          At the pit
        </Link>
      )}
      <Link className="lnk bench-link" to={benchOfBatch({ id: record.id, code: record.code, design: state.design })}>
        Its sheet on the Bench
      </Link>
      {station !== null && next !== null ? (
        <div className="batch-station">
          <Plate station={station} size={28} />
          <div>
            <b>
              {STATION_NAMES[station]}
              {station === 'cure' && cureDay(state, state.design.cureDays, now)}
            </b>
            <span>
              {nameHere(next.spec.title)} {dayAndTime(next.dueAt, now)}
            </span>
          </div>
        </div>
      ) : (
        <div className="batch-station">
          <div>
            <b>{outcome === 'finished' ? 'Packed' : 'Thrown away'}</b>
            <span>{endedAt === null ? '' : dayAndTime(endedAt, now)}</span>
          </div>
        </div>
      )}
    </div>
  );
}

function cureDay(state: Batch['state'], days: number, now: number): string {
  const meatInAt = state.closedAt('meat-in');
  return meatInAt === null ? '' : `, day ${digits((now - meatInAt) / DAY_MS, 1)} of ${fewDigits(days, 1)}`;
}

function PresentStep({ batch, step, now, arrived, onDone }: { batch: Batch; step: StepState; now: number; arrived: boolean; onDone: () => void }) {
  const { spec, urgency } = step;
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (arrived) heading.current?.focus({ preventScroll: true });
  }, [arrived]);
  return (
    <section className={`panel present is-${spec.station} ${urgency}`} aria-label={`Next: ${nameHere(spec.title)}`}>
      <div className="present-head">
        <h2 ref={heading} tabIndex={-1}>
          {nameHere(spec.title)}
        </h2>
        <span className="aside">
          {urgency === 'overdue'
            ? `${span(now - step.dueAt)} late`
            : urgency === 'due'
              ? 'due now'
              : `${dayAndTime(step.dueAt, now)}, in ${span(step.dueAt - now)}`}
        </span>
      </div>
      <p className="task">
        <Task spec={spec} process={batch.record.process} />
      </p>
      {step.looks.map((look) => (
        <p key={look.id} className="note look">
          Looked {dayAndTime(look.at, now)}: not ready yet.
        </p>
      ))}
      {spec.id === 'pull' && (
        <Suspense fallback={null}>
          <PullCheck batch={batch} now={now} />
        </Suspense>
      )}
      <RecordStep
        batch={batch}
        step={step}
        first
        onDone={onDone}
        drawn={({ name, ...field }) => (
          <Suspense fallback={null}>
            <CutFaceField batch={batch} code={name.split(':')[1] ?? 'A'} {...field} />
          </Suspense>
        )}
      />
      {spec.skippable && <LeaveOut batch={batch} stepId={spec.id} title={nameHere(spec.title)} />}
    </section>
  );
}

import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Title } from '../../kit/Title';
import { Task } from '../../kit/Task';
import { mayBeLeftOut, type StepState } from '@bunkhouse/core';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useBatch, type Batch } from '../../data/batches';
import { BrineSheet } from '../../charts/BrineSheet';
import { FindingStrip } from '../../kit/FindingStrip';
import { NitriteGauge } from '../../charts/NitriteGauge';
import { PumpPanel } from '../../charts/PumpPanel';
import { Readings } from '../../kit/Readings';
import { Contained } from '../../kit/Contained';
import { isOnFire } from '../../acts/pit/usePitWatch';
import { RecordStep } from '../../acts/record/RecordStep';
import { dayAndTime, span } from '../../reader/times';
import { useNeedles } from '../../acts/useNeedles';
import { useNow } from '../../data/useNow';
import { BatchHead } from './BatchHead';
import { GoApart } from './GoApart';
import { OtherAct } from './OtherAct';
import { LeaveOut } from './LeaveOut';
import { LogPanel } from './LogPanel';
import { LotsPanel } from './LotsPanel';
import { PicturesPanel } from './PicturesPanel';
import { PiecesPanel } from './PiecesPanel';
import { Answer, Questions } from './Questions';
import { Ticket } from './Ticket';
import { VesselsPanel } from './VesselsPanel';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  present: {
    borderLeft: '6px solid var(--st)',
    padding: '12px 14px 14px',
    display: 'grid',
    gap: '10px',
    justifyItems: 'stretch',
    '& > .MuiButton-text': { justifySelf: 'start', marginTop: '4px' },
  },
  batch: {
    display: 'grid',
    gridTemplateColumns: '330px minmax(0, 1fr)',
    gap: '12px',
    alignItems: 'start',
    [fold.tablet]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  batchMain: { display: 'grid', gap: '10px' },
  paperLinks: { display: 'flex', flexWrap: 'wrap', gap: '0 18px', alignItems: 'center', padding: '4px 2px' },
  presentOverdue: { borderColor: t.danger.main },
  beside: { display: 'flex', flexWrap: 'wrap', gap: '6px 22px', '& > form': { flex: '1 0 100%' } },
  presentHead: {
    display: 'flex',
    flexWrap: 'wrap',
    justifyContent: 'space-between',
    alignItems: 'baseline',
    gap: '4px 12px',
    '& h2': { font: signed(28, 30, 600) },
    '& h2:focus': { outline: 'none !important', boxShadow: 'none' },
  },
  aside: { fontSize: '18px', color: t.ink2 },
  asideOverdue: { color: t.danger.ink, fontWeight: 600 },
} as const;

/** Drawn once the rest stands: it brings a worker with it. */
const CurePanel = lazy(async () => ({ default: (await import('./cure/CurePanel')).CurePanel }));

const PullCheck = lazy(async () => ({ default: (await import('./cure/PullCheck')).PullCheck }));
const ColdPanel = lazy(async () => ({ default: (await import('../../acts/pit/ColdPanel')).ColdPanel }));
const BatchChill = lazy(async () => ({ default: (await import('./BatchChill')).BatchChill }));
const Verdicts = lazy(async () => ({ default: (await import('./Verdicts')).Verdicts }));
const CutFaceField = lazy(async () => ({ default: (await import('./cure/CutFaceField')).CutFaceField }));

/** Stations at which salt is still on its way. */
const SALT_MOVES: readonly (string | null)[] = ['prep', 'cure', 'soak', 'dry'];

/** One batch: its ticket, the present step, and every figure that follows. */
export function BatchPage() {
  const { id = '' } = useParams();
  const { batch, error } = useBatch(id);
  if (batch !== undefined) return <WholeBatch key={id} batch={batch} />;
  return (
    <Box sx={looks.page}>
      <Title>{error === undefined ? 'Batch' : 'No such batch'}</Title>
      {error !== undefined && (
        <Box component="p" sx={looks.lead}>
          {error.message} <Link to="/">Go to Today</Link>
        </Box>
      )}
    </Box>
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
  const saltMoves = SALT_MOVES.includes(state.station);
  const judged = state.closing('pull') !== null && state.outcome !== 'thrownAway';
  return (
    <Box sx={[looks.page, styles.batch]}>
      <Ticket state={state} now={now} chosen={chosen?.spec.id} onChoose={setChosenId} />
      <Box sx={styles.batchMain}>
        <BatchHead batch={batch} now={now} />
        <Questions
          asked={[
            ...(step === null ? [] : (['now'] as const)),
            ...(saltMoves || judged ? (['inside'] as const) : []),
            ...(state.closing('meat-in') === null ? [] : (['cold'] as const)),
            'brine',
            'pieces',
            'papers',
            'log',
          ]}
          elsewhere={isOnFire(batch) ? [{ to: `/pit/${batch.record.id}`, word: 'Fire' }] : []}
        />
        {state.findings.map((finding) => (
          <FindingStrip key={finding.code} finding={finding} />
        ))}
        {step !== null && (
          <Answer to="now">
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
          </Answer>
        )}
        <Answer to="inside">
          {saltMoves && (
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
        </Answer>
        <Answer to="cold">
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
        </Answer>
        <Answer to="brine">
          <NitriteGauge
            nitrite={figures.nitrite}
            target={state.design.nitritePpm}
            ruleSet={state.design.ruleSet}
            weighed={state.facts.brines.some((brine) => brine.weighed)}
          />
          <Box sx={looks.figures}>
            {state.facts.brines.map((brine) => (
              <BrineSheet
                key={brine.id}
                brine={brine}
                figures={figures.brines.find((of) => of.brine.id === brine.id)}
                design={state.design}
                process={batch.record.process}
                facts={state.facts}
              />
            ))}
            {figures.pump.length > 0 && <PumpPanel pump={figures.pump} school={state.design.school} pieces={state.design.pieces} needles={needles} />}
            <Readings figures={figures} facts={state.facts} />
          </Box>
          <Contained part="The tubs">
            <VesselsPanel batch={batch} />
          </Contained>
          <Contained part="The lots">
            <LotsPanel batch={batch} />
          </Contained>
        </Answer>
        <Answer to="pieces">
          <Contained part="The pieces">
            <PiecesPanel batch={batch} />
          </Contained>
          <Contained part="The pictures">
            <PicturesPanel batch={batch} />
          </Contained>
        </Answer>
        <Answer to="papers">
          <Box component="nav" sx={styles.paperLinks} aria-label="On paper">
            <Typography variant="label">On paper</Typography>
            <Button variant="text" component={Link} to={`/batches/${batch.record.id}/record`}>
              Batch record
            </Button>
            <Button variant="text" component={Link} to={`/batches/${batch.record.id}/mixing-card`}>
              Mixing card
            </Button>
            <Button variant="text" component={Link} to={`/batches/${batch.record.id}/labels`}>
              Labels
            </Button>
            <Button variant="text" href={`/api/exchange/batches/${batch.record.id}`} download>
              As a file
            </Button>
          </Box>
        </Answer>
        <Answer to="log">
          <Contained part="The log">
            <LogPanel batch={batch} />
          </Contained>
        </Answer>
      </Box>
    </Box>
  );
}

function PresentStep({ batch, step, now, arrived, onDone }: { batch: Batch; step: StepState; now: number; arrived: boolean; onDone: () => void }) {
  const { spec, urgency } = step;
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    if (arrived) heading.current?.focus({ preventScroll: true });
  }, [arrived]);
  return (
    <Box
      component="section"
      sx={[looks.panel, styles.present, urgency === 'overdue' && styles.presentOverdue, stationed(spec.station)]}
      aria-label={`Next: ${nameHere(spec.title)}`}
    >
      <Box sx={styles.presentHead}>
        <h2 ref={heading} tabIndex={-1}>
          {nameHere(spec.title)}
        </h2>
        <Box component="span" sx={[looks.aside, styles.aside, urgency === 'overdue' && styles.asideOverdue]}>
          {urgency === 'overdue'
            ? `${span(now - step.dueAt)} late`
            : urgency === 'due'
              ? 'due now'
              : `${dayAndTime(step.dueAt, now)}, in ${span(step.dueAt - now)}`}
        </Box>
      </Box>
      <Box component="p" sx={looks.task}>
        <Task spec={spec} process={batch.record.process} />
      </Box>
      {step.looks.map((look) => (
        <Typography key={look.id} variant="note">
          Looked {dayAndTime(look.at, now)}: not ready yet.
        </Typography>
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
      <Box sx={styles.beside}>
        <OtherAct batch={batch} />
        <GoApart batch={batch} />
        {mayBeLeftOut(spec) && <LeaveOut batch={batch} stepId={spec.id} title={nameHere(spec.title)} />}
      </Box>
    </Box>
  );
}

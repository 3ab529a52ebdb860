import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { paired } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { GuideLink } from '../../kit/GuideLink';
import { useProcess } from './useProcess';
import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { type BatchState, COLOURED_PPM, cureCourse, daysOf, type Diffusivity, HANDBOOK_DIFFUSIVITY } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLearnt } from '../../data/learnt';
import { CureCurve, type Ghost } from '../../charts/CureCurve';
import { Hero } from '../../kit/Hero';
import { PullDays, windowWords } from '../../charts/PullDays';
import { SALT_STEPS, SectionPicture } from '../../charts/SectionPicture';
import { Choice } from '../../kit/Choice';
import { digits } from '../../reader/quantities';
import { useSection } from '../../workers/useSection';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  forecastIn: {
    display: 'grid',
    gridTemplateColumns: 'minmax(140px, 200px) minmax(0, 1fr)',
    gap: '16px',
    padding: '12px',
    alignItems: 'center',
    '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { margin: '0 10px 8px 0' },
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  forecastSpeed: { padding: '0 12px 12px', display: 'grid', gap: '6px' },
  forecastCurve: { padding: '0 12px 12px' },
} as const;

const PPM_PER_PERCENT = 1e4;
/** Days are taken to the half. */
const HALVES = 2;

/** A plan that was held: change anything in the form, and the two stand side by side. */
interface Held {
  days: number;
  core: number;
  mean: number;
  evenDays: number | null;
  curve: Ghost;
}

/** What the planned days leave in the middle, by the model, and the days that would make it even. */
export function PullForecast({
  request,
  state,
  onDays,
  onDiffusivity,
}: {
  request: BatchRequest;
  state: BatchState;
  onDays: (days: number) => void;
  onDiffusivity: (diffusivity: Diffusivity | undefined) => void;
}) {
  const learnt = useLearnt();
  const process = useProcess(request);
  const course = useMemo(() => cureCourse({ id: '', code: '', design: toDesign(request), process, entries: [] }, state, 'A'), [request, state, process]);
  const { answer, fault, stale } = useSection(course);
  const [held, setHeld] = useState<Held | null>(null);
  if (answer === null) return fault === null ? null : <Typography variant="fault">{fault}</Typography>;
  const { salt, nitrite, windows } = answer;
  const window = windows.likely;
  const found = salt.timesH.findIndex((h) => h >= course.pullH - 1e-6);
  const at = found < 0 ? salt.timesH.length - 1 : found;
  const size = answer.width * answer.height;
  const days = daysOf(process.cureDays, request.school);
  const isPumped = request.school === 'pumpAndCover' || request.school === 'pumpSame';
  const evenDays = window.bestH === null ? null : Math.ceil(((window.bestH - (course.pullH - request.cureDays * 24)) / 24) * HALVES) / HALVES;
  const offered = request.school === 'equilibrium' && evenDays !== null && evenDays > request.cureDays && evenDays <= 60 ? evenDays : null;
  return (
    <Panel
      title={<>At the pull, day {digits(request.cureDays, 1)}</>}
      aside={
        <>
          {stale ? 'computing' : 'modelled, not measured'} <GuideLink to="pull" of="The pull" />
        </>
      }
      label="At the pull"
    >
      <Box sx={styles.forecastIn}>
        <SectionPicture
          section={course.section}
          width={answer.width}
          height={answer.height}
          cellMm={answer.cellMm}
          field={salt.fields.subarray(at * size, (at + 1) * size)}
          steps={SALT_STEPS}
          species="salt"
          coloured={{ field: nitrite.fields.subarray(at * size, (at + 1) * size), from: COLOURED_PPM / PPM_PER_PERCENT }}
          label={`Section at the pull: core ${digits(salt.core[at] ?? 0, 2)} % salt, mean ${digits(salt.mean[at] ?? 0, 2)}`}
        />
        <div>
          <Box sx={paired}>
            <Hero size="md" label="Core" value={digits(salt.core[at] ?? 0, 2)} unit="% salt" />
            <Hero size="md" label="Mean" value={digits(salt.mean[at] ?? 0, 2)} unit="% salt" />
          </Box>
          <Box component="p" sx={looks.lead}>
            {windowWords(window, course.pullH, isPumped)}
          </Box>
          <PullDays windows={windows} days={days} isPumped={isPumped} />
          {held !== null && (
            <Typography variant="note">
              Held to compare, pale: {held.days} days, core {digits(held.core, 2)} %, mean {digits(held.mean, 2)} %,{' '}
              {held.evenDays === null ? 'not even within 60 days' : `even from day ${digits(held.evenDays, 1)}`}.
            </Typography>
          )}
          {offered !== null && <Button onClick={() => onDays(offered)}>Take {digits(offered, 1)} days: even by then</Button>}
          <Button
            variant="quiet"
            onClick={() =>
              setHeld(
                held === null
                  ? {
                      days: request.cureDays,
                      core: salt.core[at] ?? 0,
                      mean: salt.mean[at] ?? 0,
                      evenDays: window.bestH === null ? null : window.bestH / 24,
                      curve: { timesH: salt.timesH, core: salt.core, mean: salt.mean },
                    }
                  : null,
              )
            }
          >
            {held === null ? 'Hold this to compare' : 'Let the held one go'}
          </Button>
        </div>
      </Box>
      {learnt !== undefined && learnt.diffusivity.cutFaces > 0 && (
        <Box sx={styles.forecastSpeed}>
          <Choice
            label="How fast brine moves"
            value={request.diffusivity === undefined ? 'handbook' : 'house'}
            options={{
              house: `As this house has cut it, ${digits((request.diffusivity ?? learnt.diffusivity).value * 1e10, 1)}`,
              handbook: `As is usual, ${digits(HANDBOOK_DIFFUSIVITY.value * 1e10, 1)}`,
            }}
            onChange={(chosen) => onDiffusivity(chosen === 'house' ? learnt.diffusivity : undefined)}
          />
          <Typography variant="note">
            × 10⁻¹⁰ m²/s, from {learnt.diffusivity.cutFaces} cut faces.{' '}
            <Button variant="text" component={Link} to="/learnt">
              See which
            </Button>
            .
          </Typography>
        </Box>
      )}
      <Box sx={styles.forecastCurve}>
        <CureCurve
          timesH={salt.timesH}
          core={salt.core}
          mean={salt.mean}
          edge={salt.edge}
          unit="% salt"
          marks={course.marks}
          windows={windows}
          isPumped={isPumped}
          rules={[
            { days: days.shortest, name: 'shortest' },
            { days: days.usual, name: 'usual' },
            { days: days.longest, name: 'longest' },
          ]}
          pullH={course.pullH}
          nowH={0}
          atH={course.pullH}
          ghost={held?.curve}
        />
      </Box>
    </Panel>
  );
}

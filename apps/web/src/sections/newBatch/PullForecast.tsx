import { GuideLink } from '../../shell/GuideLink';
import { useProcess } from './useProcess';
import { toDesign, type BatchRequest } from '@bunkhouse/api';
import { COLOURED_PPM, cureCourse, HANDBOOK_DIFFUSIVITY, type BatchState, type Diffusivity } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLearnt } from '../../data/learnt';
import { CureCurve, type Ghost } from '../../instruments/CureCurve';
import { Hero } from '../../instruments/Hero';
import { PullDays, windowWords } from '../../instruments/PullDays';
import { SALT_STEPS, SectionPicture } from '../../instruments/SectionPicture';
import { Choice } from '../../shell/Choice';
import { digits } from '../../shell/quantities';
import { useSection } from '../../workers/useSection';

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
  if (answer === null) return fault === null ? null : <p className="fault">{fault}</p>;
  const { salt, nitrite, windows } = answer;
  const window = windows.likely;
  const found = salt.timesH.findIndex((h) => h >= course.pullH - 1e-6);
  const at = found < 0 ? salt.timesH.length - 1 : found;
  const size = answer.width * answer.height;
  const days = process.cureDays[request.school];
  const evenDays = window.bestH === null ? null : Math.ceil(((window.bestH - (course.pullH - request.cureDays * 24)) / 24) * HALVES) / HALVES;
  const offered = request.school === 'equilibrium' && evenDays !== null && evenDays > request.cureDays && evenDays <= 60 ? evenDays : null;
  return (
    <section className="panel forecast" aria-label="At the pull">
      <div className="ph">
        <h2>At the pull, day {digits(request.cureDays, 1)}</h2>
        <span className="aside">
          {stale ? 'computing' : 'modelled, not measured'} <GuideLink to="pull" of="The pull" />
        </span>
      </div>
      <div className="forecast-in">
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
          <div className="pair">
            <Hero size="md" label="Core" value={digits(salt.core[at] ?? 0, 2)} unit="% salt" />
            <Hero size="md" label="Mean" value={digits(salt.mean[at] ?? 0, 2)} unit="% salt" />
          </div>
          <p className="lead">{windowWords(window, course.pullH)}</p>
          <PullDays windows={windows} days={days} />
          {held !== null && (
            <p className="note">
              Held to compare, pale: {held.days} days, core {digits(held.core, 2)} %, mean {digits(held.mean, 2)} %,{' '}
              {held.evenDays === null ? 'not even within 60 days' : `even from day ${digits(held.evenDays, 1)}`}.
            </p>
          )}
          {offered !== null && (
            <button type="button" className="btn" onClick={() => onDays(offered)}>
              Take {digits(offered, 1)} days: even by then
            </button>
          )}
          <button
            type="button"
            className="btn quiet"
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
          </button>
        </div>
      </div>
      {learnt !== undefined && learnt.diffusivity.cutFaces > 0 && (
        <div className="forecast-speed">
          <Choice
            label="How fast brine moves"
            value={request.diffusivity === undefined ? 'handbook' : 'house'}
            options={{
              house: `As this house has cut it, ${digits((request.diffusivity ?? learnt.diffusivity).value * 1e10, 1)}`,
              handbook: `As is usual, ${digits(HANDBOOK_DIFFUSIVITY.value * 1e10, 1)}`,
            }}
            onChange={(chosen) => onDiffusivity(chosen === 'house' ? learnt.diffusivity : undefined)}
          />
          <p className="note">
            × 10⁻¹⁰ m²/s, from {learnt.diffusivity.cutFaces} cut faces.{' '}
            <Link className="lnk" to="/learnt">
              See which
            </Link>
            .
          </p>
        </div>
      )}
      <div className="forecast-curve">
        <CureCurve
          timesH={salt.timesH}
          core={salt.core}
          mean={salt.mean}
          edge={salt.edge}
          unit="% salt"
          marks={course.marks}
          windows={windows}
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
      </div>
    </section>
  );
}

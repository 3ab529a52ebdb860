import { COLOURED_PPM, cureCourse, whatIfCourse, whatIfs, type CureCourse, type Species, HOUR_MS, MINUTE_MS } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import type { Batch } from '../../../data/batches';
import { CureCurve } from '../../../instruments/CureCurve';
import { Hero } from '../../../instruments/Hero';
import { PullDays, windowWords } from '../../../instruments/PullDays';
import { SALT_STEPS, SectionPicture } from '../../../instruments/SectionPicture';
import { Choice } from '../../../shell/Choice';
import { GuideLink } from '../../../shell/GuideLink';
import { digits } from '../../../shell/quantities';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { useSection } from '../../../workers/useSection';
import { DiffusivityWords } from './DiffusivityWords';
import { DryPanel } from './DryPanel';
import { Scrubber } from './Scrubber';
import { SoakPanel } from './SoakPanel';
import { WhatIfs } from './WhatIfs';
import { useSay } from '../../../shell/reader';

/** Steps of colour, in the unit that is shown: % salt, ppm nitrite. */
const STEPS: Readonly<Record<Species, readonly number[]>> = {
  salt: SALT_STEPS,
  nitrite: [COLOURED_PPM, 40, 80, 120, 160, 200, 260],
};
const PPM_PER_PERCENT = 1e4;

/** The brine inside the meat: the section at any hour between the needle and the plate, the curve that it moves on, and what to do about it. */
export function CurePanel({ batch, now }: { batch: Batch; now: number }) {
  const { record, state } = batch;
  const [code, setCode] = useState(state.pieces[0]?.code ?? 'A');
  const course = useMemo(() => cureCourse(record, state, code), [record, state, code]);
  const [soakChanges, setSoakChanges] = useState(0);
  const { answer, progress, fault, stale } = useSection(course, soakChanges);
  const codes = Object.fromEntries(state.pieces.map((piece) => [piece.code, piece.code]));
  const soaking = state.station === 'soak';
  const soak = answer !== null && (
    <SoakPanel batch={batch} course={course} answer={answer} now={now} changes={soakChanges} onChanges={setSoakChanges} key="soak" />
  );
  return (
    <>
      {state.station === 'dry' && answer !== null && <DryPanel batch={batch} answer={answer} now={now} />}
      {soaking && soak}
      <section className="panel cure-panel" aria-label="The cure inside the meat">
        <div className="ph">
          <h2>The cure inside the meat</h2>
          <span className="aside">
            {stale || progress !== null ? `computing ${digits((progress ?? 0) * 100, 0)} %` : 'modelled, not measured'}{' '}
            <GuideLink to="section" of="The cure inside the meat" />
          </span>
        </div>
        {state.pieces.length > 1 && (
          <div className="pad">
            <Choice label="Piece" value={code} options={codes} onChange={setCode} />
          </div>
        )}
        {fault !== null && <p className="fault pad">{fault}</p>}
        {answer === null ? (
          <p className="note pad">{fault === null ? 'Working out where the salt is...' : ''}</p>
        ) : (
          <Course answer={answer} course={course} batch={batch} now={now} />
        )}
      </section>
      {!soaking && soak}
    </>
  );
}

/** What is chosen to compare, and its course; without a choice the plan again, which costs nothing. */
function useWhatIf(batch: Batch, course: CureCourse, now: number) {
  const { record, state } = batch;
  const [chosenId, setChosenId] = useState<string | null>(null);
  // Plans do not change by the second: what is offered is looked at anew when the log or the minute changes.
  const minute = Math.floor(now / MINUTE_MS) * MINUTE_MS;
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const offered = useMemo(() => (state.facts.pulledG[course.code] === undefined ? whatIfs(record, state, minute) : []), [record, course.code, minute]);
  const chosen = offered.find((whatIf) => whatIf.id === chosenId) ?? null;
  const otherCourse = useMemo(
    () => (chosen === null ? course : whatIfCourse(record, state, chosen, course.code, minute)),
    [chosen, course, record, state, minute],
  );
  const { answer, stale } = useSection(otherCourse);
  return { offered, chosen, otherCourse, otherAnswer: chosen === null || stale ? null : answer, choose: setChosenId };
}

function Course({ answer, course, batch, now }: { answer: SectionAnswer; course: CureCourse; batch: Batch; now: number }) {
  const say = useSay();
  const [species, setSpecies] = useState<Species>('salt');
  const { offered, chosen, otherCourse, otherAnswer, choose } = useWhatIf(batch, course, now);
  const nowH = (now - course.startsAt) / HOUR_MS;
  const endH = answer.salt.timesH.at(-1) ?? 0;
  const [chosenH, setChosenH] = useState<number | null>(null);
  const atH = Math.min(endH, chosenH ?? Math.max(0, nowH));
  const run = answer[species];
  const unit = species === 'salt' ? '%' : 'ppm';
  const factor = species === 'salt' ? 1 : PPM_PER_PERCENT;
  const sample = sampleAt(run.timesH, atH);
  const size = answer.width * answer.height;
  const field = useMemo(
    () => answer[species].fields.subarray(sample * size, (sample + 1) * size).map((value) => value * factor),
    [answer, species, sample, size, factor],
  );
  const nitriteSample = sampleAt(answer.nitrite.timesH, atH);
  const nitrite = useMemo(
    () => ({ field: answer.nitrite.fields.subarray(nitriteSample * size, (nitriteSample + 1) * size).map((v) => v * PPM_PER_PERCENT), from: COLOURED_PPM }),
    [answer, nitriteSample, size],
  );
  const scaled = useMemo(
    () => ({ core: run.core.map((v) => v * factor), mean: run.mean.map((v) => v * factor), edge: run.edge.map((v) => v * factor) }),
    [run, factor],
  );
  const ghost = useMemo(() => {
    if (otherAnswer === null) return undefined;
    const { timesH, core, mean } = otherAnswer[species];
    return { timesH, core: core.map((v) => v * factor), mean: mean.map((v) => v * factor) };
  }, [otherAnswer, species, factor]);
  const [core, mean, edge] = [scaled.core[sample] ?? 0, scaled.mean[sample] ?? 0, scaled.edge[sample] ?? 0];
  const places = species === 'salt' ? 2 : 0;
  const { design } = batch.state;
  const days = batch.record.process.cureDays[design.school.kind];
  return (
    <div className="cure-in">
      <figure>
        <SectionPicture
          section={course.section}
          width={answer.width}
          height={answer.height}
          cellMm={answer.cellMm}
          field={field}
          steps={STEPS[species]}
          species={species}
          coloured={nitrite}
          numbered
          needlesMm={design.school.kind === 'pumpAndCover' ? design.school.spacingMm : undefined}
          label={`Section at day ${digits(atH / 24, 1)}, ${species}: core ${digits(core, places)} ${unit}, mean ${digits(mean, places)}, edge ${digits(edge, places)}`}
        />
        <Key species={species} pumped={design.school.kind === 'pumpAndCover'} />
        <PullDays windows={answer.windows} days={days} />
      </figure>
      <div className="cure-words">
        <Choice quiet label="What is shown" value={species} options={{ salt: 'Salt', nitrite: 'Nitrite' }} onChange={setSpecies} />
        <div className="trio">
          <Hero size="md" label="Core" value={digits(core, places)} unit={unit} />
          <Hero size="md" label="Mean" value={digits(mean, places)} unit={unit} />
          <Hero size="md" label="Edge, as fried" value={digits(edge, places)} unit={unit} />
        </div>
        <CureCurve
          timesH={run.timesH}
          {...scaled}
          unit={unit}
          marks={course.marks}
          windows={answer.windows}
          rules={
            days === undefined
              ? []
              : [
                  { days: days.shortest, name: 'shortest' },
                  { days: days.usual, name: 'usual' },
                  { days: days.longest, name: 'longest' },
                ]
          }
          pullH={course.pullH}
          nowH={nowH}
          atH={atH}
          ghost={ghost}
        />
        <Scrubber atH={atH} endH={endH} course={course} onChange={setChosenH} />
        <p className="lead">{windowWords(answer.windows.likely, course.pullH)}</p>
        {offered.length > 0 && (
          <WhatIfs
            batch={batch}
            offered={offered}
            chosen={chosen}
            plan={{ name: 'As planned', course, answer }}
            other={otherAnswer === null || chosen === null ? null : { name: say(chosen.said), course: otherCourse, answer: otherAnswer }}
            onChoose={choose}
          />
        )}
        <p className="note">
          <DiffusivityWords diffusivity={course.diffusivity} /> Salt in and out balances to {answer.balanceError.toExponential(0)}; the cells are good for ±{' '}
          {digits(Math.max(0.01, answer.cellError), 2)} % salt. Days to pull stay yours: cut, look, smell.
        </p>
      </div>
    </div>
  );
}

const sampleAt = (timesH: readonly number[], atH: number): number => {
  const next = timesH.findIndex((h) => h >= atH - 1e-9);
  return next < 0 ? timesH.length - 1 : next;
};

function Key({ species, pumped }: { species: Species; pumped: boolean }) {
  const steps = STEPS[species];
  return (
    <figcaption className={`section-key ${species}`}>
      <ol>
        {[0, ...steps].map((from, i) => (
          <li key={from} className={`band-${i}`}>
            <span>{digits(from, species === 'salt' && from > 0 ? 2 : 0)}</span>
          </li>
        ))}
      </ol>
      <span className="note">
        {species === 'salt' ? '% salt' : 'ppm nitrite, of the meat with its brine'}; the dashed line is coloured to here, {COLOURED_PPM} ppm
        {pumped ? '; crosses are the needles’ points' : ''}
      </span>
    </figcaption>
  );
}

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded } from '../../../theme/surfaces';
import { COLOURED_PPM, type CureCourse, cureCourse, daysOf, isPumped, HOUR_MS, MINUTE_MS, type Species, whatIfCourse, whatIfs } from '@bunkhouse/core';
import { useMemo, useState } from 'react';
import { Panel } from '../../../kit/Panel';
import type { Batch } from '../../../data/batches';
import { CureCurve } from '../../../charts/CureCurve';
import { Hero } from '../../../kit/Hero';
import { PullDays, windowWords } from '../../../charts/PullDays';
import { bandColour, SALT_STEPS, SectionPicture } from '../../../charts/SectionPicture';
import { Choice } from '../../../kit/Choice';
import { GuideLink } from '../../../kit/GuideLink';
import { digits } from '../../../reader/quantities';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { useSection } from '../../../workers/useSection';
import { DiffusivityWords } from './DiffusivityWords';
import { DryPanel } from './DryPanel';
import { Scrubber } from './Scrubber';
import { SoakPanel } from './SoakPanel';
import { WhatIfs } from './WhatIfs';
import { useSay } from '../../../reader/reader';
import { fold } from '../../../theme/folds';
import { looks } from '../../../theme/looks';

import { t } from '../../../theme/tokens';
import { signed } from '../../../theme/type';

const styles = {
  key: {
    display: 'flex',
    paddingBottom: '20px',
    '& > li': { flex: 1, height: '16px', position: 'relative', border: `1px solid ${t.line}`, borderLeftWidth: 0 },
    '& > li:first-of-type': { borderLeftWidth: '1px' },
    '& span': { position: 'absolute', top: '17px', left: '-3px', font: signed(12.5, 16, 500), color: t.ink2 },
  },
  cureIn: {
    display: 'grid',
    gridTemplateColumns: 'minmax(220px, 320px) minmax(0, 1fr)',
    gap: '12px 20px',
    padding: '12px',
    alignItems: 'start',
    '& figure': { display: 'grid', gap: '8px', minWidth: 0 },
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  cureWords: { display: 'grid', gap: '10px', minWidth: 0 },
  lead: { margin: 0 },
} as const;

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
      <Panel
        title="The cure inside the meat"
        aside={
          <>
            {stale || progress !== null ? `computing ${digits((progress ?? 0) * 100, 0)} %` : 'modelled, not measured'}{' '}
            <GuideLink to="section" of="The cure inside the meat" />
          </>
        }
        label="The cure inside the meat"
      >
        {state.pieces.length > 1 && (
          <Box sx={padded}>
            <Choice label="Piece" value={code} options={codes} onChange={setCode} />
          </Box>
        )}
        {fault !== null && (
          <Box component="p" sx={[looks.fault, looks.pad]}>
            {fault}
          </Box>
        )}
        {answer === null ? (
          <Box component="p" sx={[looks.note, looks.pad]}>
            {fault === null ? 'Working out where the salt is...' : ''}
          </Box>
        ) : (
          <Course answer={answer} course={course} batch={batch} now={now} />
        )}
      </Panel>
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
  const offered = useMemo(() => (!state.facts.isPulled ? whatIfs(record, state, minute) : []), [record, course.code, minute]);
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
  const days = daysOf(batch.record.process.cureDays, design.school.kind);
  const { school } = design;
  const hasNeedle = isPumped(school);
  return (
    <Box sx={styles.cureIn}>
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
          needlesMm={isPumped(school) ? school.spacingMm : undefined}
          label={`Section at day ${digits(atH / 24, 1)}, ${species}: core ${digits(core, places)} ${unit}, mean ${digits(mean, places)}, edge ${digits(edge, places)}`}
        />
        <Key species={species} pumped={hasNeedle} />
        <PullDays windows={answer.windows} days={days} isPumped={hasNeedle} />
      </figure>
      <Box sx={styles.cureWords}>
        <Choice quiet label="What is shown" value={species} options={{ salt: 'Salt', nitrite: 'Nitrite' }} onChange={setSpecies} />
        <Box sx={looks.trio}>
          <Hero size="md" label="Core" value={digits(core, places)} unit={unit} />
          <Hero size="md" label="Mean" value={digits(mean, places)} unit={unit} />
          <Hero size="md" label="Edge, as fried" value={digits(edge, places)} unit={unit} />
        </Box>
        <CureCurve
          timesH={run.timesH}
          {...scaled}
          unit={unit}
          marks={course.marks}
          windows={answer.windows}
          isPumped={hasNeedle}
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
          onAt={setChosenH}
          ghost={ghost}
        />
        <Scrubber atH={atH} endH={endH} course={course} onChange={setChosenH} />
        <Box component="p" sx={[looks.lead, styles.lead]}>
          {windowWords(answer.windows.likely, course.pullH, hasNeedle)}
        </Box>
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
        <Typography variant="note">
          <DiffusivityWords diffusivity={course.diffusivity} />{' '}
          {answer.balanceError < 1e-6 ? 'Salt in and out adds up' : `Salt in and out is off by ${digits(answer.balanceError * 100, 2)} %`}; the cells are good
          for ± {digits(Math.max(0.01, answer.cellError), 2)} % salt. Days to pull stay yours: cut, look, smell.
        </Typography>
      </Box>
    </Box>
  );
}

const sampleAt = (timesH: readonly number[], atH: number): number => {
  const next = timesH.findIndex((h) => h >= atH - 1e-9);
  return next < 0 ? timesH.length - 1 : next;
};

function Key({ species, pumped }: { species: Species; pumped: boolean }) {
  const steps = STEPS[species];
  return (
    <figcaption>
      <Box component="ol" sx={styles.key}>
        {[0, ...steps].map((from, i) => (
          <li key={from} style={{ background: bandColour(species, i) }}>
            <span>{digits(from, species === 'salt' && from > 0 ? 2 : 0)}</span>
          </li>
        ))}
      </Box>
      <Typography variant="note" component="span">
        {species === 'salt' ? '% salt' : 'ppm nitrite, of the meat with its brine'}; the dashed line is coloured to here, {COLOURED_PPM} ppm
        {pumped ? '; crosses are the needles’ points' : ''}
      </Typography>
    </figcaption>
  );
}

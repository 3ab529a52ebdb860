import { COLOURED_PPM, cureCourse, PROCESSES, soakMinutes, type CureCourse, type SoakPlan } from '@bunkhouse/core';
import { useId, useMemo, useState } from 'react';
import type { Batch } from '../../data/batches';
import { CureCurve, windowWords } from '../../instruments/CureCurve';
import { Hero } from '../../instruments/Hero';
import { NumberField } from '../../instruments/NumberField';
import { SALT_STEPS, SectionPicture } from '../../instruments/SectionPicture';
import { Choice } from '../../shell/Choice';
import { digits } from '../../shell/quantities';
import { useSection } from '../../workers/useSection';
import type { SectionAnswer } from '../../workers/sectionMessages';

type Species = 'salt' | 'nitrite';

const HOUR_MS = 3_600_000;
/** Steps of colour, in the unit that is shown: % salt, ppm nitrite. */
const STEPS: Readonly<Record<Species, readonly number[]>> = {
  salt: SALT_STEPS,
  nitrite: [COLOURED_PPM, 40, 80, 120, 160, 200, 260],
};
const PPM_PER_PERCENT = 1e4;

/** The brine inside the meat: the section at any hour between the needle and the plate, and the curve that it moves on. */
export function CurePanel({ batch, now }: { batch: Batch; now: number }) {
  const { record, state } = batch;
  const [code, setCode] = useState(record.design.pieces[0]?.code ?? 'A');
  const course = useMemo(() => cureCourse(record, state, code), [record, state, code]);
  const [soakChanges, setSoakChanges] = useState(0);
  const { answer, progress, fault, stale } = useSection(course, soakChanges);
  const codes = Object.fromEntries(record.design.pieces.map((piece) => [piece.code, piece.code]));
  return (
    <section className="panel cure-panel" aria-label="The cure inside the meat">
      <div className="ph">
        <h2>The cure inside the meat</h2>
        <span className="aside">{stale || progress !== null ? `computing ${digits((progress ?? 0) * 100, 0)} %` : 'modelled, not measured'}</span>
      </div>
      {record.design.pieces.length > 1 && (
        <div className="pad">
          <Choice label="Piece" value={code} options={codes} onChange={setCode} />
        </div>
      )}
      {fault !== null && <p className="fault pad">{fault}</p>}
      {answer === null ? (
        <p className="note pad">{fault === null ? 'Working out where the salt is...' : ''}</p>
      ) : (
        <Course answer={answer} course={course} batch={batch} now={now} soak={{ changes: soakChanges, onChanges: setSoakChanges }} />
      )}
    </section>
  );
}

function Course({ answer, course, batch, now, soak }: { answer: SectionAnswer; course: CureCourse; batch: Batch; now: number; soak: SoakWater }) {
  const [species, setSpecies] = useState<Species>('salt');
  const nowH = (now - course.startsAt) / HOUR_MS;
  const endH = answer.salt.timesH.at(-1) ?? 0;
  const [chosenH, setChosenH] = useState<number | null>(null);
  const atH = chosenH ?? Math.min(endH, Math.max(0, nowH));
  const run = answer[species];
  const unit = species === 'salt' ? '%' : 'ppm';
  const factor = species === 'salt' ? 1 : PPM_PER_PERCENT;
  const sample = sampleAt(run.timesH, atH);
  const size = answer.width * answer.height;
  const field = useMemo(
    () => answer[species].fields.subarray(sample * size, (sample + 1) * size).map((value) => value * factor),
    [answer, species, sample, size, factor],
  );
  const nitrite = useMemo(() => {
    const at = sampleAt(answer.nitrite.timesH, atH);
    return { field: answer.nitrite.fields.subarray(at * size, (at + 1) * size).map((value) => value * PPM_PER_PERCENT), from: COLOURED_PPM };
  }, [answer, atH, size]);
  const scaled = useMemo(
    () => ({ core: run.core.map((v) => v * factor), mean: run.mean.map((v) => v * factor), edge: run.edge.map((v) => v * factor) }),
    [run, factor],
  );
  const [core, mean, edge] = [scaled.core[sample] ?? 0, scaled.mean[sample] ?? 0, scaled.edge[sample] ?? 0];
  const places = species === 'salt' ? 2 : 0;
  const days = PROCESSES.find((process) => process.product === batch.record.design.product)?.cureDays[batch.record.design.school.kind];
  const rules =
    days === undefined
      ? []
      : [
          { days: days.shortest, name: 'shortest' },
          { days: days.usual, name: 'usual' },
        ];
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
          label={`Section at day ${digits(atH / 24, 1)}, ${species}: core ${digits(core, places)} ${unit}, mean ${digits(mean, places)}, edge ${digits(edge, places)}`}
        />
        <Key species={species} />
      </figure>
      <div className="cure-words">
        <Choice quiet label="What is shown" value={species} options={{ salt: 'Salt', nitrite: 'Nitrite' }} onChange={setSpecies} />
        <div className="trio">
          <Hero size="md" label="Core" value={digits(core, places)} unit={unit} />
          <Hero size="md" label="Mean" value={digits(mean, places)} unit={unit} />
          <Hero size="md" label="Edge" value={digits(edge, places)} unit={unit} />
        </div>
        <CureCurve
          timesH={run.timesH}
          {...scaled}
          unit={unit}
          marks={course.marks}
          window={answer.window}
          rules={rules}
          pullH={course.pullH}
          nowH={nowH}
          atH={atH}
        />
        <Scrubber atH={atH} endH={endH} course={course} onChange={setChosenH} />
        <p className="lead">{windowWords(answer.window, course.pullH)}</p>
        <Soak plan={answer.soak} design={batch.record.design.saltPercent} water={soak} />
        <p className="note">
          Diffusion at 3 × 10⁻¹⁰ m²/s in lean meat, a modelling choice. Salt in and out balances to {answer.balanceError.toExponential(0)}; the cells are good
          for ± {digits(Math.max(0.01, answer.cellError), 2)} % salt. Days to pull stay yours: cut, look, smell.
        </p>
      </div>
    </div>
  );
}

interface SoakWater {
  changes: number;
  onChanges: (changes: number) => void;
}

/** Changes of the water in a day. */
const CHANGES = [0, 1, 3, 7, 23] as const;

/** Minutes at which the soak is told. */
const TOLD = [0, 20, 60, 120, 240, 720, 1440] as const;

/** What fresh water does after the pull: the edge is what the fry test tastes. */
function Soak({ plan, design, water }: { plan: SoakPlan; design: number; water: SoakWater }) {
  const changesId = useId();
  const [target, setTarget] = useState<number | undefined>(design);
  const minutes = target === undefined || !(target >= 0 && target <= 26) ? null : soakMinutes(plan, target);
  const at = (values: readonly number[], minute: number) =>
    values[
      Math.max(
        0,
        plan.minutes.findIndex((m) => m >= minute - 1e-6),
      )
    ] ?? 0;
  return (
    <div className="soak-plan">
      <div className="soak-target">
        <NumberField label="Salt wanted at the edge" sign="%" value={target} onChange={setTarget} />
        <div className="field">
          <label className="label" htmlFor={changesId}>
            Water changed
          </label>
          <select id={changesId} className="box" value={water.changes} onChange={(event) => water.onChanges(Number(event.target.value))}>
            {CHANGES.map((times) => (
              <option key={times} value={times}>
                {times === 0 ? 'not at all' : `every ${digits(24 / (times + 1), 0)} h`}
              </option>
            ))}
          </select>
        </div>
        <p className="note">{soakWords(minutes, plan)}</p>
      </div>
      <table className="book argument">
        <caption className="sr">Salt after minutes in fresh water</caption>
        <thead>
          <tr>
            <th scope="col">In fresh water</th>
            {TOLD.map((minute) => (
              <th key={minute} scope="col" className="n">
                {minute < 60 ? `${minute} min` : `${minute / 60} h`}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {(['edge', 'mean'] as const).map((what) => (
            <tr key={what}>
              <th scope="row">{what === 'edge' ? 'Edge, as fried' : 'Mean'}</th>
              {TOLD.map((minute) => (
                <td key={minute} className="n">
                  {digits(at(plan[what], minute), 2)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function soakWords(minutes: number | null, { mean, minutes: looks }: SoakPlan): string {
  if (minutes === null) return 'Not within a day of fresh water, by the model.';
  if (minutes < 1) return 'No soak is needed for that, by the model. Fry a slice all the same.';
  const after =
    mean[
      Math.max(
        0,
        looks.findIndex((m) => m >= minutes),
      )
    ] ?? 0;
  return `About ${minutes < 90 ? `${digits(minutes, 0)} min` : `${digits(minutes / 60, 1)} h`} after the pull, in four times its weight of cold water; the mean is then ${digits(after, 2)} %. The salt evens out later: the edge gains some back.`;
}

const sampleAt = (timesH: readonly number[], atH: number): number => {
  const next = timesH.findIndex((h) => h >= atH - 1e-9);
  return next < 0 ? timesH.length - 1 : next;
};

const MARK_WORDS = {
  pump: 'the needle',
  meatIn: 'meat in',
  turn: 'a turn',
  repump: 're-pump',
  pull: 'the pull',
  soakIn: 'into water',
  soakOut: 'out of the water',
  plate: 'the plate',
} as const;

/** From the pump to the plate. Arrow keys move a tenth of a day, Page keys a day. */
function Scrubber({ atH, endH, course, onChange }: { atH: number; endH: number; course: CureCourse; onChange: (h: number | null) => void }) {
  const stops = course.marks.filter((mark) => mark.kind === 'pull' || mark.kind === 'plate' || mark.kind === 'soakOut' || mark.kind === 'meatIn');
  return (
    <div className="scrubber">
      <input
        type="range"
        aria-label="Time in the cure"
        aria-valuetext={`day ${digits(atH / 24, 1)}`}
        min={0}
        max={endH}
        step={2.4}
        value={atH}
        onChange={(event) => onChange(Number(event.target.value))}
      />
      <b className="num">day {digits(atH / 24, 1)}</b>
      <div className="stops">
        <button type="button" className="lnk" onClick={() => onChange(null)}>
          now
        </button>
        {stops.map((mark) => (
          <button key={`${mark.kind}${mark.atH}`} type="button" className="lnk" onClick={() => onChange(Math.min(endH, mark.atH))}>
            {MARK_WORDS[mark.kind]}
          </button>
        ))}
      </div>
    </div>
  );
}

function Key({ species }: { species: Species }) {
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
      </span>
    </figcaption>
  );
}

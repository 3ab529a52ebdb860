import {
  FINISH_WAYS,
  MEDIA,
  SMOKE_WAYS,
  TENDING_ACTS,
  usualProgram,
  type CookProgram,
  type FinishWay,
  type Medium,
  type ProgramPhase,
  type SmokeWay,
  type TendingAct,
} from '@bunkhouse/core';
import { useState } from 'react';
import { NumberField } from '../../instruments/NumberField';
import { ProgramCurve } from '../../instruments/ProgramCurve';
import { Choice } from '../Choice';
import { FINISH_WORDS, MEDIUM_WORDS, SMOKE_WORDS } from './programWords';
import { TENDING_WORDS } from './words';

const NEW_PHASE: ProgramPhase = {
  name: 'Cook',
  chamberC: 107,
  medium: 'smoker',
  smoke: false,
  pan: true,
  untilCoreC: 66,
  repeats: [{ act: 'fuel', everyMin: 50 }],
  marks: [],
};

/** A smoke and cook program to be altered: begun from a usual one, by its curve, or phase by phase. */
export function ProgramPhases({ program, targetC, onChange }: { program: CookProgram; targetC: number; onChange: (program: CookProgram) => void }) {
  const [smoke, setSmoke] = useState<SmokeWay>('low');
  const [finish, setFinish] = useState<FinishWay>('smoker');
  const change = (i: number, changes: Partial<ProgramPhase>) => onChange(program.map((phase, k) => (k === i ? { ...phase, ...changes } : phase)));
  const marks = program.flatMap((phase) => phase.marks);
  return (
    <>
      <fieldset className="usual-programs">
        <legend className="label">Begin from a usual one</legend>
        <Choice
          label="Smoke"
          value={smoke}
          options={Object.fromEntries(SMOKE_WAYS.map((way) => [way, SMOKE_WORDS[way]])) as Record<SmokeWay, string>}
          onChange={setSmoke}
        />
        <Choice
          label="Finish"
          value={finish}
          options={Object.fromEntries(FINISH_WAYS.map((way) => [way, FINISH_WORDS[way]])) as Record<FinishWay, string>}
          onChange={setFinish}
        />
        <button type="button" className="btn" onClick={() => onChange(usualProgram({ smoke, finish, targetC, marks }))}>
          Take it
        </button>
      </fieldset>
      <ProgramCurve program={program} onChange={onChange} />
      <ol>
        {program.map((phase, i) => (
          <Phase
            key={i}
            phase={phase}
            place={i + 1}
            isOnly={program.length === 1}
            onChange={(changes) => change(i, changes)}
            onLeaveOut={() => onChange(program.filter((_, k) => k !== i))}
          />
        ))}
      </ol>
      <button type="button" className="lnk" onClick={() => onChange([...program, { ...NEW_PHASE, untilCoreC: targetC }])}>
        One more phase
      </button>
    </>
  );
}

function Phase({
  phase,
  place,
  isOnly,
  onChange,
  onLeaveOut,
}: {
  phase: ProgramPhase;
  place: number;
  isOnly: boolean;
  onChange: (changes: Partial<ProgramPhase>) => void;
  onLeaveOut: () => void;
}) {
  const { name, chamberC, medium, smoke, pan, untilMin, untilCoreC, repeats, marks } = phase;
  const hours = untilMin === undefined ? undefined : untilMin / 60;
  const without = (field: 'untilMin' | 'untilCoreC') => {
    const { [field]: _before, ...rest } = phase;
    return rest;
  };
  return (
    <li className="edit-phase">
      <fieldset>
        <legend className="label">Phase {place}</legend>
        <div className="edit-row">
          <label className="field">
            <span className="label">Name</span>
            <input className="box" maxLength={40} value={name} onChange={(event) => onChange({ name: event.target.value })} />
          </label>
          <NumberField label="Chamber" quantity="temperature" decimals={0} value={chamberC} onChange={(C) => onChange({ chamberC: C ?? Number.NaN })} />
          <label className="field">
            <span className="label">In</span>
            <select className="box" value={medium} onChange={(event) => onChange({ medium: event.target.value as Medium })}>
              {MEDIA.filter((one) => one !== 'cold').map((one) => (
                <option key={one} value={one}>
                  {MEDIUM_WORDS[one]}
                </option>
              ))}
            </select>
          </label>
          <NumberField
            label="Until, after meat on"
            sign="h"
            value={hours}
            onChange={(h) => onChange(h === undefined ? { ...without('untilMin'), untilMin: undefined } : { untilMin: h * 60 })}
          />
          <NumberField
            label="Or until core"
            quantity="temperature"
            decimals={0}
            value={untilCoreC}
            onChange={(C) => onChange(C === undefined ? { ...without('untilCoreC'), untilCoreC: undefined } : { untilCoreC: C })}
          />
        </div>
        <div className="edit-ticks">
          <label>
            <input type="checkbox" checked={smoke} onChange={(event) => onChange({ smoke: event.target.checked })} /> smoke on
          </label>
          <label>
            <input type="checkbox" checked={pan} onChange={(event) => onChange({ pan: event.target.checked })} /> water pan
          </label>
          <Jobs
            label={`Job of phase ${place}`}
            jobs={repeats.map(({ act, everyMin }) => ({ act, value: everyMin }))}
            when={{ label: 'every', sign: 'min' }}
            onChange={(jobs) => onChange({ repeats: jobs.map(({ act, value }) => ({ act, everyMin: value })) })}
          />
          <Jobs
            label={`Mark of phase ${place}`}
            jobs={marks.map(({ act, atCoreC }) => ({ act, value: atCoreC }))}
            when={{ label: 'once, at core', quantity: 'temperature' }}
            onChange={(jobs) => onChange({ marks: jobs.map(({ act, value }) => ({ act, atCoreC: value })) })}
          />
          <button type="button" className="lnk" onClick={() => onChange({ repeats: [...repeats, { act: 'fuel', everyMin: 50 }] })}>
            One more job
          </button>
          <button type="button" className="lnk" onClick={() => onChange({ marks: [...marks, { act: 'glaze', atCoreC: 54 }] })}>
            Glaze or wrap at a core temperature
          </button>
          {!isOnly && (
            <button type="button" className="lnk" onClick={onLeaveOut}>
              Leave this phase out
            </button>
          )}
        </div>
      </fieldset>
    </li>
  );
}

/** Jobs of one sort: what is done, and when. */
function Jobs({
  label,
  jobs,
  when,
  onChange,
}: {
  label: string;
  jobs: readonly { act: TendingAct; value: number }[];
  when: { label: string; sign: string } | { label: string; quantity: 'temperature' };
  onChange: (jobs: { act: TendingAct; value: number }[]) => void;
}) {
  const change = (k: number, changes: { act?: TendingAct; value?: number }) => onChange(jobs.map((job, j) => (j === k ? { ...job, ...changes } : job)));
  return jobs.map((job, k) => (
    <span key={k} className="repeat">
      <select className="box" aria-label={`${label}, ${k + 1}`} value={job.act} onChange={(event) => change(k, { act: event.target.value as TendingAct })}>
        {TENDING_ACTS.filter((act) => act !== 'reseat' && act !== 'bare').map((act) => (
          <option key={act} value={act}>
            {TENDING_WORDS[act].todo}
          </option>
        ))}
      </select>
      <NumberField {...when} decimals={0} value={job.value} onChange={(value) => change(k, { value: value ?? Number.NaN })} />
      <button type="button" className="lnk" onClick={() => onChange(jobs.filter((_, j) => j !== k))}>
        leave out
      </button>
    </span>
  ));
}

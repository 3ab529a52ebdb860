import Typography from '@mui/material/Typography';
import { Tick } from '../../kit/Tick';
import Button from '@mui/material/Button';
import {
  FINISH_WAYS,
  MEDIA,
  SMOKE_WAYS,
  TENDING_ACTS,
  usualProgram,
  type CookProgram,
  type FinishWay,
  type ProgramPhase,
  type SmokeWay,
  type TendingAct,
} from '@bunkhouse/core';
import { useState } from 'react';
import { Pick } from '../../kit/Pick';
import { WordsField } from '../../kit/WordsField';
import { NumberField } from '../../kit/NumberField';
import { ProgramCurve } from '../../charts/ProgramCurve';
import { Choice } from '../../kit/Choice';
import { FINISH_WORDS, MEDIUM_WORDS, SMOKE_WORDS } from '../../reader/words/programWords';
import { TENDING_WORDS } from '../../reader/words/words';
import Box from '@mui/material/Box';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  usualPrograms: { display: 'flex', flexWrap: 'wrap', gap: '8px 14px', alignItems: 'end', '& legend': { marginBottom: '4px' } },
  editPhase: { borderTop: `1px solid ${t.hair}`, paddingTop: '8px', marginBottom: '10px' },
  editRow: { display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))', gap: '8px 10px', alignItems: 'end' },
  editTicks: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '6px 18px',
    alignItems: 'center',
    marginTop: '8px',
    '& > label': { display: 'inline-flex', gap: '8px', alignItems: 'center', minHeight: '44px', font: worded(16, 20, 500) },
    '& input[type="checkbox"]': { width: '22px', height: '22px', accentColor: t.ink },
  },
  repeat: {
    display: 'inline-flex',
    gap: '8px',
    alignItems: 'end',
    '& :is(.MuiStack-root, .MuiFormControl-root)': { width: '130px' },
    '& select': { width: '150px' },
    '& .MuiButton-text': { alignSelf: 'center' },
  },
} as const;

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
      <Box component="fieldset" sx={styles.usualPrograms}>
        <Typography variant="label" component="legend">
          Begin from a usual one
        </Typography>
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
        <Button onClick={() => onChange(usualProgram({ smoke, finish, targetC, marks }))}>Take it</Button>
      </Box>
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
      <Button variant="text" onClick={() => onChange([...program, { ...NEW_PHASE, untilCoreC: targetC }])}>
        One more phase
      </Button>
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
    <Box component="li" sx={styles.editPhase}>
      <fieldset>
        <Typography variant="label" component="legend">
          Phase {place}
        </Typography>
        <Box sx={styles.editRow}>
          <WordsField label="Name" maxLength={40} value={name} onChange={(text) => onChange({ name: text })} />
          <NumberField label="Chamber" quantity="temperature" decimals={0} value={chamberC} onChange={(C) => onChange({ chamberC: C ?? Number.NaN })} />
          <Pick label="In" value={medium} onChange={(chosen) => onChange({ medium: chosen })}>
            {MEDIA.filter((one) => one !== 'cold').map((one) => (
              <option key={one} value={one}>
                {MEDIUM_WORDS[one]}
              </option>
            ))}
          </Pick>
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
        </Box>
        <Box sx={styles.editTicks}>
          <Tick label="smoke on" checked={smoke} onChange={(on) => onChange({ smoke: on })} />
          <Tick label="water pan" checked={pan} onChange={(on) => onChange({ pan: on })} />
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
          <Button variant="text" onClick={() => onChange({ repeats: [...repeats, { act: 'fuel', everyMin: 50 }] })}>
            One more job
          </Button>
          <Button variant="text" onClick={() => onChange({ marks: [...marks, { act: 'glaze', atCoreC: 54 }] })}>
            Glaze or wrap at a core temperature
          </Button>
          {!isOnly && (
            <Button variant="text" onClick={onLeaveOut}>
              Leave this phase out
            </Button>
          )}
        </Box>
      </fieldset>
    </Box>
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
    <Box component="span" key={k} sx={styles.repeat}>
      <Pick quiet label={`${label}, ${k + 1}`} value={job.act} onChange={(act) => change(k, { act })}>
        {TENDING_ACTS.filter((act) => act !== 'reseat' && act !== 'bare').map((act) => (
          <option key={act} value={act}>
            {TENDING_WORDS[act].todo}
          </option>
        ))}
      </Pick>
      <NumberField {...when} decimals={0} value={job.value} onChange={(value) => change(k, { value: value ?? Number.NaN })} />
      <Button variant="text" onClick={() => onChange(jobs.filter((_, j) => j !== k))}>
        leave out
      </Button>
    </Box>
  ));
}

import { programOf, type CookProgram, type PitWatch } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { ProgramCurve } from '../../instruments/ProgramCurve';
import { TENDING_WORDS } from '../../shell/pit/words';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords } from '../../shell/quantities';
import { EditProgram } from './EditProgram';
import { MEDIUM_WORDS } from '../../shell/pit/programWords';
import { Only } from '../../shell/Only';

/** How it is smoked and cooked: phase by phase, to be altered while it runs. */
export function ProgramPanel({ batch, watch }: { batch: Batch; watch: PitWatch | null }) {
  const [isEditing, setEditing] = useState(false);
  const program = programOf(batch.record.process, batch.state.design.program);
  const isOver = batch.state.outcome !== 'live' || (watch?.log.offAt ?? null) !== null;
  const present = watch === null || isOver ? null : watch.phase;
  return (
    <section className="panel program" aria-label="Program">
      <div className="ph">
        <h2>Program</h2>
        <span className="aside">{present === null ? `${program.length} phases` : `now: ${program[present]?.name ?? ''}`}</span>
      </div>
      {isEditing && !isOver ? (
        <EditProgram batch={batch} program={program} onDone={() => setEditing(false)} />
      ) : (
        <>
          <ProgramCurve program={program} present={present} />
          <ol className="phases">
            {program.map((phase, i) => (
              <li key={i} className={i === present ? 'present' : undefined} aria-current={i === present ? 'step' : undefined}>
                <PhaseWords phase={phase} />
              </li>
            ))}
          </ol>
          {!isOver && (
            <div className="pad">
              <Only right="plan">
                <button type="button" className="btn" onClick={() => setEditing(true)}>
                  Change the program
                </button>
              </Only>
            </div>
          )}
        </>
      )}
    </section>
  );
}

function PhaseWords({ phase: { name, chamberC, medium, smoke, pan, untilMin, untilCoreC, first = [], repeats, marks } }: { phase: CookProgram[number] }) {
  const preferences = usePreferences();
  const C = (value: number) => inWords(value, 'temperature', preferences, 0);
  const until = [
    untilMin === undefined ? [] : [`${digits(untilMin / 60, untilMin % 60 === 0 ? 0 : 2)} h after the meat is on`],
    untilCoreC === undefined ? [] : [`core ${C(untilCoreC)}`],
  ].flat();
  const jobs = [
    ...first.map((act) => `${TENDING_WORDS[act].todo.toLowerCase()} as it begins`),
    ...repeats.map(({ act, everyMin }) => `${TENDING_WORDS[act].todo.toLowerCase()} every ${everyMin} min`),
    ...marks.map(({ act, atCoreC }) => `${TENDING_WORDS[act].todo.toLowerCase()} at ${C(atCoreC)} core`),
  ];
  return (
    <>
      <b>{name}</b>
      <span className="num">{C(chamberC)}</span>
      <span>
        {MEDIUM_WORDS[medium].toLowerCase()}
        {smoke && ', smoke on'}
        {pan && ', water pan'}; until {until.join(' or ')}
      </span>
      <small>{jobs.join('; ')}</small>
    </>
  );
}

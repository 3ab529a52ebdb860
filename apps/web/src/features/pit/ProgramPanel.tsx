import Button from '@mui/material/Button';
import { programOf, type CookProgram, type PitWatch } from '@bunkhouse/core';
import { useState } from 'react';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { ProgramCurve } from '../../charts/ProgramCurve';
import { TENDING_WORDS } from '../../reader/words/words';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords } from '../../reader/quantities';
import { EditProgram } from './EditProgram';
import { MEDIUM_WORDS } from '../../reader/words/programWords';
import { Only } from '../../kit/Only';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  phases: {
    '& li': {
      display: 'grid',
      gridTemplateColumns: '150px 80px minmax(0, 1fr)',
      gap: '0 12px',
      padding: '7px 12px',
      borderTop: `1px solid ${t.hair}`,
      alignItems: 'baseline',
    },
    '& b': { font: signed(17, 20, 600) },
    '& small': { gridColumn: '3' },
    [fold.phone]: { '& li': { gridTemplateColumns: 'minmax(0, 1fr) auto' }, '& small, & > li > span:last-of-type': { gridColumn: '1 / -1' } },
  },
  present: { background: t.station.smoke.wash, boxShadow: `inset 5px 0 0 ${t.station.smoke.main}` },
  pad: { justifyItems: 'start' },
  num: { fontSize: '18px' },
} as const;

/** How it is smoked and cooked: phase by phase, to be altered while it runs. */
export function ProgramPanel({ batch, watch }: { batch: Batch; watch: PitWatch | null }) {
  const [isEditing, setEditing] = useState(false);
  const program = programOf(batch.record.process, batch.state.design.program);
  const isOver = batch.state.outcome !== 'live' || (watch?.log.offAt ?? null) !== null;
  const present = watch === null || isOver ? null : watch.phase;
  return (
    <Panel title="Program" aside={present === null ? `${program.length} phases` : `now: ${program[present]?.name ?? ''}`} label="Program">
      {isEditing && !isOver ? (
        <EditProgram batch={batch} program={program} onDone={() => setEditing(false)} />
      ) : (
        <>
          <ProgramCurve program={program} present={present} />
          <Box component="ol" sx={styles.phases}>
            {program.map((phase, i) => (
              <Box component="li" key={i} sx={i === present ? styles.present : {}} aria-current={i === present ? 'step' : undefined}>
                <PhaseWords phase={phase} />
              </Box>
            ))}
          </Box>
          {!isOver && (
            <Box sx={[looks.pad, styles.pad]}>
              <Only right="plan">
                <Button onClick={() => setEditing(true)}>Change the program</Button>
              </Only>
            </Box>
          )}
        </>
      )}
    </Panel>
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
      <Box component="span" sx={[looks.num, styles.num]}>
        {C(chamberC)}
      </Box>
      <span>
        {MEDIUM_WORDS[medium].toLowerCase()}
        {smoke && ', smoke on'}
        {pan && ', water pan'}; until {until.join(' or ')}
      </span>
      <small>{jobs.join('; ')}</small>
    </>
  );
}

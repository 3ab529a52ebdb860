import Box from '@mui/material/Box';
import type { StepState } from '@bunkhouse/core';
import type { Batch } from '../../data/batches';
import { usePreferences } from '../../reader/preferences';
import { tagWeight } from '../../reader/quantities';
import { dayAndTime, span } from '../../reader/times';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

/** What is to be done next with a batch. */
export interface Job {
  batch: Batch;
  step: StepState;
}

export const jobStyles = {
  job: { padding: '12px 14px 14px', borderLeft: `6px solid ${t.ink}`, display: 'grid', gap: '10px' },
  overdue: { border: `2px solid ${t.danger.main}`, borderLeftWidth: '6px' },
  head: { display: 'flex', gap: '12px', alignItems: 'center', '& h2': { font: signed(24, 26, 600) }, '& p': { color: t.ink2, font: signed(16, 20, 500) } },
} as const;

const styles = {
  when: { marginLeft: 'auto', textAlign: 'right', display: 'grid' },
  late: { '& b': { color: t.danger.ink, font: signed(22, 24, 600) } },
  flag: {
    background: t.ink,
    color: t.panel,
    font: signed(18, 30, 600),
    padding: '0 18px 0 12px',
    clipPath: 'polygon(0 0, 100% 0, calc(100% - 7px) 50%, 100% 100%, 0 100%)',
  },
} as const;

/** A turn: nothing must be read for it, and one walk to the refrigerator serves every batch that waits for one. */
export const isWalk = ({ spec }: StepState): boolean => spec.missable === true && spec.inputs.every(({ optional }) => optional === true);

/** Jobs in their order, those of one walk together where the first of them stands. */
export function walksOf(jobs: readonly Job[]): Job[][] {
  const walk = jobs.filter(({ step }) => isWalk(step));
  return jobs.flatMap((job) => (!isWalk(job.step) ? [[job]] : job === walk[0] ? [walk] : []));
}

export function BatchWords({ batch }: { batch: Batch }) {
  const preferences = usePreferences();
  const green = Object.values(batch.state.facts.greenG).reduce((a, b) => a + b, 0);
  return (
    <>
      {batch.record.process.name}, {tagWeight(green, preferences)}
    </>
  );
}

/** How late it is, or that it is to be done now. */
export function When({ step, now }: { step: StepState; now: number }) {
  const late = step.urgency === 'overdue';
  return (
    <Box component="p" sx={[styles.when, late && styles.late]}>
      {late ? (
        <>
          <b>{span(now - step.dueAt)} late</b>
          <span>due {dayAndTime(step.dueAt, now)}</span>
        </>
      ) : (
        <Box component="b" sx={styles.flag}>
          now
        </Box>
      )}
    </Box>
  );
}

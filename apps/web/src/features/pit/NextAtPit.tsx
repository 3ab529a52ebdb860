import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { Panel } from '../../kit/Panel';
import { Task } from '../../kit/Task';
import type { PitWatch } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { Glyph, Plate } from '../../kit/glyphs';
import { PitJobRow, pitWhen } from '../../acts/pit/PitJobRow';
import { TENDING_WORDS } from '../../reader/words/words';
import { useTend } from '../../acts/pit/useTend';
import { RecordStep } from '../../acts/record/RecordStep';
import { useNow } from '../../data/useNow';
import { Only } from '../../kit/Only';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';

const styles = {
  atPitFirst: { background: t.sunk },
  late: { '&&&': { color: t.ink, fontWeight: 600 } },
  atPitForm: { gridColumn: '1 / -1', paddingTop: '8px', display: 'grid', gap: '8px' },
  first: { background: t.sunk },
} as const;

/** What the hands do at the pit, in order of time: a tap each; the batch's own next step among them. */
export function NextAtPit({ batch, watch }: { batch: Batch; watch: PitWatch }) {
  const now = useNow();
  const { tend, busy, fault } = useTend(batch);
  const { next } = batch.state;
  const [isOpen, setOpen] = useState(false);
  const badProbe = watch.pieces.find(({ piece, readsHighC, lastCheck }) => readsHighC > 0 && !reseatedSince(watch, piece, lastCheck?.at ?? 0));
  const stepFirst = next !== null && (watch.jobs[0]?.dueAt ?? Infinity) > next.dueAt && badProbe === undefined;
  const step =
    next === null ? null : (
      <Box component="li" key="step" sx={[looks.atPit, stepFirst && styles.atPitFirst]}>
        <Plate station={next.spec.station} size={28} />
        <div>
          <b>{nameHere(next.spec.title)}</b>
          <Box component="span" sx={next.urgency === 'overdue' ? styles.late : {}}>
            {pitWhen(next.dueAt, now)}
          </Box>
        </div>
        <Only right="record">
          <Button variant={stepFirst && !isOpen ? 'contained' : 'outlined'} aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Not now' : nameHere(next.spec.act)}
          </Button>
        </Only>
        {isOpen && (
          <Box sx={styles.atPitForm}>
            <Box component="p" sx={looks.task}>
              <Task spec={next.spec} process={batch.record.process} />
            </Box>
            <RecordStep key={next.spec.id} batch={batch} step={next} first={stepFirst} onDone={() => setOpen(false)} />
          </Box>
        )}
      </Box>
    );
  return (
    <Panel title="Next at the pit" aside="in order" label="Next at the pit">
      <ol>
        {badProbe !== undefined && (
          <Box component="li" sx={[looks.atPit, styles.first]}>
            <Glyph name="probe" size={26} />
            <div>
              <b>{TENDING_WORDS.reseat.todo}</b>
              <span>piece {badProbe.piece}, tip in the middle, then check again</span>
            </div>
            <Only right="record">
              <Button variant="contained" aria-disabled={busy} onClick={() => void tend({ act: 'reseat', piece: badProbe.piece })}>
                {TENDING_WORDS.reseat.act}
              </Button>
            </Only>
          </Box>
        )}
        {stepFirst && step}
        {watch.jobs.map((job, i) => (
          <PitJobRow
            key={`${job.act}${job.atCoreC ?? ''}`}
            job={job}
            now={now}
            first={i === 0 && !stepFirst && badProbe === undefined}
            busy={busy}
            onDone={() => void tend({ act: job.act })}
          />
        ))}
        {!stepFirst && step}
      </ol>
      {fault !== null && (
        <Typography variant="fault" sx={looks.inset} role="alert">
          {fault}
        </Typography>
      )}
    </Panel>
  );
}

const reseatedSince = (watch: PitWatch, piece: string, at: number): boolean =>
  watch.log.tended.some(({ act, at: done, piece: of }) => act === 'reseat' && done > at && (of === null || of === piece));

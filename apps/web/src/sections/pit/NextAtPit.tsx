import { Task } from '../../shell/Task';
import type { PitWatch } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { Glyph, Plate } from '../../shell/glyphs';
import { PitJobRow, pitWhen } from '../../shell/pit/PitJobRow';
import { TENDING_WORDS } from '../../shell/pit/words';
import { useTend } from '../../shell/pit/useTend';
import { RecordStep } from '../../shell/record/RecordStep';
import { useNow } from '../../shell/useNow';
import { Only } from '../../shell/Only';
import { nameHere } from '../../shell/here';

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
      <li key="step" className={stepFirst ? 'at-pit first' : 'at-pit'}>
        <Plate station={next.spec.station} size={28} />
        <div>
          <b>{nameHere(next.spec.title)}</b>
          <span className={next.urgency === 'overdue' ? 'late' : undefined}>{pitWhen(next.dueAt, now)}</span>
        </div>
        <Only right="record">
          <button type="button" className={`btn${stepFirst && !isOpen ? ' go' : ''}`} aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Not now' : nameHere(next.spec.act)}
          </button>
        </Only>
        {isOpen && (
          <div className="at-pit-form">
            <p className="task">
              <Task spec={next.spec} process={batch.record.process} />
            </p>
            <RecordStep key={next.spec.id} batch={batch} step={next} first={stepFirst} onDone={() => setOpen(false)} />
          </div>
        )}
      </li>
    );
  return (
    <section className="panel" aria-label="Next at the pit">
      <div className="ph">
        <h2>Next at the pit</h2>
        <span className="aside">in order</span>
      </div>
      <ol>
        {badProbe !== undefined && (
          <li className="at-pit first">
            <Glyph name="probe" size={26} />
            <div>
              <b>{TENDING_WORDS.reseat.todo}</b>
              <span>piece {badProbe.piece}, tip in the middle, then check again</span>
            </div>
            <Only right="record">
              <button type="button" className="btn go" aria-disabled={busy} onClick={() => void tend({ act: 'reseat', piece: badProbe.piece })}>
                {TENDING_WORDS.reseat.act}
              </button>
            </Only>
          </li>
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
        <p className="fault inset" role="alert">
          {fault}
        </p>
      )}
    </section>
  );
}

const reseatedSince = (watch: PitWatch, piece: string, at: number): boolean =>
  watch.log.tended.some(({ act, at: done, piece: of }) => act === 'reseat' && done > at && (of === null || of === piece));

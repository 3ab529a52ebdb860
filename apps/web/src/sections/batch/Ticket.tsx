import { STATION_NAMES, STATIONS, type BatchState, type Station, type StepState } from '@bunkhouse/core';
import { Glyph, Plate } from '../../shell/glyphs';
import { clockTime, ticketTime, writtenTime } from '../../shell/times';
import dayjs from 'dayjs';
import { nameHere } from '../../shell/here';

/** The batch’s steps, plan beside what was really done. */
export function Ticket({ state, now, chosen, onChoose }: { state: BatchState; now: number; chosen: string | undefined; onChoose: (stepId: string) => void }) {
  return (
    <section className="panel ticket" aria-label="Ticket">
      <div className="ticket-head">
        <span className="eye" />
        <h2>Ticket</h2>
        <span className="label">Plan</span>
        <span className="label">Done</span>
      </div>
      {STATIONS.map((station) => {
        const steps = state.steps.filter((step) => step.spec.station === station).sort((a, b) => a.dueAt - b.dueAt);
        return steps.length === 0 ? null : (
          <StationRows
            key={station}
            station={station}
            steps={steps}
            here={state.station === station}
            now={now}
            chosen={chosen}
            mayDo={(step) => step.closing === null && step.spec.needs.every((id) => state.step(id)?.closing !== null)}
            onChoose={onChoose}
          />
        );
      })}
    </section>
  );
}

function StationRows({
  station,
  steps,
  here,
  now,
  chosen,
  mayDo,
  onChoose,
}: {
  station: Station;
  steps: StepState[];
  here: boolean;
  now: number;
  chosen: string | undefined;
  /** whether what it needs is done: hands may do it before its time, and say so */
  mayDo: (step: StepState) => boolean;
  onChoose: (stepId: string) => void;
}) {
  const closed = steps.every((step) => step.closing !== null || step.status === 'missed');
  const first = steps[0];
  const last = steps.findLast((step) => step.closing !== null);
  const turns = steps.filter((step) => step.spec.missable);
  return (
    <details className={`is-${station}${here ? ' here' : ''}${closed ? ' closed' : ''}`} open={here}>
      <summary>
        <Plate station={station} size={24} ghost={!closed && !here} />
        <span className="name">{STATION_NAMES[station]}</span>
        <span className="plan">
          {first === undefined ? '' : ticketTime(closed ? first.plannedAt : first.closing === null ? first.dueAt : first.plannedAt, now)}
        </span>
        <span className="done">{closed && last?.closing ? ticketTime(Date.parse(last.closing.at), now) : ''}</span>
      </summary>
      {turns.length > 0 && <Pips turns={turns} />}
      <ul>
        {steps.map((step) => (
          <StepRow key={step.spec.id} step={step} now={now} chosen={chosen === step.spec.id} mayDo={mayDo(step)} onChoose={onChoose} />
        ))}
      </ul>
    </details>
  );
}

const MARK_WORDS: Record<StepState['status'], string> = { done: 'done', skipped: 'left out', missed: 'missed', open: 'next', coming: 'to come' };

function StepRow({
  step,
  now,
  chosen,
  mayDo,
  onChoose,
}: {
  step: StepState;
  now: number;
  chosen: boolean;
  mayDo: boolean;
  onChoose: (stepId: string) => void;
}) {
  const open = step.status === 'open';
  const at = step.closing === null ? null : Date.parse(step.closing.at);
  const choosable = mayDo && (!open || step.spec.missable === true);
  const planned = step.closing === null ? step.dueAt : step.plannedAt;
  return (
    <li className={`${step.status} ${open ? step.urgency : ''}${chosen ? ' chosen' : ''}`} aria-current={open ? 'step' : undefined}>
      <span className="mark">{step.status === 'done' ? <Glyph name="tick" size={15} /> : <span className="tickbox" />}</span>
      <span className="sr">{MARK_WORDS[step.status]}</span>
      <span className="name">
        {choosable ? (
          <button type="button" onClick={() => onChoose(step.spec.id)}>
            {nameHere(step.spec.title)}
          </button>
        ) : (
          nameHere(step.spec.title)
        )}
      </span>
      <span className="plan">{step.status === 'skipped' || step.status === 'missed' ? MARK_WORDS[step.status] : ticketTime(planned, now)}</span>
      <span className="done">
        {open && step.urgency !== 'waiting' ? (step.urgency === 'due' ? 'due' : 'late') : at !== null && step.status === 'done' ? doneTime(at, planned) : ''}
      </span>
    </li>
  );
}

/** The hour alone where it was done on the planned day. */
const doneTime = (at: number, planned: number): string => (dayjs(at).isSame(planned, 'day') ? clockTime(at) : writtenTime(at, 'ddd D HH:mm'));

function Pips({ turns }: { turns: StepState[] }) {
  const done = turns.filter((turn) => turn.status === 'done').length;
  return (
    <div className="pips" role="img" aria-label={`${done} of ${turns.length} turns done`}>
      {turns.map((turn) => (
        <span key={turn.spec.id} className={turn.status === 'open' && turn.urgency !== 'waiting' ? 'due' : turn.status} />
      ))}
    </div>
  );
}

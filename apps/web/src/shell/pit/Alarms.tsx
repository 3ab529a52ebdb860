import { alarmSaid, type PitWatch, type ToldAlarm } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { Glyph } from '../glyphs';
import { useSay } from '../reader';
import { usePitSound } from './ringing';
import { useTend } from './useTend';
import { useReminding } from '../reminding';
import { clockTime, span } from '../times';
import { Only } from '../Only';

const LEVELS = {
  danger: { strip: 'stop', word: 'Danger', glyph: 'danger' },
  caution: { strip: 'warn', word: 'Caution', glyph: 'caution' },
  news: { strip: 'note', word: 'Note', glyph: 'note' },
} as const;

/** What holds now, worst first; each is quiet once somebody said that he heard it, or, where a rule was not kept, what was decided. */
export function Alarms({ batch, alarms }: { batch: Batch; alarms: readonly ToldAlarm[] }) {
  const lasting = alarms.filter(({ untilS }) => untilS === null);
  return (
    <div className="pit-alarms">
      {lasting.map((alarm) => (
        <Alarm key={`${alarm.key}${alarm.sinceS}`} batch={batch} alarm={alarm} />
      ))}
    </div>
  );
}

/** Rules that somebody must decide about where they were not kept. */
const NEEDS_DECISION: readonly ToldAlarm['kind'][] = ['come-up', 'gate', 'cold'];

function Alarm({ batch, alarm }: { batch: Batch; alarm: ToldAlarm }) {
  const { tend, busy, fault } = useTend(batch);
  const say = useSay();
  const { kind, key, level, fact, order, heard, decision } = alarm;
  const { strip, word, glyph } = LEVELS[level];
  const isToDecide = level === 'danger' && NEEDS_DECISION.includes(kind) && decision === null;
  return (
    <div
      className={`strip ${decision === null ? strip : 'note'}`}
      role={level === 'danger' && heard === null ? 'alert' : 'status'}
      aria-label={say(alarmSaid(kind))}
    >
      <span className="w">
        <Glyph name={decision === null ? glyph : 'note'} size={22} />
        {decision === null ? word : 'Decided'}
      </span>
      <div className="alarm-said">
        <p>
          <b>{say(fact)}</b> {decision === null ? say(order) : `Decided ${clockTime(decision.at)} by ${decision.by}: ${decision.what}`}
        </p>
        {isToDecide && (
          <Only right="plan" otherwise={<p className="note">A cook decides this: call one.</p>}>
            <Decide busy={busy} onDecide={(what) => void tend({ act: 'decided', alarm: key }, what)} />
          </Only>
        )}
        {fault !== null && (
          <p className="fault" role="alert">
            {fault}
          </p>
        )}
      </div>
      {heard === null
        ? level !== 'news' && (
            <Only right="record">
              <button
                type="button"
                className="btn"
                aria-disabled={busy}
                onClick={() => void tend({ act: 'heard', alarm: key })}
                aria-label={`I heard it: ${say(alarmSaid(kind))}`}
              >
                I heard it
              </button>
            </Only>
          )
        : decision === null && (
            <small>
              heard {clockTime(heard.at)} by {heard.by}
            </small>
          )}
    </div>
  );
}

/** A deviation is kept with what was decided. */
function Decide({ busy, onDecide }: { busy: boolean; onDecide: (what: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const [what, setWhat] = useState('');
  if (!isOpen)
    return (
      <button type="button" className="lnk" onClick={() => setOpen(true)}>
        Write what was decided
      </button>
    );
  return (
    <form
      className="words-form"
      onSubmit={(event) => {
        event.preventDefault();
        onDecide(what);
      }}
    >
      <label className="field">
        <span className="label">What was decided, and by whom</span>
        <textarea className="box" rows={2} maxLength={1000} value={what} onChange={(event) => setWhat(event.target.value)} autoFocus />
      </label>
      <div className="words-act">
        <button type="submit" className="btn" aria-disabled={busy}>
          Log the decision
        </button>
        <button type="button" className="btn quiet" onClick={() => setOpen(false)}>
          Not now
        </button>
      </div>
    </form>
  );
}

/** Everything that rang in this cook, the latest first. */
export function AlarmsSoFar({ watch }: { watch: PitWatch }) {
  const say = useSay();
  const onAt = watch.log.onAt ?? 0;
  const all = [...watch.alarms].sort((a, b) => b.sinceS - a.sinceS);
  return (
    <section className="panel so-far" aria-label="Told so far">
      <div className="ph">
        <h2>Told so far</h2>
        <span className="aside">{all.length === 0 ? 'nothing' : all.length}</span>
      </div>
      <ol>
        {all.map((alarm) => (
          <li key={`${alarm.key}${alarm.sinceS}`} className={alarm.level}>
            <span className="at">{clockTime(onAt + alarm.sinceS * 1000)}</span>
            <b>
              {say(alarmSaid(alarm.kind))}
              {alarm.subject === 'chamber' ? '' : `, ${alarm.subject}`}
            </b>
            <small>
              {alarm.untilS === null ? 'lasts' : `for ${span((alarm.untilS - alarm.sinceS) * 1000)}`}
              {alarm.heard !== null && `, heard by ${alarm.heard.by}`}
            </small>
          </li>
        ))}
      </ol>
      <Hearing />
    </section>
  );
}

/** Sound and notices of this device. */
function Hearing() {
  const { isOn, turn } = usePitSound();
  const { state, turnOn } = useReminding();
  return (
    <div className="hearing">
      <button type="button" className="btn quiet" aria-pressed={isOn} onClick={() => turn(!isOn)}>
        <Glyph name="sound" />
        {isOn ? 'Sound is on' : 'Sound is off'}
      </button>
      {state === 'off' && (
        <button type="button" className="lnk" onClick={() => void turnOn()}>
          Tell me on this device too
        </button>
      )}
    </div>
  );
}

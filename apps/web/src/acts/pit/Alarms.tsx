import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { alarmSaid, type PitWatch, type ToldAlarm } from '@bunkhouse/core';
import { lazy, Suspense, useState } from 'react';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { Strip } from '../../kit/Strip';
import { Glyph } from '../../kit/glyphs';
import { useSay } from '../../reader/reader';
import { usePitSound } from './ringing';
import { useTend } from './useTend';
import { useReminding } from '../reminding';
import { clockTime, span } from '../../reader/times';
import { Only } from '../../kit/Only';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  pitAlarms: { display: 'grid', gap: '8px', '&:empty': { display: 'none' }, '& small': { whiteSpace: 'nowrap' } },
  soFar: {
    '& ol': { maxHeight: '260px', overflow: 'auto' },
    '& li': {
      display: 'grid',
      gridTemplateColumns: '52px minmax(0, 1fr) auto',
      gap: '8px',
      padding: '7px 12px',
      borderTop: `1px solid ${t.hair}`,
      alignItems: 'baseline',
    },
    '& li b': { font: signed(16, 20, 600) },
  },
  danger: { '& b': { color: t.danger.ink } },
  at: { font: signed(16, 20, 600) },
  hearing: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 18px',
    alignItems: 'center',
    padding: '10px 12px',
    borderTop: `1px solid ${t.hair}`,
    '& .MuiButton-text': { fontSize: '15px' },
  },
} as const;

const LEVELS = {
  danger: { strip: 'stop', word: 'Danger' },
  caution: { strip: 'caution', word: 'Caution' },
  news: { strip: 'note', word: 'Note' },
} as const;

/** What holds now, worst first; each is quiet once somebody said that he heard it, or, where a rule was not kept, what was decided. */
export function Alarms({ batch, alarms }: { batch: Batch; alarms: readonly ToldAlarm[] }) {
  const lasting = alarms.filter(({ untilS }) => untilS === null);
  return (
    <Box sx={styles.pitAlarms}>
      {lasting.map((alarm) => (
        <Alarm key={`${alarm.key}${alarm.sinceS}`} batch={batch} alarm={alarm} />
      ))}
    </Box>
  );
}

/** Rules that somebody must decide about where they were not kept. */
const NEEDS_DECISION: readonly ToldAlarm['kind'][] = ['come-up', 'gate', 'cold'];

function Alarm({ batch, alarm }: { batch: Batch; alarm: ToldAlarm }) {
  const { tend, busy, fault } = useTend(batch);
  const say = useSay();
  const { kind, key, level, fact, order, heard, decision } = alarm;
  const { strip, word } = LEVELS[level];
  const isToDecide = level === 'danger' && NEEDS_DECISION.includes(kind) && decision === null;
  return (
    <Strip
      level={decision === null ? strip : 'note'}
      word={decision === null ? word : 'Decided'}
      role={level === 'danger' && heard === null ? 'alert' : 'status'}
      aria-label={say(alarmSaid(kind))}
      action={<Heard alarm={alarm} busy={busy} onHear={() => void tend({ act: 'heard', alarm: key })} />}
    >
      <p>
        <b>{say(fact)}</b> {decision === null ? say(order) : `Decided ${clockTime(decision.at)} by ${decision.by}: ${decision.what}`}
      </p>
      {isToDecide && (
        <Only right="plan" otherwise={<Typography variant="note">A cook decides this: call one.</Typography>}>
          <Decide batch={batch} alarm={key} />
        </Only>
      )}
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
    </Strip>
  );
}

/** Who heard it, or the way to say so. */
function Heard({ alarm: { kind, level, heard, decision }, busy, onHear }: { alarm: ToldAlarm; busy: boolean; onHear: () => void }) {
  const say = useSay();
  if (heard !== null)
    return decision === null ? (
      <small>
        heard {clockTime(heard.at)} by {heard.by}
      </small>
    ) : null;
  if (level === 'news') return null;
  return (
    <Only right="record">
      <Button aria-disabled={busy} onClick={onHear} aria-label={`I heard it: ${say(alarmSaid(kind))}`} sx={{ background: 'var(--bh-palette-panel)' }}>
        I heard it
      </Button>
    </Only>
  );
}

/** Fetched when somebody decides: its rules are large, and Today is to be there at once. */
const Decision = lazy(async () => ({ default: (await import('./Decision')).Decision }));

/** A deviation is kept with what was decided. */
function Decide({ batch, alarm }: { batch: Batch; alarm: string }) {
  const [isOpen, setOpen] = useState(false);
  if (!isOpen)
    return (
      <Button variant="text" onClick={() => setOpen(true)}>
        Write what was decided
      </Button>
    );
  return (
    <Suspense>
      <Decision batch={batch} alarm={alarm} onDone={() => setOpen(false)} />
    </Suspense>
  );
}

/** Everything that rang in this cook, the latest first. */
export function AlarmsSoFar({ watch }: { watch: PitWatch }) {
  const say = useSay();
  const onAt = watch.log.onAt ?? 0;
  const all = [...watch.alarms].sort((a, b) => b.sinceS - a.sinceS);
  return (
    <Panel title="Told so far" aside={all.length === 0 ? 'nothing' : all.length} sx={styles.soFar} label="Told so far">
      <ol>
        {all.map((alarm) => (
          <Box component="li" key={`${alarm.key}${alarm.sinceS}`} sx={[alarm.level === 'danger' && styles.danger]}>
            <Box component="span" sx={styles.at}>
              {clockTime(onAt + alarm.sinceS * 1000)}
            </Box>
            <b>
              {say(alarmSaid(alarm.kind))}
              {alarm.subject === 'chamber' ? '' : `, ${alarm.subject}`}
            </b>
            <small>
              {alarm.untilS === null ? 'lasts' : `for ${span((alarm.untilS - alarm.sinceS) * 1000)}`}
              {alarm.heard !== null && `, heard by ${alarm.heard.by}`}
            </small>
          </Box>
        ))}
      </ol>
      <Hearing />
    </Panel>
  );
}

/** Sound and notices of this device. */
function Hearing() {
  const { isOn, turn } = usePitSound();
  const { state, turnOn } = useReminding();
  return (
    <Box sx={styles.hearing}>
      <Button variant="quiet" aria-pressed={isOn} onClick={() => turn(!isOn)}>
        <Glyph name="sound" />
        {isOn ? 'Sound is on' : 'Sound is off'}
      </Button>
      {state === 'off' && (
        <Button variant="text" onClick={() => void turnOn()}>
          Tell me on this device too
        </Button>
      )}
    </Box>
  );
}

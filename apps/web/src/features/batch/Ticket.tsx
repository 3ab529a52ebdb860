import Typography from '@mui/material/Typography';
import Box from '@mui/material/Box';
import { unseen } from '../../theme/surfaces';
import Button from '@mui/material/Button';
import { HAND_ACT_SPECS, handActSaid, STATION_NAMES, STATIONS, type BatchState, type Station, type StandingEntry, type StepState } from '@bunkhouse/core';
import { Glyph, Plate } from '../../kit/glyphs';
import { clockTime, ticketTime, writtenTime } from '../../reader/times';
import dayjs from 'dayjs';
import { nameHere } from '../../reader/here';
import { useSay } from '../../reader/reader';
import { fold } from '../../theme/folds';
import { looks, stationed } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  ticket: {
    clipPath: 'polygon(14px 0, calc(100% - 14px) 0, 100% 14px, 100% 100%, 0 100%, 0 14px)',
    // It goes along: nothing is empty beneath it, and what is next is in sight wherever somebody reads.
    [fold.laptop]: { position: 'sticky', top: '12px', maxHeight: 'calc(100dvh - var(--rail-h) - 24px)', overflowY: 'auto', scrollbarWidth: 'thin' },
    [fold.tablet]: { order: 2 },
  },
  ticketHead: {
    display: 'grid',
    gridTemplateColumns: '1fr 92px 84px',
    alignItems: 'end',
    padding: '26px 12px 6px',
    position: 'relative',
    '& h2': { font: signed(24, 26, 600) },
    '& .MuiTypography-label': { textAlign: 'right' },
  },
  eye: {
    position: 'absolute',
    left: '50%',
    top: '9px',
    width: '14px',
    height: '14px',
    marginLeft: '-7px',
    borderRadius: '50%',
    border: `2px solid ${t.hair2}`,
    background: t.tile,
  },
  station: { borderTop: `1px solid ${t.hair}`, borderLeft: '5px solid transparent', '--plan': t.ink3 },
  here: { background: 'var(--st-wash)', borderLeftColor: 'var(--st)', '--plan': t.ink2 },
  summary: {
    display: 'grid',
    gridTemplateColumns: '24px 1fr 84px 84px',
    gap: '0 8px',
    alignItems: 'center',
    minHeight: '46px',
    padding: '0 12px 0 8px',
    cursor: 'pointer',
    listStyle: 'none',
    '&::-webkit-details-marker': { display: 'none' },
  },
  name: { font: signed(18, 20, 600) },
  plan: { font: signed(15, 18, 500), color: 'var(--plan)', textAlign: 'right', whiteSpace: 'nowrap' },
  done: { font: signed(15, 18, 600), color: 'var(--done)', textAlign: 'right', whiteSpace: 'nowrap' },
  row: {
    display: 'grid',
    gridTemplateColumns: '24px 1fr 84px 76px',
    gap: '0 8px',
    alignItems: 'center',
    minHeight: '29px',
    padding: '0 12px 0 8px',
    font: signed(16, 20, 500),
    '--plan': t.ink2,
  },
  rowOpen: { background: t.ink, color: t.panel, minHeight: '36px', '--plan': t.panel, '--done': t.panel },
  rowOverdue: { background: t.danger.main, color: t.danger.on, '--plan': t.danger.on, '--done': t.danger.on },
  rowChosen: { outline: `2px solid ${t.ink}`, outlineOffset: '-2px' },
  notDone: { fontStyle: 'italic' },
  mark: { display: 'grid', placeItems: 'center' },
  tickbox: { width: '11px', height: '11px', border: `1.5px solid var(--done, ${t.ink3})` },
  pips: { display: 'flex', gap: '4px', padding: '0 12px 6px 40px' },
  pip: { flex: 1, height: '9px', border: '1.5px solid var(--st)', maxWidth: '24px' },
  pipDone: { background: 'var(--st)' },
  pipDue: { background: `repeating-linear-gradient(135deg, ${t.ink} 0 3px, transparent 3px 6px)`, borderColor: t.ink },
  pipMissed: { borderStyle: 'dashed' },
} as const;

type Acted = Extract<StandingEntry, { kind: 'act' }>;

/** The batch’s steps, plan beside what was really done. */
export function Ticket({ state, now, chosen, onChoose }: { state: BatchState; now: number; chosen: string | undefined; onChoose: (stepId: string) => void }) {
  return (
    <Box component="section" sx={[looks.panel, styles.ticket]} aria-label="Ticket">
      <Box sx={styles.ticketHead}>
        <Box component="span" sx={styles.eye} />
        <h2>Ticket</h2>
        <Typography variant="label">Plan</Typography>
        <Typography variant="label">Done</Typography>
      </Box>
      {STATIONS.map((station) => {
        const steps = state.steps.filter((step) => step.spec.station === station).sort((a, b) => a.dueAt - b.dueAt);
        const acts = state.standing.filter((entry) => entry.kind === 'act').filter(({ event }) => HAND_ACT_SPECS[event.act].station === station);
        return steps.length + acts.length === 0 ? null : (
          <StationRows
            key={station}
            station={station}
            steps={steps}
            acts={acts}
            here={state.station === station}
            now={now}
            chosen={chosen}
            mayDo={(step) => step.closing === null && step.spec.needs.every((id) => state.step(id)?.closing !== null)}
            onChoose={onChoose}
          />
        );
      })}
    </Box>
  );
}

function StationRows({
  station,
  steps,
  acts,
  here,
  now,
  chosen,
  mayDo,
  onChoose,
}: {
  station: Station;
  steps: StepState[];
  /** what was done beside them */
  acts: readonly Acted[];
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
    <Box component="details" sx={[styles.station, here && styles.here, stationed(station)]} open={here}>
      <Box component="summary" sx={styles.summary}>
        <Plate station={station} size={24} ghost={!closed && !here} />
        <Box component="span" sx={styles.name}>
          {STATION_NAMES[station]}
        </Box>
        <Box component="span" sx={styles.plan}>
          {first === undefined ? '' : ticketTime(closed ? first.plannedAt : first.closing === null ? first.dueAt : first.plannedAt, now)}
        </Box>
        <Box component="span" sx={styles.done}>
          {closed && last?.closing ? ticketTime(Date.parse(last.closing.at), now) : ''}
        </Box>
      </Box>
      {turns.length > 0 && <Pips turns={turns} />}
      <ul>
        {inOrder(steps, acts).map((row) =>
          'spec' in row ? (
            <StepRow key={row.spec.id} step={row} now={now} chosen={chosen === row.spec.id} mayDo={mayDo(row)} onChoose={onChoose} />
          ) : (
            <ActRow key={row.id} act={row} now={now} />
          ),
        )}
      </ul>
    </Box>
  );
}

/** What was done and what is to be done, by its time. */
const inOrder = (steps: readonly StepState[], acts: readonly Acted[]): (StepState | Acted)[] => [...steps, ...acts].sort((a, b) => timeOf(a) - timeOf(b));
const timeOf = (row: StepState | Acted): number => ('spec' in row ? (row.closing === null ? row.dueAt : Date.parse(row.closing.at)) : Date.parse(row.at));

/** What no plan asked for: its own name, its own time. */
function ActRow({ act, now }: { act: Acted; now: number }) {
  const say = useSay();
  return (
    <Box component="li" sx={styles.row}>
      <Box component="span" sx={styles.mark}>
        <Glyph name="tick" size={15} />
      </Box>
      <Box component="span" sx={unseen}>
        done
      </Box>
      <span>{say(handActSaid({ act: act.event.act, ...(act.event.pieces === undefined ? {} : { pieces: act.event.pieces }) }))}</span>
      <Box component="span" sx={[styles.plan, styles.notDone]}>
        {act.about === true ? 'about' : 'unplanned'}
      </Box>
      <Box component="span" sx={styles.done}>
        {ticketTime(Date.parse(act.at), now)}
      </Box>
    </Box>
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
  const notDone = step.status === 'skipped' || step.status === 'missed';
  const planned = step.closing === null ? step.dueAt : step.plannedAt;
  return (
    <Box
      component="li"
      sx={[styles.row, open && styles.rowOpen, open && step.urgency === 'overdue' && styles.rowOverdue, chosen && styles.rowChosen]}
      aria-current={open ? 'step' : undefined}
    >
      <Box component="span" sx={styles.mark}>
        {step.status === 'done' ? <Glyph name="tick" size={15} /> : <Box component="span" sx={styles.tickbox} />}
      </Box>
      <Box component="span" sx={unseen}>
        {MARK_WORDS[step.status]}
      </Box>
      <span>
        {choosable ? (
          <Button
            variant="text"
            sx={{ font: 'inherit', minHeight: 29, color: 'inherit', textAlign: 'left', textDecorationStyle: 'dotted', '&::after': { inset: '-8px 0' } }}
            onClick={() => onChoose(step.spec.id)}
          >
            {nameHere(step.spec.title)}
          </Button>
        ) : (
          nameHere(step.spec.title)
        )}
      </span>
      <Box component="span" sx={[styles.plan, notDone && styles.notDone]}>
        {notDone ? MARK_WORDS[step.status] : ticketTime(planned, now)}
      </Box>
      <Box component="span" sx={styles.done}>
        {open && step.urgency !== 'waiting' ? (step.urgency === 'due' ? 'due' : 'late') : at !== null && step.status === 'done' ? doneTime(at, planned) : ''}
      </Box>
    </Box>
  );
}

/** The hour alone where it was done on the planned day. */
const doneTime = (at: number, planned: number): string => (dayjs(at).isSame(planned, 'day') ? clockTime(at) : writtenTime(at, 'ddd D HH:mm'));

function Pips({ turns }: { turns: StepState[] }) {
  const done = turns.filter((turn) => turn.status === 'done').length;
  return (
    <Box sx={styles.pips} role="img" aria-label={`${done} of ${turns.length} turns done`}>
      {turns.map((turn) => (
        <Box
          component="span"
          key={turn.spec.id}
          sx={[
            styles.pip,
            turn.status === 'done' && styles.pipDone,
            turn.status === 'open' && turn.urgency !== 'waiting' && styles.pipDue,
            turn.status === 'missed' && styles.pipMissed,
          ]}
        />
      ))}
    </Box>
  );
}

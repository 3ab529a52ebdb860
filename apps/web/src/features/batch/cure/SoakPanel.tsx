import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { padded, unseen } from '../../../theme/surfaces';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Button from '@mui/material/Button';
import {
  LEARNT_FROM,
  pieceTarget,
  soakMinutes,
  tasteTarget,
  VERDICTS,
  type CureCourse,
  type SoakPlan,
  type Tasted,
  MINUTE_MS,
  HOUR_MS,
  DAY_MIN,
} from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../../kit/Panel';
import { Pick } from '../../../kit/Pick';
import type { Batch } from '../../../data/batches';
import { useLearnt } from '../../../data/learnt';
import { Hero } from '../../../kit/Hero';
import { NumberField } from '../../../kit/NumberField';
import { GuideLink } from '../../../kit/GuideLink';
import { digits } from '../../../reader/quantities';
import { clockTime } from '../../../reader/times';
import type { SectionAnswer } from '../../../workers/sectionMessages';
import { useReplan } from '../../../acts/useReplan';
import { VERDICT_WORDS } from '../../../reader/words/tradeWords';
import { fold } from '../../../theme/folds';
import { looks } from '../../../theme/looks';
import { t } from '../../../theme/tokens';

const styles = {
  soakPlan: { display: 'grid', gap: '10px', borderTop: 0, paddingTop: '10px', overflowX: 'auto' },
  soakTarget: {
    display: 'grid',
    gridTemplateColumns: '150px 150px minmax(0, 1fr)',
    gap: '12px',
    alignItems: 'end',
    [fold.phone]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  soakTime: { display: 'flex', flexWrap: 'wrap', gap: '8px 18px', alignItems: 'end' },
  inWater: { display: 'flex', flexWrap: 'wrap', gap: '4px 24px', alignItems: 'end', paddingBottom: '10px', borderBottom: `1px solid ${t.hair}` },
  lead: { margin: '0 0 6px', maxWidth: '46ch' },
} as const;

/** Changes of the water in a day. */
const CHANGES = [0, 1, 3, 7, 23] as const;

/** Minutes at which the soak is told. */
const TOLD = [0, 20, 60, 120, 240, 720, 1440] as const;
/** Soaks are planned to five minutes. */
const PLANNED_TO = 5;

/** Fresh water after the pull: how long, by the model and by this cook’s own taste, and how long it has been. */
export function SoakPanel({
  batch,
  course,
  answer,
  now,
  changes,
  onChanges,
}: {
  batch: Batch;
  course: CureCourse;
  answer: SectionAnswer;
  now: number;
  changes: number;
  onChanges: (changes: number) => void;
}) {
  const { state } = batch;
  const learnt = useLearnt();
  const { replan, busy, fault } = useReplan(batch);
  const [typed, setTyped] = useState<number | undefined | null>(null);
  const usual = learnt?.taste ?? tasteTarget([]);
  const here = tastedHere(batch, course, answer);
  const aimed = Number(pieceTarget(usual, here).toFixed(2));
  const target = typed === null ? aimed : typed;
  const plan = answer.soak;
  const minutes = target === undefined || !(target >= 0 && target <= 26) ? null : soakMinutes(plan, target);
  const rounded = minutes === null ? null : Math.round(minutes / PLANNED_TO) * PLANNED_TO;
  const soakOut = state.step('soak-out');
  const planned = state.design.soakMin;
  const mayPlan = soakOut?.closing === null && rounded !== null && rounded >= PLANNED_TO && rounded <= DAY_MIN && rounded !== planned;
  return (
    <Panel
      title="The soak"
      aside={
        <>
          {`${digits(usual.percent, 2)} ± ${digits(usual.spread, 2)} % tastes right here`} <GuideLink to="soak" of="The soak" />
        </>
      }
      label="The soak"
    >
      <Box sx={[styles.soakPlan, padded]}>
        <InTheWater batch={batch} course={course} answer={answer} now={now} />
        <Box sx={styles.soakTarget}>
          <NumberField label="Salt wanted at the edge" sign="%" value={target} onChange={setTyped} />
          <Pick label="Water changed" value={String(changes)} onChange={(chosen) => onChanges(Number(chosen))}>
            {CHANGES.map((times) => (
              <option key={times} value={times}>
                {times === 0 ? 'not at all' : `every ${digits(24 / (times + 1), 0)} h`}
              </option>
            ))}
          </Pick>
          <Box sx={styles.soakTime}>
            <Hero
              label="In fresh water"
              value={minutes === null ? '\u2013' : soakFigure(minutes).value}
              unit={minutes === null ? '' : soakFigure(minutes).unit}
            />
            {mayPlan && (
              <Button
                aria-disabled={busy}
                onClick={() => void replan({ soakMin: rounded }, `${minuteWords(rounded)} of soak, to ${digits(target ?? 0, 2)} % at the edge`)}
              >
                Plan {minuteWords(rounded)}
              </Button>
            )}
            {planned !== undefined && <Typography variant="note">Planned: {minuteWords(planned)}.</Typography>}
          </Box>
        </Box>
        {fault !== null && (
          <Typography variant="fault" role="alert">
            {fault}
          </Typography>
        )}
        <Typography variant="note">{soakWords(minutes, plan)}</Typography>
        {here.length > 0 && (
          <Typography variant="note">
            This piece tasted {here.map(({ verdict, edgePercent }) => `${VERDICT_WORDS[verdict]} at ${digits(edgePercent, 2)} %`).join(', then ')}: aimed at{' '}
            {digits(aimed, 2)} % for it.
          </Typography>
        )}
        <Typography variant="note">
          {usual.verdicts === 0
            ? `No fry test is kept yet: ${digits(2.3, 1)} % is what most like. Say how a slice tastes, and the target follows.`
            : `The target comes from ${usual.verdicts === 1 ? 'one fry test' : `${usual.verdicts} fry tests`} of this house and the usual ${digits(2.3, 1)} %${
                usual.verdicts < LEARNT_FROM ? `; from ${LEARNT_FROM} on it counts as learnt` : ''
              }.`}{' '}
          <Button variant="text" component={Link} to="/learnt">
            See from which
          </Button>
          .
        </Typography>
        <Table sx={[looks.book, looks.argument]}>
          <Box component="caption" sx={unseen}>
            Salt after minutes in fresh water
          </Box>
          <TableHead>
            <TableRow>
              <TableCell>In fresh water</TableCell>
              {TOLD.map((minute) => (
                <TableCell key={minute} align="right">
                  {minuteWords(minute)}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {(['edge', 'mean'] as const).map((what) => (
              <TableRow key={what}>
                <TableCell component="th" scope="row">
                  {what === 'edge' ? 'Edge, as fried' : 'Mean'}
                </TableCell>
                {TOLD.map((minute) => (
                  <TableCell key={minute} align="right">
                    {digits(at(plan, plan[what], minute), 2)}
                  </TableCell>
                ))}
              </TableRow>
            ))}
          </TableBody>
        </Table>
      </Box>
    </Panel>
  );
}

/** What was said of slices of this batch, with the salt that the model gives each. */
function tastedHere({ state }: Batch, course: CureCourse, answer: SectionAnswer): Tasted[] {
  return state.standing.flatMap((entry): Tasted[] => {
    const verdict = entry.kind === 'done' ? VERDICTS.find((known) => known === entry.values.taste) : undefined;
    return verdict === undefined ? [] : [{ verdict, edgePercent: edgeAt(answer, (Date.parse(entry.at) - course.startsAt) / HOUR_MS) }];
  });
}

/** The running soak: since when, how long, what the edge is by now. */
function InTheWater({ batch, course, answer, now }: { batch: Batch; course: CureCourse; answer: SectionAnswer; now: number }) {
  const { state } = batch;
  const into = state.closing('soak-in');
  const out = state.step('soak-out');
  if (into?.kind !== 'done' || out === null) return null;
  const from = Date.parse(into.at);
  const until = out.closing === null ? now : Date.parse(out.closing.at);
  const edgeNow = edgeAt(answer, (until - course.startsAt) / HOUR_MS);
  const left = Math.round((out.dueAt - now) / MINUTE_MS);
  return (
    <Box sx={styles.inWater} role="timer" aria-label="In the water">
      <Hero size="xl" label={out.closing === null ? 'In the water' : 'Was in the water'} value={clockSpan(until - from)} unit="h" />
      <Box component="p" sx={[looks.lead, styles.lead]}>
        {out.closing === null ? (
          <>
            Since {clockTime(from)}.{' '}
            {left >= 0
              ? `Out at ${clockTime(out.dueAt)}, in ${minuteWords(left)}.`
              : `Due out at ${clockTime(out.dueAt)}, ${minuteWords(-left)} ago: fry a slice.`}
          </>
        ) : (
          <>
            {clockTime(from)} to {clockTime(until)}.
          </>
        )}{' '}
        By the model the edge is at {digits(edgeNow, 2)} % now.
      </Box>
    </Box>
  );
}

/** Salt of the edge at an hour, straight between the samples. */
function edgeAt({ salt: { timesH, edge } }: SectionAnswer, atH: number): number {
  const next = timesH.findIndex((h) => h >= atH);
  if (next <= 0) return (next < 0 ? edge.at(-1) : edge[0]) ?? 0;
  const [from, to] = [timesH[next - 1] ?? 0, timesH[next] ?? 0];
  const part = to > from ? (atH - from) / (to - from) : 1;
  return (edge[next - 1] ?? 0) * (1 - part) + (edge[next] ?? 0) * part;
}

const clockSpan = (ms: number): string => {
  const minutes = Math.max(0, Math.floor(ms / MINUTE_MS));
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
};

const at = ({ minutes }: SoakPlan, values: readonly number[], minute: number): number =>
  values[
    Math.max(
      0,
      minutes.findIndex((m) => m >= minute - 1e-6),
    )
  ] ?? 0;

const soakFigure = (minutes: number): { value: string; unit: string } =>
  minutes < 90 ? { value: digits(minutes, 0), unit: 'min' } : { value: digits(minutes / 60, 1), unit: 'h' };

const minuteWords = (minutes: number): string =>
  minutes < 60 ? `${digits(minutes, 0)} min` : minutes % 60 === 0 ? `${digits(minutes / 60, 0)} h` : `${Math.floor(minutes / 60)} h ${digits(minutes % 60, 0)}`;

function soakWords(minutes: number | null, plan: SoakPlan): string {
  if (minutes === null) return 'Not within a day of fresh water, by the model.';
  if (minutes < 1) return 'No soak is needed for that, by the model. Fry a slice all the same.';
  return `After the pull, in four times its weight of cold water; the mean is then ${digits(at(plan, plan.mean, minutes), 2)} %. The salt evens out later: the edge gains some back.`;
}

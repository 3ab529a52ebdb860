import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import type { HousePlan, Schedule } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import { Title } from '../../kit/Title';
import { useLiveBatches, type Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { Choice } from '../../kit/Choice';
import { useNow } from '../../data/useNow';
import { useAsk } from '../../workers/useSchedule';
import { useScheduleParams } from '../../workers/useScheduleParams';
import { rowOf } from './bands';
import { Clashes } from './Clashes';
import { DayList } from './DayList';
import { FeedPanel } from './FeedPanel';
import { HoursForm } from './HoursForm';
import { MendPanel } from './MendPanel';
import { usePlanMoves, type PlanMoves } from './usePlanMoves';
import { endOf, SPANS, useView, type View } from './useView';
import { WeeksPicture, type Ghost } from './WeeksPicture';
import { Only } from '../../kit/Only';
import { writtenTime } from '../../reader/times';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';

const styles = {
  calendar: { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: '10px', alignContent: 'start' },
  calendarHead: { display: 'flex', flexWrap: 'wrap', gap: '8px 20px', alignItems: 'center', justifyContent: 'space-between' },
  viewActs: { [fold.narrow]: { display: 'none' } },
  calendarSaid: { minHeight: '22px', margin: '-4px 0', '& .MuiTypography-fault': { margin: 0, fontSize: '15px' } },
} as const;

/** What is open above the picture. */
type Open = 'hours' | 'feed' | 'mend' | null;

/** Every batch, every day: bands for each station, the cook's hours, what is full, what clashes and what would help. */
export function Calendar() {
  const { batches } = useLiveBatches();
  const plan = useHousePlan();
  return (
    <Box sx={[looks.page, styles.calendar]}>
      {batches === undefined || plan === undefined ? (
        <>
          <Title>Calendar</Title>
          <Typography variant="note">Reading the plans...</Typography>
        </>
      ) : (
        <Weeks batches={batches} plan={plan} />
      )}
    </Box>
  );
}

function Weeks({ batches, plan }: { batches: Batch[]; plan: HousePlan }) {
  const now = useNow();
  const view = useView(now);
  const moves = usePlanMoves(batches);
  const [search] = useSearchParams();
  const [open, setOpen] = useState<Open>(search.get('open') === 'hours' ? 'hours' : null);
  const [ghosts, setGhosts] = useState<Ghost[] | null>(null);
  const rows = useMemo(() => batches.map(rowOf), [batches]);
  const { params, variants } = useScheduleParams(batches, plan, now);
  const { answer: look, fault } = useAsk({ kind: 'look', params });
  useHotkeys('mod+z', () => void moves.undo(), { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', () => void moves.redo(), { preventDefault: true });
  const toggle = (what: Open) => {
    setOpen(open === what ? null : what);
    setGhosts(null);
  };
  return (
    <>
      <Head view={view} moves={moves} open={open} onOpen={toggle} mendable={isMendable(look)} />
      {open === 'hours' && <HoursForm plan={plan} now={now} onDone={() => setOpen(null)} />}
      {open === 'feed' && <FeedPanel />}
      {open === 'mend' && <MendPanel params={params} rows={rows} plan={plan} moves={moves} onShow={setGhosts} onDone={() => toggle('mend')} />}
      {fault !== null && <Typography variant="fault">{fault}</Typography>}
      {rows.length === 0 ? (
        <Box component="p" sx={looks.lead}>
          No batch is running. <Link to="/new">Plan one</Link>
        </Box>
      ) : (
        <>
          <Said moves={moves} plan={plan} now={now} />
          <WeeksPicture rows={rows} view={view} now={now} plan={plan} params={params} look={look} ghosts={ghosts} moves={moves} />
          {look !== null && open !== 'mend' && (
            <Clashes look={look} rows={rows} plan={plan} variants={variants} moves={moves} shown={ghosts} onShow={setGhosts} />
          )}
          <DayList rows={rows} now={now} hours={plan.hours} />
        </>
      )}
    </>
  );
}

const isMendable = (look: Schedule | null): boolean => look !== null && look.clashes.length > 0;

function Head({ view, moves, open, onOpen, mendable }: { view: View; moves: PlanMoves; open: Open; onOpen: (what: Open) => void; mendable: boolean }) {
  const first = dayjs(view.from);
  const last = dayjs(endOf(view)).subtract(1, 'day');
  const step = Math.min(21, view.days);
  return (
    <Box sx={[looks.pageHead, styles.calendarHead]}>
      <Title page="Calendar">
        {writtenTime(first, first.month() === last.month() ? 'D' : 'D MMMM')} to {writtenTime(last, 'D MMMM')}
      </Title>
      <Box sx={[looks.calendarActs, styles.viewActs]}>
        <Button onClick={() => view.pan(-step)} aria-label="Earlier days">
          Earlier
        </Button>
        <Button onClick={view.home} aria-disabled={view.isHome}>
          Now
        </Button>
        <Button onClick={() => view.pan(step)} aria-label="Later days">
          Later
        </Button>
        <Choice quiet label="How much is shown" value={view.span} options={SPANS} onChange={view.show} />
      </Box>
      <Box sx={looks.calendarActs}>
        <Button variant="quiet" onClick={() => void moves.undo()} disabled={!moves.canUndo || moves.busy}>
          Undo move
        </Button>
        <Button variant="quiet" onClick={() => void moves.redo()} disabled={!moves.canRedo || moves.busy}>
          Redo move
        </Button>
        <Only right="plan">
          <Button variant={mendable && open !== 'mend' ? 'contained' : 'outlined'} aria-expanded={open === 'mend'} onClick={() => onOpen('mend')}>
            Mend the plan
          </Button>
          <Button aria-expanded={open === 'feed'} onClick={() => onOpen('feed')}>
            On your telephone
          </Button>
          <Button aria-expanded={open === 'hours'} onClick={() => onOpen('hours')}>
            Hours and stores
          </Button>
        </Only>
      </Box>
    </Box>
  );
}

/** What was refused, and whether this device's clock is another one than the house's. */
function Said({ moves, plan, now }: { moves: PlanMoves; plan: HousePlan; now: number }) {
  const zone = plan.hours.timeZone;
  const elsewhere = useMemo(() => {
    const shown = (timeZone?: string) => new Date(now).toLocaleString('en-GB', { timeZone, dateStyle: 'short', timeStyle: 'short' });
    return shown() !== shown(zone);
  }, [zone, now]);
  return (
    <>
      <Box component="p" sx={styles.calendarSaid} role="status">
        {moves.fault !== null && (
          <>
            <Typography variant="fault" component="span">
              {moves.fault}
            </Typography>{' '}
            <Button variant="text" onClick={moves.clear}>
              Understood
            </Button>
          </>
        )}
      </Box>
      {elsewhere && (
        <Typography variant="note">
          Times are shown by this device’s clock. The house works by the clocks of {zone.replaceAll('_', ' ')}, which show another time.
        </Typography>
      )}
    </>
  );
}

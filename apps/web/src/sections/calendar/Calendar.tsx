import type { HousePlan, Schedule } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import { useLiveBatches, type Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { Choice } from '../../shell/Choice';
import { useNow } from '../../shell/useNow';
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
import { Only } from '../../shell/Only';
import { writtenTime } from '../../shell/times';

/** What is open above the picture. */
type Open = 'hours' | 'feed' | 'mend' | null;

/** Every batch, every day: bands for each station, the cook's hours, what is full, what clashes and what would help. */
export function Calendar() {
  const { batches } = useLiveBatches();
  const plan = useHousePlan();
  return (
    <div className="page calendar">
      {batches === undefined || plan === undefined ? (
        <>
          <h1 className="title">Calendar</h1>
          <p className="note">Reading the plans...</p>
        </>
      ) : (
        <Weeks batches={batches} plan={plan} />
      )}
    </div>
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
      {fault !== null && <p className="fault">{fault}</p>}
      {look !== null && open !== 'mend' && <Clashes look={look} rows={rows} plan={plan} variants={variants} moves={moves} shown={ghosts} onShow={setGhosts} />}
      {rows.length === 0 ? (
        <p className="lead">
          No batch is running. <Link to="/new">Plan one</Link>
        </p>
      ) : (
        <>
          <Said moves={moves} plan={plan} now={now} />
          <WeeksPicture rows={rows} view={view} now={now} plan={plan} params={params} look={look} ghosts={ghosts} moves={moves} />
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
    <div className="page-head calendar-head">
      <h1 className="title">
        {writtenTime(first, first.month() === last.month() ? 'D' : 'D MMMM')} to {writtenTime(last, 'D MMMM')}
      </h1>
      <div className="calendar-acts view-acts">
        <button type="button" className="btn" onClick={() => view.pan(-step)} aria-label="Earlier days">
          Earlier
        </button>
        <button type="button" className="btn" onClick={view.home} aria-disabled={view.isHome}>
          Now
        </button>
        <button type="button" className="btn" onClick={() => view.pan(step)} aria-label="Later days">
          Later
        </button>
        <Choice quiet label="How much is shown" value={view.span} options={SPANS} onChange={view.show} />
      </div>
      <div className="calendar-acts">
        <button type="button" className="btn quiet" onClick={() => void moves.undo()} disabled={!moves.canUndo || moves.busy}>
          Undo move
        </button>
        <button type="button" className="btn quiet" onClick={() => void moves.redo()} disabled={!moves.canRedo || moves.busy}>
          Redo move
        </button>
        <Only right="plan">
          <button type="button" className={mendable && open !== 'mend' ? 'btn go' : 'btn'} aria-expanded={open === 'mend'} onClick={() => onOpen('mend')}>
            Mend the plan
          </button>
          <button type="button" className="btn" aria-expanded={open === 'feed'} onClick={() => onOpen('feed')}>
            On your telephone
          </button>
          <button type="button" className="btn" aria-expanded={open === 'hours'} onClick={() => onOpen('hours')}>
            Hours and stores
          </button>
        </Only>
      </div>
    </div>
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
      <p className="calendar-said" role="status">
        {moves.fault !== null && (
          <>
            <span className="fault">{moves.fault}</span>{' '}
            <button type="button" className="lnk" onClick={moves.clear}>
              Understood
            </button>
          </>
        )}
      </p>
      {elsewhere && (
        <p className="note">Times are shown by this device’s clock. The house works by the clocks of {zone.replaceAll('_', ' ')}, which show another time.</p>
      )}
    </>
  );
}

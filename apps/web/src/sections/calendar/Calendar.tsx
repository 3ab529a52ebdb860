import { schedulable, type HousePlan, type Proposal, type ScheduleParams } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLiveBatches, type Batch } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { Choice } from '../../shell/Choice';
import { useNow } from '../../shell/useNow';
import { useLook } from '../../workers/useSchedule';
import { rowOf } from './bands';
import { Clashes } from './Clashes';
import { DayList } from './DayList';
import { HoursForm } from './HoursForm';
import { WeeksPicture } from './WeeksPicture';

const SPANS = { weeks: 'Three weeks', season: 'Season' } as const;
const DAYS = { weeks: 21, season: 84 } as const;
const QUARTER_MS = 900_000;

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
  const [spanKind, setSpanKind] = useState<keyof typeof SPANS>('weeks');
  const [weeksOff, setWeeksOff] = useState(0);
  const [preview, setPreview] = useState<Proposal | null>(null);
  const [settingUp, setSettingUp] = useState(false);
  const monday = dayjs(now)
    .startOf('day')
    .subtract((dayjs(now).day() + 6) % 7, 'day')
    .add(weeksOff, 'week');
  const days = DAYS[spanKind];
  const rows = useMemo(() => batches.map(rowOf), [batches]);
  const params = useMemo(() => paramsOf(batches, plan, now), [batches, plan, now]);
  const { look, fault } = useLook(params);
  const last = monday.add(days - 1, 'day');
  return (
    <>
      <div className="page-head calendar-head">
        <h1 className="title">
          {monday.format(monday.month() === last.month() ? 'D' : 'D MMMM')} to {last.format('D MMMM')}
        </h1>
        <div className="calendar-acts">
          <button type="button" className="btn" onClick={() => setWeeksOff(weeksOff - 1)}>
            Week before
          </button>
          <button type="button" className="btn" onClick={() => setWeeksOff(0)} aria-disabled={weeksOff === 0}>
            Now
          </button>
          <button type="button" className="btn" onClick={() => setWeeksOff(weeksOff + 1)}>
            Week after
          </button>
          <Choice quiet label="How much is shown" value={spanKind} options={SPANS} onChange={setSpanKind} />
          <button type="button" className="btn" aria-expanded={settingUp} onClick={() => setSettingUp(!settingUp)}>
            Hours and stores
          </button>
        </div>
      </div>
      {settingUp && <HoursForm plan={plan} onDone={() => setSettingUp(false)} />}
      {fault !== null && <p className="fault">{fault}</p>}
      {look !== null && <Clashes look={look} rows={rows} plan={plan} preview={preview} onPreview={setPreview} />}
      {rows.length === 0 ? (
        <p className="lead">
          No batch is running. <Link to="/new">Plan one</Link>
        </p>
      ) : (
        <>
          <WeeksPicture rows={rows} from={monday.valueOf()} days={days} now={now} plan={plan} params={params} look={look} preview={preview} />
          <DayList rows={rows} now={now} hours={plan.hours} />
        </>
      )}
    </>
  );
}

/** The plans of all batches as the scheduler reads them, to the quarter of an hour. */
function paramsOf(batches: readonly Batch[], plan: HousePlan, now: number): ScheduleParams {
  return {
    batches: batches.map(({ record, state }) => schedulable(record, state, plan.resources)),
    resources: plan.resources,
    hours: plan.hours,
    now: new Date(Math.floor(now / QUARTER_MS) * QUARTER_MS).toISOString(),
  };
}

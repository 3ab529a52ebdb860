import type { HousePlanRequest } from '@bunkhouse/api';
import type { HousePlan } from '@bunkhouse/core';
import { useState } from 'react';
import { changeHousePlan } from '../../data/housePlan';
import { Refusal } from '../../data/request';
import { ClockField } from '../../instruments/ClockField';
import { NumberField } from '../../instruments/NumberField';
import { usePreferences } from '../../shell/preferences';
import { StoresFields } from './StoresFields';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const NIGHTS = ['smoke', 'cook', 'chill'] as const;
/** When the house works and what it has. */
export function HoursForm({ plan, now, onDone }: { plan: HousePlan; now: number; onDone: () => void }) {
  const { name } = usePreferences();
  const { hours } = plan;
  const [week, setWeek] = useState(hours.week.map((spans) => spans[0] ?? { fromMin: 0, toMin: 0 }));
  const [hands, setHands] = useState<number | undefined>(hours.hands);
  const [nights, setNights] = useState<string[]>(hours.nightWatch);
  const [daysOff, setDaysOff] = useState(hours.daysOff.join(', '));
  const [resources, setResources] = useState(plan.resources);
  const [fault, setFault] = useState<string | null>(null);
  const setDay = (day: number, part: Partial<(typeof week)[number]>) => setWeek(week.map((span, i) => (i === day ? { ...span, ...part } : span)));
  const save = async () => {
    const asked: HousePlanRequest = {
      timeZone: hours.timeZone,
      week,
      daysOff: daysOff.split(/[,;\s]+/).filter((date) => date !== ''),
      hands: hands ?? Number.NaN,
      nightWatch: nights,
      resources,
      by: name,
    };
    try {
      await changeHousePlan(asked);
      onDone();
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      setFault(error.errors[0]?.message ?? error.message);
    }
  };
  return (
    <form
      className="panel hours-form"
      aria-label="Hours and stores"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <div className="ph">
        <h2>Hours and stores</h2>
        <span className="aside">clocks of {hours.timeZone.replace('_', ' ')}</span>
      </div>
      <div className="pad hours-in">
        <fieldset>
          <legend className="label">The week</legend>
          {week.map((span, day) => (
            <div key={DAYS[day]} className="hours-day">
              <span>
                {DAYS[day]}
                {span.fromMin === span.toMin && <small className="note"> off</small>}
              </span>
              <ClockField label={`${DAYS[day]} from`} value={span.fromMin} onChange={(fromMin) => setDay(day, { fromMin })} />
              <ClockField label={`${DAYS[day]} to`} value={span.toMin} onChange={(toMin) => setDay(day, { toMin })} />
            </div>
          ))}
          <p className="note">From and to alike: a day off.</p>
        </fieldset>
        <div className="hours-more">
          <NumberField label="People at work at once" value={hands} onChange={setHands} />
          <label className="field">
            <span className="label">Days off</span>
            <input className="box" value={daysOff} placeholder="2026-12-25, 2027-01-01" onChange={(event) => setDaysOff(event.target.value)} />
          </label>
          <fieldset className="nights">
            <legend className="label">Jobs done at night, too</legend>
            {NIGHTS.map((station) => (
              <label key={station}>
                <input
                  type="checkbox"
                  checked={nights.includes(station)}
                  onChange={(event) => setNights(event.target.checked ? [...nights, station] : nights.filter((other) => other !== station))}
                />{' '}
                {station}
              </label>
            ))}
          </fieldset>
          <StoresFields resources={resources} now={now} onChange={setResources} />
          {fault !== null && (
            <p className="fault" role="alert">
              {fault}
            </p>
          )}
          <button type="submit" className="btn">
            Keep hours and stores
          </button>
        </div>
      </div>
    </form>
  );
}

import type { HousePlanRequest } from '@bunkhouse/api';
import type { HousePlan } from '@bunkhouse/core';
import { useState } from 'react';
import { changeHousePlan } from '../../data/housePlan';
import { Refusal } from '../../data/request';
import { NumberField } from '../../instruments/NumberField';
import { usePreferences } from '../../shell/preferences';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const NIGHTS = ['smoke', 'cook', 'chill'] as const;
const UNITS = { refrigerator: 'L', smoker: 'racks', tub: 'tubs' } as const;

const clock = (minutes: number): string => `${String(Math.floor(minutes / 60) % 24).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
const minutesOf = (text: string, whenMidnight: number): number => {
  const [hours = 0, minutes = 0] = text.split(':').map(Number);
  return hours * 60 + minutes || whenMidnight;
};

/** When the house works and what it has. */
export function HoursForm({ plan, onDone }: { plan: HousePlan; onDone: () => void }) {
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
      by: name.trim() === '' ? 'Cook' : name.trim(),
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
              <span>{DAYS[day]}</span>
              <input
                className="box"
                type="time"
                aria-label={`${DAYS[day]} from`}
                value={clock(span.fromMin)}
                onChange={(e) => setDay(day, { fromMin: minutesOf(e.target.value, 0) })}
              />
              <input
                className="box"
                type="time"
                aria-label={`${DAYS[day]} to`}
                value={clock(span.toMin)}
                onChange={(e) => setDay(day, { toMin: minutesOf(e.target.value, 0) })}
              />
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
          {resources.map((resource, i) => (
            <NumberField
              key={resource.id}
              label={`${resource.name} holds`}
              sign={UNITS[resource.kind]}
              value={resource.capacity}
              onChange={(capacity) => setResources(resources.map((other, k) => (k === i ? { ...other, capacity: capacity ?? Number.NaN } : other)))}
            />
          ))}
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

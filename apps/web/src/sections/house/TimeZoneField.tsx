import type { HousePlan } from '@bunkhouse/core';
import { useState } from 'react';
import { changeHousePlan } from '../../data/housePlan';
import { useWho } from '../../shell/who';
import { useSaving } from './useSaving';

/** By whose clocks the house works. */
export function TimeZoneField({ plan }: { plan: HousePlan }) {
  const { hours, resources } = plan;
  const { name } = useWho();
  const [timeZone, setTimeZone] = useState(hours.timeZone);
  const { save, busy, at, fault } = useSaving();
  const zones = [...new Set([hours.timeZone, ...Intl.supportedValuesOf('timeZone'), 'UTC'])];
  const keep = () => {
    const { week, daysOff, hands, nightWatch } = hours;
    const spans = week.map(([span]) => span ?? { fromMin: 0, toMin: 0 });
    void save(() => changeHousePlan({ timeZone, week: spans, daysOff: [...daysOff], hands, nightWatch: [...nightWatch], resources: [...resources], by: name }));
  };
  return (
    <>
      <label className="field">
        <span className="label">Time zone of the house</span>
        <select className="box" value={timeZone} onChange={(event) => setTimeZone(event.target.value)}>
          {zones.map((zone) => (
            <option key={zone} value={zone}>
              {zone.replaceAll('_', ' ')}
            </option>
          ))}
        </select>
        {(at('timeZone') ?? fault ?? '') !== '' && <span className="fault">{at('timeZone') ?? fault}</span>}
      </label>
      {timeZone !== hours.timeZone && (
        <button type="button" className="btn" disabled={busy} onClick={keep}>
          Keep this time zone
        </button>
      )}
    </>
  );
}

import type { HouseResponse, HouseSettings } from '@bunkhouse/api';
import { RULE_SETS } from '@bunkhouse/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { changeSettings } from '../../data/batches';
import { useHousePlan } from '../../data/housePlan';
import { NumberField } from '../../instruments/NumberField';
import { Choice } from '../../shell/Choice';
import { TimeZoneField } from './TimeZoneField';
import { useSaving } from './useSaving';

const RULES = Object.fromEntries(Object.entries(RULE_SETS).map(([id, { name }]) => [id, name])) as Record<HouseSettings['ruleSet'], string>;

/** How the house counts and shows, what it goes by, and how long it keeps every reading. */
export function SettingsForm({ house }: { house: HouseResponse }) {
  const [name, setName] = useState(house.name);
  const [settings, setSettings] = useState(house.settings);
  const { save, busy, at, fault } = useSaving();
  const plan = useHousePlan();
  const set = (part: Partial<HouseSettings>) => setSettings({ ...settings, ...part });
  const isChanged = name !== house.name || JSON.stringify(settings) !== JSON.stringify(house.settings);
  return (
    <>
      <section className="panel">
        <div className="ph">
          <h2>The house</h2>
        </div>
        <form
          className="pad settings"
          aria-label="Settings of the house"
          onSubmit={(event) => {
            event.preventDefault();
            void save(() => changeSettings({ name, ...settings }));
          }}
        >
          <label className={`field${at('name') === undefined ? '' : ' wrong'}`}>
            <span className="label">Name</span>
            <input className="box" value={name} maxLength={60} onChange={(event) => setName(event.target.value)} />
            {at('name') !== undefined && <span className="fault">{at('name')}</span>}
          </label>
          <label className="field">
            <span className="label">Rules for nitrite in a new batch</span>
            <select className="box" value={settings.ruleSet} onChange={(event) => set({ ruleSet: event.target.value as HouseSettings['ruleSet'] })}>
              {Object.entries(RULES).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </select>
            <span className="note">Your local code and your inspector decide. A batch may go by others.</span>
          </label>
          <div className="pair">
            <Choice label="Weights" value={settings.system} options={{ metric: 'g, mm', us: 'lb, in' }} onChange={(system) => set({ system })} />
            <Choice label="Temperatures" value={settings.temperature} options={{ C: '°C', F: '°F' }} onChange={(temperature) => set({ temperature })} />
          </div>
          <p className="note">For devices where nobody chose otherwise.</p>
          <div className="pair">
            <Choice label="Days" value={settings.dates} options={{ dayFirst: '17 Oct', monthFirst: 'Oct 17' }} onChange={(dates) => set({ dates })} />
            <Choice
              label="Hours"
              value={settings.clock}
              options={[
                ['24', '15:30'],
                ['12', '3:30 pm'],
              ]}
              onChange={(clock) => set({ clock })}
            />
          </div>
          <Choice label="Numbers" value={settings.decimal} options={{ point: '3.5 %', comma: '3,5 %' }} onChange={(decimal) => set({ decimal })} />
          <NumberField
            label="A tablet of the crew locks after"
            sign="min"
            decimals={0}
            value={settings.lockMin}
            onChange={(lockMin) => set({ lockMin: lockMin ?? Number.NaN })}
            error={at('lockMin')}
            hint="It goes on showing and ringing, and asks for a PIN before it logs."
          />
          <NumberField
            label="Keep every single reading for"
            sign="days"
            decimals={0}
            value={settings.rawDays ?? undefined}
            onChange={(rawDays) => set({ rawDays: rawDays ?? null })}
            error={at('rawDays')}
            placeholder="always"
            hint="Older ones are thinned to what draws the same curve within a tenth of a degree. The log is never touched. Empty: every one stays."
          />
          {fault !== null && (
            <p className="fault" role="alert">
              {fault}
            </p>
          )}
          <button type="submit" className="btn go" disabled={busy || !isChanged}>
            {isChanged ? 'Keep these settings' : 'Kept'}
          </button>
        </form>
      </section>
      {plan !== undefined && (
        <section className="panel">
          <div className="ph">
            <h2>Clocks and hours</h2>
          </div>
          <div className="pad">
            <TimeZoneField key={plan.hours.timeZone} plan={plan} />
            <p>
              <Link className="lnk" to="/calendar?open=hours">
                Work hours, days off and stores
              </Link>
            </p>
          </div>
        </section>
      )}
    </>
  );
}

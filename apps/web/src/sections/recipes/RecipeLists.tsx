import { STATION_NAMES, STATIONS, type OwnCheck, type Spice, type Station } from '@bunkhouse/core';
import { NumberField } from '../../instruments/NumberField';

/** Words of a recipe, in a line or in some. */
export function Words({
  label,
  value,
  onChange,
  error,
  long = false,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  error: string | undefined;
  long?: boolean;
}) {
  const own = { className: 'box', value, 'aria-invalid': error !== undefined || undefined };
  return (
    <label className={`field${error === undefined ? '' : ' wrong'}`}>
      <span className="label">{label}</span>
      {long ? (
        <textarea {...own} rows={2} onChange={(event) => onChange(event.target.value)} />
      ) : (
        <input {...own} onChange={(event) => onChange(event.target.value)} />
      )}
      {error !== undefined && <small className="fault">{error}</small>}
    </label>
  );
}

/** Spices, a line each. */
export function Spices({ spices, at, onChange }: { spices: Spice[]; at: (field: string) => string | undefined; onChange: (spices: Spice[]) => void }) {
  const change = (i: number, changes: Partial<Spice>) => onChange(spices.map((spice, k) => (k === i ? { ...spice, ...changes } : spice)));
  return (
    <fieldset className="lines">
      <legend className="label">Spice, for each kg of meat</legend>
      {spices.map((spice, i) => (
        <div key={i} className="line-row">
          <Words label={`Spice ${i + 1}`} value={spice.name} error={at(`spices.${i}.name`)} onChange={(name) => change(i, { name })} />
          <NumberField
            label="For each kg"
            sign="g"
            decimals={1}
            value={spice.gPerKg}
            error={at(`spices.${i}.gPerKg`)}
            onChange={(g) => change(i, { gPerKg: g ?? Number.NaN })}
          />
          <button type="button" className="lnk" onClick={() => onChange(spices.filter((_, k) => k !== i))}>
            leave out
          </button>
        </div>
      ))}
      <button type="button" className="lnk" onClick={() => onChange([...spices, { name: '', gPerKg: 1 }])}>
        One more spice
      </button>
    </fieldset>
  );
}

/** What the house looks at besides, a line each. */
export function Checks({ checks, at, onChange }: { checks: OwnCheck[]; at: (field: string) => string | undefined; onChange: (checks: OwnCheck[]) => void }) {
  const change = (i: number, changes: Partial<OwnCheck>) => onChange(checks.map((check, k) => (k === i ? { ...check, ...changes } : check)));
  return (
    <fieldset className="lines">
      <legend className="label">What the house looks at, besides</legend>
      {checks.map((check, i) => (
        <div key={i} className="line-row">
          <label className="field">
            <span className="label">Station</span>
            <select className="box" value={check.station} onChange={(event) => change(i, { station: event.target.value as Station })}>
              {STATIONS.map((station) => (
                <option key={station} value={station}>
                  {STATION_NAMES[station]}
                </option>
              ))}
            </select>
          </label>
          <Words label="Look at" value={check.say} error={at(`checks.${i}.say`)} onChange={(say) => change(i, { say })} />
          <button type="button" className="lnk" onClick={() => onChange(checks.filter((_, k) => k !== i))}>
            leave out
          </button>
        </div>
      ))}
      <button type="button" className="lnk" onClick={() => onChange([...checks, { station: 'prep', say: '' }])}>
        One more thing to look at
      </button>
    </fieldset>
  );
}

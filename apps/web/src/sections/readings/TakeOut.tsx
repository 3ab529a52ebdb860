import { DAY_MS } from '@bunkhouse/core';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useDevices } from '../../data/readings';
import { Glyph } from '../../shell/glyphs';
import { languageHere } from '../../shell/language';
import { usePreferences } from '../../shell/preferences';

/** Takes readings of a device out: each of them as CSV, or gathered as JSON. */
export function TakeOut() {
  const { data: devices = [] } = useDevices();
  const { temperature } = usePreferences();
  const [device, setDevice] = useState('');
  const [from, setFrom] = useState(dayjs().subtract(1, 'day').format('YYYY-MM-DDTHH:mm'));
  const [to, setTo] = useState(dayjs().format('YYYY-MM-DDTHH:mm'));
  const chosen = devices.find(({ id }) => id === device) ?? devices[0];
  const [fromMs, toMs] = [Date.parse(from), Date.parse(to)];
  const fault =
    !Number.isFinite(fromMs) || !Number.isFinite(toMs)
      ? 'From when until when?'
      : toMs <= fromMs
        ? 'It ends before it begins.'
        : toMs - fromMs > 62 * DAY_MS
          ? 'At most two months at once.'
          : null;
  const query =
    chosen === undefined || fault !== null
      ? null
      : new URLSearchParams({
          channels: chosen.channels.map(({ channel }) => `${chosen.id}:${channel}`).join(','),
          from: new Date(fromMs).toISOString(),
          to: new Date(toMs).toISOString(),
        }).toString();
  return (
    <section className="panel" aria-label="Take readings out">
      <div className="ph">
        <h2>Take readings out</h2>
        <span className="aside">times universal, {temperature === 'F' ? '°F' : '°C'}</span>
      </div>
      <div className="pad">
        <div className="format-row">
          <label className="field">
            <span className="label">Of</span>
            <select className="box" value={chosen?.id ?? ''} onChange={(event) => setDevice(event.target.value)}>
              {devices.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <label className="field">
            <span className="label">From</span>
            <input className="box" type="datetime-local" value={from} onChange={(event) => setFrom(event.target.value)} />
          </label>
          <label className="field">
            <span className="label">Until</span>
            <input className="box" type="datetime-local" value={to} onChange={(event) => setTo(event.target.value)} />
          </label>
        </div>
        {devices.length === 0 && <p className="note">The house has no device yet.</p>}
        {fault !== null && (
          <p className="fault" role="alert">
            {fault}
          </p>
        )}
        {query !== null && (
          <p className="words-act">
            <a className="btn" href={`/api/readings.csv?${query}&temperature=${temperature}&decimal=${languageHere().decimal}`} download>
              <Glyph name="down" />
              Every reading, as CSV
            </a>
            <a className="btn" href={`/api/readings?${query}`} download="readings.json">
              <Glyph name="down" />
              As a curve, as JSON
            </a>
          </p>
        )}
      </div>
    </section>
  );
}

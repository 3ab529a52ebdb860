import type { DeviceResponse } from '@bunkhouse/api';
import { useState } from 'react';
import { endToken, renewToken, useDevices } from '../../data/readings';
import { Refusal } from '../../data/request';
import { usePreferences } from '../preferences';
import { inWords } from '../quantities';
import { dayAndTime } from '../times';
import { useNow } from '../useNow';
import { AddDevice } from './AddDevice';
import { Only } from '../Only';

/** The devices of the house, what was last heard of them, and their tokens. */
export function Devices() {
  const { data: devices = [] } = useDevices();
  return (
    <section className="panel" aria-label="Devices of the house">
      <div className="ph">
        <h2>Devices of the house</h2>
        <span className="aside">{devices.length}</span>
      </div>
      <ul className="devices">
        {devices.map((device) => (
          <Device key={device.id} device={device} />
        ))}
      </ul>
      <div className="pad">
        <AddDevice />
      </div>
    </section>
  );
}

function Device({ device: { id, name, simulated, heardAt, channels, weight, kind } }: { device: DeviceResponse }) {
  const preferences = usePreferences();
  const now = useNow();
  const [token, setToken] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const by = preferences.name;
  const doing = (work: () => Promise<void>) => () => {
    setSaid(null);
    work().catch((error: unknown) => {
      if (!(error instanceof Refusal)) throw error;
      setSaid(error.message);
    });
  };
  return (
    <li>
      <b>{name}</b>
      {simulated && <span className="simulated">Simulated</span>}
      <small>{heardAt === null ? 'never heard' : `heard ${dayAndTime(heardAt, now)}`}</small>
      <span className="device-acts">
        {!simulated && (
          <>
            <Only right="plan">
              <button type="button" className="lnk" onClick={doing(async () => setToken((await renewToken(id, by)).token))}>
                New token
              </button>
            </Only>
            <Only right="plan">
              <button
                type="button"
                className="lnk"
                onClick={doing(async () => {
                  await endToken(id, by);
                  setToken(null);
                  setSaid('Its token is ended: it hands nothing in any more. What it read stays.');
                })}
              >
                End its token
              </button>
            </Only>
          </>
        )}
      </span>
      <ul>
        {channels.map(({ channel, name: own, last }) => (
          <li key={channel}>
            {channel} {own}:{' '}
            {kind === 'scale'
              ? weight === null
                ? 'nothing yet'
                : inWords(weight.g, 'mass', preferences)
              : last === null
                ? 'nothing yet'
                : inWords(last.C, 'temperature', preferences)}
          </li>
        ))}
      </ul>
      {token !== null && (
        <label className="field">
          <span className="label">Its new token, shown only now; the one before it is ended</span>
          <input className="box token" readOnly value={token} onFocus={(event) => event.target.select()} />
        </label>
      )}
      {said !== null && <p role="status">{said}</p>}
    </li>
  );
}

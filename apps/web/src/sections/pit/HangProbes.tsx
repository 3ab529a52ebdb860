import { CHAMBER, type Probe } from '@bunkhouse/core';
import { useState } from 'react';
import type { Batch } from '../../data/batches';
import { useDevices } from '../../data/readings';
import { NumberField } from '../../instruments/NumberField';
import { Glyph } from '../../shell/glyphs';
import { AddDevice } from '../../shell/pit/AddDevice';
import { useTend } from '../../shell/pit/useTend';
import { usePreferences } from '../../shell/preferences';
import { inWords } from '../../shell/quantities';

const keyOf = ({ device, channel }: { device: string; channel: number }) => `${device}:${channel}`;

/** Which channel hangs where: in the chamber, or in a piece. All of them at once, from now on. */
export function HangProbes({ batch, hung, onDone }: { batch: Batch; hung: readonly Probe[]; onDone: () => void }) {
  const { data: devices = [] } = useDevices();
  const { tend, busy, fault } = useTend(batch);
  const preferences = usePreferences();
  const [places, setPlaces] = useState<Readonly<Record<string, string>>>(Object.fromEntries(hung.map((probe) => [keyOf(probe), probe.reads])));
  const [targets, setTargets] = useState<Readonly<Record<string, number | undefined>>>(Object.fromEntries(hung.map((probe) => [probe.reads, probe.targetC])));
  const { pieces } = batch.state.design;
  const channels = devices
    .filter(({ kind }) => kind === 'thermometer')
    .flatMap((device) => device.channels.map((channel) => ({ device, ...channel, key: keyOf({ device: device.id, channel: channel.channel }) })));
  const used = Object.values(places);
  const twice = used.find((reads, i) => reads !== '' && used.indexOf(reads) !== i);
  const wrongTarget = Object.values(targets).some((C) => C !== undefined && !Number.isFinite(C));
  const hang = async () => {
    if (twice !== undefined || wrongTarget) return;
    const probes = channels.flatMap(({ device, channel, key }): Probe[] => {
      const reads = places[key] ?? '';
      if (reads === '') return [];
      const targetC = reads === CHAMBER ? undefined : targets[reads];
      return [{ device: device.id, channel, reads, ...(targetC === undefined ? {} : { targetC }) }];
    });
    if (await tend({ act: 'probes', probes })) onDone();
  };
  return (
    <form
      className="keys hang-form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void hang();
      }}
    >
      <h2 id="hang-title" className="head">
        <Glyph name="probe" />
        Where each probe hangs
      </h2>
      {channels.length === 0 && <p className="note">The house has no thermometer yet. Add one below: a simulated one, or your own.</p>}
      {channels.map(({ key, device, channel, name, last }) => (
        <div key={key} className="hang-row">
          <label htmlFor={`hang-${key}`}>
            <b>
              {channel} {name}
            </b>
            <small>
              {device.name}
              {device.simulated && ', simulated'}
              {last !== null && `, ${inWords(last.C, 'temperature', preferences)}`}
            </small>
          </label>
          <select id={`hang-${key}`} className="box" value={places[key] ?? ''} onChange={(event) => setPlaces({ ...places, [key]: event.target.value })}>
            <option value="">not in this cook</option>
            <option value={CHAMBER}>in the chamber</option>
            {pieces.map(({ code }) => (
              <option key={code} value={code}>
                in piece {code}
              </option>
            ))}
          </select>
        </div>
      ))}
      {pieces
        .filter(({ code }) => used.includes(code))
        .map(({ code }) => (
          <NumberField
            key={code}
            label={`Core at which piece ${code} is done`}
            quantity="temperature"
            value={targets[code] ?? (code in targets && targets[code] !== undefined ? targets[code] : undefined)}
            placeholder={inWords(batch.record.process.coreTargetC, 'temperature', preferences, 0).replace(/ .*/, '')}
            onChange={(C) => setTargets({ ...targets, [code]: C })}
            error={targets[code] !== undefined && !Number.isFinite(targets[code]) ? 'A temperature must be a number.' : undefined}
          />
        ))}
      {twice !== undefined && (
        <p className="fault" role="alert">
          Two channels cannot both {twice === CHAMBER ? 'be the chamber’s' : `read piece ${twice}`}: leave one out.
        </p>
      )}
      {fault !== null && (
        <p className="fault" role="alert">
          {fault}
        </p>
      )}
      <div className="words-act">
        <button type="submit" className="btn go" aria-disabled={busy || twice !== undefined}>
          {busy ? 'Logging...' : 'Log the probes'}
        </button>
        <button type="button" className="btn" onClick={onDone}>
          Not now
        </button>
      </div>
      <AddDevice kinds={['thermometer']} />
    </form>
  );
}

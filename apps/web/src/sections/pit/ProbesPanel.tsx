import { CHAMBER, type Probe } from '@bunkhouse/core';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Batch } from '../../data/batches';
import { useDevices } from '../../data/readings';
import { Glyph } from '../../shell/glyphs';
import type { PitView } from '../../shell/pit/usePitWatch';
import { usePreferences } from '../../shell/preferences';
import { digits, inWords, scaleOf, toShown } from '../../shell/quantities';
import { clockTime, span } from '../../shell/times';
import { HangProbes } from './HangProbes';
import { ProbeSeat } from './ProbeSeat';
import { Only } from '../../shell/Only';

/** Each channel that hangs in this cook, what it reads and whether it may be believed. */
export function ProbesPanel({ batch, view }: { batch: Batch; view: PitView }) {
  const [isHanging, setHanging] = useState(false);
  const { watch, at } = view;
  const hung = watch?.log.hung.at(-1)?.probes ?? hungBefore(batch);
  const isLive = batch.state.outcome === 'live';
  return (
    <section className="panel probes" aria-label="Probes">
      <div className="ph">
        <h2>Probes</h2>
        <span className="aside">{watch?.heardAt == null ? (hung.length === 0 ? 'none hangs' : 'not heard yet') : `heard ${heard(at - watch.heardAt)}`}</span>
      </div>
      <ul>
        {hung.map((probe) => (
          <ProbeRow key={`${probe.device}:${probe.channel}`} probe={probe} view={view} />
        ))}
      </ul>
      <p className="inset">
        <Link className="lnk" to="/readings">
          Readings in and out
        </Link>
      </p>
      {isLive && (
        <div className="pad">
          <Only right="record">
            <button type="button" className="btn" onClick={() => setHanging(true)}>
              <Glyph name="probe" />
              {hung.length === 0 ? 'Hang the probes' : 'Hang them otherwise'}
            </button>
          </Only>
        </div>
      )}
      <Dialog open={isHanging} onClose={() => setHanging(false)} aria-labelledby="hang-title" maxWidth="sm" fullWidth>
        {isHanging && <HangProbes batch={batch} hung={hung} onDone={() => setHanging(false)} />}
      </Dialog>
    </section>
  );
}

/** Probes may be hung before the meat is on. */
const hungBefore = ({ state }: Batch): Probe[] =>
  state.standing.flatMap((entry) => (entry.kind === 'pit' && entry.event.act === 'probes' ? [entry.event.probes] : [])).at(-1) ?? [];

const heard = (ms: number): string => (ms < 60_000 ? 'just now' : `${span(ms)} ago`);

function ProbeRow({ probe, view: { watch, at } }: { probe: Probe; view: PitView }) {
  const { data: devices } = useDevices();
  const preferences = usePreferences();
  const device = devices?.find(({ id }) => id === probe.device);
  const channel = device?.channels.find((own) => own.channel === probe.channel);
  const isChamber = probe.reads === CHAMBER;
  const piece = watch?.pieces.find((one) => one.piece === probe.reads);
  const series = isChamber ? watch?.chamber : piece?.read;
  const last = series?.at(-1);
  const onAt = watch?.log.onAt ?? at;
  const value = last?.C ?? (channel?.last != null && at - Date.parse(channel.last.at) < 300_000 ? channel.last.C : undefined);
  const { sign } = scaleOf('temperature', preferences);
  const shown = (C: number | undefined) => (C === undefined ? '\u2013' : digits(toShown(C, 'temperature', preferences), 1));
  const isHigh = piece !== undefined && piece.readsHighC > 0;
  const set = watch?.phases[watch.phase]?.chamberC;
  const counted = piece?.counted.at(-1)?.C;
  const silentMs = last === undefined ? null : at - onAt - last.s * 1000;
  return (
    <li className={isHigh ? 'probe high' : 'probe'}>
      <p className="label">
        <b>{probe.channel}</b> {channel?.name ?? 'Channel'}
        {device?.simulated === true && <span className="simulated">Simulated</span>}
      </p>
      <div className="probe-reads">
        <span className="hero md">
          <span className="num">{shown(value)}</span>
          <span className="unit">{value === undefined ? 'not read' : isHigh ? `${sign} read` : sign}</span>
        </span>
        {isHigh && (
          <span className="hero md">
            <span className="num">{shown(counted)}</span>
            <span className="unit">counted</span>
          </span>
        )}
        <span className="aside">
          {isChamber
            ? set === undefined
              ? 'chamber'
              : `chamber, set ${inWords(set, 'temperature', preferences, 0)}`
            : `piece ${probe.reads}, to ${inWords(piece?.targetC ?? probe.targetC ?? 0, 'temperature', preferences, 0)}`}
          {piece?.lastCheck != null && <small>checked {clockTime(piece.lastCheck.at)}</small>}
          {silentMs !== null && silentMs > 240_000 && <small className="late">silent for {span(silentMs)}</small>}
        </span>
      </div>
      {isHigh && (
        <div className="probe-high">
          <ProbeSeat />
          <p>
            The check was {digits(piece.readsHighC * (preferences.temperature === 'F' ? 1.8 : 1), 1)} {sign} lower: it may sit too shallow. Push it in until the
            tip is in the middle of the thickest part, away from bone, then check again.
          </p>
        </div>
      )}
    </li>
  );
}

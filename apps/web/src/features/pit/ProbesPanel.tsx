import Typography from '@mui/material/Typography';
import Button from '@mui/material/Button';
import { CHAMBER, type Probe } from '@bunkhouse/core';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import { Link } from 'react-router';
import { Panel } from '../../kit/Panel';
import type { Batch } from '../../data/batches';
import { useDevices } from '../../data/readings';
import { Glyph } from '../../kit/glyphs';
import type { PitView } from '../../acts/pit/usePitWatch';
import { usePreferences } from '../../reader/preferences';
import { apart, digits, inWords, scaleOf, toShown } from '../../reader/quantities';
import { clockTime, span } from '../../reader/times';
import { HangProbes } from './HangProbes';
import { ProbeSeat } from './ProbeSeat';
import { Only } from '../../kit/Only';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  probes: { '& ul > li': { padding: '8px 12px 10px', borderTop: `1px solid ${t.hair}` }, '& ul > li:first-child': { borderTop: 0 } },
  pad: { justifyItems: 'start' },
  probe: { '& .MuiTypography-label b': { color: t.ink } },
  probeHigh: { background: t.amber.wash, boxShadow: `inset 6px 0 0 ${t.amber.main}` },
  probeReads: { display: 'flex', flexWrap: 'wrap', gap: '2px 18px', alignItems: 'baseline' },
  aside: { marginLeft: 'auto', display: 'grid' },
  late: { color: t.danger.ink, fontWeight: 600 },
  probeHigh2: { display: 'flex', gap: '12px', alignItems: 'center', '& p': { font: worded(15, 19, 400) } },
} as const;

/** Each channel that hangs in this cook, what it reads and whether it may be believed. */
export function ProbesPanel({ batch, view }: { batch: Batch; view: PitView }) {
  const [isHanging, setHanging] = useState(false);
  const { watch, at } = view;
  const hung = watch?.log.hung.at(-1)?.probes ?? hungBefore(batch);
  const isLive = batch.state.outcome === 'live';
  return (
    <Panel
      title="Probes"
      aside={watch?.heardAt == null ? (hung.length === 0 ? 'none hangs' : 'not heard yet') : `heard ${heard(at - watch.heardAt)}`}
      sx={styles.probes}
      label="Probes"
    >
      <ul>
        {hung.map((probe) => (
          <ProbeRow key={`${probe.device}:${probe.channel}`} probe={probe} view={view} />
        ))}
      </ul>
      <Box component="p" sx={looks.inset}>
        <Button variant="text" component={Link} to="/readings">
          Readings in and out
        </Button>
      </Box>
      {isLive && (
        <Box sx={[looks.pad, styles.pad]}>
          <Only right="record">
            <Button onClick={() => setHanging(true)}>
              <Glyph name="probe" />
              {hung.length === 0 ? 'Hang the probes' : 'Hang them otherwise'}
            </Button>
          </Only>
        </Box>
      )}
      <Dialog open={isHanging} onClose={() => setHanging(false)} aria-labelledby="hang-title" maxWidth="sm" fullWidth>
        {isHanging && <HangProbes batch={batch} hung={hung} onDone={() => setHanging(false)} />}
      </Dialog>
    </Panel>
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
    <Box component="li" sx={[styles.probe, isHigh && styles.probeHigh]}>
      <Typography variant="label" component="p">
        <b>{probe.channel}</b> {channel?.name ?? 'Channel'}
        {device?.simulated === true && (
          <Box component="span" sx={looks.simulated}>
            Simulated
          </Box>
        )}
      </Typography>
      <Box sx={styles.probeReads}>
        <Box component="span" sx={looks.hero}>
          <Box component="span" sx={looks.num}>
            {shown(value)}
          </Box>
          <Box component="span" sx={looks.unit}>
            {value === undefined ? 'not read' : isHigh ? `${sign} read` : sign}
          </Box>
        </Box>
        {isHigh && (
          <Box component="span" sx={looks.hero}>
            <Box component="span" sx={looks.num}>
              {shown(counted)}
            </Box>
            <Box component="span" sx={looks.unit}>
              counted
            </Box>
          </Box>
        )}
        <Box component="span" sx={[looks.aside, styles.aside]}>
          {isChamber
            ? set === undefined
              ? 'chamber'
              : `chamber, set ${inWords(set, 'temperature', preferences, 0)}`
            : `piece ${probe.reads}, to ${inWords(piece?.targetC ?? probe.targetC ?? 0, 'temperature', preferences, 0)}`}
          {piece?.lastCheck != null && <small>checked {clockTime(piece.lastCheck.at)}</small>}
          {silentMs !== null && silentMs > 240_000 && (
            <Box component="small" sx={styles.late}>
              silent for {span(silentMs)}
            </Box>
          )}
        </Box>
      </Box>
      {isHigh && (
        <Box sx={styles.probeHigh2}>
          <ProbeSeat />
          <p>
            The check was {apart(piece.readsHighC, preferences)} lower: it may sit too shallow. Push it in until the tip is in the middle of the thickest part,
            away from bone, then check again.
          </p>
        </Box>
      )}
    </Box>
  );
}

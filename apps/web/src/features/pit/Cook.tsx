import Typography from '@mui/material/Typography';
import { Panel } from '../../kit/Panel';
import { Title } from '../../kit/Title';
import { useSay } from '../../reader/reader';
import { COME_UP, type CoreForecast, type PitWatch, HOUR_S, MINUTE_MS } from '@bunkhouse/core';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Batch } from '../../data/batches';
import { CookChart, type ShownCore } from '../../charts/CookChart';
import { Hero } from '../../kit/Hero';
import { Glyph, Plate } from '../../kit/glyphs';
import { usePitWatch, type PitView } from '../../acts/pit/usePitWatch';
import { usePreferences } from '../../reader/preferences';
import { digits, scaleOf, tagWeight, toShown } from '../../reader/quantities';
import { clockTime, dayAndTime, span } from '../../reader/times';
import { useForecasts } from '../../workers/useForecasts';
import { Alarms, AlarmsSoFar } from '../../acts/pit/Alarms';
import { BathForm } from './BathForm';
import { CheckForm } from './CheckForm';
import { ChillPanel } from '../../acts/pit/ChillPanel';
import { NextAtPit } from './NextAtPit';
import { ProbesPanel } from './ProbesPanel';
import { ProgramPanel } from './ProgramPanel';
import { PlayAgain } from './PlayAgain';
import { SafePanel } from './SafePanel';
import { Only } from '../../kit/Only';
import { nameHere } from '../../reader/here';
import Box from '@mui/material/Box';
import { fold } from '../../theme/folds';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { signed } from '../../theme/type';

const styles = {
  pitGrid: {
    display: 'grid',
    gridTemplateColumns: 'minmax(0, 1fr) 380px',
    gap: '10px',
    alignItems: 'start',
    [fold.tablet]: { gridTemplateColumns: 'minmax(0, 1fr)' },
  },
  pitMain: { display: 'grid', gap: '10px', minWidth: 0 },
  pitSide: { display: 'grid', gap: '10px', minWidth: 0, [fold.tablet]: { order: -1 } },
  cookHead: { display: 'flex', flexWrap: 'wrap', gap: '10px 24px', alignItems: 'center', minHeight: '64px' },
  cookName: { display: 'flex', gap: '10px', alignItems: 'center', '& p': { font: signed(16, 20, 500), color: t.ink2 } },
  cookHeroes: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '8px 0',
    flex: '1 1 480px',
    '& > *': { padding: '0 20px', borderLeft: `1px solid ${t.hair2}` },
    [fold.phone]: { display: 'grid', gridTemplateColumns: '1fr 1fr', gap: '10px', flex: '1 1 100%', '& > *': { padding: '0 0 0 10px' } },
  },
  cookActs: {
    display: 'flex',
    flexWrap: 'wrap',
    gap: '10px',
    alignItems: 'center',
    marginLeft: 'auto',
    [fold.tablet]: { marginLeft: 0 },
    [fold.phone]: { width: '100%', '& .MuiButton-root:not(.MuiButton-text, .MuiButton-unit)': { flex: '1 1 100%' } },
  },
  pad: { justifyItems: 'start' },
} as const;

/** One cook: live, in the cold, or played again. */
export function Cook({ batch }: { batch: Batch }) {
  const [playedAt, setPlayedAt] = useState<number | null>(null);
  const [isChecking, setChecking] = useState(false);
  const [isInBath, setInBath] = useState(false);
  const view = usePitWatch(batch, playedAt);
  const { watch, chill, at } = view;
  const isLive = watch !== null && watch.log.offAt === null && playedAt === null;
  // Only what lies ahead is forecast: a cook that is over is not.
  const asks = watch === null || watch.log.offAt !== null ? [] : watch.pieces.map(({ forecast }) => forecast);
  const plans = asks.map((asked) => (asked === null ? null : { ...asked, readings: [], chamber: [] }));
  const foreseen = useForecasts([...asks, ...plans]);
  const forecasts = foreseen.slice(0, asks.length);
  const planned = foreseen.slice(asks.length);
  return (
    <>
      <CookHead
        batch={batch}
        view={view}
        forecasts={forecasts.map(({ forecast }) => forecast)}
        onCheck={isLive ? () => setChecking(true) : null}
        onBath={isLive && watch.phases.some(({ medium }) => medium === 'water') ? () => setInBath(true) : null}
      />
      {playedAt === null && <Alarms batch={batch} alarms={[...(isLive ? watch.alarms : []), ...(chill?.alarms ?? [])]} />}
      {chill !== null && <ChillPanel batch={batch} chill={chill} at={at} />}
      <Box sx={styles.pitGrid}>
        <Box sx={styles.pitMain}>
          {watch !== null && (
            <Panel
              title={watch.log.offAt === null ? 'Cook against plan' : 'The cook'}
              aside={behind(watch, forecasts[0]?.forecast ?? null, planned[0]?.forecast ?? null)}
              label="Cook against plan"
            >
              <Curves watch={watch} at={at} forecasts={forecasts.map(({ forecast }) => forecast)} planned={planned.map(({ forecast }) => forecast)} />
              {forecasts.map(({ forecast, fault }, i) => (
                <CannotSay key={watch.pieces[i]?.piece ?? i} piece={watch.pieces[i]?.piece ?? ''} forecast={forecast} fault={fault} />
              ))}
              {watch.log.hung.length === 0 && (
                <Typography variant="note" sx={looks.inset}>
                  No probe hangs in it: there are no curves. Hang them, on the right.
                </Typography>
              )}
              {!isLive && <PlayAgain watch={watch} endAt={chill?.coldAt ?? watch.log.offAt ?? at} playedAt={playedAt} onPlay={setPlayedAt} />}
            </Panel>
          )}
          {watch !== null && <SafePanel watch={watch} at={at} />}
          <ProgramPanel batch={batch} watch={watch} />
        </Box>
        <Box sx={styles.pitSide}>
          {isLive && <NextAtPit batch={batch} watch={watch} />}
          {!isLive && watch === null && <BeforeTheFire batch={batch} />}
          <ProbesPanel batch={batch} view={view} />
          {watch !== null && <AlarmsSoFar watch={watch} />}
        </Box>
      </Box>
      <Dialog open={isChecking && isLive} onClose={() => setChecking(false)} aria-labelledby="check-title">
        {isLive && <CheckForm batch={batch} watch={watch} onDone={() => setChecking(false)} />}
      </Dialog>
      <Dialog open={isInBath && isLive} onClose={() => setInBath(false)} aria-labelledby="bath-title">
        {isLive && <BathForm batch={batch} watch={watch} onDone={() => setInBath(false)} />}
      </Dialog>
    </>
  );
}

function CookHead({
  batch,
  view,
  forecasts,
  onCheck,
  onBath,
}: {
  batch: Batch;
  view: PitView;
  forecasts: readonly (CoreForecast | null)[];
  onCheck: (() => void) | null;
  onBath: (() => void) | null;
}) {
  const preferences = usePreferences();
  const { record, state } = batch;
  const { watch, at } = view;
  const green = Object.values(state.facts.greenG).reduce((a, b) => a + b, 0);
  const on = watch?.log.onAt ?? null;
  return (
    <Box sx={styles.cookHead}>
      <Box sx={styles.cookName}>
        <Plate station={state.station ?? 'pack'} size={32} />
        <div>
          <Title>
            <Link to={`/batches/${record.id}`}>{record.code}</Link>
          </Title>
          <p>
            {record.process.name}, {tagWeight(green, preferences)}
            {on === null ? ', not on yet' : `, on since ${dayAndTime(on, at)}`}
          </p>
        </div>
      </Box>
      {watch !== null && watch.log.offAt === null && <Heroes watch={watch} forecasts={forecasts} />}
      {watch !== null && watch.log.offAt !== null && (
        <Box sx={styles.cookHeroes}>
          <Hero size="md" label="Off the fire" value={clockTime(watch.log.offAt)} unit={`after ${span(watch.log.offAt - (watch.log.onAt ?? 0))}`} />
        </Box>
      )}
      <Box sx={styles.cookActs}>
        {onCheck !== null && (
          <Only right="record">
            <Button size="large" onClick={onCheck}>
              <Glyph name="read" />
              Instant-read check
            </Button>
          </Only>
        )}
        {onBath !== null && (
          <Only right="record">
            <Button variant="outlined" size="large" startIcon={<Glyph name="soak" />} onClick={onBath}>
              Water of the bath
            </Button>
          </Only>
        )}
      </Box>
    </Box>
  );
}

/** The numbers that are read from the far side of the yard. */
function Heroes({ watch, forecasts }: { watch: PitWatch; forecasts: readonly (CoreForecast | null)[] }) {
  const preferences = usePreferences();
  const { sign } = scaleOf('temperature', preferences);
  const shown = (C: number | undefined) => (C === undefined ? '\u2013' : digits(toShown(C, 'temperature', preferences), 1));
  const whole = (C: number) => digits(toShown(C, 'temperature', preferences), 0);
  const read = watch.pieces.filter(({ counted }) => counted.length > 0);
  const slowest = [...read].sort((a, b) => (a.counted.at(-1)?.C ?? 0) - a.targetC - ((b.counted.at(-1)?.C ?? 0) - b.targetC))[0];
  const byHand = watch.chamberByHand.at(-1);
  const chamber = watch.chamber.at(-1) ?? byHand;
  const isByHand = chamber !== undefined && chamber === byHand;
  const set = watch.phases[watch.phase]?.chamberC;
  const known = forecasts.flatMap((forecast, i) => (forecast === null || !Number.isFinite(forecast.etaS) ? [] : [{ forecast, piece: watch.pieces[i]?.piece }]));
  const last = [...known].sort((a, b) => b.forecast.etaS - a.forecast.etaS)[0];
  const onAt = watch.log.onAt ?? 0;
  const clock = (s: number) => clockTime(onAt + s * 1000);
  return (
    <Box sx={styles.cookHeroes}>
      <Hero
        label={`Core, ${slowest !== undefined && slowest.readsHighC > 0 ? 'as it counts' : 'counted'}${watch.pieces.length > 1 && slowest !== undefined ? `, ${slowest.piece}` : ''}`}
        value={shown(slowest?.counted.at(-1)?.C)}
        unit={slowest === undefined ? 'not read' : `of ${whole(slowest.targetC)} ${sign}`}
      />
      <Hero
        label={isByHand ? `Chamber, by hand at ${clock(chamber.s)}` : 'Chamber'}
        value={chamber === undefined ? '\u2013' : whole(chamber.C)}
        unit={chamber === undefined ? 'not read' : set === undefined ? sign : `of ${whole(set)} ${sign}`}
      />
      <Hero label="Lethality sum" value={slowest === undefined ? '\u2013' : lethalWords(slowest.lethality.sum)} unit="of 1" />
      <Hero
        label={`Off the fire${last?.piece !== undefined && watch.pieces.length > 1 ? `, ${last.piece} last` : ''}`}
        value={last === undefined ? '\u2013' : clock(last.forecast.etaS)}
        unit={
          last === undefined
            ? 'not known yet'
            : last.forecast.curve.length === 0
              ? 'it is there'
              : `${clock(last.forecast.lowS)} to ${clock(last.forecast.highS)}`
        }
      />
    </Box>
  );
}

const lethalWords = (sum: number): string => (sum === 0 ? '0' : sum < 0.01 ? '0.01' : sum >= 1 ? '1' : digits(Math.floor(sum * 100) / 100, 2));

function Curves({
  watch,
  at,
  forecasts,
  planned,
}: {
  watch: PitWatch;
  at: number;
  forecasts: readonly (CoreForecast | null)[];
  planned: readonly (CoreForecast | null)[];
}) {
  const { log } = watch;
  const onAt = log.onAt ?? at;
  const isOver = log.offAt !== null;
  const nowS = ((isOver ? (log.coldAt ?? at) : at) - onAt) / 1000;
  const cores = watch.pieces.map((piece, i): ShownCore => ({
    piece: piece.piece,
    read: piece.read,
    counted: piece.counted,
    targetC: piece.targetC,
    forecast: forecasts[i] ?? null,
    planned: planned[i] ?? null,
    checks: log.checks
      .filter((check) => check.piece === piece.piece && check.at >= onAt)
      .map((check) => ({ s: (check.at - onAt) / 1000, lowestC: check.lowestC }))
      .concat(
        log.coreByHand
          .filter(({ piece: of }) => of === piece.piece && piece.read.length === 0)
          .map(({ at: readAt, C }) => ({ s: (readAt - onAt) / 1000, lowestC: C })),
      ),
  }));
  const clocks = watch.pieces.flatMap(({ comeUp }) => (comeUp === null ? [] : [comeUp]));
  const slowest = clocks.sort((a, b) => (b.endS ?? Infinity) - (a.endS ?? Infinity))[0];
  return (
    <CookChart
      onAt={onAt}
      nowS={nowS}
      chamber={watch.chamber}
      chamberByHand={watch.chamberByHand}
      settings={settings(watch, forecasts[0] ?? null)}
      cores={cores}
      comeUp={slowest === undefined ? null : { ...slowest, mostS: COME_UP.mostH * HOUR_S }}
      tended={log.tended.map(({ act, at: time }) => ({ act, s: (time - onAt) / 1000 })).filter(({ s }) => s >= 0)}
      due={watch.jobs.flatMap(({ act, dueAt }) => (dueAt === null ? [] : [{ act, s: (dueAt - onAt) / 1000 }]))}
      isOver={isOver}
    />
  );
}

/** What the chamber was set to and will be: phases that were begun from when they were; those to come from when the core is to be there. */
function settings({ phases, phaseStarts }: PitWatch, forecast: CoreForecast | null): { fromS: number; C: number }[] {
  let fromS = 0;
  return phases.flatMap(({ chamberC }, i) => {
    const before = phases[i - 1];
    const begun = phaseStarts[i];
    const byCore = forecast?.curve.find(({ C }) => before?.untilCoreC !== undefined && C >= before.untilCoreC)?.s;
    const comes = i === 0 ? 0 : (begun ?? Math.min(before?.untilS ?? Infinity, byCore ?? Infinity));
    if (!Number.isFinite(comes)) return [];
    fromS = Math.max(fromS, comes);
    return [{ fromS, C: chamberC }];
  });
}

function CannotSay({ piece, forecast, fault }: { piece: string; forecast: CoreForecast | null; fault: string | null }) {
  const say = useSay();
  const cannot = forecast?.cannot ?? null;
  const why = fault ?? (cannot === null ? null : say(cannot));
  if (why === null) return null;
  return (
    <Typography variant="note" sx={looks.inset}>
      <b>No time for piece {piece}.</b> {why}
    </Typography>
  );
}

const MUCH_MS = 10 * MINUTE_MS;

/** How far behind or ahead of its plan it is. */
function behind(watch: PitWatch, forecast: CoreForecast | null, plan: CoreForecast | null): ReactNode {
  const onAt = watch.log.onAt ?? 0;
  if (plan === null || forecast === null || !Number.isFinite(plan.etaS) || !Number.isFinite(forecast.etaS)) return '';
  const lateMs = (forecast.etaS - plan.etaS) * 1000;
  const was = `a usual piece: ${clockTime(onAt + plan.etaS * 1000)}`;
  if (Math.abs(lateMs) < MUCH_MS) return `as usual, ${was}`;
  return `${span(lateMs)} ${lateMs > 0 ? 'behind' : 'ahead of'} ${was}`;
}

function BeforeTheFire({ batch: { record, state } }: { batch: Batch }) {
  const { next } = state;
  const now = Date.now();
  return (
    <Panel title="Before the fire" label="Before the fire">
      <Box sx={[looks.pad, styles.pad]}>
        <p>{next === null ? 'It is packed.' : `Next: ${nameHere(next.spec.title)}, ${dayAndTime(next.dueAt, now)}.`}</p>
        <Button component={Link} to={`/batches/${record.id}`}>
          To the batch
        </Button>
      </Box>
    </Panel>
  );
}

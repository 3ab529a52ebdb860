import Typography from '@mui/material/Typography';
import { Panel } from '../../kit/Panel';
import { useSay } from '../../reader/reader';
import {
  growthWords,
  type ChillGrowth,
  type ChillPiece,
  type ChillWatch,
  type CoreForecast,
  type CoolingRule,
  type GatePassage,
  HOUR_S,
} from '@bunkhouse/core';
import { ChillChart } from '../../charts/ChillChart';
import { Hero } from '../../kit/Hero';
import type { Batch } from '../../data/batches';
import { useForecasts, type Foreseen } from '../../workers/useForecasts';
import { GuideLink } from '../../kit/GuideLink';
import { Choice } from '../../kit/Choice';
import { Only } from '../../kit/Only';
import { usePreferences } from '../../reader/preferences';
import { digits, inWords, scaleOf, toShown } from '../../reader/quantities';
import { clockTime, span } from '../../reader/times';
import { useTend } from './useTend';
import Box from '@mui/material/Box';
import { looks } from '../../theme/looks';
import { t } from '../../theme/tokens';
import { worded } from '../../theme/type';

const styles = {
  next: { borderTop: `1px solid ${t.hair}` },
  chillSaid: { margin: '6px 12px', padding: '6px 12px', font: worded(16, 22, 500), borderLeft: `5px solid ${t.ink}` },
  doubt: { borderLeftColor: t.amber.main, background: t.amber.wash },
  failed: { borderLeftColor: t.danger.main, background: t.danger.wash },
  chillSaidFailed: { borderLeftColor: t.danger.main, background: t.danger.wash },
  chillSaidDoubt: { borderLeftColor: t.amber.main, background: t.amber.wash },
} as const;

const RULES: Readonly<Record<CoolingRule, { name: string; source: string }>> = {
  cured: { name: 'cured', source: 'FSIS Appendix B, for cured meat of 100 ppm ingoing nitrite and more. Values from memory.' },
  notCured: { name: 'not cured', source: 'FSIS Appendix B, for meat that is not cured, or with less than 100 ppm. Values from memory.' },
  foodCode: { name: 'retail food code', source: 'Retail food codes, common practice.' },
};

/** Down through the gates: live against the limits, whether it will pass, and what to do where it will not. */
export function ChillPanel({ batch, chill, at }: { batch: Batch; chill: ChillWatch; at: number }) {
  const foreseen = useForecasts(chill.pieces.flatMap(({ asItLies, iceBath }) => [asItLies, iceBath]));
  const { ppm } = chill;
  const rules = [...new Set(chill.pieces.map(({ rule }) => rule))];
  return (
    <Panel
      title="Down through the gates"
      aside={
        <>
          {digits(ppm, 0)} ppm ingoing, and how far it came: the gates for meat that is {rules.map((rule) => RULES[rule].name).join(' and ')}
          <GuideLink to="chill-gates" of="Chill gates" />
        </>
      }
      label="Chill"
    >
      {chill.pieces.map((piece, i) => (
        <Piece
          key={piece.piece}
          chill={chill}
          piece={piece}
          nowS={(at - chill.offAt) / 1000}
          asItLies={foreseen[2 * i] ?? NOTHING}
          iceBath={foreseen[2 * i + 1] ?? NOTHING}
          isFirst={i === 0}
          isOne={batch.state.pieces.length === 1}
          batch={batch}
        />
      ))}
      <Typography variant="note" sx={looks.inset}>
        {rules.map((rule) => RULES[rule].source).join(' ')} A gate ends with a reading, never with a forecast. Check your own code.
      </Typography>
    </Panel>
  );
}

const NOTHING: Foreseen = { forecast: null, fault: null };

function Piece({
  chill,
  piece,
  nowS,
  asItLies,
  iceBath,
  isFirst,
  isOne,
  batch,
}: {
  chill: ChillWatch;
  piece: ChillPiece;
  nowS: number;
  asItLies: Foreseen;
  iceBath: Foreseen;
  isFirst: boolean;
  isOne: boolean;
  batch: Batch;
}) {
  const preferences = usePreferences();
  const { gate, gates, readings } = piece;
  const last = readings.at(-1);
  const { sign } = scaleOf('temperature', preferences);
  const late = gate === null ? null : lateBy(gate, asItLies.forecast);
  return (
    <Box sx={isFirst ? {} : styles.next}>
      <Box sx={looks.chillHeroes}>
        {!isOne && (
          <Box component="b" sx={looks.pieceCode}>
            Piece {piece.piece}
            {piece.rule === 'notCured' && ', not cured'}
          </Box>
        )}
        <Hero
          label={piece.isProbed ? 'Core' : 'Core, last logged'}
          value={last === undefined ? '\u2013' : digits(toShown(last.C, 'temperature', preferences), 1)}
          unit={last === undefined ? 'not read' : sign}
        >
          {last !== undefined && nowS - last.s > 600 && <Typography variant="note">at {clockTime(chill.offAt + last.s * 1000)}</Typography>}
        </Hero>
        {gates.map((passage) => (
          <GateHero key={passage.to} passage={passage} chill={chill} nowS={nowS} />
        ))}
      </Box>
      {gate !== null && (
        <WillItPass
          gate={gate}
          sureByS={piece.sureByS}
          lastS={last?.s ?? 0}
          late={late}
          chill={chill}
          asItLies={asItLies}
          iceBath={iceBath.forecast}
          growth={piece.growth}
          nowS={nowS}
        />
      )}
      {gate !== null && gate.state !== 'fail' && (
        <Only right="record">
          <HowItLies batch={batch} piece={piece} />
        </Only>
      )}
      {piece.isDoubtful && (
        <Typography variant="note" sx={looks.inset}>
          <b>Its probe was found too shallow on the fire.</b> In the cold such a probe reads too low: log the core with an instant-read thermometer at the
          gates.
        </Typography>
      )}
      <ChillChart
        offAt={chill.offAt}
        nowS={nowS}
        readings={readings}
        gates={gates}
        sureBy={gate === null || piece.sureByS === null ? null : { s: piece.sureByS, C: gate.to }}
        forecast={asItLies.forecast}
        iceBath={late !== null && late > 0 ? iceBath.forecast : null}
      />
    </Box>
  );
}

const LIES = { bare: 'Bare', wrap: 'In foil or a bag' } as const;

/** Foil and bags hold the heat: the forecast goes by it. A tap is an entry in the log. */
function HowItLies({ batch, piece: { piece, isWrapped } }: { batch: Batch; piece: ChillPiece }) {
  const { tend, busy, fault } = useTend(batch);
  return (
    <Box sx={looks.inset}>
      <Choice label={`Piece ${piece} lies`} value={isWrapped ? 'wrap' : 'bare'} options={LIES} onChange={(act) => !busy && void tend({ act, piece })} />
      {fault !== null && (
        <Typography variant="fault" role="alert">
          {fault}
        </Typography>
      )}
    </Box>
  );
}

function GateHero({ passage, chill, nowS }: { passage: GatePassage; chill: ChillWatch; nowS: number }) {
  const preferences = usePreferences();
  const { from, to, limitS, startS, tookS, state } = passage;
  const C = (value: number) => inWords(value, 'temperature', preferences, 0);
  const label = `${C(from)} to ${C(to)} in ${digits(limitS / HOUR_S, limitS % HOUR_S === 0 ? 0 : 1)} h`;
  if (state === 'notStarted') return <Hero size="md" label={label} value="–" unit="not begun" />;
  if (state === 'notShown')
    return (
      <Hero
        size="md"
        label={label}
        value="–"
        unit={passage.mostS === null ? 'not shown: its beginning was not read' : `not shown: up to ${span(passage.mostS * 1000)}`}
      />
    );
  if (state === 'fail' && tookS === null) return <Hero size="md" label={label} value={`over ${span(passage.leastS * 1000)}`} unit="too late" />;
  if (tookS !== null) return <Hero size="md" label={label} value={span(tookS * 1000)} unit={state === 'pass' ? 'passed' : 'too late'} />;
  const leftS = (startS ?? 0) + limitS - nowS;
  return (
    <Hero
      size="md"
      label={label}
      value={span(leftS * 1000)}
      unit={leftS <= 0 ? 'over its time' : `left, until ${clockTime(chill.offAt + ((startS ?? 0) + limitS) * 1000)}`}
    />
  );
}

/** So long after a reading it is asked for anew, s. */
const QUIET_S = 1800;

/** By how much a forecast misses a gate, s; under 0 where it passes; null where neither is known. */
function lateBy({ startS, limitS }: GatePassage, forecast: CoreForecast | null): number | null {
  if (startS === null || forecast === null || forecast.curve.length === 0) return null;
  return forecast.highS - (startS + limitS);
}

/** The forecast against the gate that runs, in words, and the ways out where it will not be met. */
function WillItPass({
  gate,
  sureByS,
  lastS,
  late,
  chill,
  asItLies: { forecast, fault },
  iceBath,
  growth,
  nowS,
}: {
  gate: GatePassage;
  sureByS: number | null;
  lastS: number;
  late: number | null;
  chill: ChillWatch;
  asItLies: Foreseen;
  iceBath: CoreForecast | null;
  growth: ChillGrowth;
  nowS: number;
}) {
  const say = useSay();
  const preferences = usePreferences();
  const clock = (s: number) => clockTime(chill.offAt + s * 1000);
  const to = inWords(gate.to, 'temperature', preferences, 0);
  if (gate.state === 'notShown')
    return (
      <Box component="p" sx={[styles.chillSaid, styles.doubt]}>
        <b>Not shown.</b> Its readings lie too far apart to tell, or nobody read its beginning: it is no pass and no failure, and cannot be read now. At the
        gate’s step write what was decided. Cool it on meanwhile.
      </Box>
    );
  const isOver = gate.startS !== null && nowS > gate.startS + gate.limitS;
  if (gate.state === 'fail')
    return (
      <Box component="p" sx={[styles.chillSaid, styles.failed]}>
        <b>This gate was not met.</b> {say(growthWords(growth))} It is a deviation: at the gate’s step write what was decided, and by whom. Cool it on
        meanwhile.
      </Box>
    );
  if (isOver)
    return (
      <Box component="p" sx={[styles.chillSaid, styles.doubt]}>
        <b>Its time is over, and nobody read that it was met: read the core now.</b> Whatever it reads, at the gate’s step write what was decided, and by whom.
        Cool it on meanwhile.
      </Box>
    );
  if (sureByS !== null && nowS - lastS > QUIET_S)
    return (
      <Box component="p" sx={[styles.chillSaid, styles.doubt]}>
        <b>Nothing was read since {clock(lastS)}: read the core now.</b> To be sure it must be shown to be at {to} by {clock(sureByS)}.
        {forecast !== null && Number.isFinite(forecast.etaS) && ` By the model it is there at about ${clock(forecast.etaS)}.`}
      </Box>
    );
  if (fault !== null || forecast === null || forecast.curve.length === 0)
    return fault === null ? null : (
      <Box component="p" sx={styles.chillSaid}>
        {fault}
      </Box>
    );
  const when = Number.isFinite(forecast.etaS)
    ? `${to} at about ${clock(forecast.etaS)} (${clock(forecast.lowS)} to ${clock(forecast.highS)})`
    : `it does not come to ${to} as it lies`;
  if (late !== null && late <= 0)
    return (
      <Box component="p" sx={styles.chillSaid}>
        <b>It will pass:</b> {when}.
      </Box>
    );
  const isSure = gate.startS !== null && forecast.lowS > gate.startS + gate.limitS;
  const bath = iceBath !== null && Number.isFinite(iceBath.etaS) ? ` In ice water from now: ${to} at about ${clock(iceBath.etaS)} (dashed).` : '';
  return (
    <Box component="p" sx={[styles.chillSaid, isSure ? styles.chillSaidFailed : styles.chillSaidDoubt]}>
      <b>{isSure ? 'It will not pass as it lies' : gate.startS === null ? 'Not begun' : 'It may not pass as it lies'}:</b> {when}.{' '}
      {gate.startS !== null && (
        <>
          Do now: into a bag and an ice bath, stirred.{bath} Or split it: half as thick cools nearly four times as fast. Or move it where cold air blows; spread
          pieces, lids off.
        </>
      )}
    </Box>
  );
}

import { HOUR_S, MINUTE_MS } from '@bunkhouse/core';
import type { CoreForecast, TendingAct, TimedReading } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { usePreferences } from '../reader/preferences';
import { inWords } from '../reader/quantities';
import { clockTime } from '../reader/times';
import { GlyphMark, type GlyphName } from '../kit/glyphs';
import { ComeUpBar } from './ComeUpBar';
import { LETHALITY_HEIGHT, LethalityLane } from './LethalityLane';
import { ChartFrame, type Across } from './ChartFrame';
import type { ReadCurve } from './readCurve';
import { TemperatureAxis } from './TemperatureAxis';
import { bandBetween, curveThrough, diamond, stepsThrough } from './paths';
import Box from '@mui/material/Box';
import { t } from '../theme/tokens';
import { ink } from './ink';
import { signed } from '../theme/type';

const styles = {
  set: { stroke: t.station.smoke.ink, strokeWidth: 1.6, strokeDasharray: '6 4' },
  targetLine: { stroke: t.ink, strokeWidth: 1.4, strokeDasharray: '2 3' },
  chamber: { stroke: t.station.smoke.main, strokeWidth: 2.4 },
  checkMark: { '& polygon': { fill: t.panel, stroke: t.ink, strokeWidth: 2 } },
  handMark: { fill: t.panel, stroke: t.station.smoke.main, strokeWidth: 2.4 },
  chamberWord: { fill: t.station.smoke.ink, fontWeight: 600, paintOrder: 'stroke', stroke: t.panel, strokeWidth: '4px' },
  nowPost: { '& rect': { fill: t.ink }, '& text': { font: signed(14.5, 'normal', 600), fill: t.panel } },
  planned: { stroke: t.station.cook.ink, strokeWidth: 1.4, strokeDasharray: '6 4' },
  asRead: { stroke: t.ink3, strokeWidth: 1.5, strokeDasharray: '2 3' },
  forecast: { stroke: t.station.cook.main, strokeWidth: 2.2, strokeDasharray: '3 4' },
  coreCounted: { stroke: t.station.cook.main, strokeWidth: 3.2 },
  range: { stroke: t.ink, strokeWidth: 2.4, fill: 'none' },
  eta: { fontSize: '20px', fontWeight: 600, fill: t.ink, paintOrder: 'stroke', stroke: t.sunk, strokeWidth: '4px' },
} as const;

/** A core as the chart shows it. Times in s after the meat went on. */
export interface ShownCore {
  piece: string;
  read: readonly TimedReading[];
  counted: readonly TimedReading[];
  targetC: number;
  forecast: CoreForecast | null;
  planned: CoreForecast | null;
  checks: readonly { s: number; lowestC: number }[];
}

export interface CookChartProps {
  /** ms */
  onAt: number;
  nowS: number;
  chamber: readonly TimedReading[];
  /** the chamber as hands read it, one point each */
  chamberByHand: readonly TimedReading[];
  /** what the chamber is set to, from each time on; the last one until the end */
  settings: readonly { fromS: number; C: number }[];
  cores: readonly ShownCore[];
  /** the slowest core's come-up clock, and what it may take */
  comeUp: { startS: number; endS: number | null; mostS: number } | null;
  tended: readonly { act: TendingAct; s: number }[];
  due: readonly { act: TendingAct; s: number }[];
  /** over: no now-line, nothing forecast */
  isOver: boolean;
}

const TOP = 26;
const PLOT = 222;
const COME_UP = 42;
const AXIS = 20;
const LANE = 24;
/** An arrow key goes so far, s. */
const STEP_S = 300;
const LEFT = 40;
const RIGHT = 16;

const LANES: readonly { act: TendingAct; word: string; glyph: GlyphName }[] = [
  { act: 'fuel', word: 'Fuel', glyph: 'fuel' },
  { act: 'spritz', word: 'Spritz', glyph: 'spritz' },
  { act: 'glaze', word: 'Glaze', glyph: 'glaze' },
  { act: 'wrap', word: 'Wrap', glyph: 'wrap' },
  { act: 'turn', word: 'Turn', glyph: 'turn' },
  { act: 'pan', word: 'Pan', glyph: 'soak' },
  { act: 'water', word: 'Water', glyph: 'soak' },
];

/** Chamber and cores against the program, the forecast with its range, the come-up clock and the lethality sum, on one clock. */
export function CookChart({ onAt, nowS, chamber, chamberByHand, settings, cores, comeUp, tended, due, isOver }: CookChartProps) {
  const preferences = usePreferences();
  const hatch = useId();
  const lanes = LANES.filter(({ act }) => tended.some((done) => done.act === act) || due.some((job) => job.act === act));
  const height = TOP + PLOT + COME_UP + LETHALITY_HEIGHT + AXIS + lanes.length * LANE + 6;
  const endS = lastShown({ nowS, cores, comeUp, isOver });
  const hottest = Math.max(70, ...settings.map(({ C }) => C), ...[...chamber, ...chamberByHand].map(({ C }) => C)) + 8;
  const coldest = Math.min(0, ...cores.flatMap(({ read }) => read.map(({ C }) => C)));
  const y = scaleLinear([coldest, hottest], [TOP + PLOT, TOP]);
  const lethalTop = TOP + PLOT + COME_UP;
  const lethalFloor = lethalTop + LETHALITY_HEIGHT;
  const slowest = slowestCore(cores);
  const floor = lethalFloor + AXIS;
  const temperature = (C: number) => inWords(C, 'temperature', preferences, 1);
  const chamberLast = chamber.at(-1);
  const chamberKnown = chamberLast ?? chamberByHand.at(-1);
  const targets = [...new Set(cores.map(({ targetC }) => targetC))];
  return (
    <ChartFrame
      height={height}
      usualWidth={760}
      inset={{ left: LEFT, right: RIGHT, top: TOP, bottom: height - lethalFloor }}
      span={[0, endS]}
      label={words()}
      cursor="Read the cook at a time"
      curves={readCurves()}
      sayAt={(s) => clockTime(onAt + s * 1000)}
      step={STEP_S}
      at={Math.max(0, ...[chamber, chamberByHand, ...cores.map(({ counted }) => counted)].map((readings) => readings.at(-1)?.s ?? 0))}
      axes={(x, width) => (
        <>
          {hourTicks(onAt, x, width).map(({ s, word }) => (
            <text key={word + String(s)} x={x(s)} y={lethalFloor + 16} textAnchor="middle" {...ink.axis}>
              {word}
            </text>
          ))}
          <TemperatureAxis y={y} ticks={y.ticks(5)} left={LEFT} right={width - RIGHT} />
          <text x={LEFT - 6} y={TOP - 10} textAnchor="end" {...ink.axis} {...ink.faint}>
            °{preferences.temperature}
          </text>
          {lanes.map(({ act, word }, i) => (
            <g key={act}>
              <line x1={LEFT} x2={width - RIGHT} y1={floor + i * LANE + 12} y2={floor + i * LANE + 12} {...ink.gridLine} />
              <text x={2} y={floor + i * LANE + 16} {...ink.axis} {...ink.over}>
                {word}
              </text>
            </g>
          ))}
        </>
      )}
    >
      {(x, width) => (
        <>
          <defs>
            <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <path d="M0 0V6" stroke={t.station.cook.main} strokeWidth={1.6} opacity={0.5} />
            </pattern>
          </defs>
          {!isOver && nowS < endS && <rect x={x(nowS)} y={TOP} width={x(endS) - x(nowS)} height={PLOT} {...ink.sunk} />}
          {hourTicks(onAt, x, width).map(({ s, word }) => (
            <g key={word + String(s)}>
              <line x1={x(s)} x2={x(s)} y1={TOP} y2={TOP + PLOT} {...ink.gridLine} />
              <line x1={x(s)} x2={x(s)} y1={lethalTop} y2={lethalFloor} {...ink.gridLine} />
            </g>
          ))}
          <path d={stepsThrough(settings, endS, x, y)} {...ink.curve} {...styles.set} />
          {targets.map((C) => (
            <g key={C}>
              <line x1={LEFT} x2={width - RIGHT} y1={y(C)} y2={y(C)} {...styles.targetLine} />
              <text x={LEFT + 6} y={y(C) - 5} {...ink.axis} {...ink.over}>
                Pull at {inWords(C, 'temperature', preferences, 0)}
              </text>
            </g>
          ))}
          <path d={curveThrough(chamber, x, y)} {...ink.curve} {...styles.chamber} />
          {chamberByHand.map(({ s, C }) => (
            <Box component="circle" key={s} cx={x(s)} cy={y(C)} r={5} sx={styles.handMark} />
          ))}
          {cores.map((core) => (
            <CoreCurves
              key={core.piece}
              core={core}
              path={(readings) => curveThrough(readings, x, y)}
              fan={isOver || core.forecast === null || core.forecast.curve.length < 2 ? null : bandBetween(core.forecast.curve, x, y)}
              hatch={hatch}
              isOver={isOver}
            />
          ))}
          {cores.flatMap((core) =>
            core.checks.map(({ s, lowestC }) => (
              <Box component="g" key={`${core.piece}${s}`} sx={styles.checkMark}>
                <polygon points={diamond(x(s), y(lowestC), 6)} />
                <text
                  x={x(s) + (x(s) > width - 130 ? -10 : 10)}
                  y={y(lowestC) + 18}
                  textAnchor={x(s) > width - 130 ? 'end' : 'start'}
                  {...ink.axis}
                  {...ink.over}
                >
                  {temperature(lowestC)} read
                </text>
              </Box>
            )),
          )}
          {chamberLast !== undefined && (
            <text
              x={Math.max(LEFT + 6, x(chamberLast.s * 0.5))}
              y={y(nearest(chamber, chamberLast.s * 0.5)) - 10}
              textAnchor="middle"
              {...ink.axis}
              {...styles.chamberWord}
            >
              Chamber
            </text>
          )}
          {!isOver && cores.map((core) => <Arrival key={core.piece} core={core} x={x} y={y} onAt={onAt} width={width} many={cores.length > 1} />)}
          {comeUp !== null && <ComeUpBar clock={comeUp} nowS={nowS} untilS={endS} onAt={onAt} x={x} y={TOP + PLOT + 20} isWide={width > 560} />}
          <LethalityLane
            core={slowest}
            isOver={isOver}
            many={cores.length > 1}
            onAt={onAt}
            x={x}
            untilS={endS}
            top={lethalTop}
            left={LEFT}
            right={width - RIGHT}
            hatch={hatch}
          />
          {lanes.map(({ act, glyph }, i) => (
            <g key={act}>
              {tended
                .filter((done) => done.act === act && done.s <= endS)
                .map(({ s }) => (
                  <GlyphMark key={s} name={glyph} x={x(s)} y={floor + i * LANE + 12} />
                ))}
              {due
                .filter((job) => job.act === act && job.s <= endS)
                .map(({ s }) => (
                  <GlyphMark key={s} name={glyph} x={x(Math.max(s, nowS))} y={floor + i * LANE + 12} isComing />
                ))}
            </g>
          ))}
          {!isOver && (
            <Box component="g" sx={styles.nowPost}>
              <line x1={x(nowS)} x2={x(nowS)} y1={TOP - 4} y2={lethalFloor} {...ink.nowLine} />
              <rect x={x(nowS) - 46} y={2} width={46} height={20} />
              <text x={x(nowS) - 23} y={17} textAnchor="middle">
                {clockTime(onAt + nowS * 1000)}
              </text>
            </Box>
          )}
        </>
      )}
    </ChartFrame>
  );

  function readCurves(): ReadCurve[] {
    const points = (readings: readonly TimedReading[]) => readings.map(({ s, C }) => ({ at: s, value: C }));
    const many = cores.length > 1;
    return [
      { name: 'Chamber', points: points(chamber), say: temperature, y },
      { name: 'Set to', points: settings.map(({ fromS, C }) => ({ at: fromS, value: C })), say: temperature, steps: true },
      ...cores.flatMap(({ piece, counted, forecast }): ReadCurve[] => [
        { name: many ? `Core ${piece}` : 'Core', points: points(counted), say: temperature, y },
        ...(isOver || forecast === null || forecast.curve.length < 2
          ? []
          : [{ name: many ? `Core ${piece}, expected` : 'Core, expected', points: points(forecast.curve), say: temperature, y }]),
      ]),
      // Between two of them nobody read it: the last one is told.
      ...(chamberByHand.length === 0 ? [] : [{ name: 'Chamber, by hand', points: points(chamberByHand), say: temperature, steps: true as const }]),
    ];
  }

  function words(): string {
    const said = cores.map(({ piece, counted, forecast }) => {
      const last = counted.at(-1);
      const eta = forecast !== null && Number.isFinite(forecast.etaS) && !isOver ? `, there at about ${clockTime(onAt + forecast.etaS * 1000)}` : '';
      return `core of piece ${piece} ${last === undefined ? 'not read' : temperature(last.C)}${eta}`;
    });
    return `Cook since ${clockTime(onAt)}: chamber ${chamberKnown === undefined ? 'not read' : temperature(chamberKnown.C)}, ${said.join(', ')}.`;
  }
}

type Scale = (value: number) => number;

function CoreCurves({
  core,
  path,
  fan: shownFan,
  hatch,
  isOver,
}: {
  core: ShownCore;
  path: (readings: readonly TimedReading[]) => string;
  fan: string | null;
  hatch: string;
  isOver: boolean;
}) {
  const differs = core.read.some(({ C }, i) => Math.abs(C - (core.counted[i]?.C ?? C)) > 0.05);
  return (
    <g>
      {core.planned !== null && core.planned.curve.length > 1 && <path d={path(core.planned.curve)} {...ink.curve} {...styles.planned} />}
      {differs && <path d={path(core.read)} {...ink.curve} {...styles.asRead} />}
      {shownFan !== null && <path d={shownFan} fill={`url(#${hatch})`} />}
      {!isOver && core.forecast !== null && core.forecast.curve.length > 1 && <path d={path(core.forecast.curve)} {...ink.curve} {...styles.forecast} />}
      <path d={path(core.counted)} {...ink.curve} {...styles.coreCounted} />
    </g>
  );
}

/** When a core is there: a post with its range. */
function Arrival({ core, x, y, onAt, width, many }: { core: ShownCore; x: Scale; y: Scale; onAt: number; width: number; many: boolean }) {
  const { forecast, targetC, piece } = core;
  if (forecast === null || !Number.isFinite(forecast.etaS) || forecast.curve.length === 0) return null;
  const at = x(forecast.etaS);
  const isRight = at > width - 120;
  const [low, high] = [x(forecast.lowS), Math.min(width - RIGHT, x(forecast.highS))];
  return (
    <g>
      <g {...styles.range}>
        {[low, high].map((end) => (
          <line key={end} x1={end} x2={end} y1={y(targetC) - 6} y2={y(targetC) + 6} />
        ))}
        <line x1={low} x2={high} y1={y(targetC)} y2={y(targetC)} />
      </g>
      <circle cx={at} cy={y(targetC)} r={5.5} {...ink.ring} />
      <text x={at + (isRight ? -6 : 8)} y={y(targetC) + 26} textAnchor={isRight ? 'end' : 'start'} {...styles.eta}>
        {many ? `${piece} ` : ''}
        {clockTime(onAt + forecast.etaS * 1000)}
      </text>
    </g>
  );
}

function lastShown({ nowS, cores, comeUp, isOver }: Pick<CookChartProps, 'nowS' | 'cores' | 'comeUp' | 'isOver'>): number {
  if (isOver) return Math.max(HOUR_S, nowS);
  const ends = cores.flatMap(({ forecast }) => (forecast !== null && Number.isFinite(forecast.highS) ? [forecast.highS] : []));
  const allowed = comeUp !== null && comeUp.endS === null ? [comeUp.startS + comeUp.mostS + 600] : [];
  return Math.max(2 * HOUR_S, nowS + HOUR_S, ...ends.map((s) => s + 900), ...allowed);
}

/** The core that is furthest from its target. */
function slowestCore(cores: readonly ShownCore[]): ShownCore | null {
  const read = cores.filter(({ counted }) => counted.length > 0);
  return read.reduce<ShownCore | null>((worst, core) => {
    const left = (of: ShownCore) => of.targetC - (of.counted.at(-1)?.C ?? 0);
    return worst === null || left(core) > left(worst) ? core : worst;
  }, null);
}

function nearest(readings: readonly TimedReading[], s: number): number {
  return readings.reduce((best, reading) => (Math.abs(reading.s - s) < Math.abs(best.s - s) ? reading : best), readings[0] ?? { s: 0, C: 0 }).C;
}

const TICK_ROOM = 62;

/** Full hours by the clock on the wall, no nearer than their words have room. */
function hourTicks(onAt: number, x: Across, width: number): { s: number; word: string }[] {
  const [fromS = 0, endS = 0] = x.domain();
  const each = [0.25, 0.5, 1, 2, 3, 4, 6, 12, 24].find((h) => (width * h * HOUR_S) / (endS - fromS) >= TICK_ROOM) ?? 24;
  const eachMs = each * HOUR_S * 1000;
  const offset = new Date(onAt).getTimezoneOffset() * MINUTE_MS;
  const first = Math.ceil((onAt + fromS * 1000 - offset) / eachMs) * eachMs + offset;
  return Array.from({ length: Math.max(0, Math.floor((onAt + endS * 1000 - first) / eachMs) + 1) }, (_, i) => {
    const at = first + i * eachMs;
    return { s: (at - onAt) / 1000, word: clockTime(at) };
  });
}

import { HOUR_S, MINUTE_MS } from '@bunkhouse/core';
import type { CoreForecast, TendingAct, TimedReading } from '@bunkhouse/core';
import { scaleLinear } from 'd3-scale';
import { useId } from 'react';
import { usePreferences } from '../shell/preferences';
import { inWords } from '../shell/quantities';
import { clockTime } from '../shell/times';
import { GlyphMark, type GlyphName } from '../shell/glyphs';
import { ComeUpBar } from './ComeUpBar';
import { LETHALITY_HEIGHT, LethalityLane } from './LethalityLane';
import { TemperatureAxis } from './TemperatureAxis';
import { useWidth } from './useWidth';
import { bandBetween, curveThrough, diamond, stepsThrough } from './paths';

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
export function CookChart({ onAt, nowS, chamber, settings, cores, comeUp, tended, due, isOver }: CookChartProps) {
  const preferences = usePreferences();
  const hatch = useId();
  const [svg, width] = useWidth<SVGSVGElement>(760);
  const lanes = LANES.filter(({ act }) => tended.some((done) => done.act === act) || due.some((job) => job.act === act));
  const height = TOP + PLOT + COME_UP + LETHALITY_HEIGHT + AXIS + lanes.length * LANE + 6;
  const endS = lastShown({ nowS, cores, comeUp, isOver });
  const x = scaleLinear([0, endS], [LEFT, width - RIGHT]);
  const hottest = Math.max(70, ...settings.map(({ C }) => C), ...chamber.map(({ C }) => C)) + 8;
  const coldest = Math.min(0, ...cores.flatMap(({ read }) => read.map(({ C }) => C)));
  const y = scaleLinear([coldest, hottest], [TOP + PLOT, TOP]);
  const lethalTop = TOP + PLOT + COME_UP;
  const lethalFloor = lethalTop + LETHALITY_HEIGHT;
  const path = (readings: readonly TimedReading[]) => curveThrough(readings, x, y);
  const slowest = slowestCore(cores);
  const floor = lethalFloor + AXIS;
  const hours = hourTicks(onAt, endS, width);
  const temperature = (C: number) => inWords(C, 'temperature', preferences, 1);
  const chamberLast = chamber.at(-1);
  const targets = [...new Set(cores.map(({ targetC }) => targetC))];
  return (
    <svg ref={svg} className="cook-chart" viewBox={`0 0 ${width} ${height}`} role="img" aria-label={words()}>
      <defs>
        <pattern id={hatch} width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" className="fan-hatch" />
        </pattern>
      </defs>
      {!isOver && nowS < endS && <rect x={x(nowS)} y={TOP} width={x(endS) - x(nowS)} height={PLOT} className="to-come" />}
      <TemperatureAxis y={y} ticks={y.ticks(5)} left={LEFT} right={width - RIGHT} />
      <text x={LEFT - 6} y={TOP - 10} textAnchor="end" className="axis faint">
        °{preferences.temperature}
      </text>
      {hours.map(({ s, word }) => (
        <g key={word + String(s)}>
          <line x1={x(s)} x2={x(s)} y1={TOP} y2={TOP + PLOT} className="grid-line" />
          <line x1={x(s)} x2={x(s)} y1={lethalTop} y2={lethalFloor} className="grid-line" />
        </g>
      ))}
      <path d={stepsThrough(settings, endS, x, y)} className="curve set" />
      {targets.map((C) => (
        <g key={C}>
          <line x1={LEFT} x2={width - RIGHT} y1={y(C)} y2={y(C)} className="target-line" />
          <text x={LEFT + 6} y={y(C) - 5} className="axis strong">
            Pull at {inWords(C, 'temperature', preferences, 0)}
          </text>
        </g>
      ))}
      <path d={path(chamber)} className="curve chamber" />
      {cores.map((core) => (
        <CoreCurves
          key={core.piece}
          core={core}
          path={path}
          fan={isOver || core.forecast === null || core.forecast.curve.length < 2 ? null : bandBetween(core.forecast.curve, x, y)}
          hatch={hatch}
          isOver={isOver}
        />
      ))}
      {cores.flatMap((core) =>
        core.checks.map(({ s, lowestC }) => (
          <g key={`${core.piece}${s}`} className="check-mark">
            <polygon points={diamond(x(s), y(lowestC), 6)} />
            <text x={x(s) + (x(s) > width - 130 ? -10 : 10)} y={y(lowestC) + 18} textAnchor={x(s) > width - 130 ? 'end' : 'start'} className="axis strong">
              {temperature(lowestC)} read
            </text>
          </g>
        )),
      )}
      {chamberLast !== undefined && (
        <text
          x={Math.max(LEFT + 6, x(chamberLast.s * 0.5))}
          y={y(nearest(chamber, chamberLast.s * 0.5)) - 10}
          textAnchor="middle"
          className="axis chamber-word"
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
      {hours.map(({ s, word }) => (
        <text key={word + String(s)} x={x(s)} y={lethalFloor + 16} textAnchor="middle" className="axis">
          {word}
        </text>
      ))}
      {lanes.map(({ act, word, glyph }, i) => (
        <g key={act}>
          <line x1={LEFT} x2={width - RIGHT} y1={floor + i * LANE + 12} y2={floor + i * LANE + 12} className="grid-line" />
          <text x={2} y={floor + i * LANE + 16} className="axis strong">
            {word}
          </text>
          {tended
            .filter((done) => done.act === act && done.s <= endS)
            .map(({ s }) => (
              <GlyphMark key={s} name={glyph} x={Math.max(LEFT + 9, x(s))} y={floor + i * LANE + 12} />
            ))}
          {due
            .filter((job) => job.act === act && job.s <= endS)
            .map(({ s }) => (
              <GlyphMark key={s} name={glyph} x={x(Math.max(s, nowS))} y={floor + i * LANE + 12} isComing />
            ))}
        </g>
      ))}
      {!isOver && (
        <g className="now-post">
          <line x1={x(nowS)} x2={x(nowS)} y1={TOP - 4} y2={lethalFloor} className="now-line" />
          <rect x={x(nowS) - 46} y={2} width={46} height={20} />
          <text x={x(nowS) - 23} y={17} textAnchor="middle">
            {clockTime(onAt + nowS * 1000)}
          </text>
        </g>
      )}
    </svg>
  );

  function words(): string {
    const said = cores.map(({ piece, counted, forecast }) => {
      const last = counted.at(-1);
      const eta = forecast !== null && Number.isFinite(forecast.etaS) && !isOver ? `, there at about ${clockTime(onAt + forecast.etaS * 1000)}` : '';
      return `core of piece ${piece} ${last === undefined ? 'not read' : temperature(last.C)}${eta}`;
    });
    return `Cook since ${clockTime(onAt)}: chamber ${chamberLast === undefined ? 'not read' : temperature(chamberLast.C)}, ${said.join(', ')}.`;
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
      {core.planned !== null && core.planned.curve.length > 1 && <path d={path(core.planned.curve)} className="curve planned" />}
      {differs && <path d={path(core.read)} className="curve as-read" />}
      {shownFan !== null && <path d={shownFan} fill={`url(#${hatch})`} />}
      {!isOver && core.forecast !== null && core.forecast.curve.length > 1 && <path d={path(core.forecast.curve)} className="curve forecast" />}
      <path d={path(core.counted)} className="curve core-counted" />
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
    <g className="arrival">
      <g className="range">
        {[low, high].map((end) => (
          <line key={end} x1={end} x2={end} y1={y(targetC) - 6} y2={y(targetC) + 6} />
        ))}
        <line x1={low} x2={high} y1={y(targetC)} y2={y(targetC)} />
      </g>
      <circle cx={at} cy={y(targetC)} r={5.5} className="ring" />
      <text x={at + (isRight ? -6 : 8)} y={y(targetC) + 26} textAnchor={isRight ? 'end' : 'start'} className="eta">
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
function hourTicks(onAt: number, endS: number, width: number): { s: number; word: string }[] {
  const each = [0.5, 1, 2, 3, 4, 6, 12, 24].find((h) => (width * h * HOUR_S) / endS >= TICK_ROOM) ?? 24;
  const eachMs = each * HOUR_S * 1000;
  const offset = new Date(onAt).getTimezoneOffset() * MINUTE_MS;
  const first = Math.ceil((onAt - offset) / eachMs) * eachMs + offset;
  return Array.from({ length: Math.floor((onAt + endS * 1000 - first) / eachMs) + 1 }, (_, i) => {
    const at = first + i * eachMs;
    return { s: (at - onAt) / 1000, word: clockTime(at) };
  });
}

import { pitSays } from '../say/english/pit.js';
import { HOUR_S } from '../clock/spans.js';
import type { ForecastCoreParams } from '../heat/forecastCore.js';
import type { CookPhase } from '../heat/cookPhase.js';
import { lastWeightG } from '../batch/batchFacts.js';
import type { Process } from '../recipes/process.js';
import type { BatchState } from '../batch/batchState.js';
import { doubtOf } from '../safety/thermometerDoubt.js';
import { chillGrowth, growthWords, type ChillGrowth } from '../safety/chillGrowth.js';
import { coolingGates, type CoolingRule, type GatePassage } from '../safety/coolingGates.js';
import type { TimedReading } from '../safety/coreReadings.js';
import type { PitAlarm } from './chamberAlarms.js';
import { pitLog, spansOf, wrappedAt, type PitLog } from './pitLog.js';
import { told, type ChannelReadings, type PieceWatch, type PitWatch, type ToldAlarm } from './pitWatch.js';

/** A piece on its way down through the gates. Times in s after it came off the fire. */
export interface ChillPiece {
  piece: string;
  /** of its probe, and as logged: of two at one instant the warmer */
  readings: TimedReading[];
  /** whether a probe is in it */
  isProbed: boolean;
  /** its probe was found too shallow on the fire, and was not seated anew: in the cold it reads too low */
  isDoubtful: boolean;
  /** it lies in foil or a bag */
  isWrapped: boolean;
  /** the gates that its own cure asks for: dose, and how far it came */
  rule: CoolingRule;
  gates: GatePassage[];
  /** the first gate that is not passed; null where all are */
  gate: GatePassage | null;
  /** what may have grown in it so far */
  growth: ChillGrowth;
  /** where that gate's clock is not known to run: by when its end must be read to be sure, s; null where it is */
  sureByS: number | null;
  /** for that gate: what a forecast needs as it lies, and in an ice bath from now on */
  asItLies: ForecastCoreParams | null;
  iceBath: ForecastCoreParams | null;
}

export interface ChillWatch {
  /** ms; when it came off the fire, and when into the cold */
  offAt: number;
  coldAt: number | null;
  /** the ingoing nitrite by the method that applies, ppm */
  ppm: number;
  pieces: ChillPiece[];
  alarms: ToldAlarm[];
}

/** A resting piece lies in a room of so many degrees; a cold room has what the batch was planned for, °C [M]. */
const ROOM_C = 22;
const COLD_C = 3;
/** Ice and water in a tub, °C. */
const ICE_BATH_C = 1;
/** So long before a gate's time is over somebody is called, s [M]. */
const NEAR_S = 2700;

/**
 * Everything that is to be seen of a batch that cools: by the gates that its real ppm asks for. Null before it is off the fire.
 *
 * @param now ms
 */
export function chillWatch(state: BatchState, process: Process, channels: readonly ChannelReadings[], cook: PitWatch | null, now: number): ChillWatch | null {
  const log = pitLog(state, process);
  const { offAt } = log;
  if (offAt === null) return null;
  const ppm = state.figures.nitrite.applies.value;
  const nowS = (now - offAt) / 1000;
  const pieces = state.pieces.map((piece): ChillPiece => {
    const { code, section } = piece;
    const read = probed(log, channels, code, offAt, now);
    const readings = warmest([...read, ...logged(state, code, offAt)]);
    const rule: CoolingRule = state.cured.find((cure) => cure.code === code)?.isCured === true ? 'cured' : 'notCured';
    const hands = (state.coreRead.get(code) ?? []).filter(({ at }) => at >= offAt);
    const isChecked = [...hands.map((hand) => hand.isChecked), ...(read.length > 0 ? [isProbeChecked(log, channels, code)] : [])].every(Boolean);
    const seatedS = log.tended
      .filter(({ act, at, piece: of }) => act === 'reseat' && at >= offAt && (of === null || of === code))
      .map(({ at }) => (at - offAt) / 1000);
    const wrapped = wrappedAt(log, code);
    const gates = coolingGates(readings, rule, { section, heatOffS: 0, doubtC: doubtOf(isChecked && readings.length > 0), seatedS });
    const gate = gates.find(({ state: at }) => at !== 'pass') ?? null;
    const first = readings[0];
    const params = (phases: CookPhase[]): ForecastCoreParams | null =>
      gate === null || first === undefined
        ? null
        : {
            section,
            lengthMm: piece.lengthMm,
            massG: lastWeightG(state.facts, piece),
            ...(wrapped === null ? {} : { wrappedAtS: (wrapped - offAt) / 1000 }),
            startC: first.C,
            phases,
            readings,
            targetC: gate.to,
          };
    const lying = phasesInTheCold(log, state.design.coldC ?? COLD_C);
    return {
      piece: code,
      readings,
      isProbed: read.length > 0,
      isDoubtful:
        read.length > 0 &&
        isShallow(
          cook?.pieces.find(({ piece }) => piece === code),
          log,
        ),
      isWrapped: wrapped !== null,
      rule,
      gates,
      gate,
      growth: chillGrowth({ readings, heatOffS: 0, saltPercent: state.figures.salt.value, nitritePpm: rule === 'cured' ? ppm : 0 }),
      sureByS: gate === null || gate.startS !== null ? null : sureBy(gate, readings),
      asItLies: params(lying),
      iceBath: params([...lying.map((phase) => ({ ...phase, untilS: Math.min(phase.untilS ?? nowS, nowS) })), { chamberC: ICE_BATH_C, medium: 'water' }]),
    };
  });
  const alarms = pieces.flatMap((piece) => gateAlarms(piece, nowS));
  return {
    offAt,
    coldAt: log.coldAt,
    ppm,
    pieces,
    alarms: alarms.map((alarm) => told(alarm, log, offAt)),
  };
}

/** The last reading above the gate: nobody knows when after it the clock began. */
function sureBy({ from, limitS }: GatePassage, readings: readonly TimedReading[]): number | null {
  const last = readings.findLast(({ C }) => C > from);
  return last === undefined ? null : last.s + limitS;
}

function phasesInTheCold({ offAt, coldAt }: PitLog, coldC: number): CookPhase[] {
  const cold: CookPhase = { chamberC: coldC, medium: 'cold' };
  if (offAt === null) return [cold];
  // Not in the cold yet: nobody knows when it will be, so it is taken to be now.
  return coldAt === null || coldAt <= offAt ? [cold] : [{ chamberC: ROOM_C, medium: 'cold', untilS: (coldAt - offAt) / 1000 }, cold];
}

const probed = (log: PitLog, channels: readonly ChannelReadings[], code: string, offAt: number, now: number): TimedReading[] =>
  spansOf(log.hung, code).flatMap(({ probe, fromMs, toMs }) =>
    (channels.find(({ device, channel }) => device === probe.device && channel === probe.channel)?.readings ?? [])
      .filter(({ at }) => at >= Math.max(fromMs, offAt) && at < toMs && at <= now)
      .map(({ at, C }) => ({ s: (at - offAt) / 1000, C })),
  );

/** What hands read of this piece: of another it proves nothing. */
const logged = ({ coreRead }: BatchState, code: string, offAt: number): TimedReading[] =>
  (coreRead.get(code) ?? []).filter(({ at }) => at >= offAt).map(({ at, highestC }) => ({ s: (at - offAt) / 1000, C: highestC }));

/** Whether every probe that hung in a piece had been held against ice. */
const isProbeChecked = (log: PitLog, channels: readonly ChannelReadings[], code: string): boolean =>
  spansOf(log.hung, code).every(
    ({ probe }) => channels.find(({ device, channel }) => device === probe.device && channel === probe.channel)?.isChecked === true,
  );

/** In order of time, each instant once: what is said to be warmer counts. */
function warmest(readings: readonly TimedReading[]): TimedReading[] {
  const at = new Map<number, number>();
  for (const { s, C } of readings) at.set(s, Math.max(C, at.get(s) ?? -Infinity));
  return [...at].map(([s, C]) => ({ s, C })).sort((a, b) => a.s - b.s);
}

function isShallow(piece: PieceWatch | undefined, log: PitLog): boolean {
  if (piece === undefined || piece.readsHighC === 0 || piece.lastCheck === null) return false;
  const checkedAt = piece.lastCheck.at;
  return !log.tended.some(({ act, at, piece: of }) => act === 'reseat' && at > checkedAt && (of === null || of === piece.piece));
}

/** A gate whose time is over, or nearly. */
function gateAlarms({ piece, gates, readings, sureByS, growth }: ChillPiece, nowS: number): PitAlarm[] {
  const last = readings.at(-1);
  if (sureByS !== null && last !== undefined && nowS >= sureByS - NEAR_S)
    return [
      {
        key: `gate-1:${piece}`,
        subject: piece,
        untilS: null,
        kind: 'gate',
        sinceS: sureByS - NEAR_S,
        level: 'caution',
        fact: pitSays('gate-unread', { piece, coreC: last.C, h: (nowS - last.s) / HOUR_S }),
        order: pitSays('gate-order'),
      },
    ];
  return gates.flatMap(({ from, to, limitS, startS, tookS, state }, i): PitAlarm[] => {
    if (startS === null || state === 'pass' || state === 'notShown') return [];
    const overS = startS + limitS;
    const base = { key: `gate-${i + 1}:${piece}`, subject: piece, untilS: null } as const;
    const lastC = readings.at(-1)?.C ?? from;
    if (state === 'fail' || nowS > overS)
      return [
        {
          ...base,
          kind: 'gate',
          sinceS: overS,
          level: 'danger',
          fact: pitSays(tookS === null ? 'gate-not-shown-at' : 'gate-too-late', { piece, fromC: from, toC: to, limitH: limitS / HOUR_S }),
          order: pitSays('gate-decide-order', { growth: growthWords(growth) }),
        },
      ];
    if (nowS < overS - NEAR_S) return [];
    return [
      {
        ...base,
        kind: 'gate',
        sinceS: overS - NEAR_S,
        level: 'caution',
        fact: pitSays('gate-soon', { piece, coreC: lastC, min: Math.max(1, (overS - nowS) / 60), toC: to }),
        order: pitSays('gate-order'),
      },
    ];
  });
}

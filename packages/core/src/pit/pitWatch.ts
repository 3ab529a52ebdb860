import { pitSays } from '../say/english/pit.js';
import type { ForecastCoreParams } from '../heat/forecastCore.js';
import { phaseAt, type CookPhase } from '../heat/cookPhase.js';
import { comeUp, type ComeUp } from '../safety/comeUpHours.js';
import { countedReadings, type NotCounted } from '../safety/countedReadings.js';
import { bathCore, withBath } from '../heat/bathCore.js';
import { aroundOf, lethality, type Lethality, type LethalityTable } from '../safety/lethality.js';
import { doubtOf } from '../safety/thermometerDoubt.js';
import { lethalityTable } from '../safety/lethalityTarget.js';
import { COLD_SMOKE_C } from '../recipes/cookProgram.js';
import { inWaterFrom } from '../batch/bathEvidence.js';
import { lastWeightG } from '../batch/batchFacts.js';
import { CHAMBER, type Probe } from '../log/pitEvent.js';
import type { Process } from '../recipes/process.js';
import type { BatchState } from '../batch/batchState.js';
import type { CoreReading, TimedReading } from '../safety/coreReadings.js';
import { chamberAlarms, type PitAlarm } from './chamberAlarms.js';
import { coreAlarms, silence } from './coreAlarms.js';
import { countedCore, readAt, readsHighC, type ProbeCheck } from './countedCore.js';
import { pitJobs, type PitJob } from './pitJobs.js';
import { pitLog, phasesOf, spansOf, wrappedAt, type CoreCheck, type Decision, type PitLog } from './pitLog.js';

/** Readings of a channel, in order of time. */
export interface ChannelReadings {
  device: string;
  channel: number;
  readings: readonly CoreReading[];
  /** whether it was held against ice or boiling water before: its doubt is smaller */
  isChecked?: boolean;
}

export interface PieceWatch {
  piece: string;
  probe: Probe | null;
  targetC: number;
  /** as the probe read it, and as it counts; s after the meat went on */
  read: TimedReading[];
  counted: TimedReading[];
  /** what counts, and where no probe hangs what hands read in one place on the way: what phases and forecast go by */
  known: TimedReading[];
  /** what was read, by probe or hand, and proves nothing */
  notCounted: NotCounted[];
  /** the doubt of what it was read with, °C */
  doubtC: number;
  lastCheck: CoreCheck | null;
  /** how much too high the probe was found at the last check, °C */
  readsHighC: number;
  lethality: Lethality;
  /** by which times it is added up */
  table: LethalityTable;
  comeUp: ComeUp | null;
  /** what a forecast of it needs; null before anything is known of its core */
  forecast: ForecastCoreParams | null;
}

/** An alarm, and what became of it. */
export interface ToldAlarm extends PitAlarm {
  heard: { at: number; by: string } | null;
  /** of a rule that was not kept: what was decided; null where it was not, or needs none */
  decision: Decision | null;
}

export interface PitWatch {
  log: PitLog;
  phases: CookPhase[];
  /** index of the phase that holds now, in the program and in `phases` */
  phase: number;
  /** s after the meat went on: when each phase that was begun began */
  phaseStarts: number[];
  chamber: TimedReading[];
  /** as hands read it; what the forecast goes by where no probe hangs in it */
  chamberByHand: TimedReading[];
  chamberProbe: Probe | null;
  pieces: PieceWatch[];
  alarms: ToldAlarm[];
  jobs: PitJob[];
  /** ms; the last that was heard of any channel, or null */
  heardAt: number | null;
  /** s between 4 and 60 °C of the slowest core, in a program with a cold smoke; null where there is none */
  coldZoneS: number | null;
}

/** Where what is not cooked yet can grow, °C. */
const ZONE = { fromC: 4, toC: 60 } as const;

/**
 * Everything that is to be seen of a cook at an instant: derived from the log and the readings, nothing of it stored.
 *
 * @param channels readings of the channels that hung in it
 * @param now ms
 */
export function pitWatch(state: BatchState, process: Process, channels: readonly ChannelReadings[], now: number): PitWatch | null {
  const log = pitLog(state, process);
  const { onAt } = log;
  if (onAt === null) return null;
  const phases = phasesOf(log);
  const until = log.offAt ?? Infinity;
  const seriesOf = (reads: string, untilMs: number): TimedReading[] =>
    spansOf(log.hung, reads)
      .flatMap(({ probe, fromMs, toMs }) =>
        (channels.find(({ device, channel }) => device === probe.device && channel === probe.channel)?.readings ?? []).filter(
          ({ at }) => at >= Math.max(fromMs, onAt - 1) && at < toMs && at <= Math.min(untilMs, now),
        ),
      )
      .map(({ at, C }) => ({ s: (at - onAt) / 1000, C }))
      .sort((a, b) => a.s - b.s)
      .filter(({ s }, i, all) => i === 0 || s > (all[i - 1]?.s ?? -Infinity));
  const chamber = seriesOf(CHAMBER, until);
  const chamberAt = (s: number) => readAt(chamber, s);
  const since = ({ at, C }: { at: number; C: number }): TimedReading => ({ s: (at - onAt) / 1000, C });
  const chamberByHand = onceEach(log.chamberByHand.filter(({ at }) => at <= now).map(since));
  const startC = log.startC ?? 4;
  const hung = log.hung.at(-1)?.probes ?? [];
  const isChecked = (reads: string) =>
    spansOf(log.hung, reads).every(
      ({ probe }) => channels.find(({ device, channel }) => device === probe.device && channel === probe.channel)?.isChecked === true,
    );
  const pieces = state.pieces.map((piece): PieceWatch => {
    const { code, section } = piece;
    const wrapped = wrappedAt(log, code);
    // A core that rests goes on counting until it is in the cold.
    const read = seriesOf(code, log.coldAt ?? Infinity);
    const probe = hung.find(({ reads }) => reads === code) ?? null;
    const own = log.checks.filter(({ piece, at }) => piece === code && at >= onAt);
    const checks = own.flatMap(({ at, lowestC, probeC }): ProbeCheck[] => {
      const s = (at - onAt) / 1000;
      const readThen = probeC ?? readAt(read, s);
      return readThen === null ? [] : [{ s, lowestC, probeC: readThen }];
    });
    const seatedS = log.tended
      .filter(({ act, at, piece: of }) => act === 'reseat' && at > onAt && (of === null || of === code))
      .map(({ at }) => (at - onAt) / 1000);
    const moved = spansOf(log.hung, code)
      .slice(1)
      .map(({ fromMs }) => (fromMs - onAt) / 1000);
    const evidence = withHands(countedCore(read, checks, startC), own, log.startC, onAt);
    const seats = [...seatedS, ...moved];
    const { counted, notCounted } = countedReadings(evidence, {
      favours: 'lower',
      section,
      seatedS: seats,
      ...(chamber.length === 0 ? {} : { around: aroundOf(chamber) }),
    });
    const baths = log.baths.filter(({ piece, at }) => at >= (inWaterFrom(log.program, onAt, log.raisedAt) ?? Infinity) && (piece === null || piece === code));
    const onTheWay = log.coreByHand.filter(({ piece: of, at }) => of === code && at <= now).map(since);
    // One place read by hand says less than a probe that hangs in it.
    const known = read.length > 0 ? counted : onceEach([...counted, ...onTheWay]);
    const bath = bathCore({ section, reads: baths.map(({ at, waterC }) => ({ s: (at - onAt) / 1000, C: waterC })) });
    const shown = withBath(counted, bath);
    const doubtC = doubtOf(
      [...own.map((check) => check.isChecked), ...baths.map((read) => read.isChecked), ...(read.length === 0 ? [] : [isChecked(code)])].every(Boolean) &&
        evidence.length + baths.length > 0,
    );
    const table = lethalityTable(state.design.ruleSet, state.design.product);
    const done = lethality(shown, {
      section,
      chamber,
      doubtC,
      seatedS: seats,
      table,
      isThermostat: log.program.some(({ medium }) => medium === 'oven'),
      ...(log.offAt === null ? {} : { heatOnUntilS: (log.offAt - onAt) / 1000 }),
    });
    const up = comeUp(shown, done.reachedAtS);
    const last = checks.at(-1);
    const targetC = probe?.targetC ?? process.coreTargetC;
    return {
      piece: code,
      probe,
      targetC,
      read,
      counted,
      known,
      notCounted,
      doubtC,
      lastCheck: own.at(-1) ?? null,
      readsHighC: last === undefined ? 0 : readsHighC(last),
      lethality: done,
      table,
      comeUp: up,
      forecast:
        phases.length === 0
          ? null
          : {
              section,
              lengthMm: piece.lengthMm,
              massG: lastWeightG(state.facts, piece),
              startC,
              phases,
              readings: known,
              targetC,
              chamber: chamber.length > 0 ? chamber : chamberByHand,
              ...(wrapped === null ? {} : { wrappedAtS: (wrapped - onAt) / 1000 }),
            },
    };
  });
  const nowS = (Math.min(now, until) - onAt) / 1000;
  const held = holds(phases, chamber, pieces);
  const phase = held.at(nowS).phase;
  const alarms = [
    ...withoutWork(
      log,
      onAt,
      chamberAlarms(chamber, (s) => {
        const { phase: i, sinceS } = held.at(s);
        const set = phases[i];
        return set === undefined ? null : { C: set.chamberC, sinceS };
      }),
    ),
    ...tooWarm(phases, chamber),
    ...pieces.flatMap((piece) =>
      coreAlarms(
        {
          piece: piece.piece,
          counted: piece.counted,
          targetC: piece.targetC,
          readsHighC: piece.readsHighC,
          checkedS: piece.lastCheck === null ? null : (piece.lastCheck.at - onAt) / 1000,
          wrappedS: piece.forecast?.wrappedAtS ?? null,
          comeUp: piece.comeUp,
        },
        chamberAt,
      ),
    ),
    ...(log.offAt === null
      ? [
          ...silence(CHAMBER, pitSays('probe-of-chamber'), chamber, nowS),
          ...pieces.flatMap(({ piece, read }) => silence(piece, pitSays('probe-of-piece', { piece }), read, nowS)),
        ]
      : []),
  ];
  const heardAt = [chamber, ...pieces.map(({ read }) => read)].flatMap((readings) => {
    const last = readings.at(-1);
    return last === undefined ? [] : [onAt + last.s * 1000];
  });
  return {
    log,
    phases,
    phase,
    phaseStarts: held.starts,
    chamber,
    chamberByHand,
    chamberProbe: hung.find(({ reads }) => reads === CHAMBER) ?? null,
    pieces,
    alarms: alarms.map((alarm) => told(alarm, log, onAt)).sort((a, b) => LEVELS.indexOf(a.level) - LEVELS.indexOf(b.level) || b.sinceS - a.sinceS),
    jobs: log.offAt === null ? pitJobs(log, held.at(nowS), pieces, onAt) : [],
    heardAt: heardAt.length === 0 ? null : Math.max(...heardAt),
    coldZoneS: phases.some(({ chamberC, medium }) => chamberC <= COLD_SMOKE_C && medium === 'smoker')
      ? Math.max(0, ...pieces.map(({ counted }) => zoneSeconds(counted)))
      : null,
  };
}

/** What the probe read, what hands read in the lowest place, and the core as it went on: one series, each instant once, the lower of two. */
function withHands(probe: readonly TimedReading[], checks: readonly CoreCheck[], startC: number | null, onAt: number): TimedReading[] {
  const byHand = checks.map(({ at, lowestC }) => ({ s: (at - onAt) / 1000, C: lowestC }));
  return onceEach([...(startC === null ? [] : [{ s: 0, C: startC }]), ...probe, ...byHand]);
}

/** One series in order of time, each instant once: the lower of two. */
function onceEach(readings: readonly TimedReading[]): TimedReading[] {
  const at = new Map<number, number>();
  for (const { s, C } of readings) at.set(s, Math.min(C, at.get(s) ?? Infinity));
  return [...at].map(([s, C]) => ({ s, C })).sort((a, b) => a.s - b.s);
}

/** An alarm with who heard it, and what was decided, since it rang. */
export function told(alarm: PitAlarm, { heard, decided }: PitLog, fromMs: number): ToldAlarm {
  const isOf = (said: { alarm: string; at: number }) => said.alarm === alarm.key && said.at >= fromMs + alarm.sinceS * 1000;
  return { ...alarm, heard: heard.find(isOf) ?? decided.find(isOf) ?? null, decision: decided.find(isOf) ?? null };
}

const LEVELS: readonly PitAlarm['level'][] = ['danger', 'caution', 'news'];

/** The phase at a time, and since when: by the slowest core, as a probe or a hand read it. */
function holds(
  phases: readonly CookPhase[],
  chamber: readonly TimedReading[],
  pieces: readonly PieceWatch[],
): { starts: number[]; at: (s: number) => { phase: number; sinceS: number } } {
  const moments = [...new Set([0, ...chamber.map(({ s }) => s), ...pieces.flatMap(({ known }) => known.map(({ s }) => s))])].sort((a, b) => a - b);
  const starts: number[] = [0];
  const cores = pieces.filter(({ known }) => known.length > 0).map(({ known }) => ({ known, i: 0 }));
  let phase = 0;
  for (const s of moments) {
    let slowest = Infinity;
    for (const core of cores) {
      while (core.i < core.known.length - 1 && (core.known[core.i + 1]?.s ?? Infinity) <= s) core.i += 1;
      slowest = Math.min(slowest, core.known[core.i]?.C ?? Infinity);
    }
    const next = phaseAt(phases, phase, s, Number.isFinite(slowest) ? slowest : -Infinity, false);
    while (phase < next) {
      phase += 1;
      starts[phase] = s;
    }
  }
  return {
    starts,
    at: (s) => {
      let i = starts.findLastIndex((from) => from <= s);
      i = phaseAt(phases, Math.max(0, i), s, -Infinity, false);
      return { phase: i, sinceS: starts[i] ?? phases[i - 1]?.untilS ?? 0 };
    },
  };
}

/** How long before and after a job its door may stand open, s. */
const AT_THE_DOOR_S = 420;

/** A door that is open while somebody spritzes or adds fuel is no news. */
function withoutWork({ tended, checks }: PitLog, onAt: number, alarms: readonly PitAlarm[]): PitAlarm[] {
  const atWork = [...tended, ...checks].map(({ at }) => (at - onAt) / 1000);
  return alarms.filter(
    ({ kind, sinceS, untilS }) =>
      kind !== 'door' ||
      untilS === null ||
      untilS - sinceS > 2 * AT_THE_DOOR_S ||
      !atWork.some((s) => s > sinceS - AT_THE_DOOR_S && s < untilS + AT_THE_DOOR_S),
  );
}

/** A cold smoke that is none any more. */
function tooWarm(phases: readonly CookPhase[], chamber: readonly TimedReading[]): PitAlarm[] {
  const [first] = phases;
  if (first === undefined || first.chamberC > COLD_SMOKE_C) return [];
  const until = first.untilS ?? Infinity;
  const warm = chamber.find(({ s, C }) => s <= until && C >= COLD_SMOKE_C);
  if (warm === undefined) return [];
  const over = chamber.find(({ s, C }) => s > warm.s && C < COLD_SMOKE_C);
  return [
    {
      key: 'too-warm:chamber',
      kind: 'too-warm',
      subject: CHAMBER,
      sinceS: warm.s,
      untilS: over?.s ?? null,
      level: 'danger',
      fact: pitSays('too-warm-smoke', { coldSmokeC: COLD_SMOKE_C }),
      order: pitSays('too-warm-order', { coldSmokeC: COLD_SMOKE_C }),
    },
  ];
}

function zoneSeconds(counted: readonly TimedReading[]): number {
  return counted.slice(1).reduce((sum, { s, C }, i) => {
    const from = counted[i];
    return from !== undefined && C > ZONE.fromC && C < ZONE.toC ? sum + s - from.s : sum;
  }, 0);
}

import type { HandActId } from '../log/handAct.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { PlannedStepId } from '../log/stepId.js';
import { pieceRead } from '../steps/gates.js';
import { cookPhases } from '../recipes/cookProgram.js';
import type { CookProgram } from '../log/cookProgram.js';
import { type Probe, type TendingAct } from '../log/pitEvent.js';
import { PROCESSES } from '../recipes/processes.js';
import type { Process } from '../recipes/process.js';
import type { BatchState } from '../batch/batchState.js';
import type { CookPhase } from '../heat/cookPhase.js';

/** A check with an instant-read thermometer: the lowest place decides. */
export interface CoreCheck {
  /** ms */
  at: number;
  piece: string;
  lowestC: number;
  placesC: number[];
  probeC: number | null;
  by: string;
  /** whether the thermometer had been held against ice */
  isChecked: boolean;
}

/** What a batch's log says of its cook: everything of the pit that is not measured by itself. */
export interface PitLog {
  /** ms; when the meat went on, and when the check closed that took it off; null before */
  onAt: number | null;
  offAt: number | null;
  /** ms; when it was moved to the cold; null before */
  coldAt: number | null;
  /** core as it went on, °C */
  startC: number | null;
  /** when the heat was raised by hand, ms */
  raisedAt: number | null;
  /** the heat stays as it is: what the raise would have begun never comes */
  staysLow: boolean;
  program: CookProgram;
  /** how the channels hung, each from its time to that of the next */
  hung: { at: number; probes: Probe[] }[];
  tended: { id: string; at: number; act: TendingAct; piece: string | null; by: string }[];
  checks: CoreCheck[];
  /** what hands read on the way of the chamber, and of a core in one place, °C: they lead the forecast, and prove nothing */
  chamberByHand: { at: number; C: number }[];
  coreByHand: { at: number; piece: string; C: number }[];
  /** of the water in which a piece lies sealed; null for all of them */
  baths: { at: number; piece: string | null; waterC: number; isChecked: boolean }[];
  heard: { at: number; alarm: string; by: string }[];
  /** what was decided where a rule was not kept */
  decided: Decision[];
}

/** What was decided about an alarm of a rule that was not kept. */
export interface Decision {
  /** ms */
  at: number;
  alarm: string;
  by: string;
  what: string;
}

/** How a batch is smoked and cooked: as it was planned on the way, else as its process has it, else as the product usually is. */
export const programOf = (process: Process, program: CookProgram | undefined): CookProgram =>
  program ?? process.program ?? PROCESSES.find(({ product }) => product === process.product)?.program ?? [];

/** ms; since when a piece lies in foil or a bag; null where it does not. */
export function wrappedAt({ tended }: PitLog, piece: string): number | null {
  const own = tended.filter((tap) => tap.piece === null || tap.piece === piece);
  const bareAt = own.findLast(({ act }) => act === 'bare')?.at ?? -Infinity;
  return own.find(({ act, at }) => act === 'wrap' && at > bareAt)?.at ?? null;
}

/** Derives the pit's part of a batch from its log. */
export function pitLog(state: BatchState, process: Process): PitLog {
  const { closing, closedAt } = state;
  const [on, raised] = [closing('meat-on'), closing('raise')];
  const log: PitLog = {
    onAt: closedAt('meat-on'),
    offAt: closedAt('core'),
    coldAt: closedAt('into-cold'),
    startC: (on?.kind === 'done' ? on.values.coreC : undefined) ?? null,
    raisedAt: raised?.kind === 'done' ? closedAt('raise') : null,
    staysLow: raised?.kind === 'skipped',
    program: programOf(process, state.design.program),
    hung: [],
    tended: [],
    checks: stepChecks(state),
    chamberByHand: [],
    coreByHand: [],
    baths: [],
    heard: [],
    decided: [],
  };
  for (const entry of state.standing) {
    if (entry.kind === 'act' || entry.kind === 'done') readByHand(log, state, entry);
    if (entry.kind !== 'pit') continue;
    const { event, by, id } = entry;
    const at = Date.parse(entry.at);
    if (event.act === 'probes') log.hung.push({ at, probes: event.probes });
    else if (event.act === 'heard') log.heard.push({ at, alarm: event.alarm, by });
    else if (event.act === 'decided') log.decided.push({ at, alarm: event.alarm, by, what: entry.reason ?? '' });
    else if (event.act === 'check')
      log.checks.push({
        at,
        piece: event.piece,
        lowestC: Math.min(...event.placesC),
        placesC: event.placesC,
        probeC: event.probeC ?? null,
        by,
        isChecked: entry.read?.isChecked === true,
      });
    else if (event.act === 'bath') log.baths.push({ at, piece: event.piece ?? null, waterC: event.waterC, isChecked: entry.read?.isChecked === true });
    else log.tended.push({ id, at, act: event.act, piece: event.piece ?? null, by });
  }
  for (const list of [log.hung, log.tended, log.checks, log.chamberByHand, log.coreByHand, log.baths, log.heard, log.decided]) list.sort((a, b) => a.at - b.at);
  return log;
}

/** What hands do at the fire whose temperature is that of the chamber. */
const AT_THE_CHAMBER: readonly HandActId[] = ['wood', 'chips', 'damper', 'relight', 'smoke-off', 'oven'];
const READ_ON_THE_WAY: readonly PlannedStepId[] = ['meat-on', 'raise'];

/** What an entry says of chamber and core while the heat is on. */
function readByHand(log: PitLog, { pieces }: BatchState, entry: StandingEntry): void {
  const at = Date.parse(entry.at);
  if (log.onAt === null || at < log.onAt || at > (log.offAt ?? Infinity)) return;
  if (entry.kind === 'act' && entry.event.C !== undefined && AT_THE_CHAMBER.includes(entry.event.act)) log.chamberByHand.push({ at, C: entry.event.C });
  if (entry.kind !== 'done' || !READ_ON_THE_WAY.includes(entry.stepId)) return;
  for (const [name, C] of Object.entries(entry.values)) {
    if (typeof C !== 'number') continue;
    if (name === 'chamberC') log.chamberByHand.push({ at, C });
    const piece = /^coreC\b/.test(name) ? pieceRead(name, pieces) : null;
    if (piece !== null && entry.stepId !== 'meat-on') log.coreByHand.push({ at, piece, C });
  }
}

/** The checks that are a step of their own, piece by piece: a reading of no piece that was named is of none. */
function stepChecks(state: BatchState): CoreCheck[] {
  return [...state.coreRead].flatMap(([piece, readings]) =>
    readings.flatMap((reading): CoreCheck[] => {
      if (reading.stepId !== 'core') return [];
      const entry = state.standing.find(({ id }) => id === reading.entryId);
      const values = entry?.kind === 'done' ? entry.values : {};
      const probeC = values[`probeC:${piece}`] ?? values.probeC;
      const { at, lowestC, placesC, by, isChecked } = reading;
      return [{ at, piece, placesC, lowestC, probeC: typeof probeC === 'number' ? probeC : null, by, isChecked }];
    }),
  );
}

/** The phases by the clock of this cook: a raise by hand ends the first one when it was done, not when it was planned. */
export function phasesOf({ program, onAt, raisedAt, staysLow }: PitLog): CookPhase[] {
  if (staysLow && program.length > 1) return cookPhases(program.slice(0, -1));
  const phases = cookPhases(program);
  const [first, ...rest] = phases;
  if (first === undefined || rest.length === 0 || onAt === null || raisedAt === null || raisedAt <= onAt) return phases;
  const { untilCoreC: _untilCoreC, ...held } = first;
  return [
    { ...held, untilS: (raisedAt - onAt) / 1000 },
    ...rest.map((phase) => (phase.untilS === undefined ? phase : { ...phase, untilS: Math.max(phase.untilS, (raisedAt - onAt) / 1000) })),
  ];
}

/** Where a channel hung, time by time: spans of ms, the last without end. */
export function spansOf(hung: PitLog['hung'], reads: string): { probe: Probe; fromMs: number; toMs: number }[] {
  const spans: { probe: Probe; fromMs: number; toMs: number }[] = [];
  hung.forEach(({ at, probes }, i) => {
    const toMs = hung[i + 1]?.at ?? Infinity;
    const probe = probes.find((candidate) => candidate.reads === reads);
    if (probe === undefined) return;
    const before = spans.at(-1);
    const goesOn = before !== undefined && before.toMs === at && before.probe.device === probe.device && before.probe.channel === probe.channel;
    if (goesOn) Object.assign(before, { toMs, probe });
    else spans.push({ probe, fromMs: at, toMs });
  });
  return spans;
}

/** Every channel that hung in the cook at some time, once. */
export function channelsOf(hung: PitLog['hung']): { device: string; channel: number }[] {
  const seen = new Map(hung.flatMap(({ probes }) => probes.map(({ device, channel }) => [`${device}:${channel}`, { device, channel }] as const)));
  return [...seen.values()];
}

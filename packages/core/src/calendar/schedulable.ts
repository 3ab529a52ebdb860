import { HOUR_MS } from '../clock/spans.js';
import type { SingleStepId } from '../log/stepId.js';
import { afterH } from '../steps/afterH.js';
import { heldFor } from '../steps/heldFor.js';
import { sum } from '../batch/batchFacts.js';
import type { HoldName } from '../log/batchDesign.js';
import { gapLimits, type PullLimits } from '../batch/gapLimits.js';
import type { BatchRecord, BatchState, StepState } from '../batch/batchState.js';
import type { Hold, Resource, SchedulableBatch, SchedulableStep } from '../schedule/scheduleTypes.js';

/** Litres of a refrigerator for a kg of meat with its brine in a tub, for one that dries on a rack, for one that lies cold [M]. */
const LITRES = { cure: 1.25, dry: 2.2, chill: 1.6 } as const;
/** A rack of a smoker carries so much, a tub holds so much meat and brine, g [M]. */
const RACK_G = 5000;
const TUB_G = 30_000;
const USUAL_HANDS_MIN = 15;
/** A re-pump may lie so far off the half, h. */
const REPUMP_OFF_H = 18;
/** Meat that comes on a day is weighed within so long, h. */
const COMES_WITHIN_H = 24;

export interface Schedulables {
  /** when it may be pulled by the section model, where that is known */
  pull?: PullLimits;
  /** the meat may come at any time from this instant on, ISO: the start is planned, too */
  anyStartFrom?: string;
}

/** A batch as the Calendar plans with it: what is done stands, what is to come may stretch as far as its process and the section model let it. */
export function schedulable(record: BatchRecord, state: BatchState, resources: readonly Resource[], more: Schedulables = {}): SchedulableBatch {
  const { design } = state;
  const line = state.steps.filter((step) => !isBeside(step));
  const steps = state.steps.flatMap((step): SchedulableStep[] => {
    if (step.status === 'missed') return [];
    const before = line[line.indexOf(step) - 1];
    const job = jobOf(step);
    if (isBeside(step)) return [{ ...job, beside: { step: 'meat-in', ...besideGap(step, design.cureDays) } }];
    if (before !== undefined) return [{ ...job, ...gapAfter(step, before, record, state, more.pull) }];
    if (step.closing !== null) return [job];
    return [{ ...job, ...startOf(step, design.startsAt, more.anyStartFrom) }];
  });
  return {
    id: record.id,
    code: record.code,
    steps,
    holds: holdsOf(record, state, resources, steps),
    ...(design.readyBy === undefined ? {} : { readyBy: design.readyBy }),
  };
}

const isBeside = ({ spec }: StepState): boolean => spec.missable === true || spec.id === 'repump';

const jobOf = ({ spec, closing, dueAt }: StepState): SchedulableStep => ({
  id: spec.id,
  title: spec.title,
  station: spec.station,
  handsMin: spec.handsMin ?? USUAL_HANDS_MIN,
  ...(closing === null ? { plannedAt: new Date(dueAt).toISOString() } : { doneAt: closing.at }),
});

/** The first job: when the meat comes on, within a day. Where that is late already, nobody knows how late. */
function startOf({ dueAt, urgency }: StepState, startsAt: string, anyStartFrom: string | undefined): Pick<SchedulableStep, 'earliest' | 'latest'> {
  if (anyStartFrom !== undefined) return { earliest: anyStartFrom };
  if (urgency === 'overdue') return { earliest: startsAt };
  return { earliest: startsAt, latest: new Date(Math.max(Date.parse(startsAt), dueAt) + COMES_WITHIN_H * HOUR_MS).toISOString() };
}

/** What lies between a job and the one before it. One that was looked at and left open is due again when its process says so. */
function gapAfter(
  step: StepState,
  before: StepState,
  record: BatchRecord,
  { design }: BatchState,
  pull?: PullLimits,
): Pick<SchedulableStep, 'after' | 'earliest'> {
  const after = gapLimits(step.spec, record.process, design, pull);
  if (step.looks.length === 0 || step.closing !== null || before.closing === null) return { after };
  const soFarH = (step.dueAt - Date.parse(before.closing.at)) / HOUR_MS;
  return { after: { ...after, mostH: Math.max(after.mostH, soFarH + step.spec.graceH) }, earliest: new Date(step.dueAt).toISOString() };
}

function besideGap({ spec }: StepState, cureDays: number): { leastH: number; usualH: number; mostH: number } {
  const usualH = afterH(spec.after, cureDays);
  const { leastH, mostH } = spec.stretch ?? { leastH: Math.max(0, usualH - REPUMP_OFF_H), mostH: usualH + REPUMP_OFF_H };
  return { leastH: Math.min(leastH, usualH), usualH, mostH: Math.max(mostH, usualH) };
}

interface Need {
  id: HoldName;
  kind: Resource['kind'];
  amount: number;
  from: SingleStepId;
  until: SingleStepId;
  program?: string;
}

/** What it takes of the house: a tub, litres in the cold, racks in the smoker. */
function holdsOf({ process }: BatchRecord, state: BatchState, resources: readonly Resource[], steps: readonly SchedulableStep[]): Hold[] {
  const greenG = sum(state.facts.keptGreenG);
  const brineG = state.facts.brines.filter(({ id }) => id !== 'pickle').reduce((all, brine) => all + brine.brineG, 0);
  const racks = state.pieces.reduce((all, { greenG }) => all + Math.max(1, Math.ceil(greenG / RACK_G)), 0);
  // What is only simmered takes no rack.
  const usesSmoker = (state.design.program ?? process.program ?? [{ medium: 'smoker' }]).some(({ medium }) => medium === 'smoker');
  const litres = (g: number, perKg: number) => Math.round((g / 1000) * perKg * 10) / 10;
  const needs: Need[] = [
    { id: 'tub', kind: 'tub', amount: Math.ceil((greenG + brineG) / TUB_G), ...heldFor('tub') },
    { id: 'cure', kind: 'refrigerator', amount: litres(greenG + brineG, LITRES.cure), ...heldFor('cure') },
    { id: 'dry', kind: 'refrigerator', amount: litres(greenG, LITRES.dry), ...heldFor('dry') },
    ...(usesSmoker ? [{ id: 'smoke' as const, kind: 'smoker' as const, amount: racks, ...heldFor('smoke'), program: process.product }] : []),
    { id: 'chill', kind: 'refrigerator', amount: litres(greenG, LITRES.chill), ...heldFor('chill') },
  ];
  return needs.flatMap((need) => holdOf(need, state.design.stores?.[need.id], resources, steps));
}

/** Where it is to lie: where it was planned, else in the first store that is large enough; the others would do until it lies there. */
function holdOf({ kind, ...need }: Need, planned: string | undefined, resources: readonly Resource[], steps: readonly SchedulableStep[]): Hold[] {
  const from = steps.find((step) => step.id === need.from);
  const stores = resources.filter((store) => store.kind === kind);
  const enough = stores.filter(({ capacity }) => capacity >= need.amount);
  const resource = (stores.find(({ id }) => id === planned) ?? enough[0] ?? stores[0])?.id;
  if (resource === undefined || from === undefined || !steps.some((step) => step.id === need.until)) return [];
  const orElse = from.doneAt === undefined ? enough.map(({ id }) => id).filter((id) => id !== resource) : [];
  return [{ ...need, resource, ...(orElse.length === 0 ? {} : { orElse }) }];
}

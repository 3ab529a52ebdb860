import { sum } from '../process/batchFacts.js';
import type { Process } from '../process/process.js';
import type { BatchRecord, BatchState, StepState } from '../process/replay.js';
import type { StepSpec } from '../process/step.js';
import type { BatchDesign } from '../process/batchDesign.js';
import type { Hold, Resource, SchedulableBatch, SchedulableStep } from '../schedule/scheduleTypes.js';

/** Litres of a refrigerator for a kg of meat with its brine in a tub, for one that dries on a rack, for one that lies cold [M]. */
const LITRES = { tub: 1.25, rack: 2.2, cold: 1.6 } as const;
/** A rack of a smoker carries so much, g [M]. */
const RACK_G = 5000;
const USUAL_HANDS_MIN = 15;
/** A re-pump may lie so far off the half, h. */
const REPUMP_OFF_H = 18;
/** Meat that comes on a day is weighed within so long, h. */
const COMES_WITHIN_H = 24;

/** A batch as the Calendar plans with it: what is done stands, what is to come may stretch as far as its process lets it. */
export function schedulable(record: BatchRecord, state: BatchState, resources: readonly Resource[]): SchedulableBatch {
  const { design } = state;
  const line = state.steps.filter((step) => !isBeside(step));
  const steps = state.steps.flatMap((step): SchedulableStep[] => {
    if (step.status === 'missed') return [];
    const before = line[line.indexOf(step) - 1];
    const job = jobOf(step);
    if (isBeside(step)) return [{ ...job, beside: { step: 'meat-in', ...besideGap(step, design) } }];
    if (before !== undefined) return [{ ...job, after: gapOf(step.spec, record.process, design) }];
    if (step.closing !== null) return [job];
    const comes = Date.parse(design.startsAt);
    return [{ ...job, earliest: design.startsAt, latest: new Date(Math.max(comes, step.dueAt) + COMES_WITHIN_H * 3_600_000).toISOString() }];
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

/** Hours after the job before: as usual, and as far as it may stretch. */
function gapOf(spec: StepSpec, process: Process, design: BatchDesign): { leastH: number; usualH: number; mostH: number } {
  if ('cureShare' in spec.after) {
    const days = process.cureDays[design.school.kind];
    const usualH = design.cureDays * 24 * spec.after.cureShare;
    return { leastH: Math.min(usualH, days.shortest * 24), usualH, mostH: Math.max(usualH, days.longest * 24) };
  }
  const usualH = spec.after.h;
  if (spec.stretch === undefined) return { leastH: usualH, usualH, mostH: usualH + spec.graceH };
  return { leastH: Math.min(usualH, spec.stretch.leastH), usualH, mostH: Math.max(usualH, spec.stretch.mostH) };
}

function besideGap({ spec }: StepState, design: BatchDesign): { leastH: number; usualH: number; mostH: number } {
  const usualH = 'h' in spec.after ? spec.after.h : spec.after.cureShare * design.cureDays * 24;
  const { leastH, mostH } = spec.stretch ?? { leastH: Math.max(0, usualH - REPUMP_OFF_H), mostH: usualH + REPUMP_OFF_H };
  return { leastH: Math.min(leastH, usualH), usualH, mostH: Math.max(mostH, usualH) };
}

/** What it takes of the house: litres in the cold, racks in the smoker. */
function holdsOf(record: BatchRecord, state: BatchState, resources: readonly Resource[], steps: readonly SchedulableStep[]): Hold[] {
  const greenG = sum(state.facts.greenG);
  const brineG = state.facts.brines.filter(({ id }) => id !== 'pickle').reduce((all, brine) => all + brine.brineG, 0);
  const cold = resources.find(({ kind }) => kind === 'refrigerator')?.id;
  const smoker = resources.find(({ kind }) => kind === 'smoker')?.id;
  const there = (id: string) => steps.some((step) => step.id === id);
  const racks = state.design.pieces.reduce((all, { code }) => all + Math.max(1, Math.ceil((state.facts.greenG[code] ?? 0) / RACK_G)), 0);
  const litres = (g: number, perKg: number) => Math.round((g / 1000) * perKg * 10) / 10;
  const wanted: (Hold | null)[] = [
    cold === undefined ? null : { resource: cold, amount: litres(greenG + brineG, LITRES.tub), from: 'meat-in', until: 'pull' },
    cold === undefined ? null : { resource: cold, amount: litres(greenG, LITRES.rack), from: 'rack', until: 'pellicle' },
    smoker === undefined ? null : { resource: smoker, amount: racks, from: 'meat-on', until: 'into-cold', program: record.process.product },
    cold === undefined ? null : { resource: cold, amount: litres(greenG, LITRES.cold), from: 'gate-first', until: 'pack' },
  ];
  return wanted.filter((hold): hold is Hold => hold !== null && there(hold.from) && there(hold.until));
}

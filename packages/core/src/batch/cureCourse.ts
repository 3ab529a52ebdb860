import { HOUR_MS } from '../clock/spans.js';
import type { CourseMarkKind } from '../steps/defineStep.js';
import { definitionOf } from '../steps/steps.js';
import type { Injection, Stage } from '../diffusion/sectionProgram.js';
import { nitriteFraction } from '../ingredients/cureMix.js';
import type { Section } from '../section/section.js';
import { InputError } from '../inputError.js';
import type { BatchDesign, Diffusivity } from '../log/batchDesign.js';
import { SATURATED_SALT_PERCENT } from '../brine/salometer.js';
import { sum } from './batchFacts.js';
import { injectedG } from './batchFigures.js';
import { isPumped } from './design.js';
import { needleBrine, ownOf, type SheetBrine } from './mixingSheet.js';
import type { BatchRecord, BatchState, StepState, Ticket } from './batchState.js';
import { LEAN_DIFFUSIVITY } from '../section/uptake.js';
import { inputSays } from '../say/english/inputs.js';

/** What a course is worked out from. */
export type CourseState = Pick<BatchState, 'design' | 'facts' | 'figures' | keyof Ticket>;

/** Something that was done to a piece, or is planned, h from the start of its course. */
export interface CourseMark {
  kind: CourseMarkKind;
  atH: number;
  done: boolean;
}

/** What a piece goes through from the needle to the plate, as it really was and as it is planned from here on. */
export interface CureCourse {
  code: string;
  section: Section;
  /** what lies in the bath with it, g green */
  meatG: number;
  /** ms since the epoch, the hour nought */
  startsAt: number;
  stages: { salt: Stage[]; nitrite: Stage[] };
  marks: CourseMark[];
  /** h of the pull */
  pullH: number;
  /** salt aimed at, % */
  aimPercent: number;
  diffusivity: Diffusivity;
}

/** The usual: 3 × 10^-10 m²/s, taken as 2 to 5 × 10^-10 for nineteen pieces of twenty [M: docs/science.md, “The cure inside the meat”]. */
export const HANDBOOK_DIFFUSIVITY: Diffusivity = { value: LEAN_DIFFUSIVITY, low: 2.24e-10, high: 4.02e-10, cutFaces: 0 };

/** What is late moves on with the clock: to the quarter of an hour, so that the course is not another one each minute. */
const QUARTER_MS = 900_000;
/** A refrigerator that nobody read, °C. */
const USUAL_C = 3;
/** Fresh water to a soak, as a multiple of the meat [T]. */
const SOAK_WATER = 4;
/** How long the salt evens out between the soak and the plate, h [M]. */
const TO_THE_PLATE_H = 36;
/** What moves a piece in its brine. */
const TURNS: readonly CourseMark['kind'][] = ['meatIn', 'turn', 'repump'];
/** So much of the time between two turns may one be late [M]. */
const LATE_SHARE = 0.5;
/** A soak is sampled this often, h. */
const SOAK_SAMPLE_H = 0.05;

/**
 * The course of one piece of a batch through pump, brine and soak: real times, weights, brines and refrigerator temperatures where
 * they were logged, the plan for the rest. Input to `simulateSection`, once for salt and once for nitrite.
 *
 * @throws InputError for a piece that is not in the batch
 */
export function cureCourse(record: BatchRecord, state: CourseState, code: string): CureCourse {
  const { design } = state;
  const piece = design.pieces.find((candidate) => candidate.code === code);
  if (piece === undefined) throw new InputError('code', inputSays('piece-not-here', { piece: code }));
  const events = eventsOf(state);
  const startsAt = events[0]?.at ?? Date.parse(design.startsAt);
  const hour = (at: number) => Math.max(0, (at - startsAt) / HOUR_MS);
  const last = events.at(-1)?.at ?? startsAt;
  const marks: CourseMark[] = [
    ...events.map(({ kind, at, done }) => ({ kind, atH: hour(at), done })),
    { kind: 'plate', atH: hour(last) + TO_THE_PLATE_H, done: false },
  ];
  return {
    code,
    section: piece.section,
    meatG: sum(state.facts.greenG) - juiceG(state),
    startsAt,
    stages: { salt: stagesOf(record, state, code, events, 'salt'), nitrite: stagesOf(record, state, code, events, 'nitrite') },
    marks,
    pullH: marks.find((mark) => mark.kind === 'pull')?.atH ?? 0,
    aimPercent: design.saltPercent,
    diffusivity: design.diffusivity ?? HANDBOOK_DIFFUSIVITY,
  };
}

/** The stages of a course up to its pull: needle and brine. */
export function stagesUntilPull({ pullH, stages }: CureCourse, species: Species): Stage[] {
  const kept: Stage[] = [];
  let hours = 0;
  for (const stage of stages[species]) {
    if (hours >= pullH - 1e-6) break;
    kept.push(stage);
    if (stage.kind !== 'inject') hours += stage.hours;
  }
  return kept;
}

interface CourseEvent {
  kind: CourseMark['kind'];
  at: number;
  done: boolean;
  step: StepState;
}

/** The steps that move salt, in order of time; skipped ones are none. */
function eventsOf(state: CourseState): CourseEvent[] {
  return state.steps
    .flatMap((step): CourseEvent[] => {
      const kind = definitionOf(step.spec.id)?.marks;
      if (kind === undefined || step.status === 'skipped' || step.status === 'missed') return [];
      const done = step.closing !== null;
      return [{ kind, at: step.closing === null ? Math.ceil(step.dueAt / QUARTER_MS) * QUARTER_MS : Date.parse(step.closing.at), done, step }];
    })
    .sort((a, b) => a.at - b.at);
}

/** What moves. */
export type Species = 'salt' | 'nitrite';

function stagesOf(record: BatchRecord, state: CourseState, code: string, events: readonly CourseEvent[], species: Species): Stage[] {
  const stages: Stage[] = [];
  const bath = bathOf(state, species);
  const everyH = record.process.steps.find((step) => step.repeatEveryH !== undefined)?.repeatEveryH ?? Infinity;
  const waterG = SOAK_WATER * sum(state.facts.greenG);
  let where: 'air' | 'brine' | 'water' = 'air';
  let begun = false;
  const plannedC = state.design.coldC ?? USUAL_C;
  let temperatureC = plannedC;
  let turnedAt = 0;
  let up: 'top' | 'bottom' = 'top';
  events.forEach((event, i) => {
    if (event.kind === 'pump' || event.kind === 'repump') stages.push({ kind: 'inject', ...injection(state, code, event, species) });
    if (event.kind === 'meatIn') where = 'brine';
    if (event.kind === 'pull' || event.kind === 'soakOut') where = 'air';
    if (event.kind === 'soakIn') where = 'water';
    // What was read holds until the next reading; what is planned, from the next job on.
    temperatureC = event.done ? (coldOf(event) ?? temperatureC) : (state.design.coldC ?? temperatureC);
    if (TURNS.includes(event.kind)) {
      turnedAt = event.at;
      up = up === 'top' ? 'bottom' : 'top';
    }
    const next = events[i + 1];
    const hours = next === undefined ? TO_THE_PLATE_H : (next.at - event.at) / HOUR_MS;
    if (hours <= 0) return;
    if (where === 'brine') {
      // Not turned for half a day too long: from when it was due the side that floats is closed.
      const openH = Math.max(0, Math.min(hours, (turnedAt + everyH * HOUR_MS - event.at) / HOUR_MS));
      const late = hours - openH > everyH * LATE_SHARE;
      for (const [stageH, closedSide] of late ? [[openH, undefined] as const, [hours - openH, up] as const] : [[hours, undefined] as const]) {
        if (stageH <= 0) continue;
        stages.push({ kind: 'bath', hours: stageH, ...bath, temperatureC, goesOn: begun, ...(closedSide === undefined ? {} : { closedSide }) });
        begun = true;
      }
    } else if (where === 'water') {
      stages.push({ kind: 'bath', hours, bathG: waterG, saltPercent: 0, temperatureC, sampleHours: Math.max(SOAK_SAMPLE_H, hours / 100) });
    } else stages.push({ kind: 'rest', hours, temperatureC });
  });
  return stages;
}

function coldOf({ step }: CourseEvent): number | null {
  const { closing } = step;
  const read = closing?.kind === 'done' ? closing.values.coldC : undefined;
  return typeof read === 'number' && read > -2 && read < 40 ? read : null;
}

/** The brine that it lies in: weight and strength, % by weight. */
function bathOf({ design, facts, figures }: CourseState, species: Species): { bathG: number; saltPercent: number } {
  const brine = facts.brines.find(({ id }) => id !== 'pickle');
  const strength = figures.brines.find((candidate) => candidate.brine.id !== 'pickle')?.strength.value ?? 0;
  if (brine === undefined) throw new InputError('brines', inputSays('no-brine-here'));
  const ofNitrite = (bathG: number) => ((brine.cureG * nitriteFraction(design.cure)) / bathG) * 100;
  if (design.school.kind === 'dryRub') {
    const bathG = brine.brineG + juiceG({ design, facts });
    return { bathG, saltPercent: species === 'salt' ? (rubbedSaltG(design, brine) / bathG) * 100 : ofNitrite(bathG) };
  }
  const bathG = Math.max(LEAST_LEFT * brine.brineG, brine.brineG - (design.school.kind === 'pumpSame' ? injectedG(design, facts) : 0));
  return { bathG, saltPercent: species === 'salt' ? strength : ofNitrite(brine.brineG) };
}

/** All was pumped and nothing covers it: a hundredth is counted as left [M]. */
const LEAST_LEFT = 0.01;

const rubbedSaltG = ({ cure }: BatchDesign, brine: SheetBrine): number => brine.saltG + ownOf(brine, 'saltPercent') + (brine.cureG * cure.saltPercent) / 100;

/**
 * What a rub draws of the meat until its salt is dissolved, g: the piece lies in that juice, at first as strong as brine can be, and takes it
 * back [M: at the most a tenth of the meat, common practice].
 */
function juiceG({ design, facts }: Pick<CourseState, 'design' | 'facts'>): number {
  const [rub] = facts.brines;
  if (design.school.kind !== 'dryRub' || rub === undefined) return 0;
  const waterG = (rubbedSaltG(design, rub) * (100 - SATURATED_SALT_PERCENT)) / SATURATED_SALT_PERCENT;
  return Math.min(MOST_JUICE * sum(facts.greenG), Math.max(LEAST_JUICE * sum(facts.greenG), waterG - ownOf(rub, 'waterPercent')));
}

const MOST_JUICE = 0.1;
const LEAST_JUICE = 0.02;

/** What the needle put in, as weighed, else as planned. */
function injection({ design, facts, figures }: CourseState, code: string, event: CourseEvent, species: Species): Injection {
  const { school } = design;
  const pickle = needleBrine(facts.brines, school);
  if (!isPumped(school) || pickle === undefined) throw new InputError('school', inputSays('not-pumped'));
  const strength = figures.brines.find((candidate) => candidate.brine.id === pickle.id)?.strength.value ?? 0;
  const greenG = facts.greenG[code] ?? 1;
  const weighed = event.done ? facts.pumpings[code]?.[event.kind === 'pump' ? 0 : 1] : undefined;
  const planned = event.kind === 'pump' ? school.pumpPercent : school.repumpPercent;
  return {
    pumpPercent: weighed === undefined ? planned : Math.max(0, ((weighed.pumpedG - weighed.beforeG) / greenG) * 100),
    brineSaltPercent: species === 'salt' ? strength : ((pickle.cureG * nitriteFraction(design.cure)) / pickle.brineG) * 100,
    spacingMm: school.spacingMm,
  };
}

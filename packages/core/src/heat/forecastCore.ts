import type { Message } from '../say/message.js';
import { inputSays } from '../say/english/inputs.js';
import { HOUR_S } from '../clock/spans.js';
import { requireReadings, type TimedReading } from '../safety/coreReadings.js';
import { thicknessMm, type Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { MOST_COOK_S, requirePhases, type CookPhase } from './cookPhase.js';
import { cookCourse, courseAt, COURSE_STEP_S, type CookCase } from './cookCourse.js';
import { evaporatedG, type HeatTraits } from './heatBody.js';
import { fitTraits, MEDIUM_DOUBT } from './fitTraits.js';

export interface ForecastCoreParams {
  section: Section;
  /** the piece as it goes on, g: with its section it says how long it is, and a slab how wide */
  massG: number;
  /** where it was measured: else it is worked out from the weight */
  lengthMm?: number;
  /** its core as it goes on, °C */
  startC: number;
  phases: readonly CookPhase[];
  /** of the core, s after it went on */
  readings?: readonly TimedReading[];
  /** a chill forecast where it lies under `startC`, °C */
  targetC: number;
  /** of the chamber, s after it went on; the program is taken for true where there are none */
  chamber?: readonly TimedReading[];
  /** s; since when it is wrapped */
  wrappedAtS?: number;
}

export interface CoreForecast {
  /** s after it went on; Infinity where the core does not get there */
  etaS: number;
  /** the forecast is given between these, s */
  lowS: number;
  highS: number;
  /** from now until it is there: middle, and one in ten lies under lowC, one over highC */
  curve: { s: number; C: number; lowC: number; highC: number }[];
  /** why no time can be said, or null */
  cannot: Message | null;
  /** what it gives off until then by drying, g: a share of its weight */
  dryingG: number;
  /** fitted: multiples of the usual film and diffusivity, and the share of the surface that evaporates */
  traits: HeatTraits;
}

/** A middle four fifths of a normal distribution lies within so many standard deviations. */
const FOUR_FIFTHS = 1.2816;
const LONGEST_S = 48 * HOUR_S;
/** What the last reading lies beside the course fades in so long, s. */
const FADES_S = 5400;
/** The chamber of the last so many seconds is held against the program; further off it is no habit but a fault. */
const HABIT_S = 3600;
const HABIT_C = 12;
const CURVE_POINTS = 60;

/**
 * When a core comes to a temperature: heat conduction in the section with evaporation at its surface, by traits that are fitted to the
 * readings so far; the range is what the fit leaves open, and what the model is known to miss.
 *
 * @throws InputError for a section, phases or readings that cannot be
 * @example forecastCore({ section: { shape: 'round', diameterMm: 90 }, massG: 2600, startC: 5, phases: [{ chamberC: 105 }], targetC: 64 }).etaS
 */
export function forecastCore(p: ForecastCoreParams): CoreForecast {
  thicknessMm(p.section);
  requireNumber('massG', p.massG, { above: 0, max: 200_000, unit: 'g' });
  requireNumber('startC', p.startC, { min: -30, max: 120, unit: '°C' });
  requireNumber('targetC', p.targetC, { min: -20, max: 120, unit: '°C' });
  requirePhases(p.phases);
  const readings = requireReadings(p.readings ?? []).filter(({ s }) => s >= 0 && s <= MOST_COOK_S);
  const chamber = requireReadings(p.chamber ?? []).filter(({ s }) => s >= 0);
  const isCooling = p.targetC < p.startC;
  const isThere = (C: number) => (isCooling ? C <= p.targetC : C >= p.targetC);
  const cook: CookCase = {
    section: p.section,
    massG: p.massG,
    ...(p.lengthMm === undefined ? {} : { lengthMm: requireNumber('lengthMm', p.lengthMm, { min: 10, max: 2000, unit: 'mm' }) }),
    startC: p.startC,
    phases: p.phases,
    chamber,
    chamberOffC: habit(p.phases, chamber, readings),
    wrappedAtS: p.wrappedAtS ?? Infinity,
  };
  const fit = fitTraits(cook, readings);
  const last = readings.at(-1);
  const nowS = last?.s ?? 0;
  const there = readings.findIndex(({ C }) => isThere(C));
  const course = (traits: HeatTraits) => courseFrom(cook, traits, nowS, isThere, last);
  const middle = course(fit.traits);
  if (there >= 0) {
    const s = crossing(readings, there, p.targetC);
    return { etaS: s, lowS: s, highS: s, curve: [], cannot: null, dryingG: evaporatedG(middle.body, p.massG), traits: fit.traits };
  }
  const doubts = fit.doubts.map((pair) => pair.map(course));
  const left = Math.max(COURSE_STEP_S, middle.etaS - nowS);
  const doubtsOf = p.phases.map(({ medium = 'smoker' }) => MEDIUM_DOUBT[medium]);
  const share = Math.max(...doubtsOf.map((doubt) => doubt.model));
  const leastS = Math.max(...doubtsOf.map((doubt) => doubt.leastS));
  const model = [share, leastS / Math.max(left, leastS)];
  const logs = doubts.map((pair) => pair.map(({ etaS }) => Math.log(Math.max(COURSE_STEP_S, Math.min(etaS - nowS, LONGEST_S)) / left)));
  // To either side by its own doubts: near the temperature of the place a degree more takes far longer than one less saves.
  const sooner = Math.hypot(...model, ...logs.map((pair) => Math.min(0, ...pair)));
  const later = Math.hypot(...model, ...logs.map((pair) => Math.max(0, ...pair)));
  return {
    etaS: middle.etaS,
    lowS: middle.etaS === Infinity ? Infinity : nowS + left * Math.exp(-FOUR_FIFTHS * sooner),
    highS: middle.etaS === Infinity ? Infinity : nowS + left * Math.exp(FOUR_FIFTHS * later),
    curve: fan(
      middle,
      doubts.map(([one]) => one ?? middle),
      { nowS, targetC: p.targetC, share },
    ),
    cannot: middle.etaS === Infinity ? cannotSay(p, middle.core.at(-1) ?? p.startC) : null,
    dryingG: evaporatedG(middle.body, p.massG),
    traits: fit.traits,
  };
}

interface Course {
  core: number[];
  etaS: number;
  body: ReturnType<typeof cookCourse>['body'];
}

/** A course that goes through the last reading: what it lies beside it fades away. */
function courseFrom(cook: CookCase, traits: HeatTraits, nowS: number, isThere: (C: number) => boolean, last: TimedReading | undefined): Course {
  const modelled = [cook.startC];
  const core = [cook.startC];
  let off: number | null = null;
  let isOver = false;
  const { body } = cookCourse(cook, traits, nowS + LONGEST_S, (C, s) => {
    modelled.push(C);
    if (last !== undefined && s >= nowS) off ??= last.C - courseAt(modelled, nowS);
    const shown = C + (off ?? 0) * Math.exp(-(s - nowS) / FADES_S);
    core.push(shown);
    isOver = s > nowS && isThere(shown);
    return isOver;
  });
  return { core, etaS: isOver ? (core.length - 1) * COURSE_STEP_S : Infinity, body };
}

/** When the core passed the target, between two readings. */
function crossing(readings: readonly TimedReading[], i: number, targetC: number): number {
  const [from, to] = [readings[i - 1], readings[i]];
  if (to === undefined) return 0;
  if (from === undefined || to.C === from.C) return to.s;
  return from.s + ((to.s - from.s) * (targetC - from.C)) / (to.C - from.C);
}

function fan(middle: Course, doubts: readonly Course[], { nowS, targetC, share }: { nowS: number; targetC: number; share: number }): CoreForecast['curve'] {
  const endS = Math.min(middle.etaS, nowS + LONGEST_S);
  const step = Math.max(COURSE_STEP_S, (endS - nowS) / CURVE_POINTS);
  const points: CoreForecast['curve'] = [];
  for (let s = nowS; s < endS; s += step) {
    const C = courseAt(middle.core, s);
    // What ended earlier is at the target.
    const off = doubts.map(({ core }) => ((core.length - 1) * COURSE_STEP_S < s ? targetC : courseAt(core, s)) - C);
    const doubt = FOUR_FIFTHS * Math.hypot(share * Math.abs(C - courseAt(middle.core, nowS)), ...off);
    points.push({ s, C, lowC: C - doubt, highC: C + doubt });
  }
  if (middle.etaS !== Infinity) points.push({ s: middle.etaS, C: targetC, lowC: targetC, highC: targetC });
  return points;
}

/** How far the chamber lay beside its program in the last hour, °C: the less of it was read, the less it says. 0 where that is no habit. */
function habit(phases: readonly CookPhase[], chamber: readonly TimedReading[], readings: readonly TimedReading[]): number {
  const last = chamber.at(-1);
  if (last === undefined) return 0;
  const coreAt = (s: number) => readings.findLast((reading) => reading.s <= s)?.C ?? -Infinity;
  const recent = chamber.filter(({ s }) => s > last.s - HABIT_S);
  const offs = recent.map(
    ({ s, C }) =>
      C - (phases.find(({ untilS = Infinity, untilCoreC = Infinity }) => s < untilS && coreAt(s) < untilCoreC) ?? phases.at(-1) ?? { chamberC: C }).chamberC,
  );
  const mean = offs.reduce((sum, off) => sum + off, 0) / offs.length;
  return Math.abs(mean) > HABIT_C ? 0 : (mean * (last.s - (recent[0]?.s ?? last.s))) / HABIT_S;
}

function cannotSay({ phases, targetC, startC }: ForecastCoreParams, endC: number): Message {
  const chamberC = phases.at(-1)?.chamberC ?? 0;
  const beyond = targetC < startC ? chamberC >= targetC : chamberC <= targetC;
  if (beyond) return inputSays('core-never-there', { chamberC, targetC });
  return inputSays('core-stays-near', { chamberC, endC });
}

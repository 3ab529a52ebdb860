import { DAY_S } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { MEDIA, type Medium } from './evaporation.js';
import { inputSays } from '../say/english/inputs.js';

/** A part of a cook: a chamber temperature held until a time or a core temperature, whichever comes first; the last one without end. */
export interface CookPhase {
  chamberC: number;
  /** s after the meat went on */
  untilS?: number;
  untilCoreC?: number;
  /** a smoker when not given */
  medium?: Medium;
}

const MOST_PHASES = 40;
/** Longest cook, s: cold smoke with its rests. */
export const MOST_COOK_S = 14 * DAY_S;

const isList = (value: unknown): boolean => Array.isArray(value);

/** @throws InputError where a phase cannot be */
export function requirePhases(phases: readonly CookPhase[]): readonly CookPhase[] {
  if (!isList(phases) || phases.length === 0) throw new InputError('phases', inputSays('no-phase'));
  if (phases.length > MOST_PHASES) throw new InputError('phases', inputSays('too-many-phases', { most: MOST_PHASES }));
  let before = 0;
  phases.forEach(({ chamberC, untilS, untilCoreC, medium }, i) => {
    requireNumber(`phases.${i}.chamberC`, chamberC, { min: -30, max: 260, unit: '°C' });
    if (untilCoreC !== undefined) requireNumber(`phases.${i}.untilCoreC`, untilCoreC, { min: -10, max: 120, unit: '°C' });
    if (medium !== undefined && !MEDIA.includes(medium)) throw new InputError(`phases.${i}.medium`, inputSays('unknown-medium'));
    if (untilS === undefined) {
      if (untilCoreC === undefined && i < phases.length - 1) throw new InputError(`phases.${i}.untilS`, inputSays('open-end-before-last'));
      return;
    }
    requireNumber(`phases.${i}.untilS`, untilS, { min: 0, max: MOST_COOK_S, unit: 's' });
    if (untilS < before) throw new InputError(`phases.${i}.untilS`, inputSays('phase-ends-before'));
    before = untilS;
  });
  return phases;
}

/** The phase after `at` that holds at a time and a core temperature: a phase that ended does not come back. */
export function phaseAt(phases: readonly CookPhase[], at: number, s: number, coreC: number, isCooling: boolean): number {
  let i = at;
  for (; i < phases.length - 1; i += 1) {
    const { untilS = Infinity, untilCoreC } = phases[i] ?? { chamberC: 0 };
    const isThere = untilCoreC !== undefined && (isCooling ? coreC <= untilCoreC : coreC >= untilCoreC);
    if (s < untilS && !isThere) break;
  }
  return i;
}

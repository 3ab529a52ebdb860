import { bookSays } from '../say/english/book.js';
import type { Message } from '../say/message.js';
import { inputSays } from '../say/english/inputs.js';
import { DAY_MIN } from '../clock/spans.js';
import { MEDIA } from '../heat/evaporation.js';
import type { CookPhase } from '../heat/cookPhase.js';
import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { TENDING_ACTS, type TendingAct } from '../log/pitEvent.js';
import type { ProgramPhase, CookProgram } from '../log/cookProgram.js';

const MOST_PHASES = 12;
const MOST_REPEATS = 8;
/** Longer than a cold smoke with its rests. */
const LONGEST_MIN = 14 * DAY_MIN;

/** Meat is smoked cold up to this, °C [T]. */
export const COLD_SMOKE_C = 30;

/**
 * @throws InputError where something of a program cannot be
 */
export function requireProgram(program: unknown): CookProgram {
  if (!Array.isArray(program) || program.length === 0 || program.length > MOST_PHASES)
    throw new InputError('program', inputSays('phases-out-of-range', { most: MOST_PHASES }));
  let before = 0;
  return program.map((given: ProgramPhase, i) => {
    const at = `program.${i}`;
    if (typeof given !== 'object' || (given as unknown) === null) throw new InputError(at, inputSays('phase-missing'));
    if (typeof given.name !== 'string' || given.name.trim() === '' || given.name.length > 40)
      throw new InputError(`${at}.name`, inputSays('phase-without-name'));
    if (!MEDIA.includes(given.medium)) throw new InputError(`${at}.medium`, inputSays('unknown-medium'));
    const chamberC = requireNumber(`${at}.chamberC`, given.chamberC, { min: -5, max: 200, unit: '°C' });
    if (given.medium === 'water' && chamberC > 100) throw new InputError(`${at}.chamberC`, inputSays('water-boils', { boilsC: 100 }));
    const untilMin = given.untilMin === undefined ? undefined : requireNumber(`${at}.untilMin`, given.untilMin, { above: 0, max: LONGEST_MIN, unit: 'min' });
    const untilCoreC = given.untilCoreC === undefined ? undefined : requireNumber(`${at}.untilCoreC`, given.untilCoreC, { min: 5, max: 100, unit: '°C' });
    if (untilMin === undefined && untilCoreC === undefined) throw new InputError(`${at}.untilMin`, inputSays('phase-without-end'));
    if (untilMin !== undefined && untilMin < before) throw new InputError(`${at}.untilMin`, inputSays('phase-ends-before'));
    before = untilMin ?? before;
    return {
      name: given.name.trim(),
      chamberC,
      medium: given.medium,
      smoke: given.smoke === true,
      pan: given.pan === true,
      ...(untilMin === undefined ? {} : { untilMin }),
      ...(untilCoreC === undefined ? {} : { untilCoreC }),
      ...(given.first === undefined || given.first.length === 0 ? {} : { first: requireActs(`${at}.first`, given.first) }),
      repeats: acts(`${at}.repeats`, given.repeats).map((repeat) => ({
        act: repeat.act,
        everyMin: requireNumber(`${at}.repeats`, (repeat as { everyMin?: unknown }).everyMin, { min: 5, max: DAY_MIN, unit: 'min' }),
      })),
      marks: acts(`${at}.marks`, given.marks).map((mark) => ({
        act: mark.act,
        atCoreC: requireNumber(`${at}.marks`, (mark as { atCoreC?: unknown }).atCoreC, { min: 5, max: 100, unit: '°C' }),
      })),
    };
  });
}

function requireActs(field: string, list: unknown): TendingAct[] {
  if (!Array.isArray(list) || list.length > MOST_REPEATS || list.some((act) => !(TENDING_ACTS as readonly unknown[]).includes(act)))
    throw new InputError(field, inputSays('not-done-at-pit'));
  return [...(list as TendingAct[])];
}

function acts(field: string, list: unknown): { act: TendingAct }[] {
  if (!Array.isArray(list) || list.length > MOST_REPEATS) throw new InputError(field, inputSays('too-many-repeats', { most: MOST_REPEATS }));
  for (const job of list as { act?: unknown }[])
    if (!(TENDING_ACTS as readonly unknown[]).includes(job?.act)) throw new InputError(field, inputSays('not-done-at-pit'));
  return list as { act: TendingAct }[];
}

/** The phases as heat sees them. */
export const cookPhases = (program: CookProgram): CookPhase[] =>
  program.map(({ chamberC, medium, untilMin, untilCoreC }, i) => ({
    chamberC,
    medium,
    // The last phase goes on until somebody takes the piece off.
    ...(untilMin === undefined || i === program.length - 1 ? {} : { untilS: untilMin * 60 }),
    ...(untilCoreC === undefined || i === program.length - 1 ? {} : { untilCoreC }),
  }));

/** A program in a line: `Smoke 107 °C, 5 h; Cook 125 °C to core 66 °C`. Null for one without phases. */
export function programSaid(program: CookProgram): Message | null {
  const phases = program.map(({ name, chamberC, untilMin, untilCoreC }): Message => {
    const [n, coreC] = [(untilMin ?? 0) / 60, untilCoreC ?? 0];
    if (untilMin === undefined) return untilCoreC === undefined ? bookSays('phase', { name, chamberC }) : bookSays('phase-core', { name, chamberC, coreC });
    return untilCoreC === undefined ? bookSays('phase-hours', { name, chamberC, n }) : bookSays('phase-hours-core', { name, chamberC, n, coreC });
  });
  return phases.reduce<Message | null>((line, phase) => (line === null ? phase : bookSays('after-each-other', { one: line, other: phase })), null);
}

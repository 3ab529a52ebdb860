import { DAY_MIN } from '../clock/spans.js';
import type { StepInstants } from '../log/stepId.js';
import { thicknessMm, type Section } from '../section/section.js';
import { InputError } from '../inputError.js';
import { requireNumber, type NumberRule } from '../units/require.js';
import { HOLD_NAMES, type BatchDesign, type HoldName, type School } from '../log/batchDesign.js';
import { isPumped, requireDesign } from './design.js';
import { requireProgram } from '../recipes/cookProgram.js';
import type { StandingEntry } from '../log/standingEntries.js';
import type { Process } from '../recipes/process.js';
import type { DesignChanges } from '../log/designChanges.js';
import { inputSays } from '../say/english/inputs.js';

/** What may still change when meat and brine have met. */
export const LATE_CHANGES: readonly (keyof DesignChanges)[] = ['cureDays', 'coldC', 'soakMin', 'stepAt', 'startsAt', 'readyBy', 'stores', 'program'];

/** Changes that are no plain number, each with its own check. */
const REQUIRE = {
  skinOn: (skinOn: unknown) => {
    if (typeof skinOn !== 'boolean') throw new InputError('changes.skinOn', inputSays('skin-or-not'));
  },
  stepAt: requireInstants,
  startsAt: (at: unknown) => requireInstant('changes.startsAt', at),
  readyBy: (at: unknown) => requireInstant('changes.readyBy', at),
  stores: requireStores,
  program: requireProgram,
} as const;

const LIMITS: Readonly<Record<Exclude<keyof DesignChanges, keyof typeof REQUIRE>, NumberRule>> = {
  cureDays: { min: 1, max: 60, unit: 'days' },
  coldC: { min: -1, max: 4, unit: '°C' },
  soakMin: { min: 5, max: DAY_MIN, unit: 'min' },
  pumpPercent: { min: 1, max: 30, unit: '%' },
  pickleSaltPercent: { min: 1, max: 26, unit: '%' },
  saltPercent: { min: 0.5, max: 8, unit: '%' },
  thicknessShare: { min: 0.2, max: 1 },
};

const CHANGE_NAMES = [...Object.keys(LIMITS), ...Object.keys(REQUIRE)] as (keyof DesignChanges)[];

/**
 * A design with some of it decided anew. An unpumped piece that is to be pumped takes the process's usual pickle.
 *
 * @throws InputError where a change cannot be
 */
export function changedDesign(design: BatchDesign, process: Process, changes: DesignChanges): BatchDesign {
  const asked = (Object.keys(changes) as (keyof DesignChanges)[]).filter((name) => changes[name] !== undefined);
  if (asked.length === 0) throw new InputError('changes', inputSays('nothing-changed'));
  for (const name of asked) {
    if (!CHANGE_NAMES.includes(name)) throw new InputError('changes', inputSays('no-such-change'));
    if (name in LIMITS) requireNumber(`changes.${name}`, changes[name], LIMITS[name as keyof typeof LIMITS]);
    else REQUIRE[name as keyof typeof REQUIRE](changes[name]);
  }
  const { cureDays, coldC, soakMin, saltPercent, thicknessShare = 1, skinOn, stepAt, startsAt, readyBy, stores, program } = changes;
  return requireDesign({
    ...design,
    ...(cureDays === undefined ? {} : { cureDays, ...withoutPull(design) }),
    ...(coldC === undefined ? {} : { coldC }),
    ...(soakMin === undefined ? {} : { soakMin }),
    ...(stepAt === undefined ? {} : { stepAt: { ...(cureDays === undefined ? design.stepAt : withoutPull(design).stepAt), ...stepAt } }),
    ...(startsAt === undefined ? {} : { startsAt: new Date(startsAt).toISOString() }),
    ...(readyBy === undefined ? {} : { readyBy: new Date(readyBy).toISOString() }),
    ...(stores === undefined ? {} : { stores: { ...design.stores, ...stores } }),
    ...(program === undefined ? {} : { program: requireProgram(program) }),
    ...(saltPercent === undefined ? {} : { saltPercent }),
    school: changedSchool(design.school, process, changes),
    pieces: design.pieces.map((piece) => ({ ...piece, section: withSkin(thinner(piece.section, thicknessShare), skinOn) })),
  });
}

/** Other days of cure are another pull: the one that was planned for it no longer holds. */
function withoutPull({ stepAt }: BatchDesign): { stepAt?: StepInstants } {
  if (stepAt === undefined) return {};
  const { pull: _pull, ...kept } = stepAt;
  return { stepAt: kept };
}

const MOST_JOBS = 120;

/**
 * Planned instants of jobs, by step.
 *
 * @throws InputError where a job or its time is none
 */
export function requireInstants(stepAt: unknown): StepInstants {
  if (typeof stepAt !== 'object' || stepAt === null || Array.isArray(stepAt)) throw new InputError('changes.stepAt', inputSays('which-jobs'));
  const jobs = Object.entries(stepAt);
  if (jobs.length === 0 || jobs.length > MOST_JOBS) throw new InputError('changes.stepAt', inputSays('too-many-jobs-moved', { most: MOST_JOBS }));
  for (const [id, at] of jobs) {
    if (!/^[a-z0-9-]{1,40}$/.test(id)) throw new InputError('changes.stepAt', inputSays('step-not-here'));
    if (typeof at !== 'string' || !Number.isFinite(Date.parse(at))) throw new InputError('changes.stepAt', inputSays('no-new-time'));
  }
  return Object.fromEntries(jobs.map(([id, at]) => [id, new Date(at as string).toISOString()]));
}

function requireInstant(field: string, at: unknown): void {
  if (typeof at !== 'string' || !Number.isFinite(Date.parse(at))) throw new InputError(field, inputSays('no-date-and-time'));
}

/**
 * Stores of the house, by what a batch holds there.
 *
 * @throws InputError where a store is none
 */
export function requireStores(stores: unknown): Partial<Record<HoldName, string>> {
  if (typeof stores !== 'object' || stores === null || Array.isArray(stores)) throw new InputError('changes.stores', inputSays('which-stores'));
  for (const [name, store] of Object.entries(stores)) {
    if (!(HOLD_NAMES as readonly string[]).includes(name)) throw new InputError('changes.stores', inputSays('holds-no-such'));
    if (typeof store !== 'string' || !/^[a-z0-9-]{1,40}$/.test(store)) throw new InputError('changes.stores', inputSays('no-such-store'));
  }
  return { ...stores };
}

function changedSchool(school: School, { usual }: Process, { pumpPercent, pickleSaltPercent }: DesignChanges): School {
  if (isPumped(school)) {
    return { ...school, pumpPercent: pumpPercent ?? school.pumpPercent, pickleSaltPercent: pickleSaltPercent ?? school.pickleSaltPercent };
  }
  if (pumpPercent === undefined) {
    if (pickleSaltPercent !== undefined) throw new InputError('changes.pickleSaltPercent', inputSays('no-pickle-here'));
    return school;
  }
  if (school.kind === 'dryRub') throw new InputError('changes.pumpPercent', inputSays('rubbed-not-pumped'));
  return {
    kind: 'pumpAndCover',
    waterG: school.waterG,
    pumpPercent,
    repumpPercent: usual.repumpPercent,
    pickleSaltPercent: pickleSaltPercent ?? usual.pickleSaltPercent,
    syringeML: 60,
    spacingMm: 25,
  };
}

/** A section cut thinner: a flat piece loses thickness, the others shrink. The bone stays as long as there is room for it. */
function thinner(section: Section, share: number): Section {
  if (share === 1) return section;
  const { bone, ...bare } = section;
  const kept = bone !== undefined && bone.diameterMm < thicknessMm(section) * share * 0.8 ? { bone: { diameterMm: bone.diameterMm } } : {};
  switch (bare.shape) {
    case 'slab':
      return { ...bare, ...kept, thicknessMm: bare.thicknessMm * share };
    case 'round':
      return { ...bare, ...kept, diameterMm: bare.diameterMm * share };
    case 'ellipse':
    case 'rectangle':
      return { ...bare, ...kept, widthMm: bare.widthMm * share, heightMm: bare.heightMm * share };
  }
}

function withSkin(section: Section, skinOn: boolean | undefined): Section {
  if (skinOn === undefined) return section;
  const { closedSide: _closedSide, ...open } = section;
  return skinOn ? { ...section, closedSide: section.closedSide ?? 'top' } : open;
}

/**
 * The design as it stands after every change that stands. What was planned for the batch that a part was cut from (`shared` entries) is
 * the plan of that batch: its program, hours and stores are not this one's.
 */
export const currentDesign = (design: BatchDesign, process: Process, standing: readonly StandingEntry[], shared = 0): BatchDesign =>
  standing.reduce((so, entry) => {
    if (entry.kind !== 'replanned') return so;
    const changes = entry.seq > shared ? entry.changes : withoutPlaces(entry.changes);
    return Object.keys(changes).length === 0 ? so : changedDesign(so, process, changes);
  }, design);

function withoutPlaces({ program: _program, stepAt: _stepAt, stores: _stores, readyBy: _readyBy, ...changes }: DesignChanges): DesignChanges {
  return changes;
}

import { stepSays } from '../say/english/steps.js';
import { ACCELERATOR_LINE } from '../steps/mixLines.js';
import { COLD_GATE_C } from '../steps/temperatures.js';
import type { Message } from '../say/message.js';
import { COLD } from '../steps/meatIn.js';
import { brineOf } from '../steps/mixSteps.js';
import { OWN_LINE } from './mixingSheet.js';
import type { SchoolKind } from '../log/school.js';
import type { PlannedStepId } from '../log/stepId.js';
import { repumps } from './design.js';
import type { BatchDesign } from '../log/batchDesign.js';
import type { CookProgram } from '../log/cookProgram.js';
import type { Process } from '../recipes/process.js';
import type { StepSpec, StepTemplate } from '../steps/step.js';

/**
 * The steps of one batch in the order of the work: those of its school, the turns counted out over the days of cure, and every
 * `needs` and `after` turned to a step that is really there.
 */
export function planSteps(process: Process, design: BatchDesign): StepSpec[] {
  const kept = process.steps.filter((step) => applies(step, design));
  const ids: ReadonlySet<string> = new Set(kept.map((step) => step.id));
  return kept
    .flatMap((step) => expand(step, design))
    .map((step) => soakedAsPlanned(step, design))
    .map((step) => (isBath(design.program ?? process.program) ? cookedSealed(step) : step))
    .map((step) => (design.nitritePpm > 0 ? withAccelerator(step, design) : withoutCure(step)))
    .map((step) => (design.school.kind === 'pumpSame' ? inOneBrine(step) : step))
    .map((step) => (design.school.kind === 'dryRub' ? rubbedOn(step) : step))
    .map((step) => withOwnLines(step, design))
    .map((step) => ({ ...step, needs: step.needs.filter((id) => ids.has(id)), after: reanchor(step, ids) }));
}

function applies(step: StepTemplate, design: BatchDesign): boolean {
  if (!isOfSchool(step, design.school.kind)) return false;
  return step.id !== 'repump' || repumps(design.school);
}

/** A process writes its steps for two schools: one brine for both takes its needle from the one and its brine from the other. */
function isOfSchool({ id, only }: StepTemplate, kind: SchoolKind): boolean {
  if (only === undefined || only === kind) return true;
  if (kind === 'dryRub') return only === 'equilibrium';
  return kind === 'pumpSame' && (only === 'equilibrium' || brineOf(id) === null);
}

/** What one brine for needle and tub changes: the needle waits for it, and the meat goes in after the needle. */
function inOneBrine(step: StepSpec): StepSpec {
  const own = (id: PlannedStepId | 'start'): PlannedStepId | 'start' => (id !== 'start' && brineOf(id) !== null ? 'mix' : id);
  const after = { ...step.after, step: own(step.after.step) } as StepSpec['after'];
  return {
    ...step,
    needs: step.needs.map((id) => own(id) as PlannedStepId),
    after: step.id === 'meat-in' ? { step: 'pump', h: 0.5 } : after,
  };
}

/** What is done with a rub in place of a brine. */
function rubbedOn(step: StepSpec): StepSpec {
  // What the house looks at beside it stays.
  const told = (was: Message, is: Message) => ({ task: step.task.replace(was.message, is.message) });
  const { id, inputs } = step;
  if (id === 'mix') {
    const task = told(stepSays('mix-task', { mostC: COLD_GATE_C }), stepSays('mix-rub-task'));
    return { ...step, ...RUB.mix, ...task, inputs: inputs.filter(({ name }) => name !== 'waterG') };
  }
  if (id === 'meat-in') return { ...step, ...RUB.meatIn, ...told(stepSays('meat-in-task'), stepSays('rub-on-task')), inputs: [COLD], gates: [] };
  if (id === 'pull') return { ...step, ...told(stepSays('pull-task'), stepSays('pull-rubbed-task')) };
  return id.startsWith('turn-') ? { ...step, ...told(stepSays('turn-task'), stepSays('turn-bag-task')) } : step;
}

const RUB = {
  mix: { title: 'Weigh the rub', act: 'Log rub as weighed' },
  meatIn: { title: 'Rub on', act: 'Log rubbed on' },
} as const;

/** The cook's own lines are weighed with the brine that the meat lies in, each by its name. */
function withOwnLines(step: StepSpec, { ownLines = [], lineNames = {}, dose }: BatchDesign): StepSpec {
  if (step.id !== 'mix' && step.id !== 'mix-cover') return step;
  // A label brings its own salt and sugar; a salt that is the whole salt stands beside no other.
  const isLeftOut = (name: string) =>
    dose?.by === 'written'
      ? (name === 'saltG' && dose.saltG === 0) || (name === 'sugarG' && dose.sugarG === 0)
      : (name === 'saltG' && dose !== undefined) || (name === 'sugarG' && dose?.by === 'label');
  const named = step.inputs.map((input) => {
    const name = lineNames[input.name as keyof typeof lineNames];
    return name === undefined ? input : { ...input, label: name };
  });
  const asked = named.filter(({ name }) => !isLeftOut(name));
  const own = ownLines.map(({ name }, i) => ({ kind: 'mass' as const, name: `${OWN_LINE}${i + 1}`, label: name, optional: true, allowZero: true }));
  return { ...step, inputs: [...asked, ...own] };
}

/** Out of the water when the plan says so, not when it is usual. */
const soakedAsPlanned = (step: StepSpec, { soakMin }: BatchDesign): StepSpec =>
  step.id === 'soak-out' && soakMin !== undefined ? { ...step, after: { step: step.after.step, h: soakMin / 60 } } : step;

/** Whether it is finished in water. */
const isBath = (program: CookProgram | undefined): boolean => program?.at(-1)?.medium === 'water';

/** A sealed piece is not pricked: its water, read at the start and at the end, may prove its core instead. */
const cookedSealed = (step: StepSpec): StepSpec =>
  step.id === 'core'
    ? {
        ...step,
        task: `${step.task} ${stepSays('sealed').message}`,
        inputs: step.inputs.map((input) => ({ ...input, optional: true })),
      }
    : step;

/** Salted meat: there is no cure to weigh. */
const withoutCure = (step: StepSpec): StepSpec => ({ ...step, inputs: step.inputs.filter(({ name }) => name !== 'cureG') });

/** Where it is planned it is a line of what carries the cure. */
const withAccelerator = (step: StepSpec, { acceleratorPpm = 0 }: BatchDesign): StepSpec =>
  acceleratorPpm > 0 && step.inputs.some(({ name }) => name === 'cureG') ? { ...step, inputs: [...step.inputs, ACCELERATOR_LINE] } : step;

function expand(step: StepTemplate, design: BatchDesign): StepSpec[] {
  const { only: _only, repeatEveryH, id, ...spec } = step;
  if (id !== 'turn') return [{ ...spec, id }];
  if (repeatEveryH === undefined) return [];
  const times = Math.ceil((design.cureDays * 24) / repeatEveryH) - 1;
  return Array.from({ length: times }, (_, i) => ({
    ...spec,
    id: `turn-${i + 1}` as const,
    title: `${spec.title} ${i + 1}`,
    act: `${spec.act} ${i + 1}`,
    after: { step: spec.after.step, h: repeatEveryH * (i + 1) },
    ...(spec.stretch === undefined ? {} : { stretch: { leastH: repeatEveryH * i + spec.stretch.leastH, mostH: repeatEveryH * i + spec.stretch.mostH } }),
  }));
}

/** A step that follows one of another school follows that school's last step before it instead: the last of its `needs`. */
function reanchor(step: StepSpec, ids: ReadonlySet<string>): StepSpec['after'] {
  if (step.after.step === 'start' || ids.has(step.after.step)) return step.after;
  const instead = step.needs.filter((id) => ids.has(id)).at(-1) ?? 'start';
  return { step: instead, h: 0.5 };
}

import { stepSays } from '../say/english/steps.js';
import { ACCELERATOR_LINE } from '../steps/mixLines.js';
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
    .map((step) => ({ ...step, needs: step.needs.filter((id) => ids.has(id)), after: reanchor(step, ids) }));
}

function applies(step: StepTemplate, design: BatchDesign): boolean {
  if (step.only !== undefined && step.only !== design.school.kind) return false;
  return step.id !== 'repump' || repumps(design.school);
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

import { brineFreezesC, temperatureFault, type Situation, type TemperatureOf } from '../safety/temperatureBounds.js';
import { MIX_STEPS } from '../steps/mixSteps.js';
import { cookPhases } from '../recipes/cookProgram.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import type { Message } from '../say/message.js';
import type { Process } from '../recipes/process.js';
import type { BatchState } from '../batch/batchState.js';
import type { StepInput, StepSpec } from '../steps/step.js';

/** A chamber that nobody reads may be so much hotter than it is set, °C [M]. */
const HOTTER_THAN_SET_C = 30;

/** What a temperature of a step is read of: as the step says it, else, in batches older than that, by its name. */
export function readOf(spec: StepSpec, input: Extract<StepInput, { kind: 'temperature' }>): TemperatureOf {
  if (input.of !== undefined) return input.of;
  if (input.name === 'chamberC') return 'chamber';
  if (input.name === 'coldC') return 'cold';
  if (input.name === 'brineC' || input.name === 'pickleC') return 'brine';
  if (spec.id === 'meat-on') return 'rawCore';
  return spec.station === 'chill' && spec.id !== 'into-cold' ? 'coolingCore' : 'core';
}

/** A temperature that cannot be of what it was read of: refused; or is unlikely: asked about, and kept with a reason. */
export function temperatureFaults(field: string, label: Message, C: number, of: TemperatureOf, situation: Situation, hasReason: boolean): EntryFault[] {
  const fault = temperatureFault(C, of, situation);
  if (fault === null || (fault.code === 'unlikely' && hasReason)) return [];
  const asked = { ...faultAt(field, checkSays('at-input', { input: label, fault: fault.said })), temperature: fault };
  return fault.code === 'unlikely' ? [asked, faultAt('reason', checkSays('how-known'))] : [asked];
}

/** What is known around a step: its brine, what its chamber is set to, the hottest that the fire was. */
export function situationOf(spec: StepSpec, of: TemperatureOf, state: BatchState, process: Process): Situation {
  if (of === 'brine') {
    const id = spec.id === 'pump' ? 'pickle' : undefined;
    const brine = state.figures.brines.find(({ brine }) => (id === undefined ? brine.id !== 'pickle' : brine.id === id) || spec.id === MIX_STEPS[brine.id]);
    // Sugar and cure lower it further: half as much again is allowed.
    return brine === undefined ? {} : { freezesC: Math.min(-1, 1.5 * brineFreezesC(Math.min(23.3, brine.strength.value))) };
  }
  const phases = cookPhases(state.design.program ?? process.program ?? []);
  const read = state.standing.flatMap((entry) => (entry.kind === 'done' && typeof entry.values.chamberC === 'number' ? [entry.values.chamberC] : []));
  if (of === 'chamber') {
    const setC = spec.id === 'raise' ? phases.at(-2)?.chamberC : phases[0]?.chamberC;
    return setC === undefined ? {} : { setC };
  }
  if (of === 'core' && phases.length > 0) return { hottestC: Math.max(...read, ...phases.map(({ chamberC }) => chamberC + HOTTER_THAN_SET_C)) };
  return {};
}

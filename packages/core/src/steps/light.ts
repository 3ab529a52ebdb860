import { stepSays } from '../say/english/steps.js';
import { defineStep, type StepPlan } from './defineStep.js';
import { fireStation, wordsOf } from './fireWords.js';

/** The fire is lit, or the water heated, before the meat comes. */
export const light = defineStep({
  id: 'light',
  inputs: [],
  plan: ({ program }): StepPlan<readonly []> | null => {
    const [first] = program;
    if (first === undefined) return null;
    const words = wordsOf(first);
    return {
      station: fireStation(program),
      title: words.light,
      act: words.lit,
      task: stepSays('light-task', { chamberC: first.chamberC, heat: words.heat }),
      needs: ['soak-out', 'pellicle'],
      after: { step: 'pellicle', h: 0.25 },
      stretch: { leastH: 0, mostH: 12 },
      graceH: 1,
      gates: [],
    };
  },
});

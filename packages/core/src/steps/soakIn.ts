import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Into fresh water, where it is too salty. */
export const soakIn = defineStep({
  id: 'soak-in',
  inputs: [],
  marks: 'soakIn',
  plan: () => ({
    station: 'soak',
    title: 'Into fresh water',
    act: 'Log into fresh water',
    task: stepSays('soak-in-task'),
    needs: ['fry'],
    after: { step: 'fry', h: 0.25 },
    stretch: { leastH: 0, mostH: 1 },
    graceH: 1,
    gates: [],
    skippable: true,
  }),
});

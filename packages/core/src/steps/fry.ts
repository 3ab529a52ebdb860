import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { TASTED } from './tasted.js';

/** A thin slice, fried and tasted, says whether it is to be soaked. */
export const fry = defineStep({
  id: 'fry',
  inputs: [TASTED],
  plan: () => ({
    station: 'soak',
    title: 'Fry test',
    act: 'Log fry test',
    task: stepSays('fry-task'),
    needs: ['pull'],
    after: { step: 'pull', h: 0.25 },
    stretch: { leastH: 0.25, mostH: 1 },
    graceH: 2,
    gates: [],
    skippable: true,
  }),
});

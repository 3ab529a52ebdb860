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
    task: 'Fry a thin slice from the edge, where it is saltiest, and taste it. What you say is kept: the house learns your salt from it.',
    needs: ['pull'],
    after: { step: 'pull', h: 0.25 },
    stretch: { leastH: 0.25, mostH: 1 },
    graceH: 2,
    gates: [],
    skippable: true,
  }),
});

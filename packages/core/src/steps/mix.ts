import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';
import { ACCELERATOR_LINE, MIX_LINES } from './mixLines.js';

/** One brine for meat and water. */
export const mix = defineStep({
  id: 'mix',
  inputs: MIX_LINES,
  sometimes: [ACCELERATOR_LINE],
  plan: () => ({
    only: 'equilibrium',
    station: 'prep',
    title: 'Mix the brine',
    act: 'Log brine as weighed',
    task: stepSays('mix-task', { mostC: COLD_GATE_C }),
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    stretch: { leastH: 0.25, mostH: 24 },
    handsMin: 30,
    graceH: 1,
    gates: [],
  }),
});

import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';
import { ACCELERATOR_LINE, MIX_LINES } from './mixLines.js';

/** What the needle takes. */
export const mixPickle = defineStep({
  id: 'mix-pickle',
  inputs: MIX_LINES,
  sometimes: [ACCELERATOR_LINE],
  plan: () => ({
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the pump pickle',
    act: 'Log pickle as weighed',
    task: stepSays('mix-pickle-task', { mostC: COLD_GATE_C }),
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    stretch: { leastH: 0.25, mostH: 24 },
    handsMin: 30,
    graceH: 1,
    gates: [],
  }),
});

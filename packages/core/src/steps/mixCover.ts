import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';
import { ACCELERATOR_LINE, MIX_LINES } from './mixLines.js';

/** What a pumped piece lies in. */
export const mixCover = defineStep({
  id: 'mix-cover',
  inputs: MIX_LINES,
  sometimes: [ACCELERATOR_LINE],
  plan: () => ({
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the cover brine',
    act: 'Log cover as weighed',
    task: stepSays('mix-cover-task', { mostC: COLD_GATE_C }),
    needs: ['mix-pickle'],
    after: { step: 'mix-pickle', h: 0.25 },
    stretch: { leastH: 0.25, mostH: 12 },
    handsMin: 30,
    graceH: 1,
    gates: [],
  }),
});

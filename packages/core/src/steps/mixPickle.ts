import { defineStep } from './defineStep.js';
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
    task: 'Weigh every line, the cure on its own small scale. Stir until clear, strain, and cool it to 4 °C or below.',
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    stretch: { leastH: 0.25, mostH: 24 },
    handsMin: 30,
    graceH: 1,
    gates: [],
  }),
});

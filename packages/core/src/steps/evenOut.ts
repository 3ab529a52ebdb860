import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Wrapped, for the smoke to even out. */
export const evenOut = defineStep({
  id: 'even-out',
  inputs: [],
  plan: ({ evenOutH }) => ({
    station: 'chill',
    title: 'Wrap, to even out',
    act: 'Log wrapped',
    task: stepSays('even-out-task', { h: evenOutH }),
    needs: ['gate-second'],
    after: { step: 'gate-second', h: 0.25 },
    stretch: { leastH: 0, mostH: 14 },
    graceH: 3,
    gates: [],
  }),
});

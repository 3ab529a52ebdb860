import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Trimmed and weighed: everything else is worked out from these weights. */
export const weigh = defineStep({
  id: 'weigh',
  inputs: [{ kind: 'mass', name: 'greenG', label: 'Green weight', each: 'piece' }],
  plan: ({ trim }) => ({
    station: 'prep',
    title: 'Trim and weigh',
    act: 'Log green weight',
    task: stepSays('weigh-task', { trim }),
    needs: [],
    after: { step: 'start', h: 0 },
    handsMin: 60,
    graceH: 1,
    gates: [],
  }),
});

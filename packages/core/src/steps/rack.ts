import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** On the rack, to dry. */
export const rack = defineStep({
  id: 'rack',
  inputs: [],
  takes: ['dry'],
  plan: ({ dryH }) =>
    dryH <= 0
      ? null
      : {
          station: 'dry',
          title: 'Pat dry and rack',
          act: 'Log on the rack',
          task: stepSays('rack-task'),
          needs: ['soak-out'],
          after: { step: 'soak-out', h: 0.25 },
          stretch: { leastH: 0, mostH: 1 },
          graceH: 1,
          gates: [],
        },
});

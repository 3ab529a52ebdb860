import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Dry when it is tacky: the pellicle that takes the smoke. */
export const pellicle = defineStep({
  id: 'pellicle',
  inputs: [
    {
      kind: 'choice',
      name: 'surface',
      label: 'Surface',
      options: [
        { value: 'tacky', label: 'Tacky and dull' },
        { value: 'wet', label: 'Not yet' },
      ],
    },
    { kind: 'mass', name: 'driedG', label: 'Weight now', each: 'piece', optional: true },
  ],
  frees: ['dry'],
  plan: ({ dryH }) =>
    dryH <= 0
      ? null
      : {
          station: 'dry',
          title: 'Pellicle check',
          act: 'Log surface',
          task: stepSays('pellicle-task'),
          needs: ['rack'],
          after: { step: 'rack', h: dryH },
          stretch: { leastH: 4, mostH: 36 },
          graceH: 3,
          gates: [{ inputs: ['surface'], oneOf: ['tacky'], onFail: 'again', againH: 2, say: stepSays('pellicle-again') }],
        },
});

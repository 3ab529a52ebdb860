import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Rested, and into the cold. */
export const intoCold = defineStep({
  id: 'into-cold',
  inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core', of: 'core', each: 'piece' }],
  frees: ['smoke'],
  plan: ({ program, restH }) =>
    program.length === 0
      ? null
      : {
          station: 'chill',
          title: 'Into the cold',
          act: 'Log into the cold',
          task: stepSays('into-cold-task'),
          needs: ['core'],
          after: { step: 'core', h: restH },
          graceH: 0.25,
          gates: [],
        },
});

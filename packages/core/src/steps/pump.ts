import { stepSays } from '../say/english/steps.js';
import { coldBrine } from './coldBrine.js';
import { defineStep } from './defineStep.js';

/** Pumped, and weighed: what the needle really put in. */
export const pump = defineStep({
  id: 'pump',
  inputs: [
    { kind: 'temperature', name: 'pickleC', label: 'Pickle temperature', of: 'brine' },
    { kind: 'mass', name: 'pumpedG', label: 'Weight after pumping', each: 'piece' },
  ],
  marks: 'pump',
  plan: () => ({
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Pump',
    act: 'Log pumped weight',
    task: stepSays('pump-task'),
    needs: ['mix-cover'],
    after: { step: 'mix-cover', h: 3 },
    stretch: { leastH: 1, mostH: 24 },
    handsMin: 30,
    graceH: 1,
    gates: [coldBrine('pickleC')],
  }),
});

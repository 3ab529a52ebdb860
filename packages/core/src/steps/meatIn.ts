import { stepSays } from '../say/english/steps.js';
import { coldBrine } from './coldBrine.js';
import { defineStep } from './defineStep.js';

/** Of what is rubbed on there is no brine to read: the refrigerator is looked at. */
export const COLD = { kind: 'temperature', name: 'coldC', label: 'Refrigerator', of: 'cold', optional: true } as const;

/** Meat and brine meet: the days of cure are counted from here. */
export const meatIn = defineStep({
  id: 'meat-in',
  inputs: [{ kind: 'temperature', name: 'brineC', label: 'Brine temperature', of: 'brine' }],
  sometimes: [COLD],
  marks: 'meatIn',
  takes: ['tub', 'cure'],
  plan: () => ({
    station: 'cure',
    title: 'Meat in',
    act: 'Log meat in',
    task: stepSays('meat-in-task'),
    needs: ['mix', 'pump'],
    after: { step: 'mix', h: 3 },
    stretch: { leastH: 0.5, mostH: 24 },
    graceH: 0.5,
    gates: [coldBrine('brineC')],
  }),
});

import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Half-way a thick piece is pumped again. */
export const repump = defineStep({
  id: 'repump',
  inputs: [
    { kind: 'mass', name: 'beforeG', label: 'Weight before', each: 'piece' },
    { kind: 'mass', name: 'pumpedG', label: 'Weight after', each: 'piece' },
  ],
  marks: 'repump',
  plan: () => ({
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Re-pump',
    act: 'Log re-pump',
    task: stepSays('repump-task'),
    needs: ['meat-in'],
    after: { step: 'meat-in', cureShare: 0.5 },
    handsMin: 30,
    graceH: 8,
    gates: [],
    skippable: true,
  }),
});

import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Out of the brine: weighed, felt, smelt, and looked at where it is cut. */
export const pull = defineStep({
  id: 'pull',
  inputs: [
    { kind: 'mass', name: 'pulledG', label: 'Weight', each: 'piece' },
    {
      kind: 'choice',
      name: 'firmness',
      label: 'To the hand',
      options: [
        { value: 'firm', label: 'Firm all over' },
        { value: 'springy', label: 'Springy' },
        { value: 'soft', label: 'Soft in the middle' },
      ],
    },
    {
      kind: 'choice',
      name: 'smell',
      label: 'Smell',
      options: [
        { value: 'fresh', label: 'Fresh' },
        { value: 'bad', label: 'Bad' },
      ],
    },
    { kind: 'depth', name: 'colouredMm', label: 'Cut face', each: 'piece', optional: true },
  ],
  marks: 'pull',
  frees: ['tub', 'cure'],
  plan: () => ({
    station: 'cure',
    title: 'Pull',
    act: 'Log pull',
    task: stepSays('pull-task'),
    needs: ['meat-in', 'repump'],
    after: { step: 'meat-in', cureShare: 1 },
    handsMin: 30,
    graceH: 6,
    gates: [
      {
        inputs: ['smell'],
        oneOf: ['fresh'],
        onFail: 'stop',
        say: stepSays('pull-smell'),
      },
      {
        inputs: ['firmness'],
        oneOf: ['firm', 'springy'],
        onFail: 'reason',
        say: stepSays('pull-soft'),
      },
    ],
    notBeforeCureShare: {
      step: 'meat-in',
      share: 1,
      say: stepSays('pull-early'),
    },
  }),
});

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
    task: 'Lift out, rinse in cold running water, wipe, weigh. Feel and smell each piece. Where one is cut, draw how deep the colour reached. The old brine goes down the drain.',
    needs: ['meat-in', 'repump'],
    after: { step: 'meat-in', cureShare: 1 },
    handsMin: 30,
    graceH: 6,
    gates: [
      {
        inputs: ['smell'],
        oneOf: ['fresh'],
        onFail: 'stop',
        say: 'A bad smell ends the batch. Do not taste it, do not go on: end the batch below and throw it away.',
      },
      {
        inputs: ['firmness'],
        oneOf: ['firm', 'springy'],
        onFail: 'reason',
        say: 'Soft in the middle means that the cure did not get there. Put it back for some days, or write why you go on.',
      },
    ],
    notBeforeCureShare: {
      step: 'meat-in',
      share: 1,
      say: 'This is before the shortest days of cure: the middle may not be cured. Put it back, or write why you pull it now.',
    },
  }),
});

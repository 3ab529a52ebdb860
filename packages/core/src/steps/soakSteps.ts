import type { StepInput, StepTemplate } from './step.js';

const TASTE: StepInput = {
  kind: 'choice',
  name: 'taste',
  label: 'Fry test',
  options: [
    { value: 'bland', label: 'Bland' },
    { value: 'right', label: 'Right' },
    { value: 'salty', label: 'Salty' },
    { value: 'too-salty', label: 'Too salty' },
  ],
};

/** Soak: fresh water until the fry test is right. */
export const soakSteps = (soakH: number): StepTemplate[] => [
  {
    id: 'fry',
    station: 'soak',
    title: 'Fry test',
    act: 'Log fry test',
    task: 'Fry a thin slice from the edge, where it is saltiest, and taste it. What you say is kept: the house learns your salt from it.',
    needs: ['pull'],
    after: { step: 'pull', h: 0.25 },
    stretch: { leastH: 0.25, mostH: 1 },
    graceH: 2,
    inputs: [TASTE],
    gates: [],
    skippable: true,
  },
  {
    id: 'soak-in',
    station: 'soak',
    title: 'Into fresh water',
    act: 'Log into fresh water',
    task: 'If it tasted right, leave the soak out and say so. Else cold fresh water, in the cold if longer than an hour.',
    needs: ['fry'],
    after: { step: 'fry', h: 0.25 },
    stretch: { leastH: 0, mostH: 1 },
    graceH: 1,
    inputs: [],
    gates: [],
    skippable: true,
  },
  {
    id: 'soak-out',
    station: 'soak',
    title: 'Out of the water',
    act: 'Log out of the water',
    task: 'Fry a thin slice from the edge and taste it.',
    needs: ['soak-in'],
    after: { step: 'soak-in', h: soakH },
    graceH: 0.5,
    inputs: [TASTE],
    gates: [
      { inputs: ['taste'], oneOf: ['bland', 'right', 'salty'], onFail: 'again', againH: soakH / 2, say: 'Still too salty: change the water and fry again.' },
    ],
    skippedWith: 'soak-in',
  },
];

import type { StepTemplate } from '../step.js';

const mixInputs: StepTemplate['inputs'] = [
  { kind: 'mass', name: 'waterG', label: 'Water and ice' },
  { kind: 'mass', name: 'saltG', label: 'Salt', allowZero: true },
  { kind: 'mass', name: 'sugarG', label: 'Sugar', allowZero: true },
  { kind: 'mass', name: 'cureG', label: 'Cure' },
];

/** Prep: weigh, then mix what the school needs. */
export const prepSteps = (trim: string): StepTemplate[] => [
  {
    id: 'weigh',
    station: 'prep',
    title: 'Trim and weigh',
    act: 'Log green weight',
    task: `${trim} Weigh each piece. The brine is worked out again from these weights.`,
    needs: [],
    after: { step: 'start', h: 0 },
    graceH: 1,
    inputs: [{ kind: 'mass', name: 'greenG', label: 'Green weight', each: 'piece' }],
    gates: [],
  },
  {
    id: 'mix',
    only: 'equilibrium',
    station: 'prep',
    title: 'Mix the brine',
    act: 'Log brine as weighed',
    task: 'Weigh every line, the cure on its own small scale. Stir until clear, then cool it to 4 °C or below.',
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
  {
    id: 'mix-pickle',
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the pump pickle',
    act: 'Log pickle as weighed',
    task: 'Weigh every line, the cure on its own small scale. Stir until clear, strain, and cool it to 4 °C or below.',
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
  {
    id: 'mix-cover',
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the cover brine',
    act: 'Log cover as weighed',
    task: 'A bucket of its own. Weigh every line. Stir until clear and cool it to 4 °C or below.',
    needs: ['mix-pickle'],
    after: { step: 'mix-pickle', h: 0.25 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
];

import type { StepTemplate } from './step.js';
import { COLD_GATE_C } from './temperatures.js';

const brineGate = (input: string) => ({
  inputs: [input],
  max: COLD_GATE_C,
  onFail: 'reason' as const,
  say: 'The brine is warmer than 4 °C. Cool it with ice that was counted as water, or in the refrigerator, before it meets the meat.',
});

/** Cure: pump where the school pumps, meat in, turns, re-pump half-way, pull. */
export const cureSteps = (turnEveryH: number): StepTemplate[] => [
  {
    id: 'pump',
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Pump',
    act: 'Log pumped weight',
    task: 'Around the bone and the joints first. Push while drawing out, from both sides. Drain a few minutes, then weigh.',
    needs: ['mix-cover'],
    after: { step: 'mix-cover', h: 3 },
    stretch: { leastH: 1, mostH: 24 },
    handsMin: 30,
    graceH: 1,
    inputs: [
      { kind: 'temperature', name: 'pickleC', label: 'Pickle temperature', of: 'brine' },
      { kind: 'mass', name: 'pumpedG', label: 'Weight after pumping', each: 'piece' },
    ],
    gates: [brineGate('pickleC')],
  },
  {
    id: 'meat-in',
    station: 'cure',
    title: 'Meat in',
    act: 'Log meat in',
    task: 'Read the brine before the meat goes in. Cover it fully and weigh it down. Label the tub.',
    needs: ['mix', 'pump'],
    after: { step: 'mix', h: 3 },
    stretch: { leastH: 0.5, mostH: 24 },
    graceH: 0.5,
    inputs: [{ kind: 'temperature', name: 'brineC', label: 'Brine temperature', of: 'brine' }],
    gates: [brineGate('brineC')],
  },
  {
    id: 'turn',
    repeatEveryH: turnEveryH,
    station: 'cure',
    title: 'Turn',
    act: 'Log turn',
    task: 'Turn the pieces, stir the brine, look at the refrigerator’s thermometer.',
    needs: ['meat-in'],
    after: { step: 'meat-in', h: turnEveryH },
    stretch: { leastH: turnEveryH * 0.6, mostH: turnEveryH * 1.4 },
    graceH: 4,
    inputs: [{ kind: 'temperature', name: 'coldC', label: 'Refrigerator', of: 'cold', optional: true }],
    gates: [
      {
        inputs: ['coldC'],
        max: COLD_GATE_C,
        onFail: 'reason',
        say: 'The refrigerator is above 4 °C. Bring it down now and write what was wrong.',
      },
    ],
    missable: true,
  },
  {
    id: 'repump',
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Re-pump',
    act: 'Log re-pump',
    task: 'Half-way: lift out, drain, weigh, pump again around the bone with the pickle kept cold apart, weigh again.',
    needs: ['meat-in'],
    after: { step: 'meat-in', cureShare: 0.5 },
    handsMin: 30,
    graceH: 8,
    inputs: [
      { kind: 'mass', name: 'beforeG', label: 'Weight before', each: 'piece' },
      { kind: 'mass', name: 'pumpedG', label: 'Weight after', each: 'piece' },
    ],
    gates: [],
    skippable: true,
  },
  {
    id: 'pull',
    station: 'cure',
    title: 'Pull',
    act: 'Log pull',
    task: 'Lift out, rinse in cold running water, wipe, weigh. Feel and smell each piece. Where one is cut, draw how deep the colour reached. The old brine goes down the drain.',
    needs: ['meat-in', 'repump'],
    after: { step: 'meat-in', cureShare: 1 },
    handsMin: 30,
    graceH: 6,
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
  },
];

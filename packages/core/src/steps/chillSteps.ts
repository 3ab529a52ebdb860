import type { StepTemplate } from './step.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { COLD_GATE_C } from './temperatures.js';

const core = { kind: 'temperature', name: 'coreC', of: 'coolingCore', each: 'piece' } as const;

/** Chill through the two gates, even out, then slice and pack [FSIS Appendix B, values from memory]. */
export const chillSteps = (p: { firstH: number; secondH: number; evenOutH: number }): StepTemplate[] => [
  {
    id: 'gate-first',
    station: 'chill',
    title: 'First chill gate',
    act: 'Log core at 1st gate',
    task: 'Read the core of each piece. It must be 27 °C (80 °F) or less within the time of the gate.',
    needs: ['into-cold'],
    after: { step: 'into-cold', h: p.firstH },
    graceH: 0.25,
    inputs: [{ ...core, label: 'Core' }],
    gates: [
      {
        inputs: ['coreC'],
        max: LIMIT_C.f80,
        onFail: 'again',
        againH: 0.5,
        say: 'Still above 27 °C: spread the pieces, ice bath in a bag, read again in half an hour.',
      },
    ],
    cooling: {
      gate: 0,
      say: 'The first chill gate was not met: decide with your food-safety plan, and write what was decided and by whom. How much may have grown stands with the findings.',
    },
  },
  {
    id: 'gate-second',
    station: 'chill',
    title: 'Second chill gate',
    act: 'Log core at 2nd gate',
    task: 'Read the core of each piece. At 4 °C (40 °F) and below it may be wrapped.',
    needs: ['gate-first'],
    after: { step: 'gate-first', h: p.secondH },
    graceH: 0.5,
    inputs: [{ ...core, label: 'Core' }],
    gates: [
      {
        inputs: ['coreC'],
        max: COLD_GATE_C,
        onFail: 'again',
        againH: 1,
        say: 'Still above 4 °C: leave it unwrapped in moving cold air and read again in an hour.',
      },
    ],
    cooling: {
      gate: 1,
      say: 'The second chill gate was not met: decide with your food-safety plan, and write what was decided and by whom. How much may have grown stands with the findings.',
    },
  },
  {
    id: 'even-out',
    station: 'chill',
    title: 'Wrap, to even out',
    act: 'Log wrapped',
    task: `Wrap it, or vacuum-pack it, and leave it in the cold for ${p.evenOutH} h: the smoke evens out, and it slices better.`,
    needs: ['gate-second'],
    after: { step: 'gate-second', h: 0.25 },
    stretch: { leastH: 0, mostH: 14 },
    graceH: 3,
    inputs: [],
    gates: [],
  },
  {
    id: 'freezer',
    station: 'pack',
    title: 'Into the freezer',
    act: 'Log into the freezer',
    task: 'Half an hour, until it is firm and not hard: then it slices thin and clean.',
    needs: ['even-out'],
    after: { step: 'even-out', h: p.evenOutH - 0.5 },
    stretch: { leastH: p.evenOutH / 2, mostH: 96 },
    graceH: 12,
    inputs: [],
    gates: [],
    skippable: true,
  },
  {
    id: 'pack',
    station: 'pack',
    title: 'Slice and pack',
    act: 'Log packed weight',
    task: 'Slice cold, pack, label: name, ingredients, net weight, code, packed on, use by. Then weigh the packs.',
    needs: ['freezer'],
    after: { step: 'freezer', h: 0.5 },
    stretch: { leastH: 0.25, mostH: 4 },
    handsMin: 60,
    graceH: 2,
    inputs: [
      { ...core, label: 'Core before slicing' },
      { kind: 'mass', name: 'packedG', label: 'Packed weight, all packs' },
    ],
    gates: [{ inputs: ['coreC'], max: COLD_GATE_C, onFail: 'reason', say: 'Too warm to slice: it tears, and it is not safe yet. Chill it to 4 °C first.' }],
  },
];

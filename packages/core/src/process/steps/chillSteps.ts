import type { StepTemplate } from '../step.js';
import { COLD_GATE_C } from './temperatures.js';

/** Chill through the two gates, even out, then slice and pack [FSIS Appendix B, values from memory]. */
export const chillSteps = (p: { firstH: number; secondH: number; evenOutH: number }): StepTemplate[] => [
  {
    id: 'gate-first',
    station: 'chill',
    title: 'First chill gate',
    act: 'Log core at 1st gate',
    task: 'Read the core. It must be 27 °C or less within the time of the gate.',
    needs: ['into-cold'],
    after: { step: 'into-cold', h: p.firstH },
    graceH: 0.25,
    inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core' }],
    gates: [
      { inputs: ['coreC'], max: 27, onFail: 'again', againH: 0.5, say: 'Still above 27 °C: spread the pieces, ice bath in a bag, read again in half an hour.' },
    ],
    cooling: {
      fromC: 54,
      toC: { cured: 27, uncured: 27 },
      limitH: { cured: 5, uncured: 1.5 },
      say: 'The first chill gate was not met. Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
    },
  },
  {
    id: 'gate-second',
    station: 'chill',
    title: 'Second chill gate',
    act: 'Log core at 2nd gate',
    task: 'Read the core. Colder than this it may be wrapped.',
    needs: ['gate-first'],
    after: { step: 'gate-first', h: p.secondH },
    graceH: 0.5,
    inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core' }],
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
      fromC: 27,
      toC: { cured: 7, uncured: 4 },
      limitH: { cured: 10, uncured: 5 },
      say: 'The second chill gate was not met. Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
    },
  },
  {
    id: 'pack',
    station: 'pack',
    title: 'Slice and pack',
    act: 'Log packed weight',
    task: 'Slice cold, pack, label: name, ingredients, net weight, code, packed on, use by. Then weigh the packs.',
    needs: ['gate-second'],
    after: { step: 'gate-second', h: p.evenOutH },
    stretch: { leastH: p.evenOutH / 2, mostH: 96 },
    handsMin: 60,
    graceH: 12,
    inputs: [
      { kind: 'temperature', name: 'coreC', label: 'Core before slicing' },
      { kind: 'mass', name: 'packedG', label: 'Packed weight, all packs' },
    ],
    gates: [{ inputs: ['coreC'], max: COLD_GATE_C, onFail: 'reason', say: 'Too warm to slice: it tears, and it is not safe yet. Chill it to 4 °C first.' }],
  },
];

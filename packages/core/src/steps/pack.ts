import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';
import { CORE_IN_THE_COLD } from './coreInTheCold.js';

/** Sliced, packed and weighed: the end of the work. */
export const pack = defineStep({
  id: 'pack',
  inputs: [
    { ...CORE_IN_THE_COLD, label: 'Core before slicing' },
    { kind: 'mass', name: 'packedG', label: 'Packed weight, all packs' },
  ],
  frees: ['chill'],
  plan: () => ({
    station: 'pack',
    title: 'Slice and pack',
    act: 'Log packed weight',
    task: stepSays('pack-task'),
    needs: ['freezer'],
    after: { step: 'freezer', h: 0.5 },
    stretch: { leastH: 0.25, mostH: 4 },
    handsMin: 60,
    graceH: 2,
    gates: [{ inputs: ['coreC'], max: COLD_GATE_C, onFail: 'reason', say: stepSays('pack-too-warm', { mostC: COLD_GATE_C }) }],
  }),
});

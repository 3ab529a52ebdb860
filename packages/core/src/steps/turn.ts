import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';

/** Turned through the days of cure; one that is left out is missed. */
export const turn = defineStep({
  id: 'turn',
  inputs: [{ kind: 'temperature', name: 'coldC', label: 'Refrigerator', of: 'cold', optional: true }],
  marks: 'turn',
  plan: ({ turnEveryH }) => ({
    repeatEveryH: turnEveryH,
    station: 'cure',
    title: 'Turn',
    act: 'Log turn',
    task: stepSays('turn-task'),
    needs: ['meat-in'],
    after: { step: 'meat-in', h: turnEveryH },
    stretch: { leastH: turnEveryH * 0.6, mostH: turnEveryH * 1.4 },
    graceH: 4,
    gates: [{ inputs: ['coldC'], max: COLD_GATE_C, onFail: 'reason', say: stepSays('turn-too-warm', { mostC: COLD_GATE_C }) }],
    missable: true,
  }),
});

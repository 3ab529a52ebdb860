import { stepSays } from '../say/english/steps.js';
import type { SaidGate } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';

/** No brine meets the meat warm. */
export const coldBrine = (input: string): SaidGate => ({
  inputs: [input],
  max: COLD_GATE_C,
  onFail: 'reason',
  say: stepSays('brine-too-warm', { mostC: COLD_GATE_C }),
});

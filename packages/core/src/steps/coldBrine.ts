import type { Gate } from './step.js';
import { COLD_GATE_C } from './temperatures.js';

/** No brine meets the meat warm. */
export const coldBrine = (input: string): Gate => ({
  inputs: [input],
  max: COLD_GATE_C,
  onFail: 'reason',
  say: 'The brine is warmer than 4 °C. Cool it with ice that was counted as water, or in the refrigerator, before it meets the meat.',
});

import { defineStep } from './defineStep.js';
import { COLD_GATE_C } from './temperatures.js';
import { CORE_IN_THE_COLD } from './coreInTheCold.js';

/** The second chill gate [FSIS Appendix B, values from memory]. */
export const gateSecond = defineStep({
  id: 'gate-second',
  inputs: [{ ...CORE_IN_THE_COLD, label: 'Core' }],
  plan: ({ secondGateH }) => ({
    station: 'chill',
    title: 'Second chill gate',
    act: 'Log core at 2nd gate',
    task: 'Read the core of each piece. At 4 °C (40 °F) and below it may be wrapped.',
    needs: ['gate-first'],
    after: { step: 'gate-first', h: secondGateH },
    graceH: 0.5,
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
  }),
});

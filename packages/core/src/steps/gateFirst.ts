import { defineStep } from './defineStep.js';
import { LIMIT_C } from '../safety/fahrenheit.js';
import { CORE_IN_THE_COLD } from './coreInTheCold.js';

/** The first chill gate [FSIS Appendix B, values from memory]. */
export const gateFirst = defineStep({
  id: 'gate-first',
  inputs: [{ ...CORE_IN_THE_COLD, label: 'Core' }],
  takes: ['chill'],
  plan: ({ firstGateH }) => ({
    station: 'chill',
    title: 'First chill gate',
    act: 'Log core at 1st gate',
    task: 'Read the core of each piece. It must be 27 °C (80 °F) or less within the time of the gate.',
    needs: ['into-cold'],
    after: { step: 'into-cold', h: firstGateH },
    graceH: 0.25,
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
  }),
});

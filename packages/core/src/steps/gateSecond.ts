import { stepSays } from '../say/english/steps.js';
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
    task: stepSays('gate-second-task', { mostC: COLD_GATE_C }),
    needs: ['gate-first'],
    after: { step: 'gate-first', h: secondGateH },
    graceH: 0.5,
    gates: [
      {
        inputs: ['coreC'],
        max: COLD_GATE_C,
        onFail: 'again',
        againH: 1,
        say: stepSays('gate-second-again', { mostC: COLD_GATE_C }),
      },
    ],
    cooling: {
      gate: 1,
      say: stepSays('gate-second-missed'),
    },
  }),
});

import { stepSays } from '../say/english/steps.js';
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
    task: stepSays('gate-first-task', { mostC: LIMIT_C.f80 }),
    needs: ['into-cold'],
    after: { step: 'into-cold', h: firstGateH },
    graceH: 0.25,
    gates: [
      {
        inputs: ['coreC'],
        max: LIMIT_C.f80,
        onFail: 'again',
        againH: 0.5,
        say: stepSays('gate-first-again', { mostC: LIMIT_C.f80 }),
      },
    ],
    cooling: {
      gate: 0,
      say: stepSays('gate-first-missed'),
    },
  }),
});

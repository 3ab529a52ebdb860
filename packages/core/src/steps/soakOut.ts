import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { TASTED } from './tasted.js';

/** Out of the water when the fry test is right. */
export const soakOut = defineStep({
  id: 'soak-out',
  inputs: [TASTED],
  marks: 'soakOut',
  plan: ({ soakH }) => ({
    station: 'soak',
    title: 'Out of the water',
    act: 'Log out of the water',
    task: stepSays('soak-out-task'),
    needs: ['soak-in'],
    after: { step: 'soak-in', h: soakH },
    graceH: 0.5,
    gates: [{ inputs: ['taste'], oneOf: ['bland', 'right', 'salty'], onFail: 'again', againH: soakH / 2, say: stepSays('soak-out-again') }],
    skippedWith: 'soak-in',
  }),
});

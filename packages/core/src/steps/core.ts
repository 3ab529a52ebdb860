import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import type { SaidGate } from './defineStep.js';
import { SAFE_CORE_C, SHOWN_C } from './temperatures.js';

const HOT_CORE = { kind: 'temperature', of: 'core', each: 'piece' } as const;
const PLACES = ['instant1C', 'instant2C', 'instant3C'];

/** The check with an instant-read thermometer that decides: the lowest of three places. */
export const core = defineStep({
  id: 'core',
  inputs: [
    { ...HOT_CORE, name: 'probeC', label: 'Probe', optional: true },
    { ...HOT_CORE, name: 'instant1C', label: 'Instant-read, thick end' },
    { ...HOT_CORE, name: 'instant2C', label: 'Instant-read, middle' },
    { ...HOT_CORE, name: 'instant3C', label: 'Instant-read, thin end' },
  ],
  plan: ({ program, cookH, coreTargetC }) => {
    if (program.length === 0) return null;
    const before = program.length > 1 ? 'raise' : 'meat-on';
    return {
      station: 'cook',
      title: 'Instant-read check',
      act: 'Log core readings',
      task: stepSays('core-task', { targetC: coreTargetC }),
      needs: [before],
      after: { step: before, h: cookH },
      graceH: 0.5,
      gates: [
        {
          inputs: PLACES,
          min: coreTargetC - SHOWN_C,
          onFail: 'again',
          againH: 0.5,
          reasonFrom: SAFE_CORE_C - SHOWN_C,
          say: stepSays('core-again', { targetC: coreTargetC }),
        },
        ...byTime(coreTargetC),
      ],
    };
  },
});

/** Meat that is not to come to the usual safe core is safe by its hours alone: they are to be written. */
const byTime = (targetC: number): SaidGate[] =>
  targetC >= SAFE_CORE_C - SHOWN_C
    ? []
    : [
        {
          inputs: PLACES,
          min: SAFE_CORE_C - SHOWN_C,
          onFail: 'reason',
          say: stepSays('core-by-time', { safeC: SAFE_CORE_C, targetC }),
        },
      ];

import { defineStep } from './defineStep.js';
import type { Gate } from './step.js';
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
      task: `Check three places of each piece with an instant-read thermometer: the lowest decides. Target ${coreTargetC} °C.`,
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
          say: `The lowest place is under ${coreTargetC} °C: leave it on and check again in half an hour.`,
        },
        ...byTime(coreTargetC),
      ],
    };
  },
});

/** Meat that is not to come to the usual safe core is safe by its hours alone: they are to be written. */
const byTime = (targetC: number): Gate[] =>
  targetC >= SAFE_CORE_C - SHOWN_C
    ? []
    : [
        {
          inputs: PLACES,
          min: SAFE_CORE_C - SHOWN_C,
          onFail: 'reason',
          say: `Under ${Math.round(SAFE_CORE_C)} °C it is safe only by its time: look at the lethality sum, and write how long the core was at ${targetC} °C.`,
        },
      ];

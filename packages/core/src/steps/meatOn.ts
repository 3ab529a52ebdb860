import { defineStep } from './defineStep.js';
import { chamberOf, fireStation, wordsOf } from './fireWords.js';

/** The meat goes onto the fire: a program's times are counted from here. */
export const meatOn = defineStep({
  id: 'meat-on',
  inputs: [
    { kind: 'temperature', name: 'chamberC', label: 'Smoker', of: 'chamber' },
    { kind: 'temperature', name: 'coreC', label: 'Core', of: 'rawCore' },
  ],
  takes: ['smoke'],
  plan: ({ program }) => {
    const [first] = program;
    if (first === undefined) return null;
    const words = wordsOf(first);
    return {
      station: fireStation(program),
      title: words.on,
      act: words.onAct,
      task: words.put,
      needs: ['light'],
      after: { step: 'light', h: 0.75 },
      stretch: { leastH: 0.75, mostH: 2 },
      graceH: 0.5,
      called: { chamberC: { label: words.chamber, of: chamberOf(first) } },
      gates: [],
    };
  },
});

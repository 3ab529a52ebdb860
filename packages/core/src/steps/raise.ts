import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';
import { chamberOf, fireStation, midway, wordsOf } from './fireWords.js';

/** Between the phase before the last and the last: hotter, wrapped, or into another place. */
export const raise = defineStep({
  id: 'raise',
  inputs: [
    { kind: 'temperature', name: 'chamberC', label: 'Smoker', of: 'chamber' },
    { kind: 'temperature', name: 'coreC', label: 'Core', of: 'core' },
  ],
  plan: ({ program, cookH }) => {
    const [first, before, last] = [program[0], program.at(-2), program.at(-1)];
    if (first === undefined || before === undefined || last === undefined) return null;
    return {
      station: fireStation(program),
      title: midway(before, last),
      act: wordsOf(first).readAct,
      task:
        last.medium === before.medium
          ? stepSays('raise-task', { medium: first.medium, chamberC: last.chamberC })
          : stepSays('move-task', { medium: last.medium, chamberC: last.chamberC }),
      needs: ['meat-on'],
      // A phase that ends by the core alone has no hour of its own: half of what the cook takes, until a reading tells more.
      after: { step: 'meat-on', h: before.untilMin === undefined ? cookH / 2 : before.untilMin / 60 },
      graceH: 0.75,
      called: { chamberC: { label: wordsOf(before).chamber, of: chamberOf(before) } },
      gates: [],
      // What lies in a bath is read by its water: that it went there is written, or it did not.
      skippable: last.medium !== 'water',
    };
  },
});

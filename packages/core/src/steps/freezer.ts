import { stepSays } from '../say/english/steps.js';
import { defineStep } from './defineStep.js';

/** Half an hour of frost before the slicer. */
export const freezer = defineStep({
  id: 'freezer',
  inputs: [],
  plan: ({ evenOutH }) => ({
    station: 'pack',
    title: 'Into the freezer',
    act: 'Log into the freezer',
    task: stepSays('freezer-task'),
    needs: ['even-out'],
    after: { step: 'even-out', h: evenOutH - 0.5 },
    stretch: { leastH: evenOutH / 2, mostH: 96 },
    graceH: 12,
    gates: [],
    skippable: true,
  }),
});

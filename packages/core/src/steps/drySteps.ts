import type { StepTemplate } from './step.js';

/** Dry: to a tacky skin, the pellicle. */
export const drySteps = (dryH: number): StepTemplate[] => [
  {
    id: 'rack',
    station: 'dry',
    title: 'Pat dry and rack',
    act: 'Log on the rack',
    task: 'Pat dry, rack or hook in the refrigerator, uncovered, in moving air.',
    needs: ['soak-out'],
    after: { step: 'soak-out', h: 0.25 },
    stretch: { leastH: 0, mostH: 1 },
    graceH: 1,
    inputs: [],
    gates: [],
  },
  {
    id: 'pellicle',
    station: 'dry',
    title: 'Pellicle check',
    act: 'Log surface',
    task: 'Touch it: tacky and dull is ready, wet or shiny is not.',
    needs: ['rack'],
    after: { step: 'rack', h: dryH },
    stretch: { leastH: 4, mostH: 36 },
    graceH: 3,
    inputs: [
      {
        kind: 'choice',
        name: 'surface',
        label: 'Surface',
        options: [
          { value: 'tacky', label: 'Tacky and dull' },
          { value: 'wet', label: 'Not yet' },
        ],
      },
      { kind: 'mass', name: 'driedG', label: 'Weight now', each: 'piece', optional: true },
    ],
    gates: [{ inputs: ['surface'], oneOf: ['tacky'], onFail: 'again', againH: 2, say: 'Not yet: leave it in moving air and look again in two hours.' }],
  },
];

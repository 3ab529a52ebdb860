import type { StepTemplate } from '../step.js';
import type { SmokePlan } from './smokeProgram.js';
import { SAFE_CORE_C } from './temperatures.js';

/** Smoke and cook in the smoker, with the instant-read check that decides. */
export const smokeSteps = (p: SmokePlan): StepTemplate[] => [
  {
    id: 'light',
    station: 'smoke',
    title: 'Light the smoker',
    act: 'Log smoker lit',
    task: `Heat it to ${p.smokeC} °C. It takes three quarters of an hour; the smoke should be thin, not white.`,
    needs: ['pellicle'],
    after: { step: 'pellicle', h: 0.25 },
    stretch: { leastH: 0, mostH: 12 },
    graceH: 1,
    inputs: [],
    gates: [],
  },
  {
    id: 'meat-on',
    station: 'smoke',
    title: 'Meat on',
    act: 'Log meat on',
    task: 'Probe in the thickest part, away from bone. Read the chamber and the core.',
    needs: ['light'],
    after: { step: 'light', h: 0.75 },
    stretch: { leastH: 0.75, mostH: 2 },
    graceH: 0.5,
    inputs: [
      { kind: 'temperature', name: 'chamberC', label: 'Smoker' },
      { kind: 'temperature', name: 'coreC', label: 'Core' },
    ],
    gates: [],
  },
  {
    id: 'raise',
    station: 'smoke',
    title: p.midway,
    act: 'Log smoker and core',
    task: `Read both, then raise the smoker to ${p.raiseC} °C.`,
    needs: ['meat-on'],
    after: { step: 'meat-on', h: p.smokeH },
    graceH: 0.75,
    inputs: [
      { kind: 'temperature', name: 'chamberC', label: 'Smoker' },
      { kind: 'temperature', name: 'coreC', label: 'Core' },
    ],
    gates: [],
  },
  {
    id: 'core',
    station: 'cook',
    title: 'Instant-read check',
    act: 'Log core readings',
    task: `Check three places with an instant-read thermometer: the lowest decides. Target ${p.targetC} °C.`,
    needs: ['raise'],
    after: { step: 'raise', h: p.cookH },
    graceH: 0.5,
    inputs: [
      { kind: 'temperature', name: 'probeC', label: 'Probe' },
      { kind: 'temperature', name: 'instant1C', label: 'Instant-read, thick end' },
      { kind: 'temperature', name: 'instant2C', label: 'Instant-read, middle' },
      { kind: 'temperature', name: 'instant3C', label: 'Instant-read, thin end' },
    ],
    gates: [
      {
        inputs: ['instant1C', 'instant2C', 'instant3C'],
        min: p.targetC,
        onFail: 'again',
        againH: 0.5,
        reasonFrom: SAFE_CORE_C,
        say: `The lowest place is under ${p.targetC} °C: leave it on and check again in half an hour.`,
      },
    ],
  },
  {
    id: 'into-cold',
    station: 'chill',
    title: 'Into the cold',
    act: 'Log into the cold',
    task: 'Rest it, then read the core and move it to the cold with air around it.',
    needs: ['core'],
    after: { step: 'core', h: p.restH },
    graceH: 0.25,
    inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core' }],
    gates: [],
  },
];

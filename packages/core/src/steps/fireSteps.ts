import type { CookProgram, ProgramPhase } from '../log/cookProgram.js';
import type { Gate, StepTemplate } from './step.js';
import { SAFE_CORE_C, SHOWN_C } from './temperatures.js';

const hotCore = { kind: 'temperature', of: 'core', each: 'piece' } as const;

/** How a piece is brought to its core, and how long that usually takes. */
export interface FireSteps {
  program: CookProgram;
  /** in the last phase, h, as planned */
  cookH: number;
  restH: number;
  targetC: number;
}

type Words = Record<'light' | 'lit' | 'heat' | 'on' | 'onAct' | 'put' | 'chamber', string>;

/** What is lit, and what the meat goes into. */
const WORDS: Readonly<Record<'smoker' | 'oven' | 'steam' | 'water', Words>> = {
  smoker: {
    light: 'Light the smoker',
    lit: 'Log smoker lit',
    heat: 'It takes three quarters of an hour; the smoke should be thin, not white.',
    on: 'Meat on',
    onAct: 'Log meat on',
    put: 'Probe in the thickest part, away from bone. Read the chamber and the core.',
    chamber: 'Smoker',
  },
  oven: {
    light: 'Heat the oven',
    lit: 'Log oven hot',
    heat: 'Three quarters of an hour, until a thermometer of its own says so.',
    on: 'Meat into the oven',
    onAct: 'Log meat in the oven',
    put: 'Probe in the thickest part, away from bone. Read the oven and the core.',
    chamber: 'Oven',
  },
  steam: {
    light: 'Raise steam',
    lit: 'Log steam up',
    heat: 'Three quarters of an hour, until it steams without a stop.',
    on: 'Meat into the steam',
    onAct: 'Log meat in the steam',
    put: 'Probe in the thickest part, away from bone. Read the steam and the core.',
    chamber: 'Steamer',
  },
  water: {
    light: 'Heat the water',
    lit: 'Log water hot',
    heat: 'Enough to cover it by three fingers. It should tremble, not boil.',
    on: 'Meat into the water',
    onAct: 'Log meat in the water',
    put: 'All of it under water. Read the water and the core.',
    chamber: 'Water',
  },
};

const chamberOf = ({ medium }: ProgramPhase): 'water' | 'chamber' => (medium === 'water' ? 'water' : 'chamber');

const wordsOf = ({ medium }: ProgramPhase): Words => WORDS[medium === 'cold' ? 'smoker' : medium];

/** What is done between the phase before the last and the last. */
function midway(before: ProgramPhase, last: ProgramPhase): string {
  if (last.medium === before.medium) {
    if (last.medium === 'water') return 'Change the water';
    return last.marks.some(({ act }) => act === 'wrap') ? 'Wrap' : 'Raise the heat';
  }
  return { oven: 'Into the oven', steam: 'Into the steam', water: 'Into the water', smoker: 'Into the smoker', cold: 'Into the cold' }[last.medium];
}

/** Meat that is not to come to the usual safe core is safe by its hours alone: they are to be written. */
const byTime = (targetC: number): Gate[] =>
  targetC >= SAFE_CORE_C - SHOWN_C
    ? []
    : [
        {
          inputs: ['instant1C', 'instant2C', 'instant3C'],
          min: SAFE_CORE_C - SHOWN_C,
          onFail: 'reason',
          say: `Under ${Math.round(SAFE_CORE_C)} °C it is safe only by its time: look at the lethality sum, and write how long the core was at ${targetC} °C.`,
        },
      ];

/** Heat, smoke and cook by a program, with the instant-read check that decides. Without smoke it is all cooking. */
export function fireSteps({ program, cookH, restH, targetC }: FireSteps): StepTemplate[] {
  const [first] = program;
  const last = program.at(-1);
  if (first === undefined || last === undefined) return [];
  const before = program.at(-2);
  const words = wordsOf(first);
  const station = program.some(({ smoke }) => smoke) ? 'smoke' : 'cook';
  const midwayStep: StepTemplate[] =
    before === undefined
      ? []
      : [
          {
            id: 'raise',
            station,
            title: midway(before, last),
            act: `Log ${words.chamber.toLowerCase()} and core`,
            task:
              last.medium === before.medium
                ? `Read both, then raise the ${words.chamber.toLowerCase()} to ${last.chamberC} °C.`
                : `Read both, then ${midway(before, last).toLowerCase()} at ${last.chamberC} °C.`,
            needs: ['meat-on'],
            after: { step: 'meat-on', h: (before.untilMin ?? 0) / 60 },
            graceH: 0.75,
            inputs: [
              { kind: 'temperature', name: 'chamberC', label: wordsOf(before).chamber, of: chamberOf(before) },
              { kind: 'temperature', name: 'coreC', label: 'Core', of: 'core' },
            ],
            gates: [],
          },
        ];
  return [
    {
      id: 'light',
      station,
      title: words.light,
      act: words.lit,
      task: `Heat it to ${first.chamberC} °C. ${words.heat}`,
      needs: ['soak-out', 'pellicle'],
      after: { step: 'pellicle', h: 0.25 },
      stretch: { leastH: 0, mostH: 12 },
      graceH: 1,
      inputs: [],
      gates: [],
    },
    {
      id: 'meat-on',
      station,
      title: words.on,
      act: words.onAct,
      task: words.put,
      needs: ['light'],
      after: { step: 'light', h: 0.75 },
      stretch: { leastH: 0.75, mostH: 2 },
      graceH: 0.5,
      inputs: [
        { kind: 'temperature', name: 'chamberC', label: words.chamber, of: chamberOf(first) },
        { kind: 'temperature', name: 'coreC', label: 'Core', of: 'rawCore' },
      ],
      gates: [],
    },
    ...midwayStep,
    {
      id: 'core',
      station: 'cook',
      title: 'Instant-read check',
      act: 'Log core readings',
      task: `Check three places of each piece with an instant-read thermometer: the lowest decides. Target ${targetC} °C.`,
      needs: [before === undefined ? 'meat-on' : 'raise'],
      after: { step: before === undefined ? 'meat-on' : 'raise', h: cookH },
      graceH: 0.5,
      inputs: [
        { ...hotCore, name: 'probeC', label: 'Probe', optional: true },
        { ...hotCore, name: 'instant1C', label: 'Instant-read, thick end' },
        { ...hotCore, name: 'instant2C', label: 'Instant-read, middle' },
        { ...hotCore, name: 'instant3C', label: 'Instant-read, thin end' },
      ],
      gates: [
        {
          inputs: ['instant1C', 'instant2C', 'instant3C'],
          min: targetC - SHOWN_C,
          onFail: 'again',
          againH: 0.5,
          reasonFrom: SAFE_CORE_C - SHOWN_C,
          say: `The lowest place is under ${targetC} °C: leave it on and check again in half an hour.`,
        },
        ...byTime(targetC),
      ],
    },
    {
      id: 'into-cold',
      station: 'chill',
      title: 'Into the cold',
      act: 'Log into the cold',
      task: 'Rest it, then read the core and move it to the cold with air around it.',
      needs: ['core'],
      after: { step: 'core', h: restH },
      graceH: 0.25,
      inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core', of: 'core', each: 'piece' }],
      gates: [],
    },
  ];
}

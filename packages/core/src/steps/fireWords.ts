import type { CookProgram, ProgramPhase } from '../log/cookProgram.js';
import type { StepName } from '../say/english/names.js';
import { stepSays } from '../say/english/steps.js';
import type { Message } from '../say/message.js';
import type { Station } from './station.js';

type FireWords = Record<'light' | 'lit' | 'on' | 'onAct' | 'readAct' | 'chamber', StepName> & Record<'heat' | 'put', Message>;

/** What is lit, and what the meat goes into. */
const WORDS: Readonly<Record<'smoker' | 'oven' | 'steam' | 'water', FireWords>> = {
  smoker: {
    light: 'Light the smoker',
    lit: 'Log smoker lit',
    heat: stepSays('heat-smoker'),
    on: 'Meat on',
    onAct: 'Log meat on',
    readAct: 'Log smoker and core',
    put: stepSays('put-smoker'),
    chamber: 'Smoker',
  },
  oven: {
    light: 'Heat the oven',
    lit: 'Log oven hot',
    heat: stepSays('heat-oven'),
    on: 'Meat into the oven',
    onAct: 'Log meat in the oven',
    readAct: 'Log oven and core',
    put: stepSays('put-oven'),
    chamber: 'Oven',
  },
  steam: {
    light: 'Raise steam',
    lit: 'Log steam up',
    heat: stepSays('heat-steam'),
    on: 'Meat into the steam',
    onAct: 'Log meat in the steam',
    readAct: 'Log steamer and core',
    put: stepSays('put-steam'),
    chamber: 'Steamer',
  },
  water: {
    light: 'Heat the water',
    lit: 'Log water hot',
    heat: stepSays('heat-water'),
    on: 'Meat into the water',
    onAct: 'Log meat in the water',
    readAct: 'Log water and core',
    put: stepSays('put-water'),
    chamber: 'Water',
  },
};

/** What is read of the heat. */
export const chamberOf = ({ medium }: ProgramPhase): 'water' | 'chamber' => (medium === 'water' ? 'water' : 'chamber');

/** How it is said, by what a phase cooks in. */
export const wordsOf = ({ medium }: ProgramPhase): FireWords => WORDS[medium === 'cold' ? 'smoker' : medium];

const INTO = { oven: 'Into the oven', steam: 'Into the steam', water: 'Into the water', smoker: 'Into the smoker', cold: 'Into the cold' } as const;

/** What is done between the phase before the last and the last. */
export function midway(before: ProgramPhase, last: ProgramPhase): StepName {
  if (last.medium === before.medium) {
    if (last.medium === 'water') return 'Change the water';
    return last.marks.some(({ act }) => act === 'wrap') ? 'Wrap' : 'Raise the heat';
  }
  return INTO[last.medium];
}

/** Where its first fire belongs: without smoke it is all cooking. */
export const fireStation = (program: CookProgram): Station => (program.some(({ smoke }) => smoke) ? 'smoke' : 'cook');

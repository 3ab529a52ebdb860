import type { CookProgram, ProgramPhase } from '../log/cookProgram.js';
import type { Station } from './station.js';

type FireWords = Record<'light' | 'lit' | 'heat' | 'on' | 'onAct' | 'put' | 'chamber', string>;

/** What is lit, and what the meat goes into. */
const WORDS: Readonly<Record<'smoker' | 'oven' | 'steam' | 'water', FireWords>> = {
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

/** What is read of the heat. */
export const chamberOf = ({ medium }: ProgramPhase): 'water' | 'chamber' => (medium === 'water' ? 'water' : 'chamber');

/** How it is said, by what a phase cooks in. */
export const wordsOf = ({ medium }: ProgramPhase): FireWords => WORDS[medium === 'cold' ? 'smoker' : medium];

/** What is done between the phase before the last and the last. */
export function midway(before: ProgramPhase, last: ProgramPhase): string {
  if (last.medium === before.medium) {
    if (last.medium === 'water') return 'Change the water';
    return last.marks.some(({ act }) => act === 'wrap') ? 'Wrap' : 'Raise the heat';
  }
  return { oven: 'Into the oven', steam: 'Into the steam', water: 'Into the water', smoker: 'Into the smoker', cold: 'Into the cold' }[last.medium];
}

/** Where its first fire belongs: without smoke it is all cooking. */
export const fireStation = (program: CookProgram): Station => (program.some(({ smoke }) => smoke) ? 'smoke' : 'cook');

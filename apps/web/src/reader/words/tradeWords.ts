import { CURING_SALT_05, CURING_SALT_06, type BenchSchool, type CureMix, type Product, type Verdict } from '@bunkhouse/core';
import { fewDigits } from '../quantities';

export const PRODUCT_NAMES: Readonly<Record<Product, string>> = {
  'canadian-bacon': 'Canadian bacon',
  'belly-bacon': 'Belly bacon',
  'ham-bone-in': 'Bone-in ham',
  'ham-boned': 'Boned ham',
  picnic: 'Picnic',
  'shoulder-bacon': 'Shoulder bacon',
  pastrami: 'Pastrami',
  'cured-beef': 'Boiled cured beef',
};

/** Each school by its name and by what it trades off. */
export const SCHOOL_WORDS: Readonly<Record<BenchSchool, readonly [name: string, says: string]>> = {
  equilibrium: ['By weight, until even', 'It lies until meat and brine are even: it cannot become too salty, and the ppm is known. Slow in thick pieces.'],
  bag: ['In a bag, with little water', 'An even cure with just enough water to reach every side. Turn it daily; what stays in the bag counts as brine.'],
  pumpAndCover: [
    'Pump, and a cover of its own',
    'A strong pickle by the needle and a mild cover that holds it: quick, sure beside the bone, right even if it is left.',
  ],
  pumpSame: [
    'Pump and cover in one brine',
    'One bucket for needle and tub. What is right for the needle is too much if it is left until even, so the dose is for both.',
  ],
  clock: ['Strong pickle, by the clock', 'Old way: a strong brine, pulled in time, then a soak. Quick to mix, but days and thickness decide the dose.'],
  lowStrength: [
    'Curing salt as the whole salt',
    'One thing to weigh: the salt decides, and the nitrite follows from it. Too salty is then also too much nitrite.',
  ],
  readyMix: [
    'Ready mix, by its label',
    'Salt, sugar, nitrite and often nitrate in one bag. Dose it as the label says; the label also says whether it may be pumped.',
  ],
  floatTest: ['Salt until an egg floats', 'Means 10 to 14 % salt: too wide for a dose. Weigh the salt, or read a hydrometer.'],
  saltOnly: ['Salt only, no cure', 'Fresh salted meat, not a cure: grey, no slow smoke, days and not weeks.'],
  dryRub: ['Rubbed on, in a bag', 'For comparison: no water, all is counted against the meat alone.'],
};

/** What a cook says of a fried slice. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = { bland: 'bland', right: 'right', salty: 'salty', 'too-salty': 'too salty' };

/** What a cure is called: its name may hold a number. */
export const cureName = (name: string): string => {
  const curing = [CURING_SALT_05, CURING_SALT_06].find((mix) => mix.name === name);
  return curing === undefined ? name : `Curing salt ${fewDigits(curing.nitritePercent)} %`;
};

/** `Cure #1, 6.25 % nitrite` */
export const cureInWords = ({ name, nitritePercent }: Pick<CureMix, 'name' | 'nitritePercent'>): string =>
  `${cureName(name)}, ${fewDigits(nitritePercent)} % nitrite`;

import type { StepTemplate } from './step.js';

/** Cold enough for meat and brine, °C (handbook part 5: no meat into brine above 4 °C). */
export const COLD_GATE_C = 4;

/** Safe core for whole muscle, °C, with 3 min rest [USDA consumer guidance, value from memory]. */
export const SAFE_CORE_C = 63;

const brineGate = (input: string) => ({
  inputs: [input],
  max: COLD_GATE_C,
  onFail: 'reason' as const,
  say: 'The brine is warmer than 4 °C. Cool it with ice that was counted as water, or in the refrigerator, before it meets the meat.',
});

const mixInputs: StepTemplate['inputs'] = [
  { kind: 'mass', name: 'waterG', label: 'Water and ice' },
  { kind: 'mass', name: 'saltG', label: 'Salt', allowZero: true },
  { kind: 'mass', name: 'sugarG', label: 'Sugar', allowZero: true },
  { kind: 'mass', name: 'cureG', label: 'Cure' },
];

/** Prep: weigh, then mix what the school needs. */
export const prepSteps = (trim: string): StepTemplate[] => [
  {
    id: 'weigh',
    station: 'prep',
    title: 'Trim and weigh',
    act: 'Log green weight',
    task: `${trim} Weigh each piece. The brine is worked out again from these weights.`,
    needs: [],
    after: { step: 'start', h: 0 },
    graceH: 1,
    inputs: [{ kind: 'mass', name: 'greenG', label: 'Green weight', each: 'piece' }],
    gates: [],
  },
  {
    id: 'mix',
    only: 'equilibrium',
    station: 'prep',
    title: 'Mix the brine',
    act: 'Log brine as weighed',
    task: 'Weigh every line, the cure on its own small scale. Stir until clear, then cool it to 4 °C or below.',
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
  {
    id: 'mix-pickle',
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the pump pickle',
    act: 'Log pickle as weighed',
    task: 'Weigh every line, the cure on its own small scale. Stir until clear, strain, and cool it to 4 °C or below.',
    needs: ['weigh'],
    after: { step: 'weigh', h: 0.5 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
  {
    id: 'mix-cover',
    only: 'pumpAndCover',
    station: 'prep',
    title: 'Mix the cover brine',
    act: 'Log cover as weighed',
    task: 'A bucket of its own. Weigh every line. Stir until clear and cool it to 4 °C or below.',
    needs: ['mix-pickle'],
    after: { step: 'mix-pickle', h: 0.25 },
    graceH: 1,
    inputs: mixInputs,
    gates: [],
  },
];

/** Cure: pump where the school pumps, meat in, turns, re-pump half-way, pull. */
export const cureSteps = (turnEveryH: number): StepTemplate[] => [
  {
    id: 'pump',
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Pump',
    act: 'Log pumped weight',
    task: 'Around the bone and the joints first. Push while drawing out, from both sides. Drain a few minutes, then weigh.',
    needs: ['mix-cover'],
    after: { step: 'mix-cover', h: 3 },
    graceH: 1,
    inputs: [
      { kind: 'temperature', name: 'pickleC', label: 'Pickle temperature' },
      { kind: 'mass', name: 'pumpedG', label: 'Weight after pumping', each: 'piece' },
    ],
    gates: [brineGate('pickleC')],
  },
  {
    id: 'meat-in',
    station: 'cure',
    title: 'Meat in',
    act: 'Log meat in',
    task: 'Read the brine before the meat goes in. Cover it fully and weigh it down. Label the tub.',
    needs: ['mix', 'pump'],
    after: { step: 'mix', h: 3 },
    graceH: 0.5,
    inputs: [{ kind: 'temperature', name: 'brineC', label: 'Brine temperature' }],
    gates: [brineGate('brineC')],
  },
  {
    id: 'turn',
    repeatEveryH: turnEveryH,
    station: 'cure',
    title: 'Turn',
    act: 'Log turn',
    task: 'Turn the pieces, stir the brine, look at the refrigerator’s thermometer.',
    needs: ['meat-in'],
    after: { step: 'meat-in', h: turnEveryH },
    graceH: 4,
    inputs: [{ kind: 'temperature', name: 'coldC', label: 'Refrigerator', optional: true }],
    gates: [
      {
        inputs: ['coldC'],
        max: COLD_GATE_C,
        onFail: 'reason',
        say: 'The refrigerator is above 4 °C. Bring it down now and write what was wrong.',
      },
    ],
    missable: true,
  },
  {
    id: 'repump',
    only: 'pumpAndCover',
    station: 'cure',
    title: 'Re-pump',
    act: 'Log re-pump',
    task: 'Half-way: lift out, drain, weigh, pump again around the bone with the pickle kept cold apart, weigh again.',
    needs: ['meat-in'],
    after: { step: 'meat-in', cureShare: 0.5 },
    graceH: 8,
    inputs: [
      { kind: 'mass', name: 'beforeG', label: 'Weight before', each: 'piece' },
      { kind: 'mass', name: 'pumpedG', label: 'Weight after', each: 'piece' },
    ],
    gates: [],
    skippable: true,
  },
  {
    id: 'pull',
    station: 'cure',
    title: 'Pull',
    act: 'Log pull',
    task: 'Lift out, rinse in cold running water, wipe, weigh. Feel and smell each piece. The old brine goes down the drain.',
    needs: ['meat-in', 'repump'],
    after: { step: 'meat-in', cureShare: 1 },
    graceH: 6,
    inputs: [
      { kind: 'mass', name: 'pulledG', label: 'Weight', each: 'piece' },
      {
        kind: 'choice',
        name: 'firmness',
        label: 'To the hand',
        options: [
          { value: 'firm', label: 'Firm all over' },
          { value: 'springy', label: 'Springy' },
          { value: 'soft', label: 'Soft in the middle' },
        ],
      },
      {
        kind: 'choice',
        name: 'smell',
        label: 'Smell',
        options: [
          { value: 'fresh', label: 'Fresh' },
          { value: 'bad', label: 'Bad' },
        ],
      },
    ],
    gates: [
      {
        inputs: ['smell'],
        oneOf: ['fresh'],
        onFail: 'stop',
        say: 'A bad smell ends the batch. Do not taste it, do not go on: end the batch below and throw it away.',
      },
      {
        inputs: ['firmness'],
        oneOf: ['firm', 'springy'],
        onFail: 'reason',
        say: 'Soft in the middle means that the cure did not get there. Put it back for some days, or write why you go on.',
      },
    ],
    notBeforeCureShare: {
      step: 'meat-in',
      share: 1,
      say: 'This is before the shortest days of cure: the middle may not be cured. Put it back, or write why you pull it now.',
    },
  },
];

/** Soak: fresh water until the fry test is right. */
export const soakSteps = (soakH: number): StepTemplate[] => [
  {
    id: 'soak-in',
    station: 'soak',
    title: 'Into fresh water',
    act: 'Log into fresh water',
    task: 'Fry a thin slice from the edge. If it tastes right, leave the soak out and say so. Else cold fresh water, in the cold if longer than an hour.',
    needs: ['pull'],
    after: { step: 'pull', h: 0.25 },
    graceH: 1,
    inputs: [],
    gates: [],
    skippable: true,
  },
  {
    id: 'soak-out',
    station: 'soak',
    title: 'Out of the water',
    act: 'Log out of the water',
    task: 'Fry a thin slice from the edge and taste it.',
    needs: ['soak-in'],
    after: { step: 'soak-in', h: soakH },
    graceH: 0.5,
    inputs: [
      {
        kind: 'choice',
        name: 'taste',
        label: 'Fry test',
        options: [
          { value: 'bland', label: 'Bland' },
          { value: 'right', label: 'Right' },
          { value: 'salty', label: 'Salty' },
          { value: 'too-salty', label: 'Too salty' },
        ],
      },
    ],
    gates: [
      { inputs: ['taste'], oneOf: ['bland', 'right', 'salty'], onFail: 'again', againH: soakH / 2, say: 'Still too salty: change the water and fry again.' },
    ],
    skippedWith: 'soak-in',
  },
];

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
    ],
    gates: [{ inputs: ['surface'], oneOf: ['tacky'], onFail: 'again', againH: 2, say: 'Not yet: leave it in moving air and look again in two hours.' }],
  },
];

/** Smoke and cook in the smoker, with the instant-read check that decides. */
export const smokeSteps = (p: {
  smokeC: number;
  smokeH: number;
  raiseC: number;
  cookH: number;
  restH: number;
  targetC: number;
  midway: string;
}): StepTemplate[] => [
  {
    id: 'light',
    station: 'smoke',
    title: 'Light the smoker',
    act: 'Log smoker lit',
    task: `Heat it to ${p.smokeC} °C. It takes three quarters of an hour; the smoke should be thin, not white.`,
    needs: ['pellicle'],
    after: { step: 'pellicle', h: 0.25 },
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

/** Chill through the two gates, even out, then slice and pack [FSIS Appendix B, values from memory]. */
export const chillSteps = (p: { firstH: number; secondH: number; evenOutH: number }): StepTemplate[] => [
  {
    id: 'gate-first',
    station: 'chill',
    title: 'First chill gate',
    act: 'Log core at 1st gate',
    task: 'Read the core. It must be 27 °C or less within the time of the gate.',
    needs: ['into-cold'],
    after: { step: 'into-cold', h: p.firstH },
    graceH: 0.25,
    inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core' }],
    gates: [
      { inputs: ['coreC'], max: 27, onFail: 'again', againH: 0.5, say: 'Still above 27 °C: spread the pieces, ice bath in a bag, read again in half an hour.' },
    ],
    cooling: {
      fromC: 54,
      toC: { cured: 27, uncured: 27 },
      limitH: { cured: 5, uncured: 1.5 },
      say: 'The first chill gate was not met. Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
    },
  },
  {
    id: 'gate-second',
    station: 'chill',
    title: 'Second chill gate',
    act: 'Log core at 2nd gate',
    task: 'Read the core. Colder than this it may be wrapped.',
    needs: ['gate-first'],
    after: { step: 'gate-first', h: p.secondH },
    graceH: 0.5,
    inputs: [{ kind: 'temperature', name: 'coreC', label: 'Core' }],
    gates: [
      {
        inputs: ['coreC'],
        max: COLD_GATE_C,
        onFail: 'again',
        againH: 1,
        say: 'Still above 4 °C: leave it unwrapped in moving cold air and read again in an hour.',
      },
    ],
    cooling: {
      fromC: 27,
      toC: { cured: 7, uncured: 4 },
      limitH: { cured: 10, uncured: 5 },
      say: 'The second chill gate was not met. Decide with your food-safety plan: throw it away, or write what was decided and by whom.',
    },
  },
  {
    id: 'pack',
    station: 'pack',
    title: 'Slice and pack',
    act: 'Log packed weight',
    task: 'Slice cold, pack, label: name, ingredients, net weight, code, packed on, use by. Then weigh the packs.',
    needs: ['gate-second'],
    after: { step: 'gate-second', h: p.evenOutH },
    graceH: 12,
    inputs: [
      { kind: 'temperature', name: 'coreC', label: 'Core before slicing' },
      { kind: 'mass', name: 'packedG', label: 'Packed weight, all packs' },
    ],
    gates: [{ inputs: ['coreC'], max: COLD_GATE_C, onFail: 'reason', say: 'Too warm to slice: it tears, and it is not safe yet. Chill it to 4 °C first.' }],
  },
];

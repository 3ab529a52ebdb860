import {
  type BatchRecord,
  type BatchState,
  brineOf,
  colouredDepth,
  cureCourse,
  HOUR_MS,
  inputNames,
  isPumped,
  type PlannedStepId,
  sectionAt,
  sheetLines,
  type StepInput,
  type StepSpec,
  type StepValues,
  thicknessMm,
} from '@bunkhouse/core';

const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(2));

/** The made-up meat and the made-up tongue: what the house will learn. */
const MEAT_DIFFUSIVITY = 2.7e-10;
const TASTE_PERCENT = 2.1;
const TASTES_OFF = 0.35;
const ACROSS = 16;

/** What the made-up cook says of a slice from the edge. */
function verdict(record: BatchRecord, state: BatchState, at: number, random: () => number): string {
  const code = state.design.pieces[0]?.code ?? 'A';
  const course = cureCourse(record, state, code);
  const atH = Math.max(0, (at - course.startsAt) / HOUR_MS);
  const edge = sectionAt(course, { species: 'salt', atH, cellMm: thicknessMm(course.section) / ACROSS }).sliceSalt();
  const off = edge + (random() - 0.5) * 0.2 - TASTE_PERCENT;
  return off > TASTES_OFF ? 'salty' : off < -TASTES_OFF ? 'bland' : 'right';
}

/** How deep the colour of a cut face reaches, read to the millimetre. */
function cutFace(record: BatchRecord, state: BatchState, code: string, random: () => number): number {
  const course = cureCourse(record, state, code);
  const halfMm = thicknessMm(course.section) / 2;
  const depth = colouredDepth(course, course.pullH, MEAT_DIFFUSIVITY);
  return depth > halfMm - 2 ? halfMm : Math.max(0, round(depth + (random() - 0.5) * 3, 1));
}

/** What the made-up cook would measure at a step: near the plan, with the scatter of real hands. */
export function measure(record: BatchRecord, state: BatchState, spec: StepSpec, at: number, random: () => number): StepValues {
  const values: StepValues = {};
  for (const input of spec.inputs) {
    for (const name of inputNames(input, record.design.pieces)) values[name] = valueOf(record, state, spec, input, name, at, random, values);
  }
  return values;
}

function valueOf(
  record: BatchRecord,
  state: BatchState,
  spec: StepSpec,
  input: StepInput,
  name: string,
  at: number,
  random: () => number,
  so: StepValues,
): number | string {
  if (input.name === 'taste') return verdict(record, state, at, random);
  if (input.kind === 'choice') return CHOICES[input.name] ?? input.options[0]?.value ?? '';
  if (input.kind === 'temperature') return temperature(record, spec, input.name, random);
  if (input.kind === 'depth') return cutFace(record, state, name.split(':')[1] ?? '', random);
  const spread = (share: number) => 1 + (random() - 0.5) * 2 * share;
  const code = name.split(':')[1] ?? '';
  const greenG = state.facts.greenG[code] ?? 0;
  const { school } = record.design;
  const step = record.design.meatScaleStepG;
  switch (input.name) {
    case 'greenG':
      return round(greenG * spread(0.02), step);
    case 'pumpedG': {
      if (!isPumped(school)) return greenG;
      const before = so[`beforeG:${code}`];
      const [from, percent] = typeof before === 'number' ? [before, school.repumpPercent] : [greenG, school.pumpPercent];
      return round(from + ((greenG * percent) / 100) * spread(0.08), step);
    }
    case 'beforeG':
      return round((state.facts.pumpings[code]?.[0]?.pumpedG ?? greenG) * spread(0.004), step);
    case 'pulledG':
      return round(greenG * (isPumped(school) ? 1.1 : 1.04) * spread(0.01), step);
    case 'driedG':
      return round((state.facts.pulledG[code] ?? greenG) * 0.97 * spread(0.006), step);
    case 'packedG':
      return round(Object.values(state.facts.greenG).reduce((a, b) => a + b, 0) * packedShare(record) * spread(0.03), step);
    default:
      return asOnSheet(state, spec, input.name, record.design.cureScaleStepG);
  }
}

const CHOICES: Record<string, string> = { firmness: 'firm', smell: 'fresh', surface: 'tacky' };

/** The middle of what the recipe says. */
const packedShare = ({ process }: BatchRecord): number => {
  const { low, high } = process.usual.packedShare ?? { low: 0.8, high: 0.9 };
  return (low + high) / 2;
};

function temperature(record: BatchRecord, spec: StepSpec, name: string, random: () => number): number {
  const near = (C: number, by: number) => round(C + (random() - 0.5) * 2 * by, 0.1);
  const target = record.process.coreTargetC;
  switch (name) {
    case 'chamberC': {
      const program = record.design.program ?? record.process.program ?? [];
      const phase = spec.id === 'meat-on' ? program[0] : program.at(-2);
      if (phase?.medium === 'water') return near(Math.min(97, phase.chamberC), 2);
      return near(phase?.chamberC ?? 100, 4);
    }
    case 'probeC':
      return near(target + 3, 1);
    case 'instant1C':
    case 'instant2C':
    case 'instant3C':
      return near(target + 2, 1.2);
    case 'coreC':
      return near(CORE_C[spec.id] ?? 3, 0.8);
    default:
      return near(2.8, 0.6);
  }
}

const CORE_C: { [Id in PlannedStepId]?: number } = { 'meat-on': 6, raise: 52, 'into-cold': 60, 'gate-first': 24, 'gate-second': 3, pack: 2.6 };

function asOnSheet(state: BatchState, spec: StepSpec, name: string, cureStepG: number): number {
  const id = brineOf(spec.id);
  const brine = state.facts.brines.find((candidate) => candidate.id === id);
  if (brine === undefined) return 0;
  const grams = sheetLines(brine, state.design).find((line) => line.name === name)?.g ?? 0;
  return round(grams, name === 'cureG' ? cureStepG : 5);
}

import { inputNames, type BatchRecord, type BatchState, type StepInput, type StepSpec, type StepValues } from '@bunkhouse/core';

const round = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(2));

/** What the made-up cook would measure at a step: near the plan, with the scatter of real hands. */
export function measure(record: BatchRecord, state: BatchState, spec: StepSpec, random: () => number): StepValues {
  const values: StepValues = {};
  for (const input of spec.inputs) {
    for (const name of inputNames(input, record.design.pieces)) values[name] = valueOf(record, state, spec, input, name, random, values);
  }
  return values;
}

function valueOf(
  record: BatchRecord,
  state: BatchState,
  spec: StepSpec,
  input: StepInput,
  name: string,
  random: () => number,
  so: StepValues,
): number | string {
  if (input.kind === 'choice') return CHOICES[input.name] ?? input.options[0]?.value ?? '';
  if (input.kind === 'temperature') return temperature(record, spec, input.name, random);
  const spread = (share: number) => 1 + (random() - 0.5) * 2 * share;
  const code = name.split(':')[1] ?? '';
  const greenG = state.facts.greenG[code] ?? 0;
  const { school } = record.design;
  const step = record.design.meatScaleStepG;
  switch (input.name) {
    case 'greenG':
      return round(greenG * spread(0.02), step);
    case 'pumpedG': {
      if (school.kind !== 'pumpAndCover') return greenG;
      const before = so[`beforeG:${code}`];
      const [from, percent] = typeof before === 'number' ? [before, school.repumpPercent] : [greenG, school.pumpPercent];
      return round(from + ((greenG * percent) / 100) * spread(0.08), step);
    }
    case 'beforeG':
      return round((state.facts.pumpings[code]?.[0]?.pumpedG ?? greenG) * spread(0.004), step);
    case 'pulledG':
      return round(greenG * (school.kind === 'equilibrium' ? 1.04 : 1.1) * spread(0.01), step);
    case 'packedG':
      return round(Object.values(state.facts.greenG).reduce((a, b) => a + b, 0) * (PACKED_SHARE[record.process.product] ?? 0.85) * spread(0.03), step);
    default:
      return asOnSheet(state, spec, input.name, record.design.cureScaleStepG);
  }
}

const CHOICES: Record<string, string> = { firmness: 'firm', smell: 'fresh', taste: 'right', surface: 'tacky' };

const PACKED_SHARE: Record<string, number> = { pastrami: 0.6, 'canadian-bacon': 0.85, 'ham-bone-in': 0.9 };

function temperature(record: BatchRecord, spec: StepSpec, name: string, random: () => number): number {
  const near = (C: number, by: number) => round(C + (random() - 0.5) * 2 * by, 0.1);
  const target = record.process.coreTargetC;
  switch (name) {
    case 'chamberC':
      return near(spec.id === 'meat-on' ? 94 : 108, 4);
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

const CORE_C: Record<string, number> = { 'meat-on': 6, raise: 52, 'into-cold': 60, 'gate-first': 24, 'gate-second': 3, pack: 2.6 };

function asOnSheet(state: BatchState, spec: StepSpec, name: string, cureStepG: number): number {
  const id = { mix: 'brine', 'mix-pickle': 'pickle', 'mix-cover': 'cover' }[spec.id];
  const brine = state.facts.brines.find((candidate) => candidate.id === id);
  if (brine === undefined) return 0;
  const grams = { waterG: brine.waterG, saltG: brine.saltG, sugarG: brine.sugarG, cureG: brine.cureG }[name] ?? 0;
  return round(grams, name === 'cureG' ? cureStepG : 5);
}

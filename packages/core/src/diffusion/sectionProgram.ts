import { SATURATED_SALT_PERCENT } from '../brine/salometer.js';
import { InputError } from '../inputError.js';
import type { Section } from '../section/section.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** What happens to the piece, one after the other on the same field. Temperatures 3 °C where not given. */
export type Stage =
  | {
      kind: 'bath';
      hours: number;
      bathG: number | 'infinite';
      saltPercent: number;
      temperatureC?: number;
      sampleHours?: number;
      /** the same bath as before goes on, at the strength that it has come to */
      goesOn?: boolean;
      /** a side that floats out of the brine, or lies on the floor of the tub */
      closedSide?: 'top' | 'bottom';
    }
  | { kind: 'rest'; hours: number; temperatureC?: number; sampleHours?: number }
  | ({ kind: 'inject' } & Injection);

/** Brine by the needle, % of the meat’s green weight. */
export interface Injection {
  pumpPercent: number;
  brineSaltPercent: number;
  spacingMm: number;
}

export interface SimulateSectionParams {
  section: Section;
  /** green weight of what lies in the bath, g */
  meatG: number;
  /** a sixtieth of the thickness when not given */
  cellMm?: number;
  /** of lean meat at 3 °C, m²/s; 3 × 10^-10 when not given */
  diffusivity?: number;
  /** meat : brine, w/w, at equilibrium; 1 when not given */
  partition?: number;
  initialSaltPercent?: number;
  injected?: Injection;
  stages: readonly Stage[];
  /** a two hundredth of the whole time when not given */
  sampleHours?: number;
}

export interface SectionSimulation {
  /** from the start, h; the first is 0, the end of every stage is among them */
  timesH: number[];
  /** salt, % of the meat: where it comes last, as a mean, beside the brine */
  core: number[];
  mean: number[];
  edge: number[];
  /** salt of a slice from the edge, as it is fried and tasted, % */
  slice: number[];
  /** salt in the bath, %; NaN while there is none */
  bath: number[];
  /** salt in each cell at a time, %, row by row from the top; NaN where there is no meat */
  field: (timeIndex: number) => Float64Array;
  width: number;
  height: number;
  cellMm: number;
  /** what was not accounted for, as a share of all salt that moved or lay there */
  saltBalanceError: number;
}

export const USUAL_C = 3;
const KELVIN = 273.15;
/** Activation energy of diffusion in meat, J/mol [M: docs/science.md, “The cure inside the meat”], and the gas constant. */
const ACTIVATION_J = 22_000;
const GAS_J = 8.314;

/** Diffusivity at a temperature, as a multiple of that at 3 °C (Arrhenius). */
export const warmth = (temperatureC: number): number => Math.exp((ACTIVATION_J / GAS_J) * (1 / (USUAL_C + KELVIN) - 1 / (temperatureC + KELVIN)));

export const MOST_HOURS = 24 * 366;

/** Total hours of a program. */
export const programHours = (stages: readonly Stage[]): number => stages.reduce((sum, stage) => sum + (stage.kind === 'inject' ? 0 : stage.hours), 0);

/** @throws InputError where a stage cannot be */
export function requireStages(stages: readonly Stage[]): void {
  if (!Array.isArray(stages)) throw new InputError('stages', inputSays('no-stage'));
  (stages as readonly Stage[]).forEach((stage, i) => {
    if (stage.kind === 'inject') return;
    if (stage.kind !== 'bath' && stage.kind !== 'rest') throw new InputError(`stages.${i}.kind`, inputSays('unknown-stage'));
    requireNumber(`stages.${i}.hours`, stage.hours, { min: 0, max: MOST_HOURS, unit: 'h' });
    if (stage.sampleHours !== undefined) requireNumber(`stages.${i}.sampleHours`, stage.sampleHours, { min: Math.max(1e-3, stage.hours / 2000), unit: 'h' });
    requireNumber(`stages.${i}.temperatureC`, stage.temperatureC ?? USUAL_C, { min: -2, max: 40, unit: '°C' });
    if (stage.kind !== 'bath') return;
    if (stage.closedSide !== undefined && stage.closedSide !== 'top' && stage.closedSide !== 'bottom')
      throw new InputError(`stages.${i}.closedSide`, inputSays('unknown-closed-side'));
    requireNumber(`stages.${i}.saltPercent`, stage.saltPercent, { min: 0, max: SATURATED_SALT_PERCENT, unit: '%' });
    if (stage.bathG !== 'infinite') requireNumber(`stages.${i}.bathG`, stage.bathG, { above: 0, max: 1e7, unit: 'g' });
  });
  if (programHours(stages) > MOST_HOURS) throw new InputError('stages', inputSays('more-than-a-year'));
}

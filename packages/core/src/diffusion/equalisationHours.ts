import { HOUR_S } from '../clock/spans.js';
import { InputError } from '../inputError.js';
import { thicknessMm, type Section } from '../section/section.js';
import { LEAN_DIFFUSIVITY } from '../section/uptake.js';
import { requireNumber } from '../units/require.js';
import { warmth } from './sectionProgram.js';
import { SectionRun } from './sectionRun.js';
import { inputSays } from '../say/english/inputs.js';

/** Nothing is waited for longer than this, h. */
const LONGEST_H = 24 * 366;
/** Looks in the time in which a piece comes about even. */
const LOOKS = 500;

/**
 * Hours in a bath until the core has come to a share of the mean (docs/science.md, “The cure inside the meat”).
 *
 * @param p.evenness core ÷ mean, 0 to 1; 0.9 counts as even
 * @throws InputError where it is never so even within a year, or an input cannot be
 * @example equalisationHours({ section: { shape: 'slab', thicknessMm: 40 }, meatG: 2000, bathG: 'infinite', evenness: 0.9 }) // about 290 h
 */
export function equalisationHours(p: {
  section: Section;
  meatG: number;
  bathG: number | 'infinite';
  diffusivity?: number;
  temperatureC?: number;
  evenness: number;
}): number {
  const evenness = requireNumber('evenness', p.evenness, { above: 0, max: 0.9999 });
  const diffusivity = requireNumber('diffusivity', p.diffusivity ?? LEAN_DIFFUSIVITY, { min: 1e-12, max: 1e-8, unit: 'm²/s' });
  const temperatureC = requireNumber('temperatureC', p.temperatureC ?? 3, { min: -2, max: 40, unit: '°C' });
  const closed = p.section.closedSide === undefined ? 1 : 2;
  const halfM = (thicknessMm(p.section) * closed) / 2000;
  const aboutH = (1.5 * halfM ** 2) / (diffusivity * warmth(temperatureC)) / HOUR_S;
  const sampleHours = Math.min(LONGEST_H, aboutH) / LOOKS;
  const run = new SectionRun({ section: p.section, meatG: p.meatG, diffusivity, stages: [], sampleHours });
  let before = 0;
  run.play({ kind: 'bath', hours: LONGEST_H, bathG: p.bathG, saltPercent: 10, temperatureC }, () => {
    if (run.evenness() >= evenness) return true;
    before = run.evenness();
    return false;
  });
  const reached = run.evenness();
  if (reached < evenness) throw new InputError('evenness', inputSays('never-so-even'));
  return run.elapsedH() - ((reached - evenness) / (reached - before)) * sampleHours;
}

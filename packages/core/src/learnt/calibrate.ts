import { HANDBOOK_DIFFUSIVITY } from '../batch/cureCourse.js';
import type { Diffusivity } from '../log/batchDesign.js';
import { InputError } from '../inputError.js';
import { CUT_FACE_NODES } from './cutFace.js';
import { inputSays } from '../say/english/inputs.js';

/** A cut face: how deep the colour reached, and how deep it would have for each of the nodes, mm. */
export interface CutFace {
  colouredMm: number;
  depths: readonly number[];
}

/** Doubt of the logarithm of the diffusivity before anything was cut: nineteen of twenty pieces within 2 to 5 × 10^-10 [M: docs/science.md, “The cure inside the meat”]. */
const PRIOR_SPREAD = Math.log(2.5) / 4;
/** A ring is read to so many mm, and pieces of one diffusivity differ in depth by such a share [M]. */
const READING_MM = 2;
const PIECE_SHARE = 0.1;
/** One in ten beyond. */
const TENTH = 1.2816;
const LOWEST = Math.log(CUT_FACE_NODES[0] ?? 1e-10);
const HIGHEST = Math.log(CUT_FACE_NODES.at(-1) ?? 1e-9);
const POINTS = 241;

/**
 * The diffusivity of this house's meat, learnt from its cut faces: Bayes on the logarithm, from the usual value and its spread. A
 * face that is coloured to the middle only says that it is not slower.
 *
 * @throws InputError where a depth is no number
 */
export function calibrate(faces: readonly CutFace[]): Diffusivity {
  if (faces.length === 0) return HANDBOOK_DIFFUSIVITY;
  for (const { colouredMm, depths } of faces) {
    if (!(colouredMm >= 0) || depths.length !== CUT_FACE_NODES.length || !depths.every(Number.isFinite))
      throw new InputError('colouredMm', inputSays('no-depths'));
  }
  const at = Array.from({ length: POINTS }, (_, i) => LOWEST + ((HIGHEST - LOWEST) * i) / (POINTS - 1));
  const logs = at.map((log) =>
    faces.reduce((sum, face) => sum + likelihood(face, log), -0.5 * ((log - Math.log(HANDBOOK_DIFFUSIVITY.value)) / PRIOR_SPREAD) ** 2),
  );
  const most = Math.max(...logs);
  const weights = logs.map((log) => Math.exp(log - most));
  const all = weights.reduce((a, b) => a + b, 0);
  const mean = weights.reduce((sum, weight, i) => sum + weight * (at[i] ?? 0), 0) / all;
  const spread = Math.sqrt(weights.reduce((sum, weight, i) => sum + weight * ((at[i] ?? 0) - mean) ** 2, 0) / all);
  return { value: Math.exp(mean), low: Math.exp(mean - TENTH * spread), high: Math.exp(mean + TENTH * spread), cutFaces: faces.length };
}

/** Logarithm of the likelihood of a face at a logarithm of diffusivity, but for a constant. */
function likelihood(face: CutFace, log: number): number {
  const depth = depthAt(face.depths, Math.exp(log));
  const doubt = Math.hypot(READING_MM, PIECE_SHARE * face.colouredMm);
  return -0.5 * ((face.colouredMm - depth) / doubt) ** 2;
}

/** Depth between the nodes, mm, straight in the logarithm. */
export function depthAt(depths: readonly number[], diffusivity: number): number {
  const place = ((Math.log(diffusivity) - LOWEST) / (HIGHEST - LOWEST)) * (CUT_FACE_NODES.length - 1);
  const i = Math.min(CUT_FACE_NODES.length - 2, Math.max(0, Math.floor(place)));
  const part = Math.min(1, Math.max(0, place - i));
  return (depths[i] ?? 0) * (1 - part) + (depths[i + 1] ?? 0) * part;
}

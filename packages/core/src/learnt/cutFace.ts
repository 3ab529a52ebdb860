import { COLOURED_PPM } from '../course/pullWindow.js';
import { sectionAt } from '../course/sectionAt.js';
import type { CureCourse } from '../batch/cureCourse.js';
import { InputError } from '../inputError.js';
import { thicknessMm, type Section } from '../section/section.js';
import { inputSays } from '../say/english/inputs.js';

/** Diffusivities at which a cut face is worked out, m²/s at 3 °C: from a tenth to a hundredth of a millionth of a cm²/s, evenly in their logarithm. */
export const CUT_FACE_NODES: readonly number[] = Array.from({ length: 9 }, (_, i) => 1e-10 * 10 ** (i / 8));

/** Cells across the thickness: a cut face is read to 2 mm. */
const ACROSS = 40;

/**
 * How deep the colour of the cure would reach at the pull, mm from the rim, for each of {@link CUT_FACE_NODES}: the depth of a ring that
 * leaves as much of the section grey inside.
 */
export function cutFaceDepths(course: CureCourse): number[] {
  return CUT_FACE_NODES.map((diffusivity) => colouredDepth(course, course.pullH, diffusivity));
}

/**
 * How deep the colour reaches at an hour, mm.
 *
 * @param diffusivity m²/s at 3 °C; that of the course when not given
 */
export function colouredDepth(course: CureCourse, atH: number, diffusivity?: number): number {
  const cellMm = Math.max(0.5, thicknessMm(course.section) / ACROSS);
  const { grid, salt } = sectionAt(course, { species: 'nitrite', atH, cellMm, ...(diffusivity === undefined ? {} : { diffusivity }) });
  let greyMm2 = 0;
  for (const i of grid.cells) greyMm2 += (grid.area[i] ?? 0) * greyShare((salt[i] ?? 0) * 1e4);
  return ringDepth(course.section, greyMm2 / grid.areaMm2);
}

/** A cell turns within a few ppm: the depth then moves smoothly, not from cell to cell [M]. */
const greyShare = (ppm: number): number => Math.min(1, Math.max(0, (COLOURED_PPM * 1.2 - ppm) / (COLOURED_PPM * 0.4)));

/**
 * Depth of the ring that leaves a share of the meat inside it, mm. The ring keeps the same distance from the rim all round.
 *
 * @param share grey ÷ all meat, 0 to 1
 */
export function ringDepth(section: Section, share: number): number {
  if (!(share >= 0 && share <= 1)) throw new InputError('share', inputSays('no-share'));
  if (share < 1e-9) return thicknessMm(section) / 2;
  const { a, b, bone } = halfAxes(section);
  // Inside the ring lies the grey meat and the bone.
  const inside = share * (1 - bone) + bone;
  if (a === Infinity) return b * (1 - inside);
  // (1 − d/a)(1 − d/b) = inside
  const sum = a + b;
  const depth = (sum - Math.sqrt(sum * sum - 4 * a * b * (1 - inside))) / 2;
  return Math.min(b, Math.max(0, depth));
}

/** Half axes, b the smaller, mm, and the bone’s share of the whole area. */
function halfAxes(section: Section): { a: number; b: number; bone: number } {
  const b = thicknessMm(section) / 2;
  const a = section.shape === 'slab' ? Infinity : section.shape === 'round' ? b : Math.max(section.widthMm, section.heightMm) / 2;
  const areaMm2 = section.shape === 'rectangle' ? 4 * a * b : Math.PI * a * b;
  const bone = section.bone === undefined || a === Infinity ? 0 : (Math.PI * section.bone.diameterMm ** 2) / 4 / areaMm2;
  return { a, b, bone };
}

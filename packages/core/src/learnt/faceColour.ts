import { InputError } from '../inputError.js';
import { requireNumber } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** A picture in rows: red, green, blue and opacity, 0 to 255 each. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8Array | Uint8ClampedArray;
}

/** What the cook marks on a picture of a cut face, in shares of its width and height. */
export interface FaceMarks {
  /** the ellipse that the meat fills: its middle, and half its width and height */
  meat: { x: number; y: number; rx: number; ry: number };
  /** a place that is surely cured, and one that surely is not */
  pink: { x: number; y: number };
  grey: { x: number; y: number };
}

/** Shares of the face, %. What is close to neither (fat, glare, the board) is counted apart. */
export interface FaceShares {
  greyPercent: number;
  /** with the places that could be either counted as pink, and as grey */
  low: number;
  high: number;
  neitherPercent: number;
  /** how different the two marks are; 1 is the least that eyes see side by side */
  apart: number;
}

/** [lightness 0 to 100, green to red, blue to yellow] */
type Lab = readonly [number, number, number];

/** White of a screen, CIE XYZ [P: IEC 61966-2-1, D65]. */
const WHITE = [0.95047, 1, 1.08883] as const;
const linear = Float64Array.from({ length: 256 }, (_, i) => (i / 255 <= 0.04045 ? i / 255 / 12.92 : ((i / 255 + 0.055) / 1.055) ** 2.4));
const bent = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116);

/**
 * A colour as eyes measure it: CIE L*a*b* of an sRGB colour [P: CIE 15 and IEC 61966-2-1].
 *
 * @example labOf(255, 0, 0) // [53.2, 80.1, 67.2]
 */
export function labOf(red: number, green: number, blue: number): Lab {
  const [r, g, b] = [linear[red] ?? 0, linear[green] ?? 0, linear[blue] ?? 0];
  const x = bent((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / WHITE[0]);
  const y = bent((0.2126729 * r + 0.7151522 * g + 0.072175 * b) / WHITE[1]);
  const z = bent((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / WHITE[2]);
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)];
}

/** Light falls unevenly on a face, so lightness counts for less than hue [M]. */
const LIGHTNESS = 0.35;
/** Marks that are closer than this are no two colours [M: twice what is seen side by side]. */
const LEAST_APART = 4;
/** A place is one colour when it is nearer to it by this share of the way between the marks [M]. */
const SURE = 0.15;
/** A place further from both marks, with its full lightness, than they are from each other, this many times, is neither; never a mere shadow [M]. */
const NEITHER = { times: 0.75, least: 15 } as const;
/** A mark is the middle colour of a spot, a share of the picture's width across. */
const SPOT = 0.02;
/** So many places of a face are looked at, at most. */
const PLACES = 200_000;

const apartOf = ([L, a, b]: Lab, [M, c, d]: Lab, lightness: number = LIGHTNESS): number => Math.hypot(lightness * (L - M), a - c, b - d);

/**
 * How much of a cut face is grey, beside two marks that the cook sets on it. An aid to the eye under the light of the day and never a
 * verdict: a face is cured when it is pink to the middle, not when a camera says so.
 *
 * @throws InputError when a mark lies outside the picture, the meat has no size, or the two marks are of one colour
 */
export function faceShares(picture: Picture, marks: FaceMarks): FaceShares {
  const { width, height } = requirePicture(picture);
  const { x, y, rx, ry } = requireMarks(marks);
  const [pink, grey] = [spot(picture, marks.pink), spot(picture, marks.grey)];
  const apart = apartOf(pink, grey);
  if (apart < LEAST_APART) throw new InputError('grey', inputSays('marks-of-one-colour'));
  const strange = Math.max(NEITHER.least, NEITHER.times * apart);
  const stride = Math.max(1, Math.ceil(Math.sqrt((Math.PI * rx * ry * width * height) / PLACES)));
  let [sureGrey, nearGrey, nearPink, neither, all] = [0, 0, 0, 0, 0];
  for (let row = Math.max(0, Math.floor((y - ry) * height)); row <= Math.min(height - 1, (y + ry) * height); row += stride) {
    for (let column = Math.max(0, Math.floor((x - rx) * width)); column <= Math.min(width - 1, (x + rx) * width); column += stride) {
      if (((column + 0.5) / width - x) ** 2 / rx ** 2 + ((row + 0.5) / height - y) ** 2 / ry ** 2 > 1) continue;
      const own = at(picture, column, row);
      const [toPink, toGrey] = [apartOf(own, pink), apartOf(own, grey)];
      all += 1;
      if (Math.min(apartOf(own, pink, 1), apartOf(own, grey, 1)) > strange) neither += 1;
      else if (Math.abs(toPink - toGrey) < SURE * apart) {
        if (toGrey < toPink) nearGrey += 1;
        else nearPink += 1;
      } else if (toGrey < toPink) sureGrey += 1;
    }
  }
  const meat = all - neither;
  if (meat === 0) throw new InputError('meat', inputSays('no-meat-inside-mark'));
  return {
    greyPercent: (100 * (sureGrey + nearGrey)) / meat,
    low: (100 * sureGrey) / meat,
    high: (100 * (sureGrey + nearGrey + nearPink)) / meat,
    neitherPercent: (100 * neither) / all,
    apart,
  };
}

function at({ width, rgba }: Picture, column: number, row: number): Lab {
  const i = 4 * (row * width + column);
  return labOf(rgba[i] ?? 0, rgba[i + 1] ?? 0, rgba[i + 2] ?? 0);
}

/** The middle colour of a spot around a mark. */
function spot(picture: Picture, { x, y }: { x: number; y: number }): Lab {
  const { width, height } = picture;
  const reach = Math.max(1, Math.round((SPOT * width) / 2));
  const [column, row] = [Math.min(width - 1, Math.floor(x * width)), Math.min(height - 1, Math.floor(y * height))];
  const seen: Lab[] = [];
  for (let r = Math.max(0, row - reach); r <= Math.min(height - 1, row + reach); r += 1)
    for (let c = Math.max(0, column - reach); c <= Math.min(width - 1, column + reach); c += 1) seen.push(at(picture, c, r));
  const middle = (part: 0 | 1 | 2): number => seen.map((lab) => lab[part]).sort((a, b) => a - b)[Math.floor(seen.length / 2)] ?? 0;
  return [middle(0), middle(1), middle(2)];
}

function requirePicture({ width, height, rgba }: Picture): { width: number; height: number } {
  requireNumber('width', width, { min: 8, max: 20_000 });
  requireNumber('height', height, { min: 8, max: 20_000 });
  if (rgba.length < 4 * width * height) throw new InputError('picture', inputSays('picture-cut-short'));
  return { width, height };
}

function requireMarks(marks: FaceMarks): FaceMarks['meat'] {
  const share = (field: string, value: unknown, rule: { min: number; max: number }) => requireNumber(field, value, rule);
  for (const name of ['pink', 'grey', 'meat'] as const) {
    const mark = marks[name] as { x: number; y: number } | null | undefined;
    if (typeof mark !== 'object' || mark === null) throw new InputError(name, inputSays('mark-missing'));
    share(`${name}.x`, mark.x, { min: 0, max: 1 });
    share(`${name}.y`, mark.y, { min: 0, max: 1 });
  }
  share('meat.rx', marks.meat.rx, { min: 0.02, max: 1 });
  share('meat.ry', marks.meat.ry, { min: 0.02, max: 1 });
  return marks.meat;
}

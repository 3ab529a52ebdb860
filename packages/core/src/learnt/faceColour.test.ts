import { faceShares, labOf, type FaceMarks, type Picture } from './faceColour.js';

type Rgb = readonly [number, number, number];
const PINK: Rgb = [205, 120, 118];
const GREY: Rgb = [150, 132, 118];
const FAT: Rgb = [250, 246, 236];

const WIDTH = 400;
const HEIGHT = 300;
const HALF = { rx: 0.45, ry: 0.45 };
const MARKS: FaceMarks = { meat: { x: 0.5, y: 0.5, ...HALF }, pink: { x: 0.08, y: 0.5 }, grey: { x: 0.5, y: 0.5 } };

/** A face whose colour hangs on how far a place lies from the middle, 0 to 1 at the rim of the meat. */
function face(colourOf: (fromMiddle: number, x: number) => Rgb, light: (x: number) => number = () => 1): Picture {
  const rgba = new Uint8ClampedArray(4 * WIDTH * HEIGHT);
  for (let y = 0; y < HEIGHT; y += 1)
    for (let x = 0; x < WIDTH; x += 1) {
      const from = Math.hypot(((x + 0.5) / WIDTH - 0.5) / HALF.rx, ((y + 0.5) / HEIGHT - 0.5) / HALF.ry);
      const colour = colourOf(from, x / WIDTH);
      rgba.set([...colour.map((part) => part * light(x / WIDTH)), 255], 4 * (y * WIDTH + x));
    }
  return { width: WIDTH, height: HEIGHT, rgba };
}

describe('a colour as eyes measure it', () => {
  // CIE L*a*b* of the sRGB primaries under D65 as colour tables print them; values from memory.
  it.each([
    [255, 255, 255, 100, 0, 0],
    [0, 0, 0, 0, 0, 0],
    [255, 0, 0, 53.24, 80.09, 67.2],
    [0, 255, 0, 87.73, -86.18, 83.18],
    [0, 0, 255, 32.3, 79.19, -107.86],
    [128, 128, 128, 53.59, 0, 0],
  ])('rgb %d %d %d is L %d a %d b %d', (r, g, b, ...lab) => {
    labOf(r, g, b).forEach((part, i) => expect(Math.abs(part - (lab[i] ?? 0))).toBeLessThan(0.05));
  });
});

describe('the grey share of a face', () => {
  it.each([0.3, 0.5, 0.8])('a grey core of %d of the half thickness is its square of the face', (core) => {
    const { greyPercent, low, high } = faceShares(
      face((from) => (from < core ? GREY : PINK)),
      MARKS,
    );
    expect(Math.abs(greyPercent - 100 * core ** 2)).toBeLessThan(1);
    expect(low).toBeLessThanOrEqual(greyPercent);
    expect(high).toBeGreaterThanOrEqual(greyPercent);
  });

  it('is found under a light that falls off to one side', () => {
    const { greyPercent } = faceShares(
      face(
        (from) => (from < 0.5 ? GREY : PINK),
        (x) => 1 - 0.2 * x,
      ),
      MARKS,
    );
    expect(Math.abs(greyPercent - 25)).toBeLessThan(4);
  });

  it('leaves fat out of it', () => {
    const { greyPercent, neitherPercent } = faceShares(
      face((from, x) => (x > 0.8 ? FAT : from < 0.5 ? GREY : PINK)),
      MARKS,
    );
    expect(neitherPercent).toBeGreaterThan(3);
    expect(greyPercent).toBeGreaterThan(25);
    expect(greyPercent).toBeLessThan(32);
  });

  it('takes neither a rim of fat nor a pale board inside the ring for grey', () => {
    const picture = face((from) => (from < 0.4 ? GREY : from < 0.8 ? PINK : from < 0.88 ? [236, 222, 206] : [233, 230, 223]));
    const { greyPercent, neitherPercent } = faceShares(picture, { ...MARKS, pink: { x: 0.2, y: 0.5 } });
    expect(Math.abs(greyPercent - 25)).toBeLessThan(1);
    expect(Math.abs(neitherPercent - 36)).toBeLessThan(2);
  });

  it('a shade between the two is a doubt, not a share', () => {
    const between: Rgb = [178, 126, 118];
    const { low, high } = faceShares(
      face((from) => (from < 0.3 ? GREY : from < 0.6 ? between : PINK)),
      MARKS,
    );
    expect(high - low).toBeGreaterThan(15);
  });

  it('two marks of one colour, a mark beside the picture, no meat: refused', () => {
    const even = face(() => PINK);
    expect(() => faceShares(even, MARKS)).toThrow(/one colour/);
    const split = face((from) => (from < 0.5 ? GREY : PINK));
    expect(() => faceShares(split, { ...MARKS, grey: { x: 1.2, y: 0.5 } })).toThrow(/grey.x/);
    expect(() => faceShares(split, { ...MARKS, meat: { x: 0.5, y: 0.5, rx: 0, ry: 0.4 } })).toThrow(/meat.rx/);
    expect(() => faceShares({ ...split, rgba: split.rgba.slice(0, 100) }, MARKS)).toThrow(/cut short/);
    expect(() => faceShares(split, { ...MARKS, pink: null as never })).toThrow(/missing/);
  });
});

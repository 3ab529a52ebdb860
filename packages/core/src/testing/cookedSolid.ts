/**
 * For tests: a block or a round with ends that is cooked or chilled, by plain explicit finite differences in three dimensions (an eighth
 * of the block, or radius and length of the round). Independent of the heat model: another dimension and scheme; convection and the
 * radiation of the walls apart, each by its own law; drying through a front that sinks in. Sources: the explicit scheme and the laws of
 * convection, radiation and evaporation are those of the textbooks (Incropera and DeWitt, Fundamentals of Heat and Mass Transfer; water
 * vapour after Buck, 1981), from memory.
 */
export interface CookedSolid {
  /** mm: thickness, width and length; of a round diameter, diameter and length */
  sizeMm: readonly [number, number, number];
  isRound: boolean;
  /** m²/s, W/(m K) */
  diffusivity: number;
  conductivity: number;
  /** °C as it begins, at the middle, and how much the rim lies above it */
  startC: number;
  rimAboveC: number;
  /** water that its rim has lost already, kg/m² */
  driedKg: number;
}

/** What is around it at a time. */
export interface Weather {
  airC: number;
  wallC: number;
  /** W/(m² K) at a difference in temperature, K */
  convection: (differenceC: number) => number;
  /** of the surface and the walls together: 0 in water and behind a shiny foil */
  emissivity: number;
  /** Pa of water in the air; null where nothing dries: in a bag, in water */
  vapourPa: number | null;
  /** m² K/W between the surroundings and the meat: a bag and what is under it */
  coverM2K: number;
  /** how fast the drying front sinks in: the resistance to water, in those of the free surface, for a kilogram of water a square metre */
  frontPerKg: number;
}

const STEFAN = 5.67e-8;
const KELVIN = 273.15;
/** Buck (1981). */
const buckPa = (C: number): number => 611.21 * Math.exp((18.678 - C / 234.5) * (C / (257.14 + C)));

/** The temperature at the middle each minute, °C, until `isEnough` or `mostS`. */
export function courseOfSolid(
  solid: CookedSolid,
  weather: (s: number) => Weather,
  isEnough: (C: number, s: number) => boolean,
  mostS: number,
): { s: number; C: number }[] {
  const { diffusivity, conductivity, isRound } = solid;
  const halves = solid.sizeMm.map((mm) => mm / 2000) as [number, number, number];
  const counts = halves.map((half, i) => (isRound && i === 1 ? 1 : Math.max(8, Math.min(10, Math.round(half / (halves[0] / 8)))))) as [number, number, number];
  const steps = halves.map((half, i) => half / (counts[i] as number));
  const [nx, ny, nz] = counts;
  const [dx = 1, dy = 1, dz = 1] = steps;
  const index = (x: number, y: number, z: number) => (z * ny + y) * nx + x;
  let field = new Float64Array(nx * ny * nz);
  for (let z = 0; z < nz; z += 1)
    for (let y = 0; y < ny; y += 1)
      for (let x = 0; x < nx; x += 1) {
        const out = [(x + 0.5) / nx, isRound ? 0 : (y + 0.5) / ny, (z + 0.5) / nz];
        field[index(x, y, z)] = solid.startC + solid.rimAboveC * Math.max(...out.map((share) => share * share));
      }
  let next = field.slice();
  // Of each face that lies outside, by cell and direction: its temperature, and the water it has lost.
  const rims = [0, 1, 2].map(() => ({ C: field.slice(), driedKg: new Float64Array(field.length).fill(solid.driedKg) }));
  const stable = 0.3 / (diffusivity * (1 / dx ** 2 + (isRound ? 0 : 1 / dy ** 2) + 1 / dz ** 2));
  const perMinute = Math.max(1, Math.ceil(60 / stable));
  const seconds = 60 / perMinute;
  const middle = () => {
    const [a = 0, b = 0] = [field[index(0, 0, 0)], field[index(1, 0, 0)]];
    return a + (a - b) / 8;
  };
  const course = [{ s: 0, C: middle() }];
  const rimFlow = (i: number, direction: number, dM: number): number =>
    throughRim(rims[direction] as Rims, i, field[i] as number, (2 * conductivity) / dM, now, seconds) / conductivity;
  let now = weather(0);
  for (let minute = 0; minute * 60 < mostS; minute += 1) {
    now = weather(minute * 60);
    for (let k = 0; k < perMinute; k += 1) {
      for (let z = 0; z < nz; z += 1)
        for (let y = 0; y < ny; y += 1)
          for (let x = 0; x < nx; x += 1) {
            const i = index(x, y, z);
            const C = field[i] as number;
            // A ring has a longer outer face than an inner one.
            const [inner, outer] = isRound ? [x / (x + 0.5), (x + 1) / (x + 0.5)] : [1, 1];
            let flow =
              (x === 0 ? 0 : (inner * ((field[i - 1] as number) - C)) / dx) + outer * (x === nx - 1 ? rimFlow(i, 0, dx) : ((field[i + 1] as number) - C) / dx);
            flow /= dx;
            if (!isRound)
              flow += ((y === 0 ? 0 : ((field[i - nx] as number) - C) / dy) + (y === ny - 1 ? rimFlow(i, 1, dy) : ((field[i + nx] as number) - C) / dy)) / dy;
            flow +=
              ((z === 0 ? 0 : ((field[i - nx * ny] as number) - C) / dz) + (z === nz - 1 ? rimFlow(i, 2, dz) : ((field[i + nx * ny] as number) - C) / dz)) / dz;
            next[i] = C + diffusivity * seconds * flow;
          }
      [field, next] = [next, field];
    }
    const C = middle();
    course.push({ s: (minute + 1) * 60, C });
    if (isEnough(C, (minute + 1) * 60)) break;
  }
  return course;
}

interface Rims {
  C: Float64Array;
  driedKg: Float64Array;
}

/** W/m² into the meat through a face; its own temperature follows from one step to the next, after Newton. */
function throughRim(rims: Rims, i: number, insideC: number, skin: number, w: Weather, seconds: number): number {
  const C = rims.C[i] as number;
  const driedKg = rims.driedKg[i] as number;
  const h = w.convection(Math.abs(w.airC - C));
  const cube = (C + KELVIN) ** 3;
  let heat = h * (w.airC - C) + w.emissivity * STEFAN * ((w.wallC + KELVIN) ** 4 - cube * (C + KELVIN));
  let slope = -h - 4 * w.emissivity * STEFAN * cube;
  const cover = 1 - w.coverM2K * slope;
  [heat, slope] = [heat / cover, slope / cover];
  if (w.vapourPa !== null) {
    // Chilton and Colburn's analogy: kg/(m² s Pa).
    const free = ((h / (1010 * 0.87)) * (0.622 / 101_325)) / (1 + w.frontPerKg * driedKg);
    const own = 0.97 * buckPa(C);
    const latent = 2.501e6 - 2400 * C;
    heat -= latent * free * (own - w.vapourPa);
    slope -= (latent * free * own * 4280) / (242 + C) ** 2;
    rims.driedKg[i] = Math.max(0, driedKg + free * (own - w.vapourPa) * seconds);
  }
  const change = Math.max(-20, Math.min(20, (heat - skin * (C - insideC)) / (skin - slope)));
  rims.C[i] = C + change;
  return skin * (C + change - insideC);
}

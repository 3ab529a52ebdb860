/**
 * For tests: uptake of a rectangular block or a round with ends in three dimensions, by plain explicit finite differences on its own grid,
 * in a well-stirred bath of limited volume. Independent of the section model: another grid, another scheme, a dimension more. Source: the
 * textbook explicit scheme (Crank, The Mathematics of Diffusion, chapter 8; from memory).
 */
export interface Solid {
  /** mm; of a round piece the first two are its diameter */
  sizeMm: readonly [number, number, number];
  isRound?: boolean;
  /** cells along the shortest */
  cells?: number;
}

/** Mean and least of the piece, as shares of the bath's first strength, after so many hours. */
export function uptakeOfSolid(solid: Solid, hours: number, meatPerBath: number, diffusivity = 3e-10): { mean: number; least: number } {
  const { sizeMm, isRound = false, cells = 14 } = solid;
  const h = Math.min(...sizeMm) / cells;
  const [nx, ny, nz] = sizeMm.map((mm) => Math.max(3, Math.round(mm / h))) as [number, number, number];
  const index = (x: number, y: number, z: number) => (z * ny + y) * nx + x;
  const inside = new Uint8Array(nx * ny * nz);
  let count = 0;
  for (let z = 0; z < nz; z += 1)
    for (let y = 0; y < ny; y += 1)
      for (let x = 0; x < nx; x += 1) {
        const isIn = !isRound || Math.hypot((x + 0.5) / nx - 0.5, (y + 0.5) / ny - 0.5) <= 0.5;
        if (isIn) [inside[index(x, y, z)], count] = [1, count + 1];
      }
  const D = diffusivity * 1e6;
  const seconds = hours * 3600;
  const steps = Math.ceil(seconds / ((0.15 * h * h) / D));
  const r = (D * seconds) / steps / (h * h);
  let field = new Float64Array(nx * ny * nz);
  let next = new Float64Array(nx * ny * nz);
  let bath = 1;
  let total = 0;
  for (let step = 0; step < steps; step += 1) {
    let gained = 0;
    for (let z = 0; z < nz; z += 1)
      for (let y = 0; y < ny; y += 1)
        for (let x = 0; x < nx; x += 1) {
          const i = index(x, y, z);
          if (inside[i] !== 1) continue;
          const here = field[i] ?? 0;
          let flow = 0;
          for (const [dx, dy, dz] of SIDES) {
            const [u, v, w] = [x + dx, y + dy, z + dz];
            const isMeat = u >= 0 && v >= 0 && w >= 0 && u < nx && v < ny && w < nz && inside[index(u, v, w)] === 1;
            // Half a cell to the brine.
            flow += isMeat ? (field[index(u, v, w)] ?? 0) - here : 2 * (bath - here);
          }
          next[i] = here + r * flow;
          gained += r * flow;
        }
    total += gained;
    bath = 1 - (meatPerBath * total) / count;
    [field, next] = [next, field];
  }
  let least = Infinity;
  field.forEach((value, i) => {
    if (inside[i] === 1) least = Math.min(least, value);
  });
  return { mean: total / count, least };
}

const SIDES = [
  [1, 0, 0],
  [-1, 0, 0],
  [0, 1, 0],
  [0, -1, 0],
  [0, 0, 1],
  [0, 0, -1],
] as const;

import { programHours, requireStages, USUAL_C, warmth, type Stage } from './sectionProgram.js';
import { SectionRun } from './sectionRun.js';
import { InputError } from '../inputError.js';
import { thicknessMm, type Section } from '../section/section.js';
import { HANDBOOK_RATES, uptakeFromBath } from '../section/uptake.js';
import { requireNumber, requireThing } from '../units/require.js';
import { inputSays } from '../say/english/inputs.js';

/** Nitrite that leaves a colour, ppm; and by which meat is just tinged [M, T: 10 to 20]. */
export const COLOURED_AT_PPM = 20;

/** A piece of a vessel, as far as its size is known. */
interface ReachPiece {
  code: string;
  section: Section;
  lengthMm?: number;
  massG: number;
}

export interface ReachAtPullParams {
  pieces: readonly ReachPiece[];
  /** what lies in it, all pieces together, g green; the sum of the pieces when not given */
  vessel?: { meatG?: number };
  /** as in `simulateSection`, % of sodium nitrite in place of the salt: needle, brine, rest, up to the pull and on to the act that is judged */
  stages: readonly Stage[];
  /** of lean meat at 3 °C, m²/s */
  diffusivity?: { low: number; typical: number; high: number };
  /** when it is pulled, h from the start; the end of the last brine when not given */
  pullH?: number;
  /** when the act begins that it is judged for, a smoke or a cook, h from the start; the end of the stages when not given */
  fireH?: number;
}

export interface PieceReach {
  code: string;
  /** the least anywhere in the lean, at typical diffusivity: at the pull or, where it rests on, when the act begins, ppm */
  leastPpm: number;
  /** the same where the meat is slow */
  leastSlowPpm: number;
  /** taken up at the pull, as a mean over the section */
  meanPpm: { low: number; typical: number; high: number };
  /** with ends and edges and meat that takes up fast: more than this no place of it took on average */
  atMostPpm: number;
  coloured: boolean;
  /** days from the start after which it would be coloured to the middle in the same brine; null where it is not within sixty */
  colouredFromDay: number | null;
}

/** Cells across the thickness: coarse, and on the cautious side of a finer grid by less than a part in twenty [M]. */
const CELLS_ACROSS = 14;
const LONGEST_DAYS = 60;
const PPM_OF_PERCENT = 1e4;

/**
 * How far the nitrite has come in each piece when it is pulled, by the section model, from what really lay in the vessel and for how long.
 *
 * @throws InputError for pieces or stages that cannot be
 * @example reachAtPull({ pieces: [{ code: 'A', section: { shape: 'round', diameterMm: 90 }, massG: 2600 }],
 *   stages: [{ kind: 'bath', hours: 24, bathG: 1300, saltPercent: 0.045 }] })[0].coloured // false: a day is not enough
 */
export function reachAtPull(p: ReachAtPullParams): PieceReach[] {
  requireThing('pieces', p.pieces, inputSays('which-pieces'));
  requireStages(p.stages);
  if (p.pieces.length === 0) throw new InputError('pieces', inputSays('which-pieces'));
  const meatG = p.vessel?.meatG ?? p.pieces.reduce((sum, { massG }) => sum + massG, 0);
  requireNumber('vessel.meatG', meatG, { above: 0, max: 1e6, unit: 'g' });
  const rates = p.diffusivity ?? { low: HANDBOOK_RATES.low, typical: HANDBOOK_RATES.value, high: HANDBOOK_RATES.high };
  return p.pieces.map((piece) =>
    pieceReach(piece, meatG, p.fireH === undefined ? p.stages : upTo(p.stages, p.fireH), rates, p.pullH ?? lastBathEndsH(p.stages)),
  );
}

function pieceReach(
  piece: ReachPiece,
  meatG: number,
  stages: readonly Stage[],
  rates: { low: number; typical: number; high: number },
  pullH: number,
): PieceReach {
  const { code, section } = piece;
  const [slow, usual, fast] = [rates.low, rates.typical, rates.high].map((diffusivity) => played(section, meatG, stages, diffusivity, pullH)) as [
    Played,
    Played,
    Played,
  ];
  const leastPpm = Math.max(usual.leastAtPull, usual.leastAtEnd);
  const coloured = leastPpm >= COLOURED_AT_PPM;
  return {
    code,
    leastPpm,
    leastSlowPpm: Math.max(slow.leastAtPull, slow.leastAtEnd),
    meanPpm: { low: slow.meanAtPull, typical: usual.meanAtPull, high: fast.meanAtPull },
    atMostPpm: Math.max(fast.meanAtPull, withEnds(piece, meatG, stages, rates.high, pullH)),
    coloured,
    colouredFromDay: usual.colouredH === null ? null : usual.colouredH / 24,
  };
}

interface Played {
  leastAtPull: number;
  leastAtEnd: number;
  meanAtPull: number;
  colouredH: number | null;
}

/** The stages played, looked at when it is pulled and at their end; on in the same brine until it is coloured, where it was not. */
function played(section: Section, meatG: number, stages: readonly Stage[], diffusivity: number, pullH: number): Played {
  const start = () =>
    new SectionRun({ section, meatG, cellMm: Math.max(0.5, thicknessMm(section) / CELLS_ACROSS), stages: [], sampleHours: SAMPLE_H, diffusivity });
  const run = start();
  const least = () => run.leastSalt() * PPM_OF_PERCENT;
  let colouredH: number | null = null;
  const look = () => {
    if (colouredH === null && least() >= COLOURED_AT_PPM) colouredH = run.elapsedH();
    return false;
  };
  const [before, after] = [upTo(stages, pullH), from(stages, pullH)];
  for (const stage of before) run.play(stage, look);
  look();
  const [leastAtPull, meanAtPull] = [least(), run.meanSalt() * PPM_OF_PERCENT];
  if (colouredH === null) colouredH = colouredIf(start(), before);
  for (const stage of after) run.play(stage);
  return { leastAtPull, leastAtEnd: least(), meanAtPull, colouredH };
}

const SAMPLE_H = 6;

/** When it would be coloured if it lay on in its last brine, h. */
function colouredIf(run: SectionRun, before: readonly Stage[]): number | null {
  const brine = before.findLast((stage) => stage.kind === 'bath');
  if (brine === undefined) return null;
  let found: number | null = null;
  const look = () => {
    if (run.leastSalt() * PPM_OF_PERCENT >= COLOURED_AT_PPM) found ??= run.elapsedH();
    return found !== null;
  };
  const { closedSide: _turnedFromNowOn, ...open } = brine;
  const on: Stage = { ...open, hours: Math.max(0, LONGEST_DAYS * 24 - programHours(before)), goesOn: true };
  for (const stage of [...before, on]) {
    run.play(stage, look);
    if (found !== null) return found;
  }
  return found;
}

/** The mean with ends and edges: the same needle and brine, what lies in the brine at its temperatures added up. */
function withEnds(piece: ReachPiece, meatG: number, stages: readonly Stage[], diffusivity: number, pullH: number): number {
  let inMeat = 0;
  let hours = 0;
  let bath: Extract<Stage, { kind: 'bath' }> | null = null;
  for (const stage of upTo(stages, pullH)) {
    if (stage.kind === 'inject') {
      const share = stage.pumpPercent / 100;
      inMeat = (inMeat + stage.brineSaltPercent * share) / (1 + share);
    } else if (stage.kind === 'bath') {
      hours += stage.hours * warmth(stage.temperatureC ?? USUAL_C);
      bath ??= stage;
    }
  }
  if (bath === null) return inMeat * PPM_OF_PERCENT;
  const meatPerBath = bath.bathG === 'infinite' ? 0 : meatG / bath.bathG;
  const given = (bath.saltPercent - inMeat) * uptakeFromBath(piece, hours, meatPerBath, diffusivity);
  return Math.max(inMeat, inMeat + given) * PPM_OF_PERCENT;
}

function lastBathEndsH(stages: readonly Stage[]): number {
  let [hours, end] = [0, 0];
  for (const stage of stages) {
    if (stage.kind === 'inject') continue;
    hours += stage.hours;
    if (stage.kind === 'bath' && stage.saltPercent > 0) end = hours;
  }
  return end;
}

/** The stages up to an hour, the one that it lies in cut off there. */
function upTo(stages: readonly Stage[], untilH: number): Stage[] {
  const kept: Stage[] = [];
  let hours = 0;
  for (const stage of stages) {
    if (stage.kind === 'inject') {
      if (hours <= untilH + 1e-9) kept.push(stage);
      continue;
    }
    const left = untilH - hours;
    if (left > 1e-9) kept.push({ ...stage, hours: Math.min(stage.hours, left) });
    hours += stage.hours;
  }
  return kept;
}

function from(stages: readonly Stage[], fromH: number): Stage[] {
  const kept: Stage[] = [];
  let hours = 0;
  for (const stage of stages) {
    if (stage.kind === 'inject') {
      if (hours > fromH + 1e-9) kept.push(stage);
      continue;
    }
    const before = Math.max(0, fromH - hours);
    if (stage.hours - before > 1e-9) kept.push({ ...stage, hours: stage.hours - before });
    hours += stage.hours;
  }
  return kept;
}

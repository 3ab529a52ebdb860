import { pumpedFigure, type NitriteInBrine } from '../cure/nitriteFigure.js';
import { pieceUptake, uptakeFromBath, USUAL_RATES, LEAN_DIFFUSIVITY, type SizedPiece, type UptakeRange, type UptakeRates } from '../section/uptake.js';
import { figureSays } from '../say/english/figures.js';
import { asFigure, inWorking, type Figure } from '../units/figure.js';
import { over, plus, scaled, type Measured } from '../units/measured.js';

/**
 * The most that a piece can have taken from the cover at the pull, by the model: brine at its first strength all the time, through ends
 * and edges too, and never more than the even figure [M]. Its doubt holds meat that takes up fast.
 */
export function atPull(
  piece: SizedPiece,
  hours: number,
  whole: { nitrite: Measured; all: Measured },
  meat: Measured,
  rates: UptakeRates = USUAL_RATES,
): Figure {
  const shareAt = (diffusivity: number) => pieceUptake(piece, hours, diffusivity);
  const share = shareAt(rates.value);
  const endless = scaled(over(whole.nitrite, whole.all), 1e6);
  const even = scaled(over(whole.nitrite, plus(meat, whole.all)), 1e6);
  const most = {
    value: Math.min(endless.value * share, even.value),
    low: Math.min(endless.low * share, even.low),
    high: Math.min(endless.high * shareAt(rates.high), even.high),
  };
  return asFigure(
    most,
    {
      id: 'nitrite-at-pull',
      unit: 'ppm',
      source: `Crank, The Mathematics of Diffusion, from memory, constant edge, with ends and edges; diffusivity ${inWorking(rates.value * 1e10)} × 10^-10 m²/s is a modelling choice`,
    },
    () => ({
      label: figureSays('fig-at-pull', { n: hours / 24 }),
      base: figureSays('of-meat-mean'),
      formula: figureSays('by-model'),
      working: figureSays('sum-model', { nitriteG: whole.nitrite.value, allG: whole.all.value, share }),
    }),
  );
}

/**
 * Pumped and covered: what the needle put in, and what a stronger cover gives up until the pull, by the model, bounded by the mass balance
 * of the tub. Never less than the needle put in: what goes over into the cover had gone in.
 *
 * @param needle the pickle, and how much of the green weight was pumped, 0 to 1
 * @param tub the cover, and what lies in it, the pumped brine counted
 */
export function coveredFigure(
  piece: SizedPiece,
  hours: number,
  needle: { pickle: NitriteInBrine; share: Measured },
  tub: { cover: NitriteInBrine; meat: Measured },
  rates: UptakeRange,
  piecesCode?: string,
): Figure {
  const { pickle, share } = needle;
  const pumped = pumpedFigure(pickle, share);
  const inMeat = pumped.value / (1 + share.value);
  const inCover = (tub.cover.nitrite.value / tub.cover.brine.value) * 1e6;
  const meatPerBath = tub.meat.value / tub.cover.brine.value;
  const at = (diffusivity: number) => Math.max(0, inCover - inMeat) * uptakeFromBath(piece, hours, meatPerBath, diffusivity);
  const given = at(rates.value);
  const most = {
    value: Math.max(pumped.value, inMeat + given),
    low: Math.max(pumped.low, pumped.low / (1 + share.high) + at(rates.low)),
    high: Math.max(pumped.high, pumped.high / (1 + share.low) + at(rates.high)),
  };
  const n = hours / 24;
  return asFigure(
    most,
    {
      id: 'nitrite-covered',
      unit: 'ppm',
      source: `Mass balance of the tub; Crank, The Mathematics of Diffusion, from memory, with ends and edges; diffusivity ${inWorking(rates.value * 1e10)} × 10^-10 m²/s is a modelling choice`,
    },
    () => ({
      label: piecesCode === undefined ? figureSays('fig-needle-and-cover', { n }) : figureSays('fig-needle-and-cover-piece', { n, piece: piecesCode }),
      base: figureSays('of-pumped-mean'),
      formula: figureSays('by-needle-and-cover'),
      working: figureSays('sum-needle-and-cover', { meat: inMeat, cover: inCover, share: given / Math.max(1e-9, inCover - inMeat) }),
    }),
  );
}

/** The last day, to a tenth, at which a piece in an endless brine of so many ppm is not over a limit by the model; null where it never is within sixty. */
export function lastDayUnder(piece: SizedPiece, endless: number, limit: number, diffusivity = LEAN_DIFFUSIVITY): number | null {
  return lastDayOf((days) => endless * pieceUptake(piece, days * 24, diffusivity), limit);
}

/** The last day, to a tenth, on which what a piece has taken up by then is not over a limit; null where it never is within sixty. */
export function lastDayOf(ppmAt: (days: number) => number, limit: number): number | null {
  const over = (days: number) => ppmAt(days) > limit;
  if (!over(60)) return null;
  let low = 0;
  let high = 60;
  for (let i = 0; i < 24; i += 1) {
    const middle = (low + high) / 2;
    if (over(middle)) high = middle;
    else low = middle;
  }
  return Math.floor(low * 10) / 10;
}

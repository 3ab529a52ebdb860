import { comeUpForecastH } from '../heat/comeUpForecast.js';
import { COME_UP } from '../safety/comeUpHours.js';
import { sizeOf } from './design.js';
import type { Piece } from '../log/batchDesign.js';
import type { CookProgram } from '../log/cookProgram.js';
import { COLD_SMOKE_C, cookPhases } from '../recipes/cookProgram.js';

/**
 * Why meat that is not cured is not smoked by a program, or null: only cold smoke, and one in which the core takes longer than the come-up
 * allows, have nitrite and salt as their only guard. Hot smoke stays open to it.
 *
 * @param isCured dose and reach of every piece
 */
export function slowSmokeFault(program: CookProgram, isCured: boolean, pieces: readonly Piece[]): string | null {
  if (isCured || !program.some(({ smoke }) => smoke)) return null;
  const cold = program.find(({ smoke, chamberC }) => smoke && chamberC <= COLD_SMOKE_C);
  if (cold !== undefined)
    return `Meat that is not cured is not smoked cold, at ${Math.round(cold.chamberC)} °C: nothing guards it there. Smoke it hot, or cook it as fresh meat.`;
  const phases = cookPhases(program);
  const slowest = Math.max(...pieces.map((piece) => comeUpForecastH({ ...sizeOf(piece), phases })));
  if (slowest <= COME_UP.mostH) return null;
  const hours = Number.isFinite(slowest) ? `${slowest.toFixed(1)} h` : 'more than a day';
  return `Meat that is not cured must come through the warm within ${COME_UP.mostH} h: by this program its core takes ${hours}. Make the chamber hotter, or the pieces thinner.`;
}

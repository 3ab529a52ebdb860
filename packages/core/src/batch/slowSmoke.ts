import { comeUpForecastH } from '../heat/comeUpForecast.js';
import { COME_UP } from '../safety/comeUpHours.js';
import { safetySays } from '../say/english/safety.js';
import type { Message } from '../say/message.js';
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
export function slowSmokeFault(program: CookProgram, isCured: boolean, pieces: readonly Piece[]): Message | null {
  if (isCured || !program.some(({ smoke }) => smoke)) return null;
  const cold = program.find(({ smoke, chamberC }) => smoke && chamberC <= COLD_SMOKE_C);
  if (cold !== undefined) return safetySays('no-cold-smoke', { chamberC: cold.chamberC });
  const phases = cookPhases(program);
  const slowest = Math.max(...pieces.map((piece) => comeUpForecastH({ ...sizeOf(piece), phases })));
  if (slowest <= COME_UP.mostH) return null;
  if (!Number.isFinite(slowest)) return safetySays('much-too-slow-uncured', { mostH: COME_UP.mostH });
  return safetySays('too-slow-uncured', { mostH: COME_UP.mostH, hours: slowest });
}

import type { HandActAmounts, HandActId } from '../log/handAct.js';
import { JUDGED, type Judged } from '../log/tableVerdict.js';
import type { Station } from './station.js';

/** What hands do beside the plan: where it belongs on the ticket, and what may be read, weighed or counted at it. */
export interface HandActSpec {
  station: Station;
  takes: readonly (keyof HandActAmounts)[];
  /** what may be said of it as food */
  judges?: readonly Judged[];
}

/** An act that is missing here has no place on the ticket: the compiler asks for it. */
export const HAND_ACT_SPECS: Readonly<Record<HandActId, HandActSpec>> = {
  prick: { station: 'prep', takes: [] },
  score: { station: 'prep', takes: [] },
  'trimmings-frozen': { station: 'prep', takes: ['g'] },
  massage: { station: 'cure', takes: [] },
  stir: { station: 'cure', takes: [] },
  'top-up': { station: 'cure', takes: ['g'] },
  move: { station: 'cure', takes: [] },
  ice: { station: 'cure', takes: ['g'] },
  'hold-under': { station: 'cure', takes: [] },
  rinse: { station: 'soak', takes: ['forMin'] },
  'fresh-water': { station: 'soak', takes: ['times', 'forMin', 'C'] },
  taste: { station: 'soak', takes: [] },
  hang: { station: 'dry', takes: ['C', 'humidityPercent'] },
  'take-down': { station: 'dry', takes: ['C', 'humidityPercent'] },
  rub: { station: 'dry', takes: [] },
  wood: { station: 'smoke', takes: ['C'] },
  chips: { station: 'smoke', takes: ['C'] },
  damper: { station: 'smoke', takes: ['C'] },
  relight: { station: 'smoke', takes: ['C'] },
  'smoke-off': { station: 'smoke', takes: ['C'] },
  baste: { station: 'cook', takes: [] },
  oven: { station: 'cook', takes: ['C'] },
  pot: { station: 'cook', takes: ['C'] },
  'pot-water': { station: 'cook', takes: ['C'] },
  cover: { station: 'cook', takes: [] },
  uncover: { station: 'cook', takes: [] },
  off: { station: 'cook', takes: [] },
  rest: { station: 'chill', takes: ['forMin'] },
  'ice-water': { station: 'chill', takes: ['forMin', 'C'] },
  bag: { station: 'chill', takes: [] },
  'firm-up': { station: 'pack', takes: ['forMin'] },
  serve: { station: 'pack', takes: [] },
  carve: { station: 'pack', takes: [] },
  'warm-again': { station: 'pack', takes: ['C'] },
  table: { station: 'pack', takes: [], judges: JUDGED },
  'give-away': { station: 'pack', takes: ['g'] },
  spoilt: { station: 'pack', takes: ['g'] },
};

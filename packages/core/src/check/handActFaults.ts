import { HAND_ACTS, type HandAct, type HandActAmounts } from '../log/handAct.js';
import { JUDGED, TABLE_VERDICTS } from '../log/tableVerdict.js';
import { faultAt, type EntryFault } from '../log/entryFault.js';
import { checkSays } from '../say/english/check.js';
import type { Message } from '../say/message.js';
import { HAND_ACT_SPECS } from '../steps/handActs.js';
import { numberFault, type NumberRule } from '../units/require.js';

/** What cannot be read, weighed or counted at any act. */
const RULES: Readonly<Record<keyof HandActAmounts, { rule: NumberRule; said: Message }>> = {
  C: { rule: { min: -40, max: 400, unit: '°C' }, said: checkSays('act-temperature') },
  humidityPercent: { rule: { min: 0, max: 100, unit: '%' }, said: checkSays('act-humidity-of-air') },
  g: { rule: { above: 0, max: 100_000, unit: 'g' }, said: checkSays('act-weight') },
  forMin: { rule: { above: 0, max: 60 * 24 * 60, unit: 'min' }, said: checkSays('act-how-long') },
  times: { rule: { min: 1, max: 50 }, said: checkSays('act-how-often') },
};

/** What is wrong with an act beside the plan before it is written; an empty answer means that it may be. */
export function handActFaults(event: HandAct, codes: readonly string[]): EntryFault[] {
  const act: unknown = typeof event === 'object' && (event as unknown) !== null ? event.act : undefined;
  if (!(HAND_ACTS as readonly unknown[]).includes(act)) return [faultAt('event.act', checkSays('which-act'))];
  const { takes, judges = [] } = HAND_ACT_SPECS[event.act];
  const amounts = (Object.keys(RULES) as (keyof HandActAmounts)[]).flatMap((name): EntryFault[] => {
    const value: unknown = event[name];
    if (value === undefined) return [];
    const { rule, said } = RULES[name];
    if (!takes.includes(name)) return [faultAt(`event.${name}`, checkSays('not-asked'))];
    const fault = typeof value === 'number' && Number.isFinite(value) ? numberFault(value, rule, said) : checkSays('input-no-number', { input: said });
    return fault === null ? [] : [faultAt(`event.${name}`, fault)];
  });
  const verdicts = JUDGED.flatMap((of): EntryFault[] => {
    const value: unknown = event[of];
    if (value === undefined) return [];
    if (!judges.includes(of)) return [faultAt(`event.${of}`, checkSays('not-asked'))];
    return (TABLE_VERDICTS[of] as readonly unknown[]).includes(value) ? [] : [faultAt(`event.${of}`, checkSays('which-verdict'))];
  });
  return [...amounts, ...verdicts, ...piecesFault(event.pieces, codes)];
}

function piecesFault(pieces: unknown, codes: readonly string[]): EntryFault[] {
  if (pieces === undefined) return [];
  if (!Array.isArray(pieces) || pieces.length === 0) return [faultAt('event.pieces', checkSays('act-which-pieces'))];
  return pieces.every((code: unknown) => codes.some((own) => own === code)) ? [] : [faultAt('event.pieces', checkSays('piece-gone'))];
}
